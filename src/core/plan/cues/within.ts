import { distanceToMark } from '../measures';
import { cue } from './definition';

/** A point of a boat is so near a mark. */
export const within = cue('within', {
  parameters: {
    point: { kind: 'anyPoint' },
    mark: { kind: 'mark' },
    distance: {
      kind: 'distance',
      least: 0,
      most: 2000,
      tune: (distance) => ({
        step: Math.max(0.5, 0.2 * distance),
        least: 0.3,
        most: 2000,
        decimals: 1,
      }),
    },
  },
  arm: ({ point, mark, distance }) => ({
    level: (s) => distance - distanceToMark(s, point, mark),
  }),
  figure: { of: 'distance', now: ({ point, mark }, state) => distanceToMark(state, point, mark) },
});
