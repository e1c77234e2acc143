const TURN = 2 * Math.PI;

/** The same direction in [0, 2π), radians. */
export function wrapTurn(angle: number): number {
  const wrapped = angle - TURN * Math.floor(angle / TURN);
  // Rounding can leave a hair below nought or a whole turn.
  return wrapped >= TURN || wrapped < 0 ? 0 : wrapped;
}

/** The same direction in [−π, π), radians: the short way round. */
export function wrapHalfTurn(angle: number): number {
  return wrapTurn(angle + Math.PI) - Math.PI;
}
