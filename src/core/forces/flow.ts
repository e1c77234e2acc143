/** What each turning propeller leaves for the others to use: columns of a table, one row a drive. */
export const FLOW = {
  /** Thrust along the axis before deduction, N. */
  THRUST: 0,
  /** The part of it that comes from turning (none when trailing), N. */
  DRIVEN: 1,
  /** Inflow speed along the axis, m/s. */
  INFLOW: 2,
  /** Slip ratio 1 − Va/(nP) held to [0, 1]; 0 when not turning. */
  SLIP: 3,
} as const;
export const FLOW_COLUMNS = 4;
