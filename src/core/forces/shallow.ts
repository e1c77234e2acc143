import { power } from '../math';

/** Multipliers on the deep-water values, as a row; all 1 in deep water. */
export const SHALLOW = {
  SURGE_MASS: 0,
  SWAY_MASS: 1,
  YAW_MASS: 2,
  CROSS_FLOW: 3,
  LIFT: 4,
  RESISTANCE: 5,
} as const;

export function deepWater(): Float64Array {
  return new Float64Array(6).fill(1);
}

/** Draught over depth beyond which the boat is as good as aground, and the forms end. */
const MOST_RATIO = 0.95;

/**
 * Growth of added mass, cross flow and lift in shallow water, by draught over depth s = T/h:
 *
 *   factor = 1 + c·s²/(1 − s)^0.7,   c: surge mass 0.12, sway mass 0.74, yaw mass 0.5, cross flow 0.72,
 *                                     lift 0.5, resistance 0.15
 *
 * Fitted to sway added mass 1.3/1.8/2.8/4 and cross flow 1.8/2.7/3.8 at h/T 2/1.5/1.2/1.1 (Clarke 2001,
 * Kijima et al. 1990, OCIMF; recalled, not looked up). ±25 %; held beyond s = 0.95. Written into `out`.
 */
export function shallowFactors(out: Float64Array, draught: number, depth: number): void {
  const s = depth > 0 ? Math.min(MOST_RATIO, draught / depth) : MOST_RATIO;
  const shape = s * s * power(1 - s, -0.7);
  out[SHALLOW.SURGE_MASS] = 1 + 0.12 * shape;
  out[SHALLOW.SWAY_MASS] = 1 + 0.74 * shape;
  out[SHALLOW.YAW_MASS] = 1 + 0.5 * shape;
  out[SHALLOW.CROSS_FLOW] = 1 + 0.72 * shape;
  out[SHALLOW.LIFT] = 1 + 0.5 * shape;
  out[SHALLOW.RESISTANCE] = 1 + 0.15 * shape;
}
