import { distanceToMark } from '../measures';
import { expectation } from './definition';

export const near = expectation('near', {
  parameters: {
    point: { kind: 'anyPoint' },
    mark: { kind: 'mark' },
    within: { kind: 'distance', least: 0.05, most: 2000 },
  },
  look({ point, mark, within }, state) {
    const found = distanceToMark(state, point, mark);
    return { met: found <= within, found };
  },
});
