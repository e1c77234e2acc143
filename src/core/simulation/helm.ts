import { RUDDER_REVERSED_MPS } from '../policy';
import type { Craft } from '../boat';
import { atan2, wrapHalfTurn } from '../math';
import { orderRudder } from './actuators';
import { PSI, R, U, X, Y, type SimState } from './state';

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
 * A helm that has been told to steer, looking up every HELM_PERIOD_S: wheel in proportion to what the boat is off, less
 * what it is already turning, hard over from 20° off; reversed when going astern. Gains are judgement; it steers as
 * an even hand would, and no better than the boat answers.
 */
export function lookHelm(state: SimState, craft: Craft): void {
  const { helm, motion } = state;
  let wanted = helm.heading;
  if (helm.forPoint) {
    const way = helm.sternFirst ? -1 : 1;
    wanted = atan2(way * (helm.x - motion[X]!), way * (helm.y - motion[Y]!));
  }
  const meets = MEETS_S * Math.sqrt(craft.spec.hull.length / 10);
  const off = wrapHalfTurn(wanted - motion[PSI]!) - meets * motion[R]!;
  const share = Math.max(-1, Math.min(1, off / HARD_OVER));
  orderRudder(state, craft, answers(state, craft) * share * craft.limits[0]!);
}

/** Tells the helm to keep a heading, rad. */
export function steerHeading(state: SimState, heading: number): void {
  Object.assign(state.helm, { active: true, forPoint: false, heading, looksIn: 0 });
}

/** Tells the helm to steer for a point of the place, m, with the boat's bow or with its stern. */
export function steerFor(state: SimState, x: number, y: number, sternFirst = false): void {
  Object.assign(state.helm, { active: true, forPoint: true, sternFirst, x, y, looksIn: 0 });
}
