import { named } from '../options';
import type { FieldsProps, OrderView } from '../part-view';
import { RowMark } from '../RowFields';
import { useNames } from '../use-names';
import { By, personOf } from './line-order';

function Fields({ at }: FieldsProps) {
  const { marks, crew } = useNames();
  return (
    <>
      <RowMark name={`${at}.mark`} label="Then walks to" options={named(marks)} />
      <By at={at} crew={crew} />
    </>
  );
}

export const stepAshore: OrderView<'stepAshore'> = {
  title: 'Step ashore',
  add: ({ crew }) => (crew.length > 0 ? 'step ashore' : null),
  Fields,
  text: ({ mark }) => `step ashore, to ${mark}`,
  given: ({ by }, about) => `${personOf(by, about)} ashore`,
};
