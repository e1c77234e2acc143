import { LOCK_CUES } from '@/core/plan';
import type { ChoiceOption } from '../parts/Choice';
import { LOCK_CUE_WORDS } from '../words/locks';
import { ANYBODY, type OrderRow } from './order-rows';
import { RowChoice, RowNumber } from './RowFields';
import { useNames } from './use-names';

const plain = (values: readonly string[]): ChoiceOption<string>[] =>
  values.map((value) => ({ value, text: value }));
const STATES: readonly ChoiceOption<string>[] = LOCK_CUES.map((value) => ({
  value,
  text: LOCK_CUE_WORDS[value],
}));
const ENDS: readonly ChoiceOption<string>[] = [
  { value: 'upper', text: 'upper gates' },
  { value: 'lower', text: 'lower gates' },
];
const LEAVES: readonly ChoiceOption<string>[] = [
  { value: 'both', text: 'both leaves' },
  { value: 'left', text: 'left leaf only' },
  { value: 'right', text: 'right leaf only' },
];
const WAYS: readonly ChoiceOption<string>[] = [
  { value: 'open', text: 'opened' },
  { value: 'shut', text: 'shut' },
];

/** A lock and what it is to be, as a cue asks for it. */
export function LockCueFields({ at }: { at: `cues.${number}` }) {
  const { locks } = useNames();
  if (locks.length === 0)
    return <span className="text-hurt">no lock is worked here: work one under The lock</span>;
  return (
    <>
      <RowChoice name={`${at}.lock`} label="Lock" options={plain(locks.map(({ name }) => name))} />
      <RowChoice name={`${at}.lockState`} label="Is" options={STATES} />
    </>
  );
}

/** Fields of an order at a lock: which paddle and how far, or which gates; left and right looking up-stream. */
export function LockOrderFields({
  at,
  row,
}: {
  at: `orders.${number}` | `wayOrders.${number}`;
  row: OrderRow;
}) {
  const { locks, crew } = useNames();
  if (row.do === 'signal') return <span className="font-semibold">Sign to wind</span>;
  if (row.do !== 'paddle' && row.do !== 'gates') return null;
  const paddles = locks.find(({ name }) => name === row.lock)?.paddles ?? [];
  return (
    <>
      <span className="font-semibold">{row.do === 'paddle' ? 'Paddle' : 'Gates'}</span>
      {locks.length > 1 && (
        <RowChoice
          name={`${at}.lock`}
          label="Lock"
          options={plain(locks.map(({ name }) => name))}
        />
      )}
      {row.do === 'paddle' ? (
        <>
          <RowChoice name={`${at}.paddle`} label="Which paddle" options={plain(paddles)} />
          <RowNumber name={`${at}.up`} label="Wound up to, 0 for down" unit="% up" width={46} />
        </>
      ) : (
        <>
          <RowChoice name={`${at}.gateEnd`} label="Which gates" options={ENDS} />
          <RowChoice name={`${at}.leaf`} label="Which leaf, looking up-stream" options={LEAVES} />
          <RowChoice name={`${at}.gatesTo`} label="Are" options={WAYS} />
        </>
      )}
      <span className="text-quiet">by</span>
      <RowChoice
        name={`${at}.by`}
        label="By"
        options={[{ value: ANYBODY, text: 'the keeper' }, ...plain(crew)]}
      />
    </>
  );
}
