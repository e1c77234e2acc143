const TURN = 2 * Math.PI;

/** The same direction in [0, 2π), radians. */
export function wrapTurn(angle: number): number {
  const wrapped = angle - TURN * Math.floor(angle / TURN);
  return wrapped >= TURN ? 0 : wrapped;
}

/** The same direction in [−π, π), radians: the short way round. */
export function wrapHalfTurn(angle: number): number {
  return angle - TURN * Math.floor((angle + Math.PI) / TURN);
}
