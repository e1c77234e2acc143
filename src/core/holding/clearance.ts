import type { TouchElements } from '../craft';
import { NEAREST, NEAREST_COLUMNS, nearestOnRing, type FlatPoints } from '../math';
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

/** Columns of a finding while it is being looked for. */
const FOUND = { DISTANCE: 0, X: 1, Y: 2 } as const;
/**
 * Columns of the memory: how far the boat's furthest point can have moved so far, where she was, and how far she may
 * have moved before anything but the nearest can have come nearer than it.
 */
const PAST = { TRAVELLED: 0, X: 1, Y: 2, HEADING: 3, SAFE: 4 } as const;

/**
 * Memory of a run of clearances: how far each obstacle was when last measured, and how far the boat's
 * furthest point can have moved since. What cannot have come nearest is passed over.
 */
export interface ClearanceMemory {
  readonly distance: Float64Array;
  readonly odometer: Float64Array;
  readonly past: Float64Array;
  readonly found: Float64Array;
  readonly nearest: Float64Array;
  /** What was nearest on each obstacle last: corner of the boat, or −1 − corner of the obstacle. */
  readonly hint: Int32Array;
  /** What was left out last time: with other things left out, all is looked at anew. */
  skipped: ReadonlySet<number> | null;
}

export function clearanceMemory(obstacles: number): ClearanceMemory {
  return {
    distance: new Float64Array(obstacles).fill(-Infinity),
    odometer: new Float64Array(obstacles),
    past: new Float64Array(5),
    found: new Float64Array(3),
    nearest: new Float64Array(NEAREST_COLUMNS),
    hint: new Int32Array(obstacles),
    skipped: null,
  };
}

/**
 * Least clearance of a boat at (x, y) on a heading (rad, with its sine and cosine) from the obstacles
 * not skipped. `outline` in body axes, `touch` its reach and box. Written into `out`; what was
 * nearest there before is tried first.
 */
export function leastClearance(
  out: Clearance,
  memory: ClearanceMemory,
  outline: FlatPoints,
  touch: TouchElements,
  shore: Shore,
  skip: ReadonlySet<number>,
  x: number,
  y: number,
  heading: number,
  sin: number,
  cos: number,
): void {
  const { past, found, distance, odometer } = memory;
  const mx = x - past[PAST.X]!;
  const my = y - past[PAST.Y]!;
  const turned = touch.reach * Math.abs(heading - past[PAST.HEADING]!);
  const travelled = past[PAST.TRAVELLED]! + Math.sqrt(mx * mx + my * my) + turned + 1e-9;
  past[PAST.TRAVELLED] = travelled;
  past[PAST.X] = x;
  past[PAST.Y] = y;
  past[PAST.HEADING] = heading;
  const first = out.obstacle;
  let nearest = -1;
  found[FOUND.DISTANCE] = Infinity;
  if (first >= 0 && memory.skipped === skip && travelled < past[PAST.SAFE]!) {
    distance[first] = measure(memory, outline, touch, shore, first, x, y, sin, cos);
    odometer[first] = travelled;
    out.distance = found[FOUND.DISTANCE]!;
    out.x = found[FOUND.X]!;
    out.y = found[FOUND.Y]!;
    return;
  }
  memory.skipped = skip;
  for (let k = -1; k < shore.count; k++) {
    const i = k < 0 ? first : k;
    if (i < 0 || i >= shore.count || (k >= 0 && k === first)) continue;
    const least = distance[i]! - (travelled - odometer[i]!);
    if (least >= found[FOUND.DISTANCE]! || skip.has(i)) continue;
    const before = found[FOUND.DISTANCE]!;
    distance[i] = measure(memory, outline, touch, shore, i, x, y, sin, cos);
    odometer[i] = travelled;
    if (found[FOUND.DISTANCE]! < before) nearest = i;
  }
  out.distance = found[FOUND.DISTANCE]!;
  out.obstacle = nearest;
  let next = Infinity;
  for (let i = 0; i < shore.count; i++) {
    if (i === nearest || skip.has(i)) continue;
    const least = distance[i]! - (travelled - odometer[i]!);
    if (least < next) next = least;
  }
  // The nearest may have gone as far off as the other has come near.
  past[PAST.SAFE] = travelled + (next - out.distance) / 2;
  out.x = found[FOUND.X]!;
  out.y = found[FOUND.Y]!;
}

/** One obstacle: its distance, or a bound that it cannot be under. Nearer than what was found is written there. */
function measure(
  memory: ClearanceMemory,
  outline: FlatPoints,
  touch: TouchElements,
  shore: Shore,
  i: number,
  x: number,
  y: number,
  sin: number,
  cos: number,
): number {
  const { found, nearest } = memory;
  const bound = boxDistance(shore, i, x, y) - touch.reach;
  if (bound >= found[FOUND.DISTANCE]!) return bound;
  if (shore.solid[i] !== 1) {
    const dx = shore.round[3 * i]! - x;
    const dy = shore.round[3 * i + 1]! - y;
    return towardsSide(memory, outline, touch, dx, dy, shore.round[3 * i + 2]!, sin, cos);
  }
  const { corners } = shore;
  const from = shore.start[i]!;
  const to = shore.start[i + 1]!;
  const turn = shore.turn[i]!;
  nearest[NEAREST.FROM_X] = x;
  nearest[NEAREST.FROM_Y] = y;
  nearestOnRing(nearest, corners, from, to, turn, shore.edges, from, to - from);
  const fromMiddle = nearest[NEAREST.DISTANCE]! - touch.reach;
  if (fromMiddle >= found[FOUND.DISTANCE]!) return fromMiddle;
  const hint = memory.hint[i]!;
  // The last nearest first: the closer the first guess, the more is ruled out unseen.
  if (hint >= 0) fromHull(memory, outline, shore, i, hint, x, y, sin, cos);
  else fromShore(memory, outline, touch, shore, i, -1 - hint, x, y, sin, cos);
  let least = Infinity;
  // Distance changes by no more than one goes: a corner far off rules out its neighbours.
  let under = -Infinity;
  for (let c = 0; c < outline.length / 2; c++) {
    under -= touch.deckSteps[c]!;
    if (under < found[FOUND.DISTANCE]! && under < least) {
      under = fromHull(memory, outline, shore, i, c, x, y, sin, cos);
    }
    if (under < least) least = under;
  }
  under = -Infinity;
  for (let c = from; c < to; c++) {
    under -= shore.steps[c]!;
    if (under < found[FOUND.DISTANCE]! && under < least) {
      under = fromShore(memory, outline, touch, shore, i, c, x, y, sin, cos);
    }
    if (under < least) least = under;
  }
  return least;
}

/** A corner of the boat's outline against a solid: its distance. */
function fromHull(
  memory: ClearanceMemory,
  outline: FlatPoints,
  shore: Shore,
  i: number,
  corner: number,
  x: number,
  y: number,
  sin: number,
  cos: number,
): number {
  const { found, nearest } = memory;
  const bx = outline[2 * corner]!;
  const by = outline[2 * corner + 1]!;
  const px = x + bx * sin + by * cos;
  const py = y + bx * cos - by * sin;
  const from = shore.start[i]!;
  const to = shore.start[i + 1]!;
  nearest[NEAREST.FROM_X] = px;
  nearest[NEAREST.FROM_Y] = py;
  const turn = shore.turn[i]!;
  nearestOnRing(nearest, shore.corners, from, to, turn, shore.edges, from, to - from);
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
  outline: FlatPoints,
  touch: TouchElements,
  shore: Shore,
  i: number,
  corner: number,
  x: number,
  y: number,
  sin: number,
  cos: number,
): number {
  const before = memory.found[FOUND.DISTANCE]!;
  const dx = shore.corners[2 * corner]! - x;
  const dy = shore.corners[2 * corner + 1]! - y;
  const distance = towardsSide(memory, outline, touch, dx, dy, 0, sin, cos);
  if (distance < before) memory.hint[i] = -1 - corner;
  return distance;
}

/** A corner or pile ashore, (dx, dy) from midships, against the hull's side: its distance, or a bound under it. */
function towardsSide(
  memory: ClearanceMemory,
  outline: FlatPoints,
  touch: TouchElements,
  dx: number,
  dy: number,
  radius: number,
  sin: number,
  cos: number,
): number {
  const { found, nearest } = memory;
  const bx = dx * sin + dy * cos;
  const by = dx * cos - dy * sin;
  const box = touch.deckBox;
  const ox = Math.max(0, box[0]! - bx, bx - box[2]!);
  const oy = Math.max(0, box[1]! - by, by - box[3]!);
  const bound = Math.sqrt(ox * ox + oy * oy) - radius;
  if (bound >= found[FOUND.DISTANCE]!) return bound;
  const sides = outline.length / 2;
  nearest[NEAREST.FROM_X] = bx;
  nearest[NEAREST.FROM_Y] = by;
  nearestOnRing(nearest, outline, 0, sides, touch.deckTurn, touch.deckEdges, 0, sides);
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
