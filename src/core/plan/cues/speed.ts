import { groundSpeed, waterSpeed } from '../../simulation';
import { SPEEDS_OVER } from '../references';
import { cue } from './definition';

/** Speed at midships is below or above a figure. */
export const speed = cue('speed', {
  parameters: {
    over: { kind: 'choice', of: SPEEDS_OVER },
    compare: { kind: 'choice', of: ['below', 'above'] },
    speed: {
      kind: 'speed',
      least: 0,
      most: 20,
      tune: () => ({ step: 0.2, least: 0.05, most: 6, decimals: 3 }),
    },
  },
  arm({ over, compare, speed: limit }) {
    const sign = compare === 'above' ? 1 : -1;
    const read = over === 'water' ? waterSpeed : groundSpeed;
    return { level: (s, w) => sign * (read(s, w) - limit) };
  },
  figure: {
    of: 'speed',
    now: ({ over }, state, world) =>
      over === 'water' ? waterSpeed(state) : groundSpeed(state, world),
  },
});
