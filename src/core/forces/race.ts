import type { RaceOnRudder } from '../craft';
import type { PropellerFlow } from './propeller';

/** Square root that keeps the sign: the speed whose signed dynamic pressure is q. */
export function signedRoot(q: number): number {
  return q >= 0 ? Math.sqrt(q) : -Math.sqrt(-q);
}

/** The propeller race where a rudder blade stands. */
export interface RaceAtBlade {
  /** Effective axial speed of the blade through the race, m/s. */
  speed: number;
  /** Share of the span inside the race, 0…1. */
  cover: number;
}

/**
 * Race at a blade by actuator-disc momentum theory:
 *
 *   V∞|V∞| = Va|Va| + 2T/(ρA),   V(s) = Va + (V∞ − Va)·g(s),   g = ½(1 + s/√(1 + s²)), s = distance/R
 *
 * contracted by continuity (V_disc R² = V(s) R_s²), covering 2R_s of the span. A rudder takes up only
 * part of the race's extra dynamic pressure (effect ≈ 0.4–0.5 of it). With the propeller going astern
 * the blade stands in the inflow, where g is small: almost no race. Written into `out`.
 */
export function raceAtBlade(
  out: RaceAtBlade,
  race: RaceOnRudder,
  flow: PropellerFlow,
  discArea: number,
  density: number,
  bladeSpeed: number,
): void {
  if (flow.driven === 0) {
    out.speed = bladeSpeed;
    out.cover = 0;
    return;
  }
  const va = flow.inflow;
  const far = signedRoot(va * Math.abs(va) + (2 * flow.driven) / (density * discArea));
  const growth = flow.driven > 0 ? race.growthAft : race.growthForward;
  const gained = far - va;
  const atDisc = Math.abs(va + 0.5 * gained);
  const atBlade = Math.abs(va + growth * gained);
  const contraction = atBlade > 0 ? Math.min(4, atDisc / atBlade) : 1;
  const radius = race.propellerRadius * Math.sqrt(contraction);
  out.cover = Math.min(1, (2 * radius) / race.span);
  const full = bladeSpeed + growth * gained;
  const free = bladeSpeed * Math.abs(bladeSpeed);
  out.speed = signedRoot(free + race.effect * (full * Math.abs(full) - free));
}
