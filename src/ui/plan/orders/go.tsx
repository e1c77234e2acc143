import { named } from '../options';
import type { FieldsProps, OrderView } from '../part-view';
import { RowChoice } from '../RowFields';
import { useNames } from '../use-names';
import { By, personOf } from './line-order';

function Fields({ at }: FieldsProps) {
  const { points, crew } = useNames();
  return (
    <>
      <RowChoice name={`${at}.point`} label="Place" options={named(points)} />
      <By at={at} crew={crew} />
    </>
  );
}

export const go: OrderView<'go'> = {
  title: 'Go to',
  add: ({ crew }) => (crew.length > 0 ? 'go to' : null),
  Fields,
  text: ({ point }) => `go to the ${point}`,
  given: ({ by, point }, about) => `${personOf(by, about)} to the ${point.name}`,
};
