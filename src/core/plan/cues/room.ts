import { roomAhead } from '../../simulation';
import { cue } from './definition';

/** What lies in the boat's way, ahead or astern, is no further off than so much; other boats are counted where they are. */
export const room = cue('room', {
  parameters: {
    end: { kind: 'choice', of: ['bow', 'stern'] },
    distance: {
      kind: 'distance',
      least: 0,
      most: 500,
      tune: (distance) => ({
        step: Math.max(0.5, 0.2 * distance),
        least: 0.5,
        most: 500,
        decimals: 1,
      }),
    },
  },
  arm: ({ end, distance }) => ({
    level: (s, w) => distance - roomAhead(s, w, end === 'bow' ? 1 : -1, distance + 1),
  }),
});
