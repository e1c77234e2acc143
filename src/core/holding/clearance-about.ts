import type { TouchElements } from '../boat';
import { NEAREST, nearestOnRing, type FlatPoints } from '../math';
import { ABOUT, aboutSolid, FOUND, PAST, type ClearanceMemory } from './clearance-memory';
import { boxDistance, type ObstacleSet } from './obstacle-set';

/** Edges this much further off than the nearest are looked at with it, m, and corners. */
const EDGES_M = 3;
const CORNERS_M = 1.5;

/** A solid's distance, or a bound it cannot be under. */
export function toSolid(
  memory: ClearanceMemory,
  touch: TouchElements,
  shore: ObstacleSet,
  i: number,
): number {
  const about = aboutSolid(memory, i);
  if (about.of === i && memory.past[PAST.TRAVELLED]! < about.row[ABOUT.UNTIL]!) {
    tryLast(memory, touch, shore, i);
    return throughAbout(memory, touch, shore, i);
  }
  lookAbout(memory, touch, shore, i);
  return throughAll(memory, touch, shore, i);
}

/** The last nearest first: the closer the first guess, the more is ruled out unseen. */
function tryLast(
  memory: ClearanceMemory,
  touch: TouchElements,
  shore: ObstacleSet,
  i: number,
): void {
  const hint = memory.hint[i]!;
  if (hint >= 0) fromHull(memory, shore, i, hint);
  else fromShore(memory, touch, shore, i, -1 - hint);
}

/** Begins anew with an obstacle: which of its edges can be nearest to anything of the boat for a while. */
function lookAbout(
  memory: ClearanceMemory,
  touch: TouchElements,
  shore: ObstacleSet,
  i: number,
): void {
  const { found, nearest, past } = memory;
  const about = memory.about[0]!;
  const from = shore.start[i]!;
  const to = shore.start[i + 1]!;
  if (about.of !== i) about.corners.fill(-Infinity);
  about.of = i;
  about.edgeCount = to - from;
  for (let e = from; e < to; e++) about.edges[e - from] = e;
  about.row[ABOUT.LIMIT] = Infinity;
  tryLast(memory, touch, shore, i);
  const travelled = past[PAST.TRAVELLED]!;
  const least = found[FOUND.DISTANCE]!;
  // Of what may lie deep in it every edge counts: which side it is of is told by the nearest.
  const deepest = memory.distance[i]! - (travelled - memory.odometer[i]!);
  if (least < 0 || deepest < -EDGES_M / 2) return;
  const limit = least + EDGES_M;
  about.row[ABOUT.LIMIT] = limit + travelled;
  nearest[NEAREST.FROM_X] = past[PAST.X]!;
  nearest[NEAREST.FROM_Y] = past[PAST.Y]!;
  about.edgeCount = listEdges(about.edges, nearest, shore.corners, from, to, touch.reach + limit);
}

/** Lists the edges of a ring no further from a place (FROM of `nearest`) than `limit`: how many. */
function listEdges(
  edges: Int32Array,
  nearest: Float64Array,
  points: FlatPoints,
  from: number,
  to: number,
  limit: number,
): number {
  let count = 0;
  for (let e = from; e < to; e++) {
    edges[count] = e;
    nearestOnRing(nearest, points, from, to, 1, edges, count, 1);
    if (Math.abs(nearest[NEAREST.DISTANCE]!) <= limit) count++;
  }
  return count;
}

/** Every corner of the boat and of the obstacle, and which of them can be nearest for a while. */
function throughAll(
  memory: ClearanceMemory,
  touch: TouchElements,
  shore: ObstacleSet,
  i: number,
): number {
  const { found, past, ashore } = memory;
  const about = memory.about[0]!;
  const { corners } = about;
  const travelled = past[PAST.TRAVELLED]!;
  const from = shore.start[i]!;
  const to = shore.start[i + 1]!;
  const { steps } = memory.shapes[i]!;
  let least = Infinity;
  // Distance changes by no more than one goes: a corner far off rules out its neighbours, and itself for a while.
  let under = -Infinity;
  for (let c = 0; c < corners.length; c++) {
    under = Math.max(under - steps[c]!, corners[c]! - travelled);
    if (under < found[FOUND.DISTANCE]! && under < least) under = fromHull(memory, shore, i, c);
    corners[c] = under + travelled;
    if (under < least) least = under;
  }
  under = -Infinity;
  for (let c = from; c < to; c++) {
    under = Math.max(under - shore.steps[c]!, ashore[c]! - travelled);
    if (under < found[FOUND.DISTANCE]! && under < least)
      under = fromShore(memory, touch, shore, i, c);
    ashore[c] = under + travelled;
    if (under < least) least = under;
  }
  const now = found[FOUND.DISTANCE]!;
  const near = now + CORNERS_M + travelled;
  let rest = Infinity;
  let count = 0;
  for (let c = 0; c < corners.length; c++) {
    if (corners[c]! < near) about.hull[count++] = c;
    else if (corners[c]! < rest) rest = corners[c]!;
  }
  about.hullCount = count;
  count = 0;
  for (let c = from; c < to; c++) {
    if (ashore[c]! < near) about.shore[count++] = c;
    else if (ashore[c]! < rest) rest = ashore[c]!;
  }
  about.shoreCount = count;
  about.row[ABOUT.REST] = rest;
  // The nearest may go as far off as another comes near.
  const lead = Math.min(rest, about.row[ABOUT.LIMIT]!) - travelled - now;
  about.row[ABOUT.UNTIL] = travelled + Math.min(lead / 2, EDGES_M / 4);
  return least;
}

/** The corners listed as near, and no others. */
function throughAbout(
  memory: ClearanceMemory,
  touch: TouchElements,
  shore: ObstacleSet,
  i: number,
): number {
  const { found, past, ashore } = memory;
  const about = memory.about[0]!;
  const { corners } = about;
  const travelled = past[PAST.TRAVELLED]!;
  let least = about.row[ABOUT.REST]! - travelled;
  for (let k = 0; k < about.hullCount; k++) {
    const c = about.hull[k]!;
    let under = corners[c]! - travelled;
    if (under < found[FOUND.DISTANCE]! && under < least) {
      under = fromHull(memory, shore, i, c);
      corners[c] = under + travelled;
    }
    if (under < least) least = under;
  }
  for (let k = 0; k < about.shoreCount; k++) {
    const c = about.shore[k]!;
    let under = ashore[c]! - travelled;
    if (under < found[FOUND.DISTANCE]! && under < least) {
      under = fromShore(memory, touch, shore, i, c);
      ashore[c] = under + travelled;
    }
    if (under < least) least = under;
  }
  return least;
}

/** A corner of the boat's outline against the edges of a solid that are near: its distance, or a bound under it. */
function fromHull(memory: ClearanceMemory, shore: ObstacleSet, i: number, corner: number): number {
  const { found, nearest, past } = memory;
  const about = memory.about[0]!;
  const sin = past[PAST.SIN]!;
  const cos = past[PAST.COS]!;
  const { ring } = memory.shapes[i]!;
  const bx = ring[2 * corner]!;
  const by = ring[2 * corner + 1]!;
  const from = shore.start[i]!;
  const to = shore.start[i + 1]!;
  nearest[NEAREST.FROM_X] = past[PAST.X]! + bx * sin + by * cos;
  nearest[NEAREST.FROM_Y] = past[PAST.Y]! + bx * cos - by * sin;
  const { edges, edgeCount } = about;
  nearestOnRing(nearest, shore.corners, from, to, shore.turn[i]!, edges, 0, edgeCount);
  const distance = nearest[NEAREST.DISTANCE]!;
  if (distance < found[FOUND.DISTANCE]!) {
    keep(found, distance, bx, by);
    memory.hint[i] = corner;
  }
  // What is not listed is no nearer than this.
  const limit = about.row[ABOUT.LIMIT]! - past[PAST.TRAVELLED]!;
  return distance < limit ? distance : limit;
}

/** A solid's corner against the hull's side: its distance, or a bound under it. */
function fromShore(
  memory: ClearanceMemory,
  touch: TouchElements,
  shore: ObstacleSet,
  i: number,
  corner: number,
): number {
  const { found, nearest, past } = memory;
  const { ring } = memory.shapes[i]!;
  const before = found[FOUND.DISTANCE]!;
  const dx = shore.corners[2 * corner]! - past[PAST.X]!;
  const dy = shore.corners[2 * corner + 1]! - past[PAST.Y]!;
  const bx = dx * past[PAST.SIN]! + dy * past[PAST.COS]!;
  const by = dx * past[PAST.COS]! - dy * past[PAST.SIN]!;
  const bound = boxDistance(touch.deckBox, 0, bx, by);
  if (bound >= before) return bound;
  nearest[NEAREST.FROM_X] = bx;
  nearest[NEAREST.FROM_Y] = by;
  const sides = ring.length / 2;
  nearestOnRing(nearest, ring, 0, sides, touch.deckTurn, touch.deckEdges, 0, sides);
  const distance = nearest[NEAREST.DISTANCE]!;
  if (distance < before) {
    keep(found, distance, nearest[NEAREST.X]!, nearest[NEAREST.Y]!);
    memory.hint[i] = -1 - corner;
  }
  return distance;
}

/** A pile's distance from the hull's side, or a bound it cannot be under. */
export function toPile(
  memory: ClearanceMemory,
  touch: TouchElements,
  shore: ObstacleSet,
  i: number,
): number {
  const { pile, found, nearest, past } = memory;
  const radius = shore.round[3 * i + 2]!;
  const dx = shore.round[3 * i]! - past[PAST.X]!;
  const dy = shore.round[3 * i + 1]! - past[PAST.Y]!;
  const bx = dx * past[PAST.SIN]! + dy * past[PAST.COS]!;
  const by = dx * past[PAST.COS]! - dy * past[PAST.SIN]!;
  const bound = boxDistance(touch.deckBox, 0, bx, by) - radius;
  if (bound >= found[FOUND.DISTANCE]!) return bound;
  const { ring } = memory.shapes[i]!;
  const sides = ring.length / 2;
  const travelled = past[PAST.TRAVELLED]!;
  nearest[NEAREST.FROM_X] = bx;
  nearest[NEAREST.FROM_Y] = by;
  if (pile.of !== i || travelled >= pile.until[0]!) {
    nearestOnRing(nearest, ring, 0, sides, touch.deckTurn, touch.deckEdges, 0, sides);
    const limit = Math.abs(nearest[NEAREST.DISTANCE]!) + EDGES_M;
    pile.of = i;
    pile.count = listEdges(pile.sides, nearest, ring, 0, sides, limit);
    // The nearest may go as far off as another comes near.
    pile.until[0] = travelled + EDGES_M / 2;
  }
  nearestOnRing(nearest, ring, 0, sides, touch.deckTurn, pile.sides, 0, pile.count);
  const distance = nearest[NEAREST.DISTANCE]! - radius;
  if (distance < found[FOUND.DISTANCE]!)
    keep(found, distance, nearest[NEAREST.X]!, nearest[NEAREST.Y]!);
  return distance;
}

function keep(found: Float64Array, distance: number, x: number, y: number): void {
  found[FOUND.DISTANCE] = distance;
  found[FOUND.X] = x;
  found[FOUND.Y] = y;
}
