import { workAtLock } from '../lock-jobs';
import { crewOrder } from './definition';

/** Gates of an end of a lock swung: both, or one of a pair. */
export const gates = crewOrder('gates', {
  parameters: {
    lock: { kind: 'lock' },
    end: { kind: 'choice', of: ['upper', 'lower'] },
    leaf: { kind: 'choice', of: ['both', 'left', 'right'], fallback: 'both', sides: true },
    to: { kind: 'choice', of: ['open', 'shut'] },
    by: { kind: 'keeper', optional: 'null' },
  },
  atHand: 'keeper',
  channel: ({ lock, end, leaf }) => ({ of: 'lock', lock, what: `${end} ${leaf}` }),
  unlike: (a, b) => (a.to === b.to ? 0 : Infinity),
  job: (crew, hand, { lock, end, leaf, to }) =>
    workAtLock(crew, hand, {
      lock,
      order: { do: 'gates', end, to, ...(leaf === 'both' ? {} : { leaf }) },
    }),
});
