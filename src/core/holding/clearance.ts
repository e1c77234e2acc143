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
 * Memory of a run of clearances: how far each obstacle was when last measured, and how far the boat's
 * furthest point can have moved since. What cannot have come nearest is passed over.
 */
export interface ClearanceMemory {
  readonly distance: Float64Array;
  readonly odometer: Float64Array;
  travelled: number;
  x: number;
  y: number;
  heading: number;
  readonly work: Nearest;
}

export function clearanceMemory(obstacles: number): ClearanceMemory {
  return {
    distance: new Float64Array(obstacles).fill(-Infinity),
    odometer: new Float64Array(obstacles),
    travelled: 0,
    x: 0,
    y: 0,
    heading: 0,
    work: { x: 0, y: 0, distance: 0 },
  };
}

/**
 * Least clearance of a boat at (x, y) on a heading (rad, with its sine and cosine) from the obstacles
 * not skipped. `outline` in body axes, `reach` its furthest point. Written into `out`; what was
 * nearest there before is tried first.
 */
export function leastClearance(
  out: Clearance,
  memory: ClearanceMemory,
  outline: FlatPoints,
  reach: number,
  obstacles: readonly Obstacle[],
  skip: ReadonlySet<number>,
  x: number,
  y: number,
  heading: number,
  sin: number,
  cos: number,
): void {
  const mx = x - memory.x;
  const my = y - memory.y;
  memory.travelled +=
    Math.sqrt(mx * mx + my * my) + reach * Math.abs(heading - memory.heading) + 1e-9;
  memory.x = x;
  memory.y = y;
  memory.heading = heading;
  const first = out.obstacle;
  Object.assign(out, nothing);
  for (let k = -1; k < obstacles.length; k++) {
    const i = k < 0 ? first : k;
    if (i < 0 || i >= obstacles.length || (k >= 0 && k === first) || skip.has(i)) continue;
    const least = memory.distance[i]! - (memory.travelled - memory.odometer[i]!);
    if (least >= out.distance) continue;
    const found = measure(out, memory.work, outline, reach, obstacles[i]!, i, x, y, sin, cos);
    memory.distance[i] = found;
    memory.odometer[i] = memory.travelled;
  }
}

/** One obstacle: its distance, or a bound that it cannot be under. Nearer than `out` is written there. */
function measure(
  out: Clearance,
  work: Nearest,
  outline: FlatPoints,
  reach: number,
  obstacle: Obstacle,
  i: number,
  x: number,
  y: number,
  sin: number,
  cos: number,
): number {
  const bound = boxDistance(obstacle, x, y) - reach;
  if (bound >= out.distance) return bound;
  const corners = obstacle.outline;
  if (!corners) {
    const dx = obstacle.x - x;
    const dy = obstacle.y - y;
    return towardsSide(out, work, outline, i, dx, dy, obstacle.radius, sin, cos);
  }
  nearestOnPolygon(work, corners, x, y);
  const fromMiddle = work.distance - reach;
  if (fromMiddle >= out.distance) return fromMiddle;
  let least = Infinity;
  for (let c = 0; c < corners.length; c += 2) {
    const dx = corners[c]! - x;
    const dy = corners[c + 1]! - y;
    const bare = Math.sqrt(dx * dx + dy * dy) - reach;
    const found =
      bare < Math.min(least, out.distance)
        ? towardsSide(out, work, outline, i, dx, dy, 0, sin, cos)
        : bare;
    if (found < least) least = found;
  }
  for (let c = 0; c < outline.length; c += 2) {
    const bx = outline[c]!;
    const by = outline[c + 1]!;
    const px = x + bx * sin + by * cos;
    const py = y + bx * cos - by * sin;
    if (boxDistance(obstacle, px, py) >= least) continue;
    nearestOnPolygon(work, corners, px, py);
    if (work.distance < least) least = work.distance;
    if (work.distance < out.distance) keep(out, work.distance, i, bx, by);
  }
  return least;
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
): number {
  nearestOnPolygon(work, outline, dx * sin + dy * cos, dx * cos - dy * sin);
  const distance = work.distance - radius;
  if (distance < out.distance) keep(out, distance, obstacle, work.x, work.y);
  return distance;
}

function keep(out: Clearance, distance: number, obstacle: number, x: number, y: number): void {
  out.distance = distance;
  out.obstacle = obstacle;
  out.x = x;
  out.y = y;
}
