/** A boat's place (m), heading (rad), its sine and cosine, and velocity over the ground in body axes, as a row. */
export const GROUND = {
  X: 0,
  Y: 1,
  SIN: 2,
  COS: 3,
  SURGE: 4,
  SWAY: 5,
  YAW: 6,
  HEADING: 7,
} as const;
export const GROUND_COLUMNS = 8;
