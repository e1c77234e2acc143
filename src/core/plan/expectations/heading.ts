import { wrapHalfTurn } from '../../math';
import { PSI } from '../../simulation';
import { expectation } from './definition';

export const heading = expectation('heading', {
  parameters: {
    heading: { kind: 'heading' },
    within: { kind: 'angle', lateral: false, least: 0.5, most: 180 },
  },
  look({ heading: wanted, within }, state) {
    const off = Math.abs(wrapHalfTurn(state.motion[PSI]! - wanted));
    return { met: off <= within, found: state.motion[PSI]! };
  },
});
