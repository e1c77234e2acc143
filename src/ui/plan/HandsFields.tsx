import { PASS_HOW, TEND_HOW, type PassHow, type TendHow } from '@/core/plan';
import type { ChoiceOption } from '../parts/Choice';
import { ANYBODY, type OrderRow } from './order-rows';
import { RowChoice, RowMark, RowNumber } from './RowFields';
import { useNames } from './use-names';

const PASS_TEXT: Readonly<Record<PassHow, string>> = {
  drop: 'dropped over',
  throw: 'thrown to',
  carry: 'carried to',
};
const TEND_TEXT: Readonly<Record<TendHow, string>> = {
  haul: 'hauled in',
  hold: 'held in the hand',
  turn: 'held on turns',
  keep: 'kept snug on turns',
  fast: 'made fast',
  ease: 'eased',
};
const listed = <T extends string>(values: readonly T[], text: Readonly<Record<T, string>>) =>
  values.map((value): ChoiceOption<string> => ({ value, text: text[value] }));
const plain = (values: readonly string[]): ChoiceOption<string>[] =>
  values.map((value) => ({ value, text: value }));

const HAND_OR_WINCH: readonly ChoiceOption<string>[] = [
  { value: 'hand', text: 'by hand' },
  { value: 'winch', text: 'on the winch' },
];
const DROP_OR_WEIGH: readonly ChoiceOption<string>[] = [
  { value: 'drop', text: 'dropped' },
  { value: 'weigh', text: 'weighed' },
];

const TITLE = {
  pass: 'Pass',
  tend: 'Tend',
  letGo: 'Let go',
  anchor: 'Anchor',
  stepAshore: 'Step ashore',
  stepAboard: 'Step aboard',
  go: 'Go to',
} as const;

/** Fields of an order to hands: which line, what with it, by whom. */
export function HandsFields({
  at,
  row,
}: {
  at: `orders.${number}` | `wayOrders.${number}`;
  row: OrderRow;
}) {
  const { ropes, anchors, lines, theirs, ends, crew, points, marks } = useNames();
  if (!(row.do in TITLE)) return null;
  const kind = row.do as keyof typeof TITLE;
  const onLine = kind === 'pass' || kind === 'tend' || kind === 'letGo' || kind === 'anchor';
  const choices = kind === 'anchor' ? anchors : kind === 'tend' ? lines : ropes;
  const hands = onLine && theirs.includes(row.line) ? [] : crew;
  const anybody = onLine ? [{ value: ANYBODY, text: 'whoever is at hand' }] : [];
  return (
    <>
      <span className="font-semibold">{TITLE[kind]}</span>
      {onLine && <RowChoice name={`${at}.line`} label="Line" options={plain(choices)} />}
      {kind === 'pass' && (
        <>
          <RowChoice name={`${at}.how`} label="How" options={listed(PASS_HOW, PASS_TEXT)} />
          <RowMark name={`${at}.end`} label="Bollard or pile" options={plain(ends)} />
        </>
      )}
      {kind === 'tend' && (
        <RowChoice name={`${at}.tend`} label="What with it" options={listed(TEND_HOW, TEND_TEXT)} />
      )}
      {kind === 'tend' && row.tend === 'haul' && (
        <RowChoice name={`${at}.winch`} label="With" options={HAND_OR_WINCH} />
      )}
      {kind === 'tend' && (row.tend === 'turn' || row.tend === 'keep') && (
        <RowNumber name={`${at}.turns`} label="Turns" unit="turns" width={52} />
      )}
      {kind === 'anchor' && (
        <RowChoice name={`${at}.anchor`} label="What with it" options={DROP_OR_WEIGH} />
      )}
      {kind === 'anchor' && row.anchor === 'drop' && (
        <RowNumber
          name={`${at}.metres`}
          label="Chain to let run out, 0 for all of it"
          unit="m"
          width={46}
        />
      )}
      {(kind === 'pass' || (kind === 'tend' && (row.tend === 'haul' || row.tend === 'ease'))) && (
        <RowNumber
          name={`${at}.metres`}
          label={
            kind === 'pass'
              ? 'Made fast at, 0 to hold it in the hand'
              : row.tend === 'haul'
                ? 'To a length of, 0 until taut'
                : 'By, 0 for all of it'
          }
          unit="m"
          width={46}
        />
      )}
      {kind === 'stepAshore' && (
        <RowMark name={`${at}.mark`} label="Then walks to" options={plain(marks)} />
      )}
      {kind === 'stepAboard' && (
        <RowChoice name={`${at}.point`} label="At" options={plain(points)} />
      )}
      {kind === 'go' && <RowChoice name={`${at}.point`} label="Place" options={plain(points)} />}
      <span className="text-quiet">by</span>
      <RowChoice name={`${at}.by`} label="By" options={[...anybody, ...plain(hands)]} />
    </>
  );
}
