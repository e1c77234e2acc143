import { TEND_HOW } from '../references';
import { crewOrder } from './definition';

/** A line hauled, held, kept snug, made fast or eased. */
export const tend = crewOrder('tend', {
  parameters: {
    line: { kind: 'line' },
    how: { kind: 'choice', of: TEND_HOW },
    by: { kind: 'hand', optional: 'null' },
    /** To haul it in to, or to ease it by; as far as it goes if not given. */
    length: { kind: 'length', least: 0.3, most: 300, optional: 'null' },
    turns: { kind: 'turns', least: 0.25, most: 6, fallback: 1.5 },
    /** Hauled on the winch it is led to. */
    winch: { kind: 'flag', fallback: false },
  },
  atHand: 'line',
  channel: ({ line }) => ({ of: 'line', line }),
  unlike: (a, b) => (a.how === b.how ? 0 : Infinity),
  job: (crew, hand, order) => crew.jobs.tend(hand, order),
});
