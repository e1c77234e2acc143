import { FRICTION_STEP_MPS, HULL } from '../craft';

/** ½ S (1 + k) C_F of the hull, m², at a speed, m/s: cubic Hermite between the table's entries. */
function frictionArea(table: Float64Array, speed: number): number {
  const place = speed / FRICTION_STEP_MPS;
  const last = table.length - 3;
  const i = place < 1 ? 1 : place > last ? last : Math.floor(place);
  const t = place > last ? 1 : place - i;
  if (place < 1) return table[0]! + (table[1]! - table[0]!) * place;
  const a = table[i]!;
  const b = table[i + 1]!;
  const slopeA = (b - table[i - 1]!) / 2;
  const slopeB = (table[i + 2]! - a) / 2;
  const c = 3 * (b - a) - 2 * slopeA - slopeB;
  const d = 2 * (a - b) + slopeA + slopeB;
  return a + t * (slopeA + t * (c + t * d));
}

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
 */
export function resistance(
  hull: Float64Array,
  friction: Float64Array,
  density: number,
  u: number,
  v: number,
): number {
  const speed2 = u * u + v * v;
  if (speed2 === 0) return 0;
  const u2 = u * u;
  const skin =
    density * frictionArea(friction, Math.sqrt(speed2)) * Math.sqrt(speed2) * Math.abs(u);
  const held = Math.min(u2, hull[HULL.HUMP2]!);
  const waves = u2 * hull[HULL.QUADRATIC]! + hull[HULL.SEXTIC]! * held * held * held;
  const ahead = skin + waves;
  const along = u > 0 ? -ahead : ahead * hull[HULL.ASTERN]!;
  return along - density * hull[HULL.OBLIQUE]! * Math.abs(v) * u;
}
