import { bisected, power } from '../math';
import { GRAVITY_MPS2, MPS_PER_KNOT } from '../units';

/** Squat, m, at a speed through the water, m/s: C_b V²/100 open, /50 confined, V in knots (Barrass; ships; upper side for small craft). */
export function squat(blockCoefficient: number, speed: number, confined: boolean): number {
  const knots = speed / MPS_PER_KNOT;
  return (blockCoefficient * knots * knots) / (confined ? 50 : 100);
}

/**
 * Schijf's limit: the depth Froude number F with 1 − m + F²/2 − 1.5 F^(2/3) = 0, m the share of the
 * canal's section the hull fills, 0 < m < 1. Above that speed the return flow cannot pass the boat.
 * Schijf 1949 (recalled, not looked up).
 */
export function limitFroude(blockage: number): number {
  // Falls from 1 − m at F = 0 to −m at F = 1: one root between, found by halving.
  return bisected((f) => 1 - blockage + (f * f) / 2 - 1.5 * power(f, 2 / 3) > 0, 0, 1, 60);
}

/** Limit speed in a canal, m/s. Section and hull areas in m², mean depth in m. */
export function limitSpeed(hullArea: number, canalArea: number, meanDepth: number): number {
  return limitFroude(hullArea / canalArea) * Math.sqrt(GRAVITY_MPS2 * meanDepth);
}

/** Return flow and drawdown beside a hull in a canal. */
export interface ReturnFlow {
  /** Speed of the water past the boat over its own, m/s, and fall of the level beside it, m. */
  readonly flow: number;
  readonly drawdown: number;
}

/**
 * Return flow by continuity and Bernoulli, V A_c = (V + w)(A_c − A_s − z A_c/h), z = ((V + w)² − V²)/2g,
 * by repeated substitution; held at the limit speed's value above it. `width` A_c/h, m.
 */
export function returnFlow(
  hullArea: number,
  canalArea: number,
  meanDepth: number,
  speed: number,
): ReturnFlow {
  const v = Math.min(Math.abs(speed), 0.98 * limitSpeed(hullArea, canalArea, meanDepth));
  const width = canalArea / meanDepth;
  let flow = 0;
  let drawdown = 0;
  for (let i = 0; i < 100; i++) {
    drawdown = ((v + flow) * (v + flow) - v * v) / (2 * GRAVITY_MPS2);
    flow = (v * canalArea) / (canalArea - hullArea - drawdown * width) - v;
  }
  return { flow, drawdown };
}
