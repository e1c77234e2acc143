import { wrapHalfTurn } from '../math';
import { groundSpeed, lineNow, PSI, R, waterSpeed, type SimState, type World } from '../simulation';
import { distanceToMark, lineLevel } from './gates';
import type { Expectation } from './types';

/** Rate of turn that counts as turning, rad/s (0.5°/s). */
const TURNING_RATE = 0.00873;

/** What was found when an expectation was looked at, in its own unit (rad, m/s, rad/s, m). */
export interface Finding {
  readonly met: boolean;
  readonly found: number;
}

/** @param clearance least clearance so far in this step from anything but the berth, m */
export function lookAt(
  expectation: Expectation,
  state: SimState,
  world: World,
  clearance: number,
): Finding {
  switch (expectation.is) {
    case 'heading': {
      const off = Math.abs(wrapHalfTurn(state.motion[PSI]! - expectation.heading));
      return { met: off <= expectation.within, found: state.motion[PSI]! };
    }
    case 'speed': {
      const found = expectation.over === 'water' ? waterSpeed(state) : groundSpeed(state, world);
      return { met: found >= expectation.least && found <= expectation.most, found };
    }
    case 'turning': {
      const found = state.motion[R]!;
      return { met: (expectation.to === 'port' ? -found : found) >= TURNING_RATE, found };
    }
    case 'clear':
      return { met: clearance >= expectation.least, found: clearance };
    case 'line': {
      const found = lineNow(state, world, expectation.line).tension;
      return { met: lineLevel(state, world, expectation.line, expectation.state) >= 0, found };
    }
    case 'near': {
      const found = distanceToMark(state, expectation.point, expectation.mark);
      return { met: found <= expectation.within, found };
    }
  }
}
