import { PASS_HOW } from '../references';
import { crewOrder } from './definition';

/** A line passed to what it is made on to, and made fast at a length as soon as it is on; held in the hand without one. */
export const pass = crewOrder('pass', {
  parameters: {
    line: { kind: 'rope' },
    to: { kind: 'lineEnd' },
    how: { kind: 'choice', of: PASS_HOW },
    by: { kind: 'hand', optional: 'null' },
    length: { kind: 'length', least: 0.3, most: 300, optional: 'null' },
  },
  atHand: 'line',
  channel: ({ line }) => ({ of: 'line', line }),
  unlike: (a, b) => (a.how === b.how ? 0 : Infinity),
  job: (crew, hand, order) => crew.jobs.pass(hand, order),
});
