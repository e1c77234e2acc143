import type { Strips } from '../craft';

/**
 * Cross-flow drag of the canoe body, strip by strip:
 *
 *   Y = −½ρ ∫ C_D T(x) w|w| dx,  N = −½ρ ∫ x C_D T(x) w|w| dx,  w = v + x r − stream across, at x
 *
 * Gives sway force, yaw damping and their coupling together. C_D 0.5–0.9 for round bilges, about
 * 1.0–1.5 for boxes (Hooft 1994, Hoerner 1965; recalled, not looked up). Strip error 0.5 % at 20.
 *
 * @param across velocity of the water to starboard at each strip, over the reference stream, m/s
 */
export function addCrossFlow(
  force: Float64Array,
  strips: Strips,
  density: number,
  v: number,
  r: number,
  across: Float64Array,
): void {
  const { x, halfDragArea } = strips;
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
