import { power } from '../math';

/** Height at which wind is given, m, and the exponent of its profile over water and sheltered land. */
const WIND_REFERENCE_HEIGHT_M = 10;
const WIND_PROFILE_EXPONENT = 0.11;
/** Lower than this the profile is held, m. */
const LOWEST_M = 0.5;

/** Wind at a height as a share of wind at 10 m: (h/10)^0.11, heights held to 0.5 m and above. */
export function windShareAt(height: number): number {
  return power(Math.max(LOWEST_M, height) / WIND_REFERENCE_HEIGHT_M, WIND_PROFILE_EXPONENT);
}

/** Height at which the wind's pressure is such a share of that at 10 m, m. */
export function heightOfPressure(share: number): number {
  return WIND_REFERENCE_HEIGHT_M * power(share, 1 / (2 * WIND_PROFILE_EXPONENT));
}
