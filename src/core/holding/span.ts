/**
 * Columns of a line as it lies: what it spans, m, and how fast that grows, m/s; then the way it pulls, body axes. A chain
 * spans what it does in plan, X and Y make one, and LEVEL is its pull along them, N, LIFT what it lifts its anchor by, N.
 * SINCE says how long ago its row was written, s: what is hauled or eased has come in or gone out by then.
 */
export const SPAN = { LENGTH: 0, GROWING: 1, X: 2, Y: 3, LEVEL: 4, LIFT: 5, SINCE: 6 } as const;
export const SPAN_COLUMNS = 7;
