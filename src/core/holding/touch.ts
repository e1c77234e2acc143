import { fenderForce, type Craft, type TouchElements } from '../craft';
import { NEAREST, NEAREST_COLUMNS, nearestOnRing } from '../math';
import { GROUND } from './ground';
import { boxDistance, type Shore } from './shore';
import { frictionForce, seriesStiffness, withLoss } from './touch-law';

/** Most touches looked at in one instant, and edges near them. */
const SLOTS = 256;
const EDGE_SLOTS = 2048;
/** Pairs this close are listed, m; the list holds until she has moved about as far. */
const PAIR_RANGE_M = 0.16;
/** Kept in hand when deciding that nothing can touch yet, m. */
const IN_HAND_M = 0.02;
/** Element number of a touch where an obstacle's corner or a pile meets the hull between elements. */
export const HULL_SIDE = -1;

/** Numbers of a pair list: where she was when it was made, the least gap then, how far she may be from there now. */
const LIST = { X: 0, Y: 1, HEADING: 2, LEAST_GAP: 3, FAR: 4 } as const;

/** Touches found in one evaluation, and working memory. Reused every time. */
export interface TouchScratch {
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
  /** Can anything touch during this step, and can bare hull? If not, the pairs need not be looked at. */
  active: boolean;
  hullActive: boolean;
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
  readonly pairEdges: Int32Array;
  readonly edges: Int32Array;
  readonly list: Float64Array;
  readonly nearest: Float64Array;
  /** A place in body axes, and a list of one edge, while pairs are looked at. */
  readonly place: Float64Array;
  readonly one: Int32Array;
}

export function touchScratch(): TouchScratch {
  const slots = () => new Float64Array(SLOTS);
  const marks = () => new Int32Array(SLOTS);
  return {
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
    pairCount: 0,
    pairElement: marks(),
    pairObstacle: marks(),
    pairCorner: marks(),
    active: false,
    hullActive: false,
    pairGap: slots(),
    pairEdges: new Int32Array(SLOTS + 1),
    edges: new Int32Array(EDGE_SLOTS),
    list: new Float64Array(5).fill(NaN),
    nearest: new Float64Array(NEAREST_COLUMNS),
    place: new Float64Array(2),
    one: new Int32Array(1),
  };
}

/** Takes up the touch noted in the next free slot: adds its normal and friction force. Normal (nx, ny) pushes the boat. */
function press(
  force: Float64Array,
  s: TouchScratch,
  touch: TouchElements,
  boat: Float64Array,
  shore: Shore,
): void {
  const k = s.count;
  if (k >= SLOTS - 1) return;
  s.count = k + 1;
  const element = s.element[k]!;
  const obstacle = s.obstacle[k]!;
  const x = s.x[k]!;
  const y = s.y[k]!;
  const nx = s.nx[k]!;
  const ny = s.ny[k]!;
  const depth = s.depth[k]!;
  const vx = boat[GROUND.SURGE]! - boat[GROUND.YAW]! * y;
  const vy = boat[GROUND.SWAY]! + boat[GROUND.YAW]! * x;
  const approach = -(vx * nx + vy * ny);
  let still: number;
  let loss: number;
  if (element >= touch.hullCount) {
    still = fenderForce(
      depth,
      2 * touch.radius[element]!,
      touch.fenderLength[element]!,
      touch.fenderPressure[element]!,
    );
    loss = touch.loss[element]!;
  } else {
    still = seriesStiffness(touch.hullStiffness, shore.stiffness[obstacle]!) * depth;
    loss = touch.loss[0]!;
  }
  const normal = withLoss(still, loss, approach);
  const slip = -vx * ny + vy * nx;
  const rub = frictionForce(shore.friction[obstacle]!, normal, slip);
  const fx = normal * nx - rub * ny;
  const fy = normal * ny + rub * nx;
  force[0]! += fx;
  force[1]! += fy;
  force[2]! += x * fy - y * fx;
  s.approach[k] = approach;
  s.normalForce[k] = normal;
}

/** Is the list of pairs still good for a boat that may move `travel` metres more, heading in radians? */
export function pairsHold(
  s: TouchScratch,
  touch: TouchElements,
  x: number,
  y: number,
  heading: number,
  travel: number,
): boolean {
  const { list } = s;
  const dx = x - list[LIST.X]!;
  const dy = y - list[LIST.Y]!;
  const turned = Math.abs(heading - list[LIST.HEADING]!) * touch.reach;
  const far = Math.sqrt(dx * dx + dy * dy) + turned + travel + IN_HAND_M;
  list[LIST.FAR] = far;
  s.active = false;
  s.hullActive = false;
  for (let k = 0; k < s.pairCount; k++) {
    if (s.pairGap[k]! > far) continue;
    s.active = true;
    if (s.pairElement[k]! < touch.hullCount) s.hullActive = true;
  }
  // NaN, before the first listing, does not hold either.
  return far < (s.pairCount > 0 ? PAIR_RANGE_M : list[LIST.LEAST_GAP]!);
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
  const reach = Math.abs(distance) + 2 * (PAIR_RANGE_M + IN_HAND_M);
  for (let e = from; e < to && last < EDGE_SLOTS; e++) {
    s.one[0] = e;
    nearestOnRing(s.nearest, points, from, to, 1, s.one, 0, 1);
    if (Math.abs(s.nearest[NEAREST.DISTANCE]!) <= reach) s.edges[last++] = e;
  }
  s.pairEdges[k + 1] = last;
}

/**
 * Lists the pairs nearer than PAIR_RANGE_M, first by boxes, then one by one, so that the stages of
 * the step look at nothing else. Whether the list still holds is asked of pairsHold.
 */
export function listPairs(
  s: TouchScratch,
  craft: Craft,
  shore: Shore,
  boat: Float64Array,
  heading: number,
): void {
  const { touch } = craft;
  const { list } = s;
  const x = boat[GROUND.X]!;
  const y = boat[GROUND.Y]!;
  s.pairCount = 0;
  list[LIST.X] = x;
  list[LIST.Y] = y;
  list[LIST.HEADING] = heading;
  list[LIST.LEAST_GAP] = Infinity;
  for (let i = 0; i < shore.count; i++) {
    const open = Math.max(list[LIST.LEAST_GAP]!, PAIR_RANGE_M);
    if (boxDistance(shore, i, x, y) - touch.reach >= open) continue;
    if (shore.solid[i] === 1) listSolid(s, craft, shore, boat, i);
    else listPile(s, craft, shore, boat, i);
  }
}

function toBody(boat: Float64Array, px: number, py: number, out: Float64Array): void {
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
  const { list } = s;
  const open = Math.max(list[LIST.LEAST_GAP]!, PAIR_RANGE_M);
  const { deck } = craft.spec.hull;
  const sides = deck.length / 2;
  const { place } = s;
  toBody(boat, px, py, place);
  const bx = place[0]!;
  const by = place[1]!;
  const bare = touch.reach + radius + open;
  if (bx * bx + by * by >= bare * bare) return;
  s.nearest[NEAREST.FROM_X] = bx;
  s.nearest[NEAREST.FROM_Y] = by;
  nearestOnRing(s.nearest, deck, 0, sides, touch.deckTurn, touch.deckEdges, 0, sides);
  const distance = s.nearest[NEAREST.DISTANCE]!;
  const gap = distance - radius;
  if (gap < list[LIST.LEAST_GAP]!) list[LIST.LEAST_GAP] = gap;
  if (gap >= PAIR_RANGE_M) return;
  addPair(s, HULL_SIDE, obstacle, corner, gap, deck, 0, sides, distance);
}

function listSolid(
  s: TouchScratch,
  craft: Craft,
  shore: Shore,
  boat: Float64Array,
  i: number,
): void {
  const { touch } = craft;
  const { list, nearest } = s;
  const { corners, turn } = shore;
  const from = shore.start[i]!;
  const to = shore.start[i + 1]!;
  const x = boat[GROUND.X]!;
  const y = boat[GROUND.Y]!;
  const sin = boat[GROUND.SIN]!;
  const cos = boat[GROUND.COS]!;
  const whole = Math.max(list[LIST.LEAST_GAP]!, PAIR_RANGE_M);
  nearest[NEAREST.FROM_X] = x;
  nearest[NEAREST.FROM_Y] = y;
  nearestOnRing(nearest, corners, from, to, turn[i]!, shore.edges, from, to - from);
  if (nearest[NEAREST.DISTANCE]! - touch.reach >= whole) return;
  for (let e = 0; e < touch.count; e++) {
    const open = Math.max(list[LIST.LEAST_GAP]!, PAIR_RANGE_M);
    const px = x + touch.x[e]! * sin + touch.y[e]! * cos;
    const py = y + touch.x[e]! * cos - touch.y[e]! * sin;
    if (boxDistance(shore, i, px, py) - touch.radius[e]! >= open) continue;
    nearest[NEAREST.FROM_X] = px;
    nearest[NEAREST.FROM_Y] = py;
    nearestOnRing(nearest, corners, from, to, turn[i]!, shore.edges, from, to - from);
    const distance = nearest[NEAREST.DISTANCE]!;
    const gap = distance - touch.radius[e]!;
    if (gap < list[LIST.LEAST_GAP]!) list[LIST.LEAST_GAP] = gap;
    if (gap < PAIR_RANGE_M) addPair(s, e, i, 0, gap, corners, from, to, distance);
  }
  for (let c = from; c < to; c++) {
    listCorner(s, craft, boat, i, c, corners[2 * c]!, corners[2 * c + 1]!, 0);
  }
}

function listPile(
  s: TouchScratch,
  craft: Craft,
  shore: Shore,
  boat: Float64Array,
  i: number,
): void {
  const { touch } = craft;
  const { list } = s;
  const px = shore.round[3 * i]!;
  const py = shore.round[3 * i + 1]!;
  const radius = shore.round[3 * i + 2]!;
  const { place } = s;
  toBody(boat, px, py, place);
  const bx = place[0]!;
  const by = place[1]!;
  for (let e = touch.hullCount; e < touch.count; e++) {
    const dx = bx - touch.x[e]!;
    const dy = by - touch.y[e]!;
    const distance = Math.sqrt(dx * dx + dy * dy) - radius;
    const gap = distance - touch.radius[e]!;
    if (gap < list[LIST.LEAST_GAP]!) list[LIST.LEAST_GAP] = gap;
    if (gap < PAIR_RANGE_M) addPair(s, e, i, 0, gap, place, 0, 0, distance);
  }
  listCorner(s, craft, boat, i, -1, px, py, radius);
}

/** An outline corner or fender of the boat against a face or pile. */
function pressElement(
  force: Float64Array,
  s: TouchScratch,
  touch: TouchElements,
  boat: Float64Array,
  shore: Shore,
  k: number,
): void {
  const obstacle = s.pairObstacle[k]!;
  const element = s.pairElement[k]!;
  const { nearest } = s;
  const sin = boat[GROUND.SIN]!;
  const cos = boat[GROUND.COS]!;
  const bx = touch.x[element]!;
  const by = touch.y[element]!;
  const px = boat[GROUND.X]! + bx * sin + by * cos;
  const py = boat[GROUND.Y]! + bx * cos - by * sin;
  const radius = touch.radius[element]!;
  if (shore.solid[obstacle] === 1) {
    const first = s.pairEdges[k]!;
    const count = s.pairEdges[k + 1]! - first;
    const from = shore.start[obstacle]!;
    const to = shore.start[obstacle + 1]!;
    const turn = shore.turn[obstacle]!;
    nearest[NEAREST.FROM_X] = px;
    nearest[NEAREST.FROM_Y] = py;
    nearestOnRing(nearest, shore.corners, from, to, turn, s.edges, first, count);
  } else {
    const cx = shore.round[3 * obstacle]!;
    const cy = shore.round[3 * obstacle + 1]!;
    const r = shore.round[3 * obstacle + 2]!;
    const dx = px - cx;
    const dy = py - cy;
    const d = Math.sqrt(dx * dx + dy * dy);
    nearest[NEAREST.X] = d > 0 ? cx + (dx / d) * r : cx;
    nearest[NEAREST.Y] = d > 0 ? cy + (dy / d) * r : cy;
    nearest[NEAREST.DISTANCE] = d - r;
  }
  const distance = nearest[NEAREST.DISTANCE]!;
  const depth = radius - distance;
  if (depth <= 0 || distance === 0) return;
  const ex = (px - nearest[NEAREST.X]!) / distance;
  const ey = (py - nearest[NEAREST.Y]!) / distance;
  const nx = ex * sin + ey * cos;
  const ny = ex * cos - ey * sin;
  const slot = s.count;
  s.element[slot] = element;
  s.obstacle[slot] = obstacle;
  s.x[slot] = bx - nx * radius;
  s.y[slot] = by - ny * radius;
  s.nx[slot] = nx;
  s.ny[slot] = ny;
  s.depth[slot] = depth;
  press(force, s, touch, boat, shore);
}

/** A corner or pile ashore against the hull side between the boat's own corners. */
function pressSide(
  force: Float64Array,
  s: TouchScratch,
  craft: Craft,
  boat: Float64Array,
  shore: Shore,
  k: number,
): void {
  const obstacle = s.pairObstacle[k]!;
  const corner = s.pairCorner[k]!;
  const { nearest } = s;
  const { deck } = craft.spec.hull;
  const pile = corner < 0;
  const px = pile ? shore.round[3 * obstacle]! : shore.corners[2 * corner]!;
  const py = pile ? shore.round[3 * obstacle + 1]! : shore.corners[2 * corner + 1]!;
  const radius = pile ? shore.round[3 * obstacle + 2]! : 0;
  const { place } = s;
  toBody(boat, px, py, place);
  const bx = place[0]!;
  const by = place[1]!;
  const first = s.pairEdges[k]!;
  const count = s.pairEdges[k + 1]! - first;
  const sides = deck.length / 2;
  nearest[NEAREST.FROM_X] = bx;
  nearest[NEAREST.FROM_Y] = by;
  nearestOnRing(nearest, deck, 0, sides, craft.touch.deckTurn, s.edges, first, count);
  const distance = nearest[NEAREST.DISTANCE]!;
  const depth = radius - distance;
  if (depth <= 0 || distance === 0) return;
  // From the thing towards the hull: the way the boat is pushed.
  const x = nearest[NEAREST.X]!;
  const y = nearest[NEAREST.Y]!;
  const slot = s.count;
  s.element[slot] = HULL_SIDE;
  s.obstacle[slot] = obstacle;
  s.x[slot] = x;
  s.y[slot] = y;
  s.nx[slot] = (x - bx) / distance;
  s.ny[slot] = (y - by) / distance;
  s.depth[slot] = depth;
  press(force, s, craft.touch, boat, shore);
}

/**
 * Narrow phase: adds the force of every touch among the listed pairs (N, N, N·m, body axes) and
 * leaves the list of touches in the scratch.
 */
export function addTouch(
  force: Float64Array,
  s: TouchScratch,
  craft: Craft,
  shore: Shore,
  boat: Float64Array,
): void {
  s.count = 0;
  const far = s.list[LIST.FAR]!;
  for (let k = 0; k < s.pairCount; k++) {
    if (s.pairGap[k]! > far) continue;
    if (s.pairElement[k] === HULL_SIDE) pressSide(force, s, craft, boat, shore, k);
    else pressElement(force, s, craft.touch, boat, shore, k);
  }
}
