import { DRIVE } from '../boat';
import { FLOW } from './flow';

/**
 * Prop walk: side force at the propeller, N to starboard, in proportion to driven thrust and slip.
 *
 *   Y = hand · c · T_driven · slip
 *
 * A right-handed propeller (hand +1) going astern pulls the stern to port (T < 0, so Y < 0) and,
 * more weakly, ahead to starboard. Slip falls as the boat gathers way, and the walk with it. c astern is
 * 0.05–0.2 on an inclined shaft, 0.02–0.08 on a level one; ahead 0–0.05 (weakly known; recalled,
 * not looked up). The wash that climbs the hull side going astern is part of c.
 */
export function propWalk(flows: Float64Array, flow: number, d: Float64Array, at: number): number {
  const driven = flows[flow + FLOW.DRIVEN]!;
  const share = driven < 0 ? d[at + DRIVE.WALK_ASTERN]! : d[at + DRIVE.WALK_AHEAD]!;
  return d[at + DRIVE.HAND]! * share * driven * flows[flow + FLOW.SLIP]!;
}
