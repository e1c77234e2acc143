import { dropAnchor, weighAnchor } from '../anchor-jobs';
import { crewOrder } from './definition';

/** An anchor dropped, its chain running out to a length or to its end; or hove in and up. */
export const anchor = crewOrder('anchor', {
  parameters: {
    line: { kind: 'anchor' },
    how: { kind: 'choice', of: ['drop', 'weigh'] },
    by: { kind: 'hand', optional: 'null' },
    /** Chain to let run out before it is held. */
    length: { kind: 'length', least: 1, most: 300, optional: 'null' },
  },
  atHand: 'line',
  channel: ({ line }) => ({ of: 'line', line }),
  unlike: (a, b) => (a.how === b.how ? 0 : Infinity),
  job: (crew, hand, order) =>
    order.how === 'drop' ? dropAnchor(crew, hand, order) : weighAnchor(crew, hand, order),
});
