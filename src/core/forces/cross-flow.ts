import { MOMENTS, type Strips } from '../boat';
import { WORK } from './foil';

/** What each strip's drag grows by towards the leading end, per metre forward: nothing when the flow is square across. */
function growth(strips: Strips, work: Float64Array): number {
  const { lead } = strips;
  if (lead === 0) return 0;
  const u = work[WORK.SURGE]!;
  // Of the hull's own middle, wherever the boat is described from.
  const v = work[WORK.SWAY]! + strips.middle * work[WORK.YAW]!;
  const speed2 = u * u + v * v;
  return speed2 > 0 ? (lead * u) / Math.sqrt(speed2) : 0;
}

/**
 * Cross-flow drag of the canoe body, strip by strip:
 *
 *   Y = −½ρ ∫ C_D(x) T(x) w|w| dx,  N = −½ρ ∫ x C_D(x) T(x) w|w| dx,  w = v + x r − current across, at x
 *   C_D(x) = C_D (1 + λ (x/½L) u/√(u² + v²))
 *
 * Gives sway force, yaw damping and their coupling together. C_D 0.5–0.9 for round bilges, about
 * 1.0–1.5 for boxes (Hooft 1994, Hoerner 1965; recalled, not looked up). The leading end, in water nothing has stirred, has more
 * of it than what follows in the eddies (Hooft 1994; λ 0.3–0.9, judgement): in oblique flow the centre lies nearer that end, as
 * the wind's does on what is above the water. Every strip resists, so it only ever takes energy. Strip error 0.5 % at 20.
 *
 * In a current that is the same all along the boat the sums are polynomials in v and r on either side of the
 * place where w changes sign, and come from the strips' moments; `addCrossFlowInField` adds strip by strip.
 *
 * @param work working row: SURGE, SWAY, YAW, DENSITY
 */
export function addCrossFlow(force: Float64Array, strips: Strips, work: Float64Array): void {
  const { x, moments: m } = strips;
  const density = work[WORK.DENSITY]!;
  const v = work[WORK.SWAY]!;
  const r = work[WORK.YAW]!;
  const grows = growth(strips, work);
  const square = 1 - grows * strips.middle;
  const whole = m.length - MOMENTS;
  const vv = v * v;
  const vr = 2 * v * r;
  const rr = r * r;
  const m1 = square * m[whole + 1]! + grows * m[whole + 2]!;
  const m2 = square * m[whole + 2]! + grows * m[whole + 3]!;
  let side = vv * (square * m[whole]! + grows * m[whole + 1]!) + vr * m1 + rr * m2;
  let turn = vv * m1 + vr * m2 + rr * (square * m[whole + 3]! + grows * m[whole + 4]!);
  // Sign of w forward of its change, or everywhere if it does not change.
  let sign = v > 0 ? 1 : -1;
  if (r !== 0) {
    const place = (-v / r - x[0]!) / (x[1]! - x[0]!);
    if (place >= 0) {
      const strip = place >= x.length - 1 ? x.length : Math.floor(place) + 1;
      const j = MOMENTS * strip;
      sign = r > 0 ? 1 : -1;
      const n1 = square * m[j + 1]! + grows * m[j + 2]!;
      const n2 = square * m[j + 2]! + grows * m[j + 3]!;
      side -= 2 * (vv * (square * m[j]! + grows * m[j + 1]!) + vr * n1 + rr * n2);
      turn -= 2 * (vv * n1 + vr * n2 + rr * (square * m[j + 3]! + grows * m[j + 4]!));
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
  const grows = growth(strips, work);
  let side = 0;
  let turn = 0;
  for (let i = 0; i < x.length; i++) {
    const xi = x[i]!;
    const w = v + xi * r - across[i]!;
    const f = halfDragArea[i]! * (1 + grows * (xi - strips.middle)) * w * Math.abs(w);
    side += f;
    turn += xi * f;
  }
  force[1]! -= density * side;
  force[2]! -= density * turn;
}
