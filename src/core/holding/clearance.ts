import { nearestOnPolygon, type FlatPoints, type Nearest } from '../math';
import { boxDistance, type Obstacle } from './obstacles';

/** Least distance between a boat's outline and an obstacle, and where on the boat. */
export interface Clearance {
  /** m; negative when they overlap. */
  distance: number;
  /** Index of the obstacle, −1 if there is none. */
  obstacle: number;
  /** Body coordinates of the nearest place on the boat, m. */
  x: number;
  y: number;
}

const nothing: Clearance = { distance: Infinity, obstacle: -1, x: 0, y: 0 };

export function noClearance(): Clearance {
  return { ...nothing };
}

/**
 * Least clearance of a boat at (x, y) with heading's sine and cosine from the obstacles not skipped.
 * `outline` in body axes. Written into `out`; what was nearest there before is tried first, which
 * lets most of the others be passed over.
 */
export function leastClearance(
  out: Clearance,
  work: Nearest,
  outline: FlatPoints,
  reach: number,
  obstacles: readonly Obstacle[],
  skip: ReadonlySet<number>,
  x: number,
  y: number,
  sin: number,
  cos: number,
): void {
  const first = out.obstacle;
  Object.assign(out, nothing);
  for (let k = -1; k < obstacles.length; k++) {
    const i = k < 0 ? first : k;
    if (i < 0 || i >= obstacles.length || (k >= 0 && k === first) || skip.has(i)) continue;
    const obstacle = obstacles[i]!;
    const range = out.distance + reach;
    if (boxDistance(obstacle, x, y) >= range) continue;
    const corners = obstacle.outline;
    if (!corners) {
      towardsSide(out, work, outline, i, obstacle.x - x, obstacle.y - y, obstacle.radius, sin, cos);
      continue;
    }
    nearestOnPolygon(work, corners, x, y);
    if (work.distance >= range) continue;
    for (let c = 0; c < corners.length; c += 2) {
      const dx = corners[c]! - x;
      const dy = corners[c + 1]! - y;
      const near = out.distance + reach;
      if (dx * dx + dy * dy < near * near) towardsSide(out, work, outline, i, dx, dy, 0, sin, cos);
    }
    for (let c = 0; c < outline.length; c += 2) {
      const bx = outline[c]!;
      const by = outline[c + 1]!;
      nearestOnPolygon(work, corners, x + bx * sin + by * cos, y + bx * cos - by * sin);
      if (work.distance < out.distance) keep(out, work.distance, i, bx, by);
    }
  }
}

/** A corner or pile ashore, (dx, dy) from midships, against the hull's side. */
function towardsSide(
  out: Clearance,
  work: Nearest,
  outline: FlatPoints,
  obstacle: number,
  dx: number,
  dy: number,
  radius: number,
  sin: number,
  cos: number,
): void {
  nearestOnPolygon(work, outline, dx * sin + dy * cos, dx * cos - dy * sin);
  const distance = work.distance - radius;
  if (distance < out.distance) keep(out, distance, obstacle, work.x, work.y);
}

function keep(out: Clearance, distance: number, obstacle: number, x: number, y: number): void {
  out.distance = distance;
  out.obstacle = obstacle;
  out.x = x;
  out.y = y;
}
