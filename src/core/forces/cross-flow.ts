import type { Strips } from '../boat';
import { WORK } from './foil';

/**
 * Cross-flow drag of the canoe body, strip by strip:
 *
 *   Y = −½ρ ∫ C_D T(x) w|w| dx,  N = −½ρ ∫ x C_D T(x) w|w| dx,  w = v + x r − current across, at x
 *
 * Gives sway force, yaw damping and their coupling together. C_D 0.5–0.9 for round bilges, about
 * 1.0–1.5 for boxes (Hooft 1994, Hoerner 1965; recalled, not looked up). Strip error 0.5 % at 20.
 *
 * In a current that is the same all along the boat the sums are polynomials in v and r on either side of the
 * place where w changes sign, and come from the strips' moments; `addCrossFlowInField` adds strip by strip.
 *
 * @param work working row: SWAY, YAW, DENSITY
 */
export function addCrossFlow(force: Float64Array, strips: Strips, work: Float64Array): void {
  const { x, moments } = strips;
  const density = work[WORK.DENSITY]!;
  const v = work[WORK.SWAY]!;
  const r = work[WORK.YAW]!;
  const whole = moments.length - 4;
  const vv = v * v;
  const vr = 2 * v * r;
  const rr = r * r;
  let side = vv * moments[whole]! + vr * moments[whole + 1]! + rr * moments[whole + 2]!;
  let turn = vv * moments[whole + 1]! + vr * moments[whole + 2]! + rr * moments[whole + 3]!;
  // Sign of w forward of its change, or everywhere if it does not change.
  let sign = v > 0 ? 1 : -1;
  if (r !== 0) {
    const place = (-v / r - x[0]!) / (x[1]! - x[0]!);
    if (place >= 0) {
      const strip = place >= x.length - 1 ? x.length : Math.floor(place) + 1;
      const j = 4 * strip;
      sign = r > 0 ? 1 : -1;
      side -= 2 * (vv * moments[j]! + vr * moments[j + 1]! + rr * moments[j + 2]!);
      turn -= 2 * (vv * moments[j + 1]! + vr * moments[j + 2]! + rr * moments[j + 3]!);
    } else sign = r > 0 ? 1 : -1;
  }
  force[1]! -= density * sign * side;
  force[2]! -= density * sign * turn;
}

/**
 * The same where the current differs from strip to strip.
 *
 * @param across velocity of the water to starboard at each strip, over the reference current, m/s
 */
export function addCrossFlowInField(
  force: Float64Array,
  strips: Strips,
  work: Float64Array,
  across: Float64Array,
): void {
  const { x, halfDragArea } = strips;
  const density = work[WORK.DENSITY]!;
  const v = work[WORK.SWAY]!;
  const r = work[WORK.YAW]!;
  let side = 0;
  let turn = 0;
  for (let i = 0; i < x.length; i++) {
    const xi = x[i]!;
    const w = v + xi * r - across[i]!;
    const f = halfDragArea[i]! * w * Math.abs(w);
    side += f;
    turn += xi * f;
  }
  force[1]! -= density * side;
  force[2]! -= density * turn;
}
