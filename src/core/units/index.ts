/** Physical constants and unit factors. The core computes in SI and radians; factors are for the edges. */

/** Acceleration of free fall, m/s² (standard value). */
export const GRAVITY_MPS2 = 9.80665;
/** Density of sea water, kg/m³. */
export const SEA_WATER_KGPM3 = 1025;
/** Density of fresh water, kg/m³. */
export const FRESH_WATER_KGPM3 = 1000;
/** Density of air, kg/m³ (15 °C, sea level). */
export const AIR_KGPM3 = 1.225;
/** Kinematic viscosity of water at about 15 °C, m²/s. */
export const WATER_VISCOSITY_M2PS = 1.19e-6;

/** Metres per second in one knot. */
export const MPS_PER_KNOT = 0.514444;
/** Metres in one foot. */
export const M_PER_FOOT = 0.3048;

export const DEGREES_PER_RADIAN = 180 / Math.PI;
export const RADIANS_PER_DEGREE = Math.PI / 180;
