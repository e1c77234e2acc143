import type { HullSpec } from '../craft';
import { GRAVITY_MPS2, WATER_VISCOSITY_M2PS } from '../units';
import { log } from '../math';

const LOWEST_REYNOLDS = 1e5;

/**
 * Straight-line resistance, N, against surge speed u (m/s):
 *
 *   X = −½ρ S (1 + k) C_F u|u| − (u/|u|) m g (a Fn² + b Fn⁶),   C_F = 0.075/(log₁₀Re − 2)²
 *
 * ITTC-57 line with form factor k; the residuary part is a displacement-hull class fit, sound to
 * Fn ≈ 0.45. Going astern the whole is multiplied by the hull's astern factor (1.2–1.8).
 * Re is held at 10⁵ and above, where the line ends; below that, forces are under a newton.
 */
export function resistance(hull: HullSpec, density: number, u: number): number {
  const speed2 = u * u;
  if (speed2 === 0) return 0;
  const length = hull.waterlineLength;
  const speed = Math.sqrt(speed2);
  const reynolds = Math.max(LOWEST_REYNOLDS, (speed * length) / WATER_VISCOSITY_M2PS);
  const decades = log(reynolds) * Math.LOG10E - 2;
  const friction = 0.075 / (decades * decades);
  const froude2 = speed2 / (GRAVITY_MPS2 * length);
  const viscous = 0.5 * density * hull.wettedArea * (1 + hull.formFactor) * friction * speed2;
  const residuary =
    hull.mass *
    GRAVITY_MPS2 *
    froude2 *
    (hull.residuaryQuadratic + hull.residuarySextic * froude2 * froude2);
  const total = viscous + residuary;
  return u > 0 ? -total : total * hull.asternFactor;
}
