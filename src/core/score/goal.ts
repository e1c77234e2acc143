import { wrapHalfTurn } from '../math';
import { groundSpeed, PSI, type SimState, type World } from '../sim';
import { distanceToMark } from './gates';
import type { MarkOnPlace, PointOnBoat } from './types';

/** What counts as having done it, looked at when the manoeuvre ends. SI, radians. */
export type Goal =
  /** Off and clear of everything by a distance. */
  | { readonly is: 'clear'; readonly distance: number }
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

/** One thing the goal asks, with what was found. Units by kind: m, rad, m/s. */
export interface GoalCheck {
  readonly what: 'clearance' | 'distance' | 'heading' | 'speed';
  readonly found: number;
  readonly limit: number;
  readonly met: boolean;
}

/** @param clearance least clearance from everything, berth included, at the end, m */
export function checkGoal(
  goal: Goal,
  state: SimState,
  world: World,
  clearance: number,
): readonly GoalCheck[] {
  if (goal.is === 'clear') {
    const met = clearance >= goal.distance;
    return [{ what: 'clearance', found: clearance, limit: goal.distance, met }];
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
