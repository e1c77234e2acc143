import { keepWayOn } from '../../simulation';
import { helmOrder } from './definition';

const speed = (least: number) =>
  ({
    kind: 'speed',
    least,
    most: 3,
    tune: () => ({ step: 0.1, least, most: 2, decimals: 2 }),
  }) as const;

/** A hand keeps the way on between two speeds, in and out of gear, until an engine is ordered. */
export const keepWay = helmOrder('keepWay', {
  parameters: {
    way: { kind: 'choice', of: ['ahead', 'astern'], fallback: 'ahead' },
    least: speed(0),
    most: speed(0.1),
  },
  needs: 'engine',
  byEye: true,
  channel: () => ({ of: 'engine', engine: null }),
  unlike: (a, b) =>
    a.way === b.way ? Math.abs(a.least - b.least) + Math.abs(a.most - b.most) : Infinity,
  apply: ({ way, least, most }, state) =>
    keepWayOn(state, way === 'ahead' ? 1 : -1, least, Math.max(least, most)),
});
