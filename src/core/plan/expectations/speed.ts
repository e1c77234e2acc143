import { groundSpeed, waterSpeed } from '../../simulation';
import { SPEEDS_OVER } from '../references';
import { expectation } from './definition';

export const speed = expectation('speed', {
  parameters: {
    over: { kind: 'choice', of: SPEEDS_OVER },
    least: { kind: 'speed', least: 0, most: 20 },
    most: { kind: 'speed', least: 0, most: 20 },
  },
  atLeast: { of: ['most', 'least'], says: 'must not be below the least speed' },
  look({ over, least, most }, state, world) {
    const found = over === 'water' ? waterSpeed(state) : groundSpeed(state, world);
    return { met: found >= least && found <= most, found };
  },
});
