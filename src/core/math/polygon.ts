/** Plane geometry on flat arrays of points: x0, y0, x1, y1, … metres. Polygons close themselves. */
export type FlatPoints = Float64Array;

/** Signed area of a polygon, m²; positive when its points run anticlockwise. */
export function signedArea(points: FlatPoints): number {
  let doubled = 0;
  for (let i = 0, j = points.length - 2; i < points.length; j = i, i += 2) {
    doubled += points[j]! * points[i + 1]! - points[i]! * points[j + 1]!;
  }
  return doubled / 2;
}

/** Result of {@link nearestOnPolygon}: nearest boundary point and signed distance (negative inside). */
export interface Nearest {
  x: number;
  y: number;
  distance: number;
}

/**
 * Nearest point of a polygon's boundary to (px, py), written into `out`.
 * Distance is negative when the point lies inside (even-odd rule).
 */
export function nearestOnPolygon(out: Nearest, points: FlatPoints, px: number, py: number): void {
  let best = Infinity;
  let inside = false;
  const n = points.length;
  let ax = points[n - 2]!;
  let ay = points[n - 1]!;
  for (let i = 0; i < n; i += 2) {
    const bx = points[i]!;
    const by = points[i + 1]!;
    const ex = bx - ax;
    const ey = by - ay;
    const length2 = ex * ex + ey * ey;
    let s = length2 > 0 ? ((px - ax) * ex + (py - ay) * ey) / length2 : 0;
    s = s < 0 ? 0 : s > 1 ? 1 : s;
    const qx = ax + s * ex;
    const qy = ay + s * ey;
    const d2 = (px - qx) * (px - qx) + (py - qy) * (py - qy);
    if (d2 < best) {
      best = d2;
      out.x = qx;
      out.y = qy;
    }
    if (ay > py !== by > py && px < ((bx - ax) * (py - ay)) / (by - ay) + ax) inside = !inside;
    ax = bx;
    ay = by;
  }
  const distance = Math.sqrt(best);
  out.distance = inside ? -distance : distance;
}

/** Does a point lie inside a polygon (even-odd rule)? On its edge it may be told either way. */
export function isInside(points: FlatPoints, px: number, py: number): boolean {
  let inside = false;
  let ax = points[points.length - 2]!;
  let ay = points[points.length - 1]!;
  for (let i = 0; i < points.length; i += 2) {
    const bx = points[i]!;
    const by = points[i + 1]!;
    if (ay > py !== by > py && px < ((bx - ax) * (py - ay)) / (by - ay) + ax) inside = !inside;
    ax = bx;
    ay = by;
  }
  return inside;
}

/** Does a straight line from (ax, ay) to (bx, by) cross the edge of a polygon? */
export function lineCrosses(
  points: FlatPoints,
  ax: number,
  ay: number,
  bx: number,
  by: number,
): boolean {
  const side = (px: number, py: number, qx: number, qy: number, x: number, y: number) =>
    Math.sign((qx - px) * (y - py) - (qy - py) * (x - px));
  let cx = points[points.length - 2]!;
  let cy = points[points.length - 1]!;
  for (let i = 0; i < points.length; i += 2) {
    const dx = points[i]!;
    const dy = points[i + 1]!;
    const apart = side(ax, ay, bx, by, cx, cy) * side(ax, ay, bx, by, dx, dy) < 0;
    if (apart && side(cx, cy, dx, dy, ax, ay) * side(cx, cy, dx, dy, bx, by) < 0) return true;
    cx = dx;
    cy = dy;
  }
  return false;
}

/** Does any edge of one polygon cross another edge of it? Neighbouring edges may share their end. */
export function crossesItself(points: FlatPoints): boolean {
  const n = points.length / 2;
  for (let i = 0; i < n; i++) {
    for (let j = i + 2; j < n; j++) {
      if (i === 0 && j === n - 1) continue;
      if (edgesCross(points, i, (i + 1) % n, j, (j + 1) % n)) return true;
    }
  }
  return false;
}

function edgesCross(p: FlatPoints, a: number, b: number, c: number, d: number): boolean {
  const side = (i: number, j: number, k: number) =>
    Math.sign(
      (p[2 * j]! - p[2 * i]!) * (p[2 * k + 1]! - p[2 * i + 1]!) -
        (p[2 * j + 1]! - p[2 * i + 1]!) * (p[2 * k]! - p[2 * i]!),
    );
  return side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0;
}
