/**
 * Slip speed at which friction is about 70 % of its Coulomb value, m/s: so small that a boat held by friction hardly
 * creeps, where the step holds its (see STICK); larger where it does not, so that the step can follow.
 */
export const STICK_SLIP_MPS = 0.0005;
export const SLIDE_SLIP_MPS = 0.02;

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

/**
 * Coulomb friction over slip speed, smoothed round zero slip: the force is −slope·slip, N s/m. It always opposes slip and
 * never exceeds coefficient·normal.
 *
 * @param scale slip speed at which it is about 70 % of its Coulomb value, m/s
 */
export function frictionSlope(
  coefficient: number,
  normal: number,
  slip: number,
  scale: number,
): number {
  return (coefficient * normal) / Math.sqrt(slip * slip + scale * scale);
}
