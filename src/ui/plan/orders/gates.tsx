import { worded } from '../options';
import type { FieldsProps, OrderView } from '../part-view';
import { RowChoice } from '../RowFields';
import { LockOrder } from './lock-order';

const ENDS = worded({ upper: 'upper gates', lower: 'lower gates' });
const LEAVES = worded({
  both: 'both leaves',
  left: 'left leaf only',
  right: 'right leaf only',
});
const WAYS = worded({ open: 'opened', shut: 'shut' });

function Fields({ at }: FieldsProps) {
  return (
    <LockOrder at={at}>
      <RowChoice name={`${at}.end`} label="Which gates" options={ENDS} />
      <RowChoice name={`${at}.leaf`} label="Which leaf, looking up-stream" options={LEAVES} />
      <RowChoice name={`${at}.to`} label="Are" options={WAYS} />
    </LockOrder>
  );
}

const which = (leaf: string, end: string) => (leaf === 'both' ? '' : `${leaf} leaf of the `) + end;

export const gates: OrderView<'gates'> = {
  title: 'Gates',
  add: ({ locks }) => (locks.length > 0 ? 'gates' : null),
  fresh: { end: 'lower' },
  Fields,
  text: ({ end, leaf, to }) => `${to} the ${which(leaf, end)} gates`,
  given: ({ end, leaf, to }) => `${which(leaf, end)} gates ${to}`,
};
