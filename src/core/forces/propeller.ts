import { DRIVE } from '../boat';
import { FLOW } from './flow';
import { WORK } from './foil';
import { propWalk } from './prop-walk';

/** Share of k₁ left where the propeller turns against the inflow. */
const CRASH_SHARE = 0.25;
/** How fast the hull's wake leaves its stern as the boat drifts. */
const WAKE_DRIFT = 6;

/**
 * Share of its speed that water keeps in the hull's wake, going ahead at (along, across) there:
 * 1 − w u²/(u² + 6 v²). It leaves propeller and rudder as the boat drifts or swings.
 */
export function inWake(wake: number, along: number, across: number): number {
  const a2 = along * along;
  // Squares of the smallest speeds vanish; there the wake does not matter.
  return a2 > 0 ? 1 - (wake * a2) / (a2 + WAKE_DRIFT * across * across) : 1;
}

/**
 * Propeller thrust for any revolutions and inflow:
 *
 *   T = ρ (K₀ D⁴ n|n| − k₁ D³ |n| Va − k₂ D² Va|Va|),   Va = (1 − w) u ahead, u astern
 *
 * Homogeneous of degree two, so nothing is singular at rest. In the first quadrant it is a
 * B-series-like K_T(J) curve falling to zero a little above the pitch ratio; astern, K₀ is cut by the
 * boat's astern efficiency; at n = 0 it is the drag of a trailing propeller. In the two crash
 * quadrants (turning against the inflow) blades stall and thrust rises much less with Va than the
 * first quadrant's slope would have it (four-quadrant series, van Lammeren et al. 1969; recalled, not
 * looked up; ±25 %). The wake fraction fades with drift and is nought astern.
 *
 * @param flows written at row `flow` (columns FLOW)
 * @param d rows of figures, the drive's starting at `at` (columns DRIVE)
 * @param w working row: SURGE, SWAY of the propeller through the water, SIN, COS of its axis, DENSITY, RPS
 */
export function propellerFlow(
  flows: Float64Array,
  flow: number,
  d: Float64Array,
  at: number,
  w: Float64Array,
): void {
  const surge = w[WORK.SURGE]!;
  const sway = w[WORK.SWAY]!;
  const along = surge * w[WORK.COS]! - sway * w[WORK.SIN]!;
  const across = surge * w[WORK.SIN]! + sway * w[WORK.COS]!;
  const density = w[WORK.DENSITY]!;
  const rps = w[WORK.RPS]!;
  let va = along;
  if (along > 0) va = along * inWake(d[at + DRIVE.WAKE]!, along, across);
  const magnitude = Math.abs(rps);
  const squared = rps >= 0 ? d[at + DRIVE.AHEAD_SQUARED]! : d[at + DRIVE.ASTERN_SQUARED]!;
  const crossed = d[at + DRIVE.CROSSED]! * (rps * va >= 0 ? 1 : CRASH_SHARE);
  const driven = density * (squared * rps * magnitude - crossed * magnitude * va);
  const blade = rps * d[at + DRIVE.PITCH]!;
  const slip = blade !== 0 ? 1 - va / blade : 0;
  flows[flow + FLOW.THRUST] = driven - density * d[at + DRIVE.TRAILING]! * va * Math.abs(va);
  // A propeller overrun by the boat brakes; it throws no race.
  flows[flow + FLOW.DRIVEN] = driven * rps > 0 ? driven : 0;
  flows[flow + FLOW.INFLOW] = va;
  flows[flow + FLOW.SLIP] = slip < 0 ? 0 : slip > 1 ? 1 : slip;
}

/**
 * Adds a propeller's net thrust along its axis, turned by δ (δ > 0 pushes the stern to port going
 * ahead), and its walk. Deduction applies to the driven part ahead only.
 *
 * @param w working row: SIN, COS of its axis
 */
export function addThrust(
  force: Float64Array,
  flows: Float64Array,
  flow: number,
  d: Float64Array,
  at: number,
  w: Float64Array,
): void {
  const sinDelta = w[WORK.SIN]!;
  const cosDelta = w[WORK.COS]!;
  const walk = propWalk(flows, flow, d, at);
  const driven = flows[flow + FLOW.DRIVEN]!;
  const lost = driven > 0 ? driven * d[at + DRIVE.DEDUCTION]! : 0;
  const thrust = flows[flow + FLOW.THRUST]! - lost;
  const fx = thrust * cosDelta + walk * sinDelta;
  const fy = walk * cosDelta - thrust * sinDelta;
  force[0]! += fx;
  force[1]! += fy;
  force[2]! += d[at + DRIVE.X]! * fy - d[at + DRIVE.Y]! * fx;
}
