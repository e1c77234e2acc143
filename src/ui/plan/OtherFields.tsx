import type { ChoiceOption } from '../parts/Choice';
import type { OrderRow } from './order-rows';
import { RowChoice, RowMark, RowNumber } from './RowFields';
import { useNames } from './use-names';

const KEEPS: readonly ChoiceOption<OrderRow['keeps']>[] = [
  { value: 'a heading', text: 'keeping' },
  { value: 'a mark', text: 'steering for' },
  { value: 'no heading', text: 'as she goes' },
];

/** Fields of an order by which another boat gets under way. */
export function OtherFields({
  at,
  row,
  gears,
}: {
  at: `orders.${number}` | `wayOrders.${number}`;
  row: OrderRow;
  gears: readonly ChoiceOption<OrderRow['gear']>[];
}) {
  const { marks, others } = useNames();
  return (
    <>
      <RowChoice
        name={`${at}.boat`}
        label="Which boat"
        options={others.map((value) => ({ value, text: value }))}
      />
      <RowChoice name={`${at}.gear`} label="Her gear" options={gears} />
      {row.gear !== 'neutral' && (
        <RowNumber name={`${at}.throttle`} label="Her throttle above idle" unit="%" width={46} />
      )}
      <RowChoice name={`${at}.keeps`} label="Her heading" options={KEEPS} />
      {row.keeps === 'a heading' && (
        <RowNumber name={`${at}.heading`} label="Heading she keeps" unit="°" width={46} />
      )}
      {row.keeps === 'a mark' && (
        <RowMark
          name={`${at}.mark`}
          label="Mark she steers for"
          options={marks.map((value) => ({ value, text: value }))}
        />
      )}
    </>
  );
}
