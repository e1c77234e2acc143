import type { HullShape, TouchElements } from '../craft';
import { NEAREST, NEAREST_COLUMNS, nearestOnRing } from '../math';
import { GROUND } from './ground';
import { boxDistance, type Shore } from './shore';

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

export function noClearance(): Clearance {
  return { distance: Infinity, obstacle: -1, x: 0, y: 0 };
}

/** As near as the nearest and this much more is kept an eye on, m. */
const ABOUT_M = 1;

/** Columns of a finding while it is being looked for. */
const FOUND = { DISTANCE: 0, X: 1, Y: 2 } as const;
/**
 * Columns of the memory: how far the boat's furthest point can have moved so far, where she is, and how far she may
 * have moved before anything not listed as near can have come nearest.
 */
const PAST = {
  TRAVELLED: 0,
  X: 1,
  Y: 2,
  HEADING: 3,
  SAFE: 4,
  SIN: 5,
  COS: 6,
  MOVED: 7,
} as const;
const PAST_COLUMNS = 8;

/**
 * Memory of a run of clearances: how far each obstacle was when last measured, and how far the boat's
 * furthest point can have moved since. What cannot have come nearest is passed over.
 */
export interface ClearanceMemory {
  readonly shapes: readonly HullShape[];
  readonly distance: Float64Array;
  readonly odometer: Float64Array;
  readonly past: Float64Array;
  readonly found: Float64Array;
  readonly nearest: Float64Array;
  /** What was nearest on each obstacle last: corner of the boat, or −1 − corner of the obstacle. */
  readonly hint: Int32Array;
  /**
   * What each corner ashore, and each of the boat's from obstacle `cornersOf`, cannot have been under when last looked
   * at, with what had been travelled then added: less what has been travelled now it is a bound still.
   */
  readonly ashore: Float64Array;
  readonly corners: Float64Array;
  cornersOf: number;
  /** What was left out last time, and as a mark each; with other things left out, all is looked at anew. */
  skipped: ReadonlySet<number> | null;
  readonly left: Uint8Array;
  /** What is about as near as the nearest. */
  readonly near: Int32Array;
  nearCount: number;
}

/** @param shapes her side as each obstacle meets it */
export function clearanceMemory(shore: Shore, shapes: readonly HullShape[]): ClearanceMemory {
  return {
    shapes,
    distance: new Float64Array(shore.count).fill(-Infinity),
    odometer: new Float64Array(shore.count),
    past: new Float64Array(PAST_COLUMNS),
    found: new Float64Array(3),
    nearest: new Float64Array(NEAREST_COLUMNS),
    hint: new Int32Array(shore.count),
    ashore: new Float64Array(shore.corners.length / 2).fill(-Infinity),
    corners: new Float64Array((shapes[0]?.ring.length ?? 0) / 2),
    cornersOf: -1,
    skipped: null,
    left: new Uint8Array(shore.count),
    near: new Int32Array(shore.count),
    nearCount: 0,
  };
}

/**
 * Least clearance of a boat from the obstacles not skipped, each met by her side at its own height. Written
 * into `out`; what was nearest there before is tried first.
 *
 * @param boat columns GROUND
 */
export function leastClearance(
  out: Clearance,
  memory: ClearanceMemory,
  touch: TouchElements,
  shore: Shore,
  skip: ReadonlySet<number>,
  boat: Float64Array,
): void {
  const { past, found, distance, odometer } = memory;
  const x = boat[GROUND.X]!;
  const y = boat[GROUND.Y]!;
  const heading = boat[GROUND.HEADING]!;
  const mx = x - past[PAST.X]!;
  const my = y - past[PAST.Y]!;
  const turned = touch.reach * Math.abs(heading - past[PAST.HEADING]!);
  const swung = shore.moved[0]! - past[PAST.MOVED]!;
  const travelled = past[PAST.TRAVELLED]! + Math.sqrt(mx * mx + my * my) + turned + swung + 1e-9;
  past[PAST.MOVED] = shore.moved[0]!;
  past[PAST.TRAVELLED] = travelled;
  past[PAST.X] = x;
  past[PAST.Y] = y;
  past[PAST.HEADING] = heading;
  past[PAST.SIN] = boat[GROUND.SIN]!;
  past[PAST.COS] = boat[GROUND.COS]!;
  const first = out.obstacle;
  const { left, near } = memory;
  const safe = memory.skipped === skip && travelled < past[PAST.SAFE]!;
  if (memory.skipped !== skip) {
    memory.skipped = skip;
    for (let i = 0; i < shore.count; i++) left[i] = skip.has(i) ? 1 : 0;
  }
  let nearest = -1;
  found[FOUND.DISTANCE] = Infinity;
  const count = safe ? memory.nearCount : shore.count;
  for (let k = -1; k < count; k++) {
    const i = k < 0 ? first : safe ? near[k]! : k;
    if (i < 0 || i >= shore.count || (k >= 0 && i === first) || left[i] === 1) continue;
    const before = found[FOUND.DISTANCE]!;
    if (distance[i]! - (travelled - odometer[i]!) >= before) continue;
    distance[i] = measure(memory, touch, shore, i);
    odometer[i] = travelled;
    if (found[FOUND.DISTANCE]! < before) nearest = i;
  }
  out.distance = found[FOUND.DISTANCE]!;
  out.obstacle = nearest;
  out.x = found[FOUND.X]!;
  out.y = found[FOUND.Y]!;
  if (!safe) listNear(memory, out.distance);
}

/** Lists what is about as near as the nearest; the rest need not be looked at until she has gone half its lead. */
function listNear(memory: ClearanceMemory, least: number): void {
  const { past, distance, odometer, left, near } = memory;
  const travelled = past[PAST.TRAVELLED]!;
  let rest = Infinity;
  let count = 0;
  for (let i = 0; i < distance.length; i++) {
    if (left[i] === 1) continue;
    const bound = distance[i]! - (travelled - odometer[i]!);
    if (bound < least + ABOUT_M) near[count++] = i;
    else if (bound < rest) rest = bound;
  }
  memory.nearCount = count;
  // The nearest may have gone as far off as another has come near.
  past[PAST.SAFE] = travelled + (rest - least) / 2;
}

/** One obstacle: its distance, or a bound that it cannot be under. Nearer than what was found is written there. */
function measure(memory: ClearanceMemory, touch: TouchElements, shore: Shore, i: number): number {
  const { found, nearest, past, ashore } = memory;
  const x = past[PAST.X]!;
  const y = past[PAST.Y]!;
  const bound = boxDistance(shore.box, i, x, y) - touch.reach;
  if (bound >= found[FOUND.DISTANCE]!) return bound;
  if (shore.solid[i] !== 1) return fromPile(memory, touch, shore, i);
  const { corners } = shore;
  const from = shore.start[i]!;
  const to = shore.start[i + 1]!;
  nearest[NEAREST.FROM_X] = x;
  nearest[NEAREST.FROM_Y] = y;
  nearestOnRing(nearest, corners, from, to, shore.turn[i]!, shore.edges, from, to - from);
  const fromMiddle = nearest[NEAREST.DISTANCE]! - touch.reach;
  if (fromMiddle >= found[FOUND.DISTANCE]!) return fromMiddle;
  const hint = memory.hint[i]!;
  // The last nearest first: the closer the first guess, the more is ruled out unseen.
  if (hint >= 0) fromHull(memory, shore, i, hint);
  else fromShore(memory, touch, shore, i, -1 - hint);
  if (memory.cornersOf !== i) {
    memory.cornersOf = i;
    memory.corners.fill(-Infinity);
  }
  const travelled = past[PAST.TRAVELLED]!;
  const known = memory.corners;
  const { steps } = memory.shapes[i]!;
  let least = Infinity;
  // Distance changes by no more than one goes: a corner far off rules out its neighbours, and itself for a while.
  let under = -Infinity;
  for (let c = 0; c < known.length; c++) {
    under = Math.max(under - steps[c]!, known[c]! - travelled);
    if (under < found[FOUND.DISTANCE]! && under < least) under = fromHull(memory, shore, i, c);
    known[c] = under + travelled;
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
  return least;
}

/** A corner of the boat's outline against a solid: its distance. */
function fromHull(memory: ClearanceMemory, shore: Shore, i: number, corner: number): number {
  const { found, nearest, past } = memory;
  const sin = past[PAST.SIN]!;
  const cos = past[PAST.COS]!;
  const { ring } = memory.shapes[i]!;
  const bx = ring[2 * corner]!;
  const by = ring[2 * corner + 1]!;
  const from = shore.start[i]!;
  const to = shore.start[i + 1]!;
  nearest[NEAREST.FROM_X] = past[PAST.X]! + bx * sin + by * cos;
  nearest[NEAREST.FROM_Y] = past[PAST.Y]! + bx * cos - by * sin;
  nearestOnRing(nearest, shore.corners, from, to, shore.turn[i]!, shore.edges, from, to - from);
  const distance = nearest[NEAREST.DISTANCE]!;
  if (distance < found[FOUND.DISTANCE]!) {
    keep(found, distance, bx, by);
    memory.hint[i] = corner;
  }
  return distance;
}

/** A solid's corner against the hull's side: its distance, or a bound under it. */
function fromShore(
  memory: ClearanceMemory,
  touch: TouchElements,
  shore: Shore,
  i: number,
  corner: number,
): number {
  const { found, past } = memory;
  const before = found[FOUND.DISTANCE]!;
  const dx = shore.corners[2 * corner]! - past[PAST.X]!;
  const dy = shore.corners[2 * corner + 1]! - past[PAST.Y]!;
  const distance = towardsSide(memory, touch, i, dx, dy, 0);
  if (distance < before) memory.hint[i] = -1 - corner;
  return distance;
}

function fromPile(memory: ClearanceMemory, touch: TouchElements, shore: Shore, i: number): number {
  const dx = shore.round[3 * i]! - memory.past[PAST.X]!;
  const dy = shore.round[3 * i + 1]! - memory.past[PAST.Y]!;
  return towardsSide(memory, touch, i, dx, dy, shore.round[3 * i + 2]!);
}

/** A corner or pile ashore, (dx, dy) from midships, against the hull's side: its distance, or a bound under it. */
function towardsSide(
  memory: ClearanceMemory,
  touch: TouchElements,
  i: number,
  dx: number,
  dy: number,
  radius: number,
): number {
  const { found, nearest, past } = memory;
  const sin = past[PAST.SIN]!;
  const cos = past[PAST.COS]!;
  const bx = dx * sin + dy * cos;
  const by = dx * cos - dy * sin;
  const bound = boxDistance(touch.deckBox, 0, bx, by) - radius;
  if (bound >= found[FOUND.DISTANCE]!) return bound;
  const { ring } = memory.shapes[i]!;
  const sides = ring.length / 2;
  nearest[NEAREST.FROM_X] = bx;
  nearest[NEAREST.FROM_Y] = by;
  nearestOnRing(nearest, ring, 0, sides, touch.deckTurn, touch.deckEdges, 0, sides);
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
