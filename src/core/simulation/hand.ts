import { cos, sin } from '../math';
import { orderEngine } from './actuators';
import { PSI, U, type Gear, type SimState } from './state';
import type { World } from './world';

/** Speed over the ground along the boat's heading, as it is seen on the shore going by, m/s. */
export function seenAlong({ motion }: SimState, { environment }: World): number {
  const { currentEast, currentNorth } = environment;
  return motion[U]! + currentEast * sin(motion[PSI]!) + currentNorth * cos(motion[PSI]!);
}

/** Every engine into gear the way the hand keeps (1), out (0), or the other way (−1). */
export function orderAll(
  state: SimState,
  { craft }: World,
  gear: 1 | 0 | -1,
  throttle: number,
): void {
  const lever = gear === 0 ? 0 : ((state.hand.way * gear) as Gear);
  state.engines.forEach((engine, i) =>
    orderEngine(engine, craft.spec.drives[i]!, lever, gear === 0 ? 0 : throttle),
  );
}
