/** Where a ray from (x, y) along (dx, dy) first meets an outline, m; Infinity if it does not. */
export function rayTo(outline: Float64Array, x: number, y: number, dx: number, dy: number): number {
  let least = Infinity;
  let ax = outline[outline.length - 2]!;
  let ay = outline[outline.length - 1]!;
  for (let i = 0; i < outline.length; i += 2) {
    const bx = outline[i]!;
    const by = outline[i + 1]!;
    const ex = bx - ax;
    const ey = by - ay;
    const cross = dx * ey - dy * ex;
    if (cross !== 0) {
      const t = ((ax - x) * ey - (ay - y) * ex) / cross;
      const s = ((ax - x) * dy - (ay - y) * dx) / cross;
      if (t >= 0 && s >= 0 && s <= 1 && t < least) least = t;
    }
    ax = bx;
    ay = by;
  }
  return least;
}
