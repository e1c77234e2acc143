const ATMOSPHERE_PA = 101325;
/** A fender is taken as solid beyond this share of its diameter. */
const FULL_DEFLECTION = 0.9;
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

/** Slope of that force over depth, N/m; taken up to the last of the gas law, as beyond it nothing gives. */
export function fenderStiffness(
  depth: number,
  diameter: number,
  length: number,
  pressure: number,
): number {
  const share = Math.min(depth / diameter, FULL_DEFLECTION);
  const squeezed = 1 - share * share;
  const rise = ((ATMOSPHERE_PA + pressure) * (1 + share * share)) / (squeezed * squeezed);
  return (rise - ATMOSPHERE_PA) * (Math.PI / 2) * length;
}
