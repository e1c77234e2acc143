import { HULL } from '../boat';
import { WORK } from './foil';

/** Share of full leading-edge suction a bluff hull keeps. */
const SUCTION = 0.2;

/**
 * Lift of the bare hull at small drift (slender body), acting abaft the middle whichever way the boat goes:
 *
 *   Y = −½ρ A |u| (v + x_l r),   N = x_l Y − ½ρ A |u| s² r
 *   X = η ½ρ A (v + x_l r)² u|u|/(u² + v²),   x_l = sgn(u)·arm
 *
 * A is the lift area (slender body: π T² per hull and more for full forms), arm < 0 the place of the
 * resultant, s the spread that makes its resist turning. With |u| it goes as sin 2β, as the Munk moment
 * does that it answers, and is gone at rest and broadside on, where the cross flow has the hull to
 * itself. X is what is left of the suction at the leading end, η a fifth of a wing's (judgement; published
 * ship trials want it). It only ever takes energy:
 * the matrix of (v, r) is positive, as x_l² + s² ≥ x_l². Sources: Jones 1946 (slender wings), Clarke et
 * al. 1983 for ships (recalled, not looked up); ±30 %.
 *
 * @param work working row: SURGE, SWAY of the hull's own middle (LIFT_CENTRE forward of the origin), YAW, DENSITY
 */
export function addHullLift(force: Float64Array, hull: Float64Array, work: Float64Array): void {
  const area = hull[HULL.LIFT]!;
  if (area === 0) return;
  const u = work[WORK.SURGE]!;
  const v = work[WORK.SWAY]!;
  const r = work[WORK.YAW]!;
  const strength = work[WORK.DENSITY]! * area * Math.abs(u);
  const arm = u >= 0 ? hull[HULL.LIFT_ARM]! : -hull[HULL.LIFT_ARM]!;
  const x = hull[HULL.LIFT_CENTRE]! + arm;
  const w = v + arm * r;
  const speed2 = u * u + v * v;
  if (speed2 > 0) force[0]! += (SUCTION * strength * w * w * u) / speed2;
  force[1]! -= strength * w;
  force[2]! -= strength * (x * w + hull[HULL.LIFT_SPREAD2]! * r);
}
