const ATMOSPHERE_PA = 101325;
/** A fender is taken as solid beyond this share of its diameter. */
const FULL_DEFLECTION = 0.9;
/** Slip speed at which friction is about 70 % of its Coulomb value, m/s. */
export const FRICTION_SLIP_MPS = 0.02;

/**
 * Static force of a cylindrical inflatable fender pressed by `depth`, N:
 *
 *   F = (p − p_atm)(π d/2) L,  p = (p_atm + p₀)/(1 − (d/D)²)
 *
 * Gas law in a shape squeezed between parallel plates: progressive, never linear (within 15 % of
 * the standard tables for pneumatic fenders; recalled, not looked up).
 */
export function fenderForce(
  depth: number,
  diameter: number,
  length: number,
  pressure: number,
): number {
  const d = Math.min(depth, FULL_DEFLECTION * diameter);
  const share = d / diameter;
  const gauge = (ATMOSPHERE_PA + pressure) / (1 - share * share) - ATMOSPHERE_PA;
  return gauge * (Math.PI / 2) * d * length;
}

/** Two springs in series, N/m. */
export function seriesStiffness(a: number, b: number): number {
  return (a * b) / (a + b);
}

/**
 * Loss on top of a static force (Hunt & Crossley 1975): F (1 + χ ḋ), never pulling.
 * Loading costs more than unloading gives back, so a touch never gains energy.
 */
export function withLoss(staticForce: number, loss: number, approach: number): number {
  const force = staticForce * (1 + loss * approach);
  return force > 0 ? force : 0;
}

/** Coulomb friction, smoothed round zero slip so that it always opposes it. N. */
export function frictionForce(coefficient: number, normal: number, slip: number): number {
  const scale = Math.sqrt(slip * slip + FRICTION_SLIP_MPS * FRICTION_SLIP_MPS);
  return (-coefficient * normal * slip) / scale;
}
