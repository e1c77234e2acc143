/** Slip speed at which friction is about 70 % of its Coulomb value, m/s. */
export const FRICTION_SLIP_MPS = 0.02;

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
