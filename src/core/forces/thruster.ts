import { THRUSTER } from '../boat';
import { WORK } from './foil';

/** Speed through the water over jet speed at which half the thrust is lost. */
const HALF_LOST = 0.3;

/**
 * Share of a tunnel thruster's static effect left under way: 1/(1 + (s/0.3)²), s = |u|/u_jet.
 * The jet is bent along the hull and its suction pulls the other way. About 0.7 at 2 kn and 0.3 at
 * 4–5 kn with a jet of 5 m/s (Chislett & Bjorheden 1966, Brix 1993; recalled, not looked up; ±30 %).
 * The part-recovery beyond s ≈ 0.7 is left out.
 */
export function thrusterShare(jetSpeed: number, along: number): number {
  const s = along / (HALF_LOST * jetSpeed);
  return 1 / (1 + s * s);
}

/**
 * Adds a thruster's push. Thrust goes with the square of the power given.
 *
 * @param t rows of figures, the thruster's starting at `at` (columns THRUSTER)
 * @param w working row: POWER (−1 … 1, positive pushes the boat to starboard) and SURGE, its speed ahead through the water
 */
export function addThruster(
  force: Float64Array,
  t: Float64Array,
  at: number,
  w: Float64Array,
): void {
  const power = w[WORK.POWER]!;
  const share = thrusterShare(t[at + THRUSTER.JET]!, w[WORK.SURGE]!);
  const push = t[at + THRUSTER.THRUST]! * power * Math.abs(power) * share;
  force[1]! += push;
  force[2]! += t[at + THRUSTER.X]! * push;
}
