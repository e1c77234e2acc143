import { FRICTION_STEP_MPS, HULL } from '../boat';
import { WORK } from './foil';

/**
 * Lengthwise resistance of one hull, N, against surge u and sway v (m/s) through the water:
 *
 *   X = −½ρ S (1 + k) C_F u V − m (a u²/L + b u⁶/(g² L³)) sgn u − ½ρ A_L c_o |v| u,   V = √(u² + v²)
 *
 * ITTC-57 line with form factor k; the residuary part (a Fn² + b Fn⁶ of the weight) is a
 * displacement-hull class fit, sound to Fn ≈ 0.45; the steep part is held from Fn = 0.6 on, about the hump,
 * as fast hulls climb out of it (coarse: no speed of this trade). Going astern the
 * first two are multiplied by the hull's astern factor (1.2–1.8). The last term is what flow across
 * the hull takes off lengthwise motion (c_o ≈ 0.1–0.2, judgement): without it light boats forereach.
 * ±20 %. Deep water; `water` multiplies for shallow and confined water.
 *
 * @param friction ½ S (1 + k) C_F, m², by speed: read off by cubic Hermite between the table's entries
 * @param w working row: SURGE, SWAY, DENSITY; the force is left at FORCE
 */
export function resistance(hull: Float64Array, friction: Float64Array, w: Float64Array): void {
  const u = w[WORK.SURGE]!;
  const v = w[WORK.SWAY]!;
  const speed2 = u * u + v * v;
  if (speed2 === 0) {
    w[WORK.FORCE] = 0;
    return;
  }
  const speed = Math.sqrt(speed2);
  const place = speed / FRICTION_STEP_MPS;
  const last = friction.length - 3;
  const i = place < 1 ? 1 : place > last ? last : Math.floor(place);
  const a = friction[i]!;
  let area: number;
  if (place < 1) area = friction[0]! + (a - friction[0]!) * place;
  else {
    const t = place > last ? 1 : place - i;
    const b = friction[i + 1]!;
    const slopeA = (b - friction[i - 1]!) / 2;
    const slopeB = (friction[i + 2]! - a) / 2;
    const c = 3 * (b - a) - 2 * slopeA - slopeB;
    const d = 2 * (a - b) + slopeA + slopeB;
    area = a + t * (slopeA + t * (c + t * d));
  }
  const density = w[WORK.DENSITY]!;
  const u2 = u * u;
  const held = Math.min(u2, hull[HULL.HUMP2]!);
  const waves = u2 * hull[HULL.QUADRATIC]! + hull[HULL.SEXTIC]! * held * held * held;
  const ahead = density * area * speed * Math.abs(u) + waves;
  const along = u > 0 ? -ahead : ahead * hull[HULL.ASTERN]!;
  w[WORK.FORCE] = along - density * hull[HULL.OBLIQUE]! * Math.abs(v) * u;
}
