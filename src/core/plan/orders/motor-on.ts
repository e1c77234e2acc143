import { SHIFTS_LATE_S } from '../../policy';
import { motorOnLine } from '../../simulation';
import { markNow } from '../marks';
import { helmOrder } from './definition';
import { LIE_PARAMETERS } from './lie-parameters';

/** A hand motors the boat gently ahead on a spring until a point of it lies by a mark, on a heading. */
export const motorOn = helmOrder('motorOn', {
  parameters: {
    line: { kind: 'rope' },
    ...LIE_PARAMETERS,
  },
  needs: 'engine',
  watches: true,
  channel: () => ({ of: 'engine', engine: null }),
  unlike: (a, b) => (a.line === b.line ? 0 : Infinity),
  apply({ eye = 1, angle = 0, fast = 0, late = SHIFTS_LATE_S, mark, ...to }, state) {
    const { x, y } = markNow(state, mark);
    motorOnLine(state, { ...to, mark: { x, y }, eye, angle, fast, late });
  },
});
