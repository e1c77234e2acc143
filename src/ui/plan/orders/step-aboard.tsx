import { named } from '../options';
import type { FieldsProps, OrderView } from '../part-view';
import { RowChoice } from '../RowFields';
import { useNames } from '../use-names';
import { By, personOf } from './line-order';

function Fields({ at }: FieldsProps) {
  const { points, crew } = useNames();
  return (
    <>
      <RowChoice name={`${at}.point`} label="At" options={named(points)} />
      <By at={at} crew={crew} />
    </>
  );
}

export const stepAboard: OrderView<'stepAboard'> = {
  title: 'Step aboard',
  add: ({ crew }) => (crew.length > 0 ? 'step aboard' : null),
  Fields,
  text: ({ point }) => `step aboard at the ${point}`,
  given: ({ by }, about) => `${personOf(by, about)} aboard`,
};
