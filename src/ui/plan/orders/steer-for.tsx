import { named, worded } from '../options';
import type { FieldsProps, OrderView } from '../part-view';
import { RowChoice, RowMark } from '../RowFields';
import { useNames } from '../use-names';

const ENDS = worded({ bow: 'the bow', stern: 'the stern' });

function Fields({ at }: FieldsProps) {
  const { marks } = useNames();
  return (
    <>
      <RowChoice name={`${at}.first`} label="Which end first" options={ENDS} />
      <span>for</span>
      <RowMark name={`${at}.mark`} label="Mark to steer for" options={named(marks)} />
    </>
  );
}

export const steerFor: OrderView<'steerFor'> = {
  title: 'Steer',
  add: () => 'steer for a mark',
  Fields,
  text: ({ first, mark }) => `${first === 'stern' ? 'stern' : 'steer'} for ${mark}`,
  given: ({ mark }) => `steering for ${mark.name}`,
};
