import type { Shaft } from '../craft';
import type { PropellerFlow } from './propeller';

/**
 * Prop walk: side force at the propeller, in proportion to driven thrust and slip.
 *
 *   Y = hand · c · T_driven · slip
 *
 * A right-handed propeller (hand +1) going astern pulls the stern to port (T < 0, so Y < 0) and,
 * more weakly, ahead to starboard. Slip falls as she gathers way, and the walk with it. c astern is
 * 0.05–0.2 on an inclined shaft, 0.02–0.08 on a level one; ahead 0–0.05 (weakly known; recalled,
 * not looked up). The wash that climbs the hull side going astern is part of c.
 */
export function addPropWalk(force: Float64Array, shaft: Shaft, flow: PropellerFlow): void {
  const share = flow.driven < 0 ? shaft.walkAstern : shaft.walkAhead;
  const side = shaft.hand * share * flow.driven * flow.slip;
  force[1]! += side;
  force[2]! += shaft.x * side;
}
