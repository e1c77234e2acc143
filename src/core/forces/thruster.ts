import { THRUSTER } from '../boat';
import { WORK } from './foil';

/** Speed through the water over jet speed at which half the side force is lost, and half the turning moment. */
const HALF_LOST = 0.3;
const HALF_TURN_LOST = 0.55;

/**
 * Share of a tunnel thruster's static side force left under way: 1/(1 + (s/0.3)²), s = |u|/u_jet.
 * The jet is bent along the hull and its suction pulls the other way. About 0.7 at 2 kn and 0.3 at
 * 4–5 kn with a jet of 5 m/s (Chislett & Bjorheden 1966, Brix 1993; recalled, not looked up; ±30 %).
 * The part-recovery beyond s ≈ 0.7 is left out.
 */
export function thrusterShare(jetSpeed: number, along: number): number {
  const s = along / (HALF_LOST * jetSpeed);
  return 1 / (1 + s * s);
}

/**
 * Share of its turning moment left, 1/(1 + (s/0.55)²): the suction that takes the force acts along the hull abaft the jet, nearer
 * midships, and takes less of the moment (the same trials). What the hull itself resists turning by comes on top.
 */
export function thrusterTurnShare(jetSpeed: number, along: number): number {
  const s = along / (HALF_TURN_LOST * jetSpeed);
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
  const jet = t[at + THRUSTER.JET]!;
  const along = w[WORK.SURGE]!;
  const still = t[at + THRUSTER.THRUST]! * power * Math.abs(power);
  const middle = t[at + THRUSTER.MIDDLE]!;
  const side = still * thrusterShare(jet, along);
  force[1]! += side;
  force[2]! += (t[at + THRUSTER.X]! - middle) * still * thrusterTurnShare(jet, along);
  force[2]! += middle * side;
}
