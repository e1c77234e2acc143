import type { Craft, HullShape, TouchElements } from '../boat';
import { NEAREST, NEAREST_COLUMNS, nearestOnRing } from '../math';
import { GROUND } from './ground';
import { boxDistance, outOfBox, type ObstacleSet } from './obstacle-set';

/** Most touches looked at in one instant, and edges near them. */
export const SLOTS = 256;
const EDGE_SLOTS = 2048;
/** Pairs this close are listed, m, or as close as a fast boat may come in one step; the list holds until it has moved about as far. */
const PAIR_RANGE_M = 0.24;
/** Kept in hand when deciding that nothing can touch yet, m. */
export const IN_HAND_M = 0.02;
/** Element number of a touch where an obstacle's corner or a pile meets the hull between elements. */
export const HULL_SIDE = -1;

/** Numbers of a pair list: where the boat was when it was made, the least gap then, how far it may be from there now, how far it may go in the step, how near the listed pairs were, how long the step and the piece of it in hand are, how far things ashore had moved when it was made, how deep a pair has to be for all of it to be noted, and how far things ashore had moved when the faces were set. */
export const LIST = {
  X: 0,
  Y: 1,
  HEADING: 2,
  LEAST_GAP: 3,
  FAR: 4,
  TRAVEL: 5,
  RANGE: 6,
  SECONDS: 7,
  PIECE: 8,
  MOVED: 9,
  NOTED: 10,
  FACED: 11,
} as const;
const LIST_COLUMNS = 12;

/** Columns of a face that is one straight edge: a place on it, and the way out of it; in the place's axes. */
export const FACE = { X: 0, Y: 1, OUT_X: 2, OUT_Y: 3 } as const;
export const FACE_COLUMNS = 4;

/**
 * Friction that acts faster than the piece of the step in hand, times that piece: what the accelerations have to be held
 * back by, kg, kg m and kg m². The symmetric matrix by its upper half; surge, sway, yaw.
 */
export const STICK = { UU: 0, UV: 1, UR: 2, VV: 3, VR: 4, RR: 5 } as const;
const STICK_COLUMNS = 6;

/** Touches found in one evaluation, and working memory. Reused every time. */
export interface TouchScratch {
  /** The boat's side as each obstacle meets it. */
  readonly shapes: readonly HullShape[];
  count: number;
  readonly element: Int32Array;
  readonly obstacle: Int32Array;
  /** Body coordinates of the touch, m, and the inward normal in body axes. */
  readonly x: Float64Array;
  readonly y: Float64Array;
  readonly nx: Float64Array;
  readonly ny: Float64Array;
  readonly depth: Float64Array;
  readonly approach: Float64Array;
  readonly normalForce: Float64Array;
  /** Friction, N, along (−ny, nx), the most there can be, N, and what of it the accelerations are held back by, kg (see addStick). */
  readonly rub: Float64Array;
  readonly mostRub: Float64Array;
  readonly beyond: Float64Array;
  /** The pairs that can touch during this step, `active` of them, by number. */
  active: number;
  readonly open: Int32Array;
  /**
   * Pairs near one another: an element of the boat (or HULL_SIDE) with an obstacle and, for the hull
   * side, the obstacle's corner (its number; −1 for a pile). Of the other's outline only the edges that
   * can be nearest while the list holds are looked at.
   */
  pairCount: number;
  readonly pairElement: Int32Array;
  readonly pairObstacle: Int32Array;
  readonly pairCorner: Int32Array;
  readonly pairGap: Float64Array;
  /** How deep each pair looked at pressed at the step's beginning, m (under nought: the gap), and how fast it closed, m/s. */
  readonly pairDepth: Float64Array;
  readonly pairApproach: Float64Array;
  readonly pairEdges: Int32Array;
  /** Of an element and an outline of which one edge alone can be nearest: 1, and that edge (columns FACE). */
  readonly pairFlat: Uint8Array;
  readonly faces: Float64Array;
  readonly edges: Int32Array;
  readonly list: Float64Array;
  /** Columns RATES (touch-rate.ts). */
  readonly rates: Float64Array;
  /** Columns STICK, and whether there is any; null where the accelerations are not held back. */
  readonly stick: Float64Array | null;
  sticks: boolean;
  readonly nearest: Float64Array;
  /** A place in body axes, and a list of one edge, while pairs are looked at. */
  readonly place: Float64Array;
  readonly one: Int32Array;
}

/**
 * @param holds whether the accelerations are held back by what sticks
 * @param shapes the boat's side as each obstacle meets it
 */
export function touchScratch(holds: boolean, shapes: readonly HullShape[]): TouchScratch {
  const slots = () => new Float64Array(SLOTS);
  const marks = () => new Int32Array(SLOTS);
  return {
    shapes,
    count: 0,
    element: marks(),
    obstacle: marks(),
    x: slots(),
    y: slots(),
    nx: slots(),
    ny: slots(),
    depth: slots(),
    approach: slots(),
    normalForce: slots(),
    rub: slots(),
    mostRub: slots(),
    beyond: slots(),
    pairCount: 0,
    open: marks(),
    pairElement: marks(),
    pairObstacle: marks(),
    pairCorner: marks(),
    active: 0,
    pairGap: slots(),
    pairDepth: slots(),
    pairApproach: slots(),
    pairEdges: new Int32Array(SLOTS + 1),
    pairFlat: new Uint8Array(SLOTS),
    faces: new Float64Array(FACE_COLUMNS * SLOTS),
    edges: new Int32Array(EDGE_SLOTS),
    list: new Float64Array(LIST_COLUMNS).fill(NaN),
    rates: new Float64Array(2),
    stick: holds ? new Float64Array(STICK_COLUMNS) : null,
    sticks: false,
    nearest: new Float64Array(NEAREST_COLUMNS),
    place: new Float64Array(2),
    one: new Int32Array(1),
  };
}

/** Is the list of pairs still good for a boat at that place that may move TRAVEL metres more? */
export function pairsHold(
  s: TouchScratch,
  touch: TouchElements,
  shore: ObstacleSet,
  boat: Float64Array,
): boolean {
  const { list } = s;
  const travel = list[LIST.TRAVEL]!;
  const dx = boat[GROUND.X]! - list[LIST.X]!;
  const dy = boat[GROUND.Y]! - list[LIST.Y]!;
  const turned = Math.abs(boat[GROUND.HEADING]! - list[LIST.HEADING]!) * touch.reach;
  // A gate's leaf comes to the boat as well as it to it.
  const swung = shore.moved[0]! - list[LIST.MOVED]!;
  const far = Math.sqrt(dx * dx + dy * dy) + turned + swung + travel + IN_HAND_M;
  list[LIST.FAR] = far;
  // NaN, before the first listing, does not hold either.
  return far < (s.pairCount > 0 ? list[LIST.RANGE]! : list[LIST.LEAST_GAP]!);
}

/** Notes a pair, with the edges of the other's ring that can be nearest while the list holds. */
function addPair(
  s: TouchScratch,
  element: number,
  obstacle: number,
  corner: number,
  gap: number,
  points: Float64Array,
  from: number,
  to: number,
  distance: number,
): void {
  if (s.pairCount >= SLOTS) return;
  const k = s.pairCount++;
  s.pairElement[k] = element;
  s.pairObstacle[k] = obstacle;
  s.pairCorner[k] = corner;
  s.pairGap[k] = gap;
  let last = s.pairEdges[k]!;
  const reach = Math.abs(distance) + 2 * (s.list[LIST.RANGE]! + IN_HAND_M);
  for (let e = from; e < to && last < EDGE_SLOTS; e++) {
    s.one[0] = e;
    nearestOnRing(s.nearest, points, from, to, 1, s.one, 0, 1);
    if (Math.abs(s.nearest[NEAREST.DISTANCE]!) <= reach) s.edges[last++] = e;
  }
  s.pairEdges[k + 1] = last;
  // The corners at its ends belong to two edges each: were one of them near, there would be two.
  s.pairFlat[k] = element >= 0 && last === s.pairEdges[k]! + 1 && last < EDGE_SLOTS ? 1 : 0;
}

/**
 * Lists the pairs near one another, first by boxes, then one by one, so that the stages of
 * the step look at nothing else. Whether the list still holds is asked of pairsHold.
 */
export function listPairs(
  s: TouchScratch,
  craft: Craft,
  shore: ObstacleSet,
  boat: Float64Array,
): void {
  const { touch } = craft;
  const { list } = s;
  const x = boat[GROUND.X]!;
  const y = boat[GROUND.Y]!;
  s.pairCount = 0;
  list[LIST.X] = x;
  list[LIST.Y] = y;
  list[LIST.HEADING] = boat[GROUND.HEADING]!;
  list[LIST.MOVED] = shore.moved[0]!;
  list[LIST.FACED] = NaN;
  list[LIST.LEAST_GAP] = Infinity;
  list[LIST.RANGE] = Math.max(PAIR_RANGE_M, list[LIST.TRAVEL]! + 3 * IN_HAND_M);
  const range = list[LIST.RANGE]!;
  for (let i = 0; i < shore.count; i++) {
    if (boxDistance(shore.box, i, x, y) - touch.reach < range) listOne(s, craft, shore, boat, i);
  }
  // With a pair near, nobody asks how far off the rest is.
  if (s.pairCount > 0) return;
  for (let i = 0; i < shore.count; i++) {
    const bound = boxDistance(shore.box, i, x, y) - touch.reach;
    if (bound >= range && bound < list[LIST.LEAST_GAP]!) listOne(s, craft, shore, boat, i);
  }
}

function listOne(
  s: TouchScratch,
  craft: Craft,
  shore: ObstacleSet,
  boat: Float64Array,
  i: number,
): void {
  if (shore.solid[i] === 1) listSolid(s, craft, shore, boat, i);
  else listPile(s, craft, shore, boat, i);
}

/** How near something must be to matter to the list being made, m. */
function openRange(s: TouchScratch): number {
  const range = s.list[LIST.RANGE]!;
  return s.pairCount > 0 ? range : Math.max(s.list[LIST.LEAST_GAP]!, range);
}

/** Is a pair with this gap to be listed? Keeps the least gap of all. */
function inRange({ list }: TouchScratch, gap: number): boolean {
  if (gap < list[LIST.LEAST_GAP]!) list[LIST.LEAST_GAP] = gap;
  return gap < list[LIST.RANGE]!;
}

/** A place ashore, in body axes. */
export function toBody(boat: Float64Array, px: number, py: number, out: Float64Array): void {
  const dx = px - boat[GROUND.X]!;
  const dy = py - boat[GROUND.Y]!;
  out[0] = dx * boat[GROUND.SIN]! + dy * boat[GROUND.COS]!;
  out[1] = dx * boat[GROUND.COS]! - dy * boat[GROUND.SIN]!;
}

/** A corner or pile ashore against the hull between its elements. */
function listCorner(
  s: TouchScratch,
  craft: Craft,
  boat: Float64Array,
  obstacle: number,
  corner: number,
  px: number,
  py: number,
  radius: number,
): void {
  const { touch } = craft;
  const open = openRange(s);
  const { ring } = s.shapes[obstacle]!;
  const sides = ring.length / 2;
  const { place } = s;
  toBody(boat, px, py, place);
  const bx = place[0]!;
  const by = place[1]!;
  const bare = touch.reach + radius + open;
  if (bx * bx + by * by >= bare * bare) return;
  s.nearest[NEAREST.FROM_X] = bx;
  s.nearest[NEAREST.FROM_Y] = by;
  nearestOnRing(s.nearest, ring, 0, sides, touch.deckTurn, touch.deckEdges, 0, sides);
  const distance = s.nearest[NEAREST.DISTANCE]!;
  const gap = distance - radius;
  if (inRange(s, gap)) addPair(s, HULL_SIDE, obstacle, corner, gap, ring, 0, sides, distance);
}

function listSolid(
  s: TouchScratch,
  craft: Craft,
  shore: ObstacleSet,
  boat: Float64Array,
  i: number,
): void {
  const { touch } = craft;
  const { nearest } = s;
  const { corners, turn } = shore;
  const shape = s.shapes[i]!;
  const from = shore.start[i]!;
  const to = shore.start[i + 1]!;
  const x = boat[GROUND.X]!;
  const y = boat[GROUND.Y]!;
  const sin = boat[GROUND.SIN]!;
  const cos = boat[GROUND.COS]!;
  const whole = openRange(s);
  nearest[NEAREST.FROM_X] = x;
  nearest[NEAREST.FROM_Y] = y;
  nearestOnRing(nearest, corners, from, to, turn[i]!, shore.edges, from, to - from);
  if (nearest[NEAREST.DISTANCE]! - touch.reach >= whole) return;
  for (let e = 0; e < touch.count; e++) {
    const open = openRange(s);
    const px = x + shape.x[e]! * sin + shape.y[e]! * cos;
    const py = y + shape.x[e]! * cos - shape.y[e]! * sin;
    if (outOfBox(shore.box, i, px, py, touch.radius[e]! + open)) continue;
    nearest[NEAREST.FROM_X] = px;
    nearest[NEAREST.FROM_Y] = py;
    nearestOnRing(nearest, corners, from, to, turn[i]!, shore.edges, from, to - from);
    const distance = nearest[NEAREST.DISTANCE]!;
    const gap = distance - touch.radius[e]!;
    if (inRange(s, gap)) addPair(s, e, i, 0, gap, corners, from, to, distance);
  }
  // Fenders looked at without their hull have no sides.
  if (touch.hullCount === 0) return;
  for (let c = from; c < to; c++) {
    if (shore.sharp[c] === 0) continue;
    listCorner(s, craft, boat, i, c, corners[2 * c]!, corners[2 * c + 1]!, 0);
  }
}

function listPile(
  s: TouchScratch,
  craft: Craft,
  shore: ObstacleSet,
  boat: Float64Array,
  i: number,
): void {
  const { touch } = craft;
  const px = shore.round[3 * i]!;
  const py = shore.round[3 * i + 1]!;
  const radius = shore.round[3 * i + 2]!;
  const shape = s.shapes[i]!;
  const { place } = s;
  toBody(boat, px, py, place);
  const bx = place[0]!;
  const by = place[1]!;
  for (let e = touch.hullCount; e < touch.count; e++) {
    const dx = bx - shape.x[e]!;
    const dy = by - shape.y[e]!;
    const distance = Math.sqrt(dx * dx + dy * dy) - radius;
    const gap = distance - touch.radius[e]!;
    if (inRange(s, gap)) addPair(s, e, i, 0, gap, place, 0, 0, distance);
  }
  listCorner(s, craft, boat, i, -1, px, py, radius);
}
