import { wrapHalfTurn } from '../math';
import { standsAlong, type End } from '../locks';
import { MADE, LINE } from '../holding';
import { groundSpeed, lineColumn, PSI, X, Y, type SimState, type World } from '../simulation';
import { distanceToMark } from './measures';
import type { Rigging } from './rigging';
import type { MarkOnPlace, PointOnBoat } from './references';

/** What counts as having done it, looked at when the manoeuvre ends. SI, radians. */
export type Goal =
  /** Off and clear of everything by a distance, on no line. */
  | { readonly is: 'clear'; readonly distance: number }
  /** Through a lock that is worked, by its number: all of the boat past the gates of an end. */
  | { readonly is: 'through'; readonly lock: number; readonly by: End }
  /** Lying somewhere: a point of the boat near a mark, on a heading, nearly stopped. */
  | {
      readonly is: 'lie';
      readonly point: PointOnBoat;
      readonly mark: MarkOnPlace;
      readonly within: number;
      readonly heading: number;
      readonly headingWithin: number;
      readonly speedBelow: number;
    };

/** One thing the goal asks, with what was found. Units by kind: m, rad, m/s; lines are counted. */
export interface GoalCheck {
  readonly what: 'clearance' | 'lines' | 'past' | 'distance' | 'heading' | 'speed';
  readonly found: number;
  readonly limit: number;
  readonly met: boolean;
}

/** How far the last of the boat is past the gates of an end, m; negative while some of it is not. */
function pastGates(lock: number, by: End, { motion }: SimState, world: World): number {
  const sited = world.gates!.locks[lock]!;
  const pose = { x: motion[X]!, y: motion[Y]!, heading: motion[PSI]! };
  const { length, fromUpper } = standsAlong(sited, pose, world.craft.spec.hull);
  // Askew the boat takes up less of the way than its length: it is counted whole.
  return by === 'upper' ? -(fromUpper + length) : fromUpper - sited.lock.length;
}

/** How many of the boat's own lines are on; an anchor that is down is not one. */
function linesOn(state: SimState, world: World, { lines }: Rigging): number {
  return lines.filter((line, i) => {
    if (line.boat || line.anchor) return false;
    const made = lineColumn(state, world, i, LINE.MADE);
    return made === MADE.HELD || made === MADE.TURNED || made === MADE.FAST;
  }).length;
}

/** @param clearance least clearance from everything, berth included, at the end, m */
export function checkGoal(
  goal: Goal,
  state: SimState,
  world: World,
  clearance: number,
  rigging: Rigging,
): readonly GoalCheck[] {
  if (goal.is === 'clear') {
    const met = clearance >= goal.distance;
    const off: GoalCheck = { what: 'clearance', found: clearance, limit: goal.distance, met };
    if (rigging.lines.length === 0) return [off];
    const found = linesOn(state, world, rigging);
    return [off, { what: 'lines', found, limit: 0, met: found === 0 }];
  }
  if (goal.is === 'through') {
    const found = pastGates(goal.lock, goal.by, state, world);
    return [{ what: 'past', found, limit: 0, met: found >= 0 }];
  }
  const distance = distanceToMark(state, goal.point, goal.mark);
  const heading = Math.abs(wrapHalfTurn(state.motion[PSI]! - goal.heading));
  const speed = groundSpeed(state, world);
  const check = (what: GoalCheck['what'], found: number, limit: number): GoalCheck => ({
    what,
    found,
    limit,
    met: found <= limit,
  });
  return [
    check('distance', distance, goal.within),
    check('heading', heading, goal.headingWithin),
    check('speed', speed, goal.speedBelow),
  ];
}
