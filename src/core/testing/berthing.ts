import { cos, sin } from '../math';

/** Radius of gyration in yaw by block coefficient, m: K = (0.19 C_b + 0.11) L (BS 6349-4; recalled). */
export function gyration(length: number, block: number): number {
  return (0.19 * block + 0.11) * length;
}

/**
 * Share of the berthing energy taken at a contact R from the centre of mass, φ between R and the velocity, rad:
 * (K² + R² cos² φ)/(K² + R²) if the contact sticks; K²/(K² + R² sin² φ) if it slides freely.
 */
export function eccentricity(
  gyrationRadius: number,
  distance: number,
  angle: number,
): { readonly sticks: number; readonly slides: number } {
  const k2 = gyrationRadius * gyrationRadius;
  const r2 = distance * distance;
  const c = cos(angle);
  const s = sin(angle);
  return { sticks: (k2 + r2 * c * c) / (k2 + r2), slides: k2 / (k2 + r2 * s * s) };
}

/** Energy to be taken in a berthing, J: ½ M v² C_e C_m, C_m = 1 + 2 D/B (PIANC 2002; recalled). */
export function berthingEnergy(
  mass: number,
  speed: number,
  eccentric: number,
  draught: number,
  beam: number,
): number {
  return 0.5 * mass * speed * speed * eccentric * (1 + (2 * draught) / beam);
}
