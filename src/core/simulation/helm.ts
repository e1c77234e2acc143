import { ON_LINE, RUDDER_REVERSED_MPS, THRUST_FROM, THRUST_UNTIL } from '../policy';
import type { Craft } from '../boat';
import { atan2, cos, sin, wrapHalfTurn } from '../math';
import { orderRudder, orderThruster } from './actuators';
import { PSI, R, U, V, X, Y, type SimState } from './state';
import type { World } from './world';

/** How often a helm that steers looks up, s. */
export const HELM_PERIOD_S = 0.5;
/** Off by this much the wheel goes hard over, rad. */
const HARD_OVER = 20 * (Math.PI / 180);
/** A boat of ten metres is met this many seconds before it would be there; others by the root of their length. */
const MEETS_S = 1.5;

/** Which way a wheel to starboard turns the boat's bow now: 1 to starboard, −1 to port, as the helm feels it. */
function answers(state: SimState, craft: Craft): 1 | -1 {
  const { drives } = craft.spec;
  const steered = drives.some(({ steering }) => steering !== 'fixed');
  const gear = state.engines.reduce((sum, engine) => sum + engine.engaged, 0);
  if (gear > 0) return 1;
  // A leg pulls the boat's stern its own way at once, a rudder only once it moves astern.
  if (steered && gear < 0) return -1;
  return state.motion[U]! < -RUDDER_REVERSED_MPS ? -1 : 1;
}

/**
 * Heading that brings the boat back to the line it is to keep, and keeps it there: the line's own, less what the boat has been set aside of late,
 * less an angle in proportion to how far off it is. Going astern the angle is to the other side.
 */
function headingOnLine({ helm, motion }: SimState, { craft, environment }: World): number {
  const s = sin(motion[PSI]!);
  const c = cos(motion[PSI]!);
  const { currentEast, currentNorth } = environment;
  const ahead = motion[U]! + currentEast * s + currentNorth * c;
  const aside = motion[V]! + currentEast * c - currentNorth * s;
  const { sternFirst } = helm;
  const goes = sternFirst ? -1 : 1;
  // While the boat turns, or hardly moves, how it is set does not show.
  if (Math.abs(motion[R]!) < ON_LINE.turning && goes * ahead > ON_LINE.slow) {
    const drift = Math.max(-ON_LINE.most, Math.min(ON_LINE.most, atan2(aside, goes * ahead)));
    helm.drift += (HELM_PERIOD_S / ON_LINE.mean) * (drift - helm.drift);
  }
  const right =
    (motion[X]! - helm.x) * cos(helm.heading) - (motion[Y]! - helm.y) * sin(helm.heading);
  // Where it will be before the boat has answered, not where it is.
  const across =
    ahead * sin(motion[PSI]! - helm.heading) + aside * cos(motion[PSI]! - helm.heading);
  const { length } = craft.spec.hull;
  const soon = right + ON_LINE.lead * Math.sqrt(length / 10) * across;
  const back = (ON_LINE.gain * soon) / length;
  const angle = Math.max(-ON_LINE.most, Math.min(ON_LINE.most, -back - helm.drift));
  return helm.heading + goes * angle;
}

/** Thrusters on while the boat has far to turn, and off again: each turns it by the end it is at. */
function thrustRound({ thrusters }: SimState, { spec }: Craft, off: number): void {
  const far = Math.abs(off);
  thrusters.forEach((thruster, i) => {
    const one = spec.thrusters[i]!;
    const way = off * one.x > 0 ? 1 : -1;
    if (far > THRUST_FROM) orderThruster(thruster, one, way);
    else if (far < THRUST_UNTIL || thruster.ordered * way < 0) orderThruster(thruster, one, 0);
  });
}

/**
 * A helm that has been told to steer, looking up every HELM_PERIOD_S: wheel in proportion to what the boat is off, less
 * what it is already turning, hard over from 20° off; reversed when going astern. Gains are judgement; it steers as
 * an even hand would, and no better than the boat answers.
 */
export function lookHelm(state: SimState, world: World): void {
  const { helm, motion } = state;
  const { craft } = world;
  let wanted = helm.heading;
  if (helm.onLine) wanted = headingOnLine(state, world);
  else if (helm.forPoint) {
    const way = helm.sternFirst ? -1 : 1;
    wanted = atan2(way * (helm.x - motion[X]!), way * (helm.y - motion[Y]!));
  }
  const meets = MEETS_S * Math.sqrt(craft.spec.hull.length / 10);
  const off = wrapHalfTurn(wanted - motion[PSI]!) - meets * motion[R]!;
  helm.off = off;
  if (helm.thrusters) thrustRound(state, craft, off);
  const asked = off / (helm.onLine ? ON_LINE.hardOver : HARD_OVER);
  // What wheel the wind asks for all the time is found out by and by, and left on.
  if (helm.onLine && Math.abs(asked + helm.trim) < 1)
    helm.trim +=
      ((HELM_PERIOD_S / ON_LINE.trimmed) * wrapHalfTurn(wanted - motion[PSI]!)) / ON_LINE.hardOver;
  const share = Math.max(-1, Math.min(1, asked + (helm.onLine ? helm.trim : 0)));
  orderRudder(state, craft, answers(state, craft) * share * craft.limits[0]!);
}

/** Whoever works the boat has the wheel too: told to steer, they do that. */
function takesOver({ hand }: SimState): void {
  if (hand.task === 'work') hand.active = false;
}

/** Tells the helm to keep a heading, rad. */
export function steerHeading(state: SimState, heading: number): void {
  takesOver(state);
  Object.assign(state.helm, {
    active: true,
    forPoint: false,
    onLine: false,
    thrusters: false,
    heading,
    looksIn: 0,
  });
}

/** Tells the helm to steer for a point of the place, m, with the boat's bow or with its stern. */
export function steerFor(state: SimState, x: number, y: number, sternFirst = false): void {
  takesOver(state);
  const task = { active: true, forPoint: true, onLine: false, thrusters: false } as const;
  Object.assign(state.helm, { ...task, sternFirst, x, y, looksIn: 0 });
}

/**
 * Tells the helm to keep midships on a line: through a place of the water, m, on the heading the boat has on it, rad.
 *
 * @param sternFirst it goes along it astern
 * @param thrusters it may use them
 */
export function keepLine(
  state: SimState,
  x: number,
  y: number,
  heading: number,
  sternFirst = false,
  thrusters = false,
): void {
  takesOver(state);
  const { helm } = state;
  // Who goes on in the same way knows how the boat is set.
  const same = helm.active && helm.onLine && helm.sternFirst === sternFirst;
  const drift = same ? helm.drift : 0;
  const trim = same ? helm.trim : 0;
  const task = { active: true, forPoint: false, onLine: true } as const;
  Object.assign(helm, { ...task, sternFirst, thrusters, x, y, heading, drift, trim, looksIn: 0 });
}
