import { HULL } from '../craft';

/**
 * Lift of the bare hull at small drift (slender body), acting abaft the middle whichever way she goes:
 *
 *   Y = −½ρ A |u| (v + x_l r) κ,   N = −½ρ A |u| (x_l v + (x_l² + s²) r) κ,   κ = u²/(u² + v²)
 *   x_l = x_c + sgn(u)·arm
 *
 * A is the lift area (slender body: π T² per hull and more for full forms), arm < 0 the place of the
 * resultant, s the spread that makes her resist turning. κ fades it into the cross flow at large
 * drift, so nothing is counted twice, and |u| takes it away at rest. It only ever takes energy:
 * the matrix of (v, r) is positive, as x_l² + s² ≥ x_l². Sources: Jones 1946 (slender wings), Clarke et
 * al. 1983 for ships (recalled, not looked up); ±30 %.
 */
export function addHullLift(
  force: Float64Array,
  hull: Float64Array,
  density: number,
  u: number,
  v: number,
  r: number,
): void {
  const area = hull[HULL.LIFT]!;
  if (area === 0) return;
  const speed2 = u * u + v * v;
  if (speed2 === 0) return;
  const strength = (density * area * Math.abs(u) * u * u) / speed2;
  const arm = u >= 0 ? hull[HULL.LIFT_ARM]! : -hull[HULL.LIFT_ARM]!;
  const x = hull[HULL.LIFT_CENTRE]! + arm;
  force[1]! -= strength * (v + x * r);
  force[2]! -= strength * (x * v + (x * x + hull[HULL.LIFT_SPREAD2]!) * r);
}
