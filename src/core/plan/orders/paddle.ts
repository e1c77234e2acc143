import { workAtLock } from '../lock-jobs';
import { crewOrder } from './definition';

/** A paddle of a lock wound to an opening. */
export const paddle = crewOrder('paddle', {
  parameters: {
    lock: { kind: 'lock' },
    paddle: { kind: 'paddle' },
    /** Share it is to be open: 0 down, 1 all the way up. */
    to: { kind: 'share', least: 0, most: 1 },
    by: { kind: 'keeper', optional: 'null' },
  },
  atHand: 'keeper',
  channel: ({ lock, paddle: which }) => ({ of: 'lock', lock, what: `paddle ${which}` }),
  unlike: (a, b) => Math.abs(a.to - b.to),
  job: (crew, hand, { lock, paddle: which, to }) =>
    workAtLock(crew, hand, { lock, order: { do: 'wind', paddle: which, to } }),
});
