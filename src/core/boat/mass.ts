import type { HullSpec } from './spec';

/**
 * Mass and added mass about midships, kg, kg·m, kg·m².
 * m11 surge, m22 sway, m23 sway-yaw coupling, m33 yaw: what resists being accelerated.
 * a11, a22, a23: added mass as it stands in the Coriolis terms (see massProperties); rigid parts beside.
 */
export interface MassProperties {
  readonly m11: number;
  readonly m22: number;
  readonly m23: number;
  readonly m33: number;
  /** m22·m33 − m23². */
  readonly determinant: number;
  readonly rigid: number;
  readonly rigidMoment: number;
  readonly a11: number;
  readonly a22: number;
  readonly a23: number;
}

/** The same as a row of numbers for the step. */
export const MASS = {
  M11: 0,
  M22: 1,
  M23: 2,
  M33: 3,
  DETERMINANT: 4,
  RIGID: 5,
  RIGID_MOMENT: 6,
  A11: 7,
  A22: 8,
  A23: 9,
} as const;

export function massRow(mass: MassProperties): Float64Array {
  const { m11, m22, m23, m33, determinant, rigid, rigidMoment, a11, a22, a23 } = mass;
  return Float64Array.from([m11, m22, m23, m33, determinant, rigid, rigidMoment, a11, a22, a23]);
}

/** Mass matrix entries as they stand, with the whole in the Coriolis terms unless said otherwise. */
export function massFromMatrix(
  m11: number,
  m22: number,
  m23: number,
  m33: number,
  rigid = m11,
  rigidMoment = m23,
  a22 = m22 - rigid,
  a23 = m23 - rigidMoment,
): MassProperties {
  return {
    m11,
    m22,
    m23,
    m33,
    determinant: m22 * m33 - m23 * m23,
    rigid,
    rigidMoment,
    a11: m11 - rigid,
    a22,
    a23,
  };
}

/**
 * Mass properties of a hull.
 *
 * A hull that sheds vortices keeps only a share of the potential Munk moment (m22 − m11)uv.
 * The share is taken off the sway added mass in the Coriolis matrix as a whole, so the terms
 * stay workless: νᵀC(ν)ν = 0 whatever the factor. The same share falls on the surge term m22·v·r,
 * where ship practice uses 0.5–0.75 of the potential value (Hasegawa; recalled, not looked up).
 * A catamaran's two hulls add to the yaw inertia by their distance through yawRadius.
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
    mass,
    mass * xG,
    swayKept,
  );
}
