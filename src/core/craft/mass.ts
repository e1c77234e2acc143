import type { HullSpec } from './spec';

/**
 * Mass with added mass about midships, and the matrix that makes the Coriolis terms.
 * m11 surge, m22 sway, m23 sway-yaw coupling, m33 yaw; kg, kg·m, kg·m².
 */
export interface MassProperties {
  readonly m11: number;
  readonly m22: number;
  readonly m23: number;
  readonly m33: number;
  /** m22·m33 − m23². */
  readonly determinant: number;
  readonly c11: number;
  readonly c22: number;
  readonly c23: number;
}

/** Mass matrix entries as they stand; for exact cases where they are given outright. */
export function massFromMatrix(
  m11: number,
  m22: number,
  m23: number,
  m33: number,
  c22 = m22,
  c23 = m23,
): MassProperties {
  return { m11, m22, m23, m33, determinant: m22 * m33 - m23 * m23, c11: m11, c22, c23 };
}

/**
 * Mass properties of a hull.
 *
 * A hull that sheds vortices keeps only a share of the potential Munk moment (m22 − m11)uv.
 * The share is taken off the sway added mass in the Coriolis matrix as a whole, so the terms
 * stay workless: νᵀC(ν)ν = 0 whatever the factor. The same share falls on the surge term m22·v·r,
 * where ship practice uses 0.5–0.75 of the potential value (Hasegawa; recalled, not looked up).
 */
export function massProperties(hull: HullSpec): MassProperties {
  const { mass, xG, yawRadius } = hull;
  const surge = mass * hull.addedSurge;
  const sway = mass * hull.addedSway;
  const inertia = mass * (yawRadius * yawRadius + xG * xG);
  const yaw = mass * yawRadius * yawRadius * hull.addedYaw;
  const swayKept = surge + hull.munkFactor * (sway - surge);
  return massFromMatrix(
    mass + surge,
    mass + sway,
    mass * xG,
    inertia + yaw,
    mass + swayKept,
    mass * xG,
  );
}
