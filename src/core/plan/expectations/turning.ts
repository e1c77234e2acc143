import { R } from '../../simulation';
import { expectation } from './definition';

/** Rate of turn that counts as turning, rad/s (0.5°/s). */
const TURNING_RATE = 0.00873;

export const turning = expectation('turning', {
  parameters: { to: { kind: 'choice', of: ['port', 'starboard'], sides: true } },
  look({ to }, state) {
    const found = state.motion[R]!;
    return { met: (to === 'port' ? -found : found) >= TURNING_RATE, found };
  },
});
