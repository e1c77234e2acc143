import { cos, sin } from '../math';

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

/** Such a row for a boat lying still at (x, y) on a heading, rad. */
export function groundAt(x: number, y: number, heading: number): Float64Array {
  const row = new Float64Array(GROUND_COLUMNS);
  row[GROUND.X] = x;
  row[GROUND.Y] = y;
  row[GROUND.HEADING] = heading;
  row[GROUND.SIN] = sin(heading);
  row[GROUND.COS] = cos(heading);
  return row;
}
