import type { Shaft } from '../craft';

/** What a turning propeller leaves for the others to use. */
export interface PropellerFlow {
  /** Thrust along the shaft before deduction, N. */
  thrust: number;
  /** The part of it that comes from turning (none when trailing), N. */
  driven: number;
  /** Inflow speed along the shaft, m/s. */
  inflow: number;
  /** Slip ratio 1 − Va/(nP) held to [0, 1]; 0 when not turning. */
  slip: number;
}

/** Share of k₁ left where the propeller turns against the inflow. */
const CRASH_SHARE = 0.25;

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
 * looked up; ±25 %). Written into `out`.
 */
export function propellerFlow(
  out: PropellerFlow,
  shaft: Shaft,
  density: number,
  surgeAtShaft: number,
  rps: number,
): void {
  const va = surgeAtShaft > 0 ? surgeAtShaft * (1 - shaft.wakeFraction) : surgeAtShaft;
  const magnitude = Math.abs(rps);
  const squared = rps >= 0 ? shaft.aheadSquared : shaft.asternSquared;
  const crossed = rps * va >= 0 ? shaft.crossed : shaft.crossed * CRASH_SHARE;
  const turning = squared * rps * magnitude - crossed * magnitude * va;
  const driven = density * turning;
  out.inflow = va;
  out.thrust = driven - density * shaft.trailing * va * Math.abs(va);
  // A propeller overrun by the boat brakes; it throws no race.
  out.driven = driven * rps > 0 ? driven : 0;
  const blade = rps * shaft.pitch;
  const slip = blade !== 0 ? 1 - va / blade : 0;
  out.slip = slip < 0 ? 0 : slip > 1 ? 1 : slip;
}

/** Adds net thrust, deduction taken off, to `force`. Deduction applies to the driven part ahead only. */
export function addThrust(force: Float64Array, shaft: Shaft, flow: PropellerFlow): void {
  const lost = flow.driven > 0 ? flow.driven * shaft.thrustDeduction : 0;
  const x = flow.thrust - lost;
  force[0]! += x;
  force[2]! -= shaft.y * x;
}
