import type { PassHow } from '@/core/plan';
import { metres, the } from '../../words/lines';
import { named, worded } from '../options';
import type { FieldsProps, OrderView } from '../part-view';
import { RowChoice, RowMark, RowNumber } from '../RowFields';
import { useNames } from '../use-names';
import { lineOf, LineOrder } from './line-order';

const HOW: Readonly<Record<PassHow, string>> = {
  drop: 'dropped over',
  throw: 'thrown to',
  carry: 'carried to',
};
const GIVEN: Readonly<Record<PassHow, string>> = {
  drop: 'dropped over',
  throw: 'thrown',
  carry: 'carried',
};

function Fields({ at, values }: FieldsProps) {
  const { ends } = useNames();
  return (
    <LineOrder at={at} values={values} lines="ropes">
      <RowChoice name={`${at}.how`} label="How" options={worded(HOW)} />
      <RowMark name={`${at}.to`} label="Bollard or pile" options={named(ends)} />
      <RowNumber
        name={`${at}.length`}
        label="Made fast at, 0 to hold it in the hand"
        unit="m"
        width={46}
      />
    </LineOrder>
  );
}

export const pass: OrderView<'pass'> = {
  title: 'Pass',
  add: ({ ropes }) => (ropes.length > 0 ? 'pass a line' : null),
  Fields,
  text({ line, to, how, length_m }) {
    const at = length_m === undefined ? '' : `, fast at ${metres(length_m)}`;
    return `${how} ${the(line)} ${how === 'drop' ? 'over' : 'to'} ${to}${at}`;
  },
  given: ({ line, how }, about) => `${lineOf(line, about)} ${GIVEN[how]}`,
};
