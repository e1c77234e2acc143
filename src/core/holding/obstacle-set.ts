import { everyEdge, signedArea, type FlatPoints } from '../math';
import type { Obstacle } from './obstacles';

/** Everything a boat can touch, as flat arrays for the step; in the order of the obstacles it was made from. */
export interface ObstacleSet {
  /** What it was made from. */
  readonly obstacles: readonly Obstacle[];
  readonly count: number;
  /** Corners of all solids, x, y; those of obstacle i run from number start[i] to before start[i + 1]. */
  readonly corners: Float64Array;
  readonly start: Int32Array;
  /** Every edge's number, for looking at whole rings. */
  readonly edges: Int32Array;
  /** Distance of each corner from the one before it in the list, m; 0 for a ring's first. */
  readonly steps: Float64Array;
  /** Of each corner: 1 where it sticks out, so that it can meet a side of the boat between its corners. */
  readonly sharp: Uint8Array;
  /** +1 when they run anticlockwise, −1 clockwise. */
  readonly turn: Int8Array;
  /** Least and greatest x and y, at 4 i: west, south, east, north. */
  readonly box: Float64Array;
  /** Centre and radius of a pile at 3 i; radius 0 for a solid. */
  readonly round: Float64Array;
  readonly solid: Uint8Array;
  readonly friction: Float64Array;
  readonly stiffness: Float64Array;
  /** How far anything of it has moved so far, m, all together: gates' leaves swing. */
  readonly moved: Float64Array;
}

/** Less of a bend than this is none, rad: a straight face may be drawn in pieces. */
const BEND = 1e-3;

function markSharp(sharp: Uint8Array, ring: FlatPoints, from: number, turn: number): void {
  const count = ring.length / 2;
  for (let c = 0; c < count; c++) {
    const before = 2 * ((c + count - 1) % count);
    const after = 2 * ((c + 1) % count);
    const inX = ring[2 * c]! - ring[before]!;
    const inY = ring[2 * c + 1]! - ring[before + 1]!;
    const outX = ring[after]! - ring[2 * c]!;
    const outY = ring[after + 1]! - ring[2 * c + 1]!;
    const cross = turn * (inX * outY - inY * outX);
    const dot = inX * outX + inY * outY;
    // A place drawn twice bends nowhere by itself; neither neighbour alone tells, so it counts.
    const known = (inX !== 0 || inY !== 0) && (outX !== 0 || outY !== 0);
    sharp[from + c] = !known || cross > BEND * Math.abs(dot) || (dot < 0 && cross >= 0) ? 1 : 0;
  }
}

export function obstacleSetOf(obstacles: readonly Obstacle[]): ObstacleSet {
  const start = new Int32Array(obstacles.length + 1);
  obstacles.forEach(({ outline }, i) => {
    start[i + 1] = start[i]! + (outline ? outline.length / 2 : 0);
  });
  const corners = new Float64Array(2 * start[obstacles.length]!);
  obstacles.forEach(({ outline }, i) => outline && corners.set(outline, 2 * start[i]!));
  const steps = new Float64Array(start[obstacles.length]!);
  obstacles.forEach((_, i) => {
    for (let c = start[i]! + 1; c < start[i + 1]!; c++) {
      const dx = corners[2 * c]! - corners[2 * c - 2]!;
      const dy = corners[2 * c + 1]! - corners[2 * c - 1]!;
      steps[c] = Math.sqrt(dx * dx + dy * dy);
    }
  });
  const turn = Int8Array.from(obstacles, ({ outline }) =>
    outline && signedArea(outline) < 0 ? -1 : 1,
  );
  const sharp = new Uint8Array(start[obstacles.length]!);
  obstacles.forEach(({ outline }, i) => {
    if (outline) markSharp(sharp, outline, start[i]!, turn[i]!);
  });
  return {
    obstacles,
    count: obstacles.length,
    corners,
    start,
    edges: everyEdge(start[obstacles.length]!),
    steps,
    sharp,
    turn,
    box: Float64Array.from(obstacles.flatMap((o) => [o.minX, o.minY, o.maxX, o.maxY])),
    round: Float64Array.from(obstacles.flatMap((o) => [o.x, o.y, o.radius])),
    solid: Uint8Array.from(obstacles, ({ outline }) => (outline ? 1 : 0)),
    friction: Float64Array.from(obstacles, (o) => o.friction),
    stiffness: Float64Array.from(obstacles, (o) => o.stiffness),
    moved: new Float64Array(1),
  };
}

/**
 * How far (x, y) is from the `i`th box, m: negative inside, by the depth. What a box holds
 * is no nearer than this, and nothing is deeper in it.
 */
export function boxDistance(box: Float64Array, i: number, x: number, y: number): number {
  const across = Math.max(box[4 * i]! - x, x - box[4 * i + 2]!);
  const along = Math.max(box[4 * i + 1]! - y, y - box[4 * i + 3]!);
  const dx = across > 0 ? across : 0;
  const dy = along > 0 ? along : 0;
  if (dx === 0 && dy === 0) return across > along ? across : along;
  return Math.sqrt(dx * dx + dy * dy);
}

/** Is (x, y) further from the `i`th box than `by`, m, along one of its sides? A look without a root, for many places. */
export function outOfBox(box: Float64Array, i: number, x: number, y: number, by: number): boolean {
  const at = 4 * i;
  return (
    x < box[at]! - by || x > box[at + 2]! + by || y < box[at + 1]! - by || y > box[at + 3]! + by
  );
}
