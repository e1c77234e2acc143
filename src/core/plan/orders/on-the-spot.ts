import { cos, sin } from '../../math';
import { nearbyFor, Worker, workBy, type NearAim, type Pose } from '../../look-ahead';
import { NEARBY, SHIFTS_LATE_S } from '../../policy';
import { PSI, pushTo, X, Y, type SimState, type World } from '../../simulation';
import type { ByEye } from './definition';

/** How a boat is worked on the spot. */
export const SPOT_MANNER = {
  /** Thrusters as well. */
  thrusters: { kind: 'flag', fallback: false },
  /** By the gears alone, the throttle never over idle. */
  idle: { kind: 'flag', fallback: false },
} as const;

interface SpotManner {
  readonly thrusters: boolean;
  readonly idle: boolean;
}

/** Where the boat is. */
export const poseOf = ({ motion }: SimState): Pose => ({
  x: motion[X]!,
  y: motion[Y]!,
  heading: motion[PSI]!,
});

/** What is near enough to lie somewhere on the spot: m and rad. */
export const nearEnough = ({ craft }: World) => ({
  within: Math.max(NEARBY.within.least, NEARBY.within.lengths * craft.spec.hull.length),
  headingWithin: NEARBY.headingWithin,
});

/** Has the boat worked on the spot: by its joystick, where it is to lie somewhere and has one; else by bursts. */
export function workOnSpot(
  state: SimState,
  world: World,
  aim: NearAim,
  { thrusters, idle }: SpotManner,
  { eye = 1, angle = 0, fast = 0, late = SHIFTS_LATE_S }: ByEye,
): void {
  if (aim.is === 'lie' && world.craft.spec.joystick) {
    pushTo(state, { ...aim, eye, angle, fast, late });
    return;
  }
  const manner = { thrusters, idle, most: NEARBY.most, late: SHIFTS_LATE_S };
  const outlook = nearbyFor(world.told!, world.shore, poseOf(state), aim, manner);
  workBy(state, new Worker(outlook, { eye, angle, speed: fast, late }));
}

/** Has the boat brought so far ahead and to starboard of where it is, m, on the heading it has, and kept there. */
export function shiftBy(
  state: SimState,
  world: World,
  by: { readonly ahead: number; readonly aside: number },
  manner: SpotManner,
  eye: ByEye,
): void {
  const { x, y, heading } = poseOf(state);
  const s = sin(heading);
  const c = cos(heading);
  const at = {
    x: x + by.ahead * s + by.aside * c,
    y: y + by.ahead * c - by.aside * s,
    heading,
  };
  workOnSpot(state, world, { is: 'lie', at, ...nearEnough(world) }, manner, eye);
}
