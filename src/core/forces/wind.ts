import { WINDAGE } from '../boat';
import { WORK } from './foil';

/**
 * Wind force on hull and top-hamper, with (a, b) the boat's velocity through the air in body axes:
 *
 *   X = −½ρ_a A_F C_F a V,  Y = −½ρ_a A_L C_S b V,  N = Y (x_c + k L cos γ),  cos γ = a/V
 *
 * C_F differs for wind from ahead and from astern. The centre of pressure shifts towards the windward
 * end (k 0.05–0.2; Isherwood 1972, Blendermann 1994; recalled, not looked up). Quadratic, so half the
 * wind is a quarter of the force. ±20 %.
 *
 * @param w working row: SURGE and SWAY through the air, the air's DENSITY
 */
export function addWind(force: Float64Array, windage: Float64Array, w: Float64Array): void {
  const a = w[WORK.SURGE]!;
  const b = w[WORK.SWAY]!;
  const v2 = a * a + b * b;
  if (v2 === 0) return;
  const v = Math.sqrt(v2);
  const pressure = -w[WORK.DENSITY]! * v;
  const side = pressure * windage[WINDAGE.SIDE]! * b;
  const front = a > 0 ? windage[WINDAGE.FRONT]! : windage[WINDAGE.STERN]!;
  force[0]! += pressure * front * a;
  force[1]! += side;
  force[2]! += side * (windage[WINDAGE.CENTRE]! + (windage[WINDAGE.SHIFT]! * a) / v);
}
