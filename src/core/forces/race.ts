import { BLADE, DRIVE } from '../boat';
import { FLOW } from './flow';
import { WORK } from './foil';

/** Square root that keeps the sign: the speed whose signed dynamic pressure is q. */
export function signedRoot(q: number): number {
  return q >= 0 ? Math.sqrt(q) : -Math.sqrt(-q);
}

/**
 * Race at a blade by actuator-disc momentum theory:
 *
 *   V∞|V∞| = Va|Va| + 2T/(ρA),   V(s) = Va + (V∞ − Va)·g(s),   g = ½(1 + s/√(1 + s²)), s = distance/R
 *
 * contracted by continuity (V_disc R² = V(s) R_s²), covering 2R_s of the span. A rudder takes up only
 * part of the race's extra dynamic pressure (effect ≈ 0.4–0.5 of it; less beside the axis). With the propeller going astern
 * the blade stands in the inflow, where g is small: almost no race.
 *
 * @param w working row: AXIAL, DENSITY of the blade
 * @param out effective speed of the blade through the race, m/s, at [0]; share of the span inside it at [1]; how much
 * of the pressure there is the race's, 0 to 1, at [2]
 */
export function raceAtBlade(
  out: Float64Array,
  b: Float64Array,
  at: number,
  flows: Float64Array,
  flow: number,
  d: Float64Array,
  drive: number,
  w: Float64Array,
): void {
  const bladeSpeed = w[WORK.AXIAL]!;
  const density = w[WORK.DENSITY]!;
  const driven = flows[flow + FLOW.DRIVEN]!;
  if (driven === 0) {
    out[0] = bladeSpeed;
    out[1] = 0;
    out[2] = 0;
    return;
  }
  const va = flows[flow + FLOW.INFLOW]!;
  const far = signedRoot(va * Math.abs(va) + (2 * driven) / (density * d[drive + DRIVE.DISC]!));
  const growth = driven > 0 ? b[at + BLADE.GROWTH_AFT]! : b[at + BLADE.GROWTH_FORWARD]!;
  const gained = far - va;
  const atDisc = Math.abs(va + 0.5 * gained);
  const atBlade = Math.abs(va + growth * gained);
  const contraction = atBlade > 0 ? Math.min(4, atDisc / atBlade) : 1;
  const radius = b[at + BLADE.RADIUS]! * Math.sqrt(contraction);
  const cover = (2 * radius) / b[at + BLADE.SPAN]!;
  const full = bladeSpeed + growth * gained;
  const free = bladeSpeed * Math.abs(bladeSpeed);
  const extra = b[at + BLADE.EFFECT]! * (full * Math.abs(full) - free);
  const whole = Math.abs(free) + Math.abs(extra);
  out[0] = signedRoot(free + extra);
  out[1] = cover < 1 ? cover : 1;
  out[2] = whole > 0 ? Math.abs(extra) / whole : 0;
}
