import type { FlatPoints } from './polygon';

/**
 * A search over edges as a row: nearest point and signed distance (negative inside) found, and the place
 * asked for. Handed over in the row because numbers passed to a function that is not inlined are boxed.
 */
export const NEAREST = { X: 0, Y: 1, DISTANCE: 2, FROM_X: 3, FROM_Y: 4 } as const;
export const NEAREST_COLUMNS = 5;

// Two edges that share the nearest corner are as near but for rounding.
const SAME = 1e-12;

/** The numbers of all edges of all rings, for looking at whole ones. */
export function everyEdge(corners: number): Int32Array {
  return Int32Array.from({ length: corners }, (_, i) => i);
}

/**
 * Nearest point to (FROM_X, FROM_Y) on some edges of a ring of corners, edge e going from corner e to the next.
 * Inside or outside is told by the nearest edge; at a corner by the edge that lies more squarely.
 *
 * @param points corners x0, y0, x1, y1, … of all rings; the ring's run from number `from` to before `to`
 * @param turn +1 when the ring runs anticlockwise, −1 clockwise
 * @param edges numbers of the edges to look at, `count` of them from place `first`
 */
export function nearestOnRing(
  out: Float64Array,
  points: FlatPoints,
  from: number,
  to: number,
  turn: number,
  edges: Int32Array,
  first: number,
  count: number,
): void {
  const px = out[NEAREST.FROM_X]!;
  const py = out[NEAREST.FROM_Y]!;
  let best = Infinity;
  // How squarely the nearest edge lies, as a fraction: divided out only where it matters.
  let lean = 0;
  let leanOver = 1;
  let side = 0;
  for (let k = first; k < first + count; k++) {
    const a = edges[k]!;
    const b = a + 1 === to ? from : a + 1;
    const ax = points[2 * a]!;
    const ay = points[2 * a + 1]!;
    const ex = points[2 * b]! - ax;
    const ey = points[2 * b + 1]! - ay;
    const length2 = ex * ex + ey * ey;
    if (length2 === 0) continue;
    const wx = px - ax;
    const wy = py - ay;
    let s = (wx * ex + wy * ey) / length2;
    s = s < 0 ? 0 : s > 1 ? 1 : s;
    const qx = wx - s * ex;
    const qy = wy - s * ey;
    const d2 = qx * qx + qy * qy;
    if (d2 > best * (1 + SAME)) continue;
    const cross = ex * wy - ey * wx;
    if (d2 >= best * (1 - SAME) && cross * cross * leanOver <= lean * length2) continue;
    lean = cross * cross;
    leanOver = length2;
    side = cross * turn;
    best = d2;
    out[NEAREST.X] = ax + s * ex;
    out[NEAREST.Y] = ay + s * ey;
  }
  const distance = Math.sqrt(best);
  // Left of an anticlockwise edge is inside.
  out[NEAREST.DISTANCE] = side > 0 ? -distance : distance;
}
