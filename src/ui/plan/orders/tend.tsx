import type { TendHow } from '@/core/plan';
import { metres, the } from '../../words/lines';
import { tidy } from '../../words/units';
import { worded } from '../options';
import type { FieldsProps, OrderView } from '../part-view';
import { RowChoice, RowNumber } from '../RowFields';
import { lineOf, LineOrder } from './line-order';

const HOW: Readonly<Record<TendHow, string>> = {
  haul: 'hauled in',
  hold: 'held in the hand',
  turn: 'held on turns',
  keep: 'kept snug on turns',
  fast: 'made fast',
  ease: 'eased',
};
const GIVEN: Readonly<Record<TendHow, string>> = {
  haul: 'hauled',
  hold: 'held in the hand',
  turn: 'held on turns',
  keep: 'kept snug',
  fast: 'made fast',
  ease: 'eased',
};
const HAND_OR_WINCH = worded({ no: 'by hand', yes: 'on the winch' });

function Fields({ at, values }: FieldsProps) {
  const { how } = values;
  return (
    <LineOrder at={at} values={values} lines="lines">
      <RowChoice name={`${at}.how`} label="What with it" options={worded(HOW)} />
      {how === 'haul' && <RowChoice name={`${at}.winch`} label="With" options={HAND_OR_WINCH} />}
      {(how === 'turn' || how === 'keep') && (
        <RowNumber name={`${at}.turns`} label="Turns" unit="turns" width={52} />
      )}
      {(how === 'haul' || how === 'ease') && (
        <RowNumber
          name={`${at}.length`}
          label={how === 'haul' ? 'To a length of, 0 until taut' : 'By, 0 for all of it'}
          unit="m"
          width={46}
        />
      )}
    </LineOrder>
  );
}

const onTurns = (turns: number) => `on ${tidy(turns, 2)} turn${turns === 1 ? '' : 's'}`;

export const tend: OrderView<'tend'> = {
  title: 'Tend',
  add: ({ ropes }) => (ropes.length > 0 ? 'tend a line' : null),
  fresh: { how: 'fast' },
  Fields,
  text({ line, how, length_m, turns, winch }) {
    switch (how) {
      case 'haul':
        return `${winch ? 'winch' : 'haul'} ${the(line)} in${length_m === undefined ? '' : ` to ${metres(length_m)}`}`;
      case 'ease':
        return `ease ${the(line)}${length_m === undefined ? '' : ` by ${metres(length_m)}`}`;
      case 'hold':
        return `hold ${the(line)} in the hand`;
      case 'turn':
        return `hold ${the(line)} ${onTurns(turns)}`;
      case 'keep':
        return `keep ${the(line)} snug ${onTurns(turns)}`;
      case 'fast':
        return `make ${the(line)} fast`;
    }
  },
  given: ({ line, how }, about) => `${lineOf(line, about)} ${GIVEN[how]}`,
};
