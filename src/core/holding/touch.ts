import { fenderForce, type Craft, type TouchElements } from '../craft';
import { nearestOnPolygon, type Nearest } from '../math';
import { boxDistance, type Obstacle } from './obstacles';
import { frictionForce, seriesStiffness, withLoss } from './touch-law';

/** Most touches looked at in one instant. */
const SLOTS = 256;
/** Pairs this close are listed, m; the list holds until she has moved about as far. */
const PAIR_RANGE_M = 0.4;
/** Kept in hand when deciding that nothing can touch yet, m. */
const IN_HAND_M = 0.02;
/** Element number of a touch where an obstacle's corner or a pile meets the hull between elements. */
export const HULL_SIDE = -1;

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
  /** How far any point of the boat may be from where it was when the pairs were listed, m. */
  far: number;
  /**
   * Pairs near one another: an element of the boat (or HULL_SIDE) with an obstacle and, for the hull
   * side, the obstacle's corner (index into its outline; −1 for a pile).
   */
  pairCount: number;
  readonly pairElement: Int32Array;
  readonly pairObstacle: Int32Array;
  readonly pairCorner: Int32Array;
  /** Gap of each pair when it was listed, m. */
  readonly pairGap: Float64Array;
  /** Where the boat was when the pairs were listed, and the least gap of all pairs then, m. */
  listedX: number;
  listedY: number;
  listedHeading: number;
  leastGap: number;
  readonly nearest: Nearest;
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
    far: 0,
    pairGap: slots(),
    listedX: NaN,
    listedY: NaN,
    listedHeading: NaN,
    leastGap: 0,
    nearest: { x: 0, y: 0, distance: 0 },
  };
}

/** A boat's place and ground velocity in body axes, for the narrow phase. */
export interface BoatMotion {
  x: number;
  y: number;
  sin: number;
  cos: number;
  surge: number;
  sway: number;
  yaw: number;
}

/** Records one touch and adds its normal and friction force. Normal (nx, ny) pushes the boat. */
function press(
  force: Float64Array,
  s: TouchScratch,
  touch: TouchElements,
  boat: BoatMotion,
  obstacle: Obstacle,
  obstacleIndex: number,
  element: number,
  x: number,
  y: number,
  nx: number,
  ny: number,
  depth: number,
): void {
  if (s.count >= SLOTS) return;
  const vx = boat.surge - boat.yaw * y;
  const vy = boat.sway + boat.yaw * x;
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
    still = seriesStiffness(touch.hullStiffness, obstacle.stiffness) * depth;
    loss = touch.loss[0]!;
  }
  const normal = withLoss(still, loss, approach);
  const slip = -vx * ny + vy * nx;
  const rub = frictionForce(obstacle.friction, normal, slip);
  const fx = normal * nx - rub * ny;
  const fy = normal * ny + rub * nx;
  force[0]! += fx;
  force[1]! += fy;
  force[2]! += x * fy - y * fx;
  const k = s.count++;
  s.element[k] = element;
  s.obstacle[k] = obstacleIndex;
  s.x[k] = x;
  s.y[k] = y;
  s.nx[k] = nx;
  s.ny[k] = ny;
  s.depth[k] = depth;
  s.approach[k] = approach;
  s.normalForce[k] = normal;
}

function pair(
  s: TouchScratch,
  element: number,
  obstacle: number,
  corner: number,
  gap: number,
): void {
  if (s.pairCount >= SLOTS) return;
  const k = s.pairCount++;
  s.pairElement[k] = element;
  s.pairObstacle[k] = obstacle;
  s.pairCorner[k] = corner;
  s.pairGap[k] = gap;
}

/** Distance from a place ashore to the hull's outline, m; negative inside. Leaves the nearest point in the scratch. */
function toHullSide(
  s: TouchScratch,
  craft: Craft,
  boat: BoatMotion,
  px: number,
  py: number,
): number {
  const dx = px - boat.x;
  const dy = py - boat.y;
  const bx = dx * boat.sin + dy * boat.cos;
  const by = dx * boat.cos - dy * boat.sin;
  nearestOnPolygon(s.nearest, craft.spec.hull.deck, bx, by);
  return s.nearest.distance;
}

/** Distance from an element's centre to an obstacle's face, m; negative inside. Nearest point in the scratch. */
function toFace(s: TouchScratch, obstacle: Obstacle, px: number, py: number): number {
  const { nearest } = s;
  if (obstacle.outline) {
    nearestOnPolygon(nearest, obstacle.outline, px, py);
    return nearest.distance;
  }
  const dx = px - obstacle.x;
  const dy = py - obstacle.y;
  const d = Math.sqrt(dx * dx + dy * dy);
  nearest.x = d > 0 ? obstacle.x + (dx / d) * obstacle.radius : obstacle.x;
  nearest.y = d > 0 ? obstacle.y + (dy / d) * obstacle.radius : obstacle.y;
  nearest.distance = d - obstacle.radius;
  return nearest.distance;
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
  const dx = x - s.listedX;
  const dy = y - s.listedY;
  const turned = Math.abs(heading - s.listedHeading) * touch.reach;
  const far = Math.sqrt(dx * dx + dy * dy) + turned + travel + IN_HAND_M;
  s.far = far;
  s.active = false;
  s.hullActive = false;
  for (let k = 0; k < s.pairCount; k++) {
    if (s.pairGap[k]! > far) continue;
    s.active = true;
    if (s.pairElement[k]! < touch.hullCount) s.hullActive = true;
  }
  // NaN, before the first listing, does not hold either.
  return far < (s.pairCount > 0 ? PAIR_RANGE_M : s.leastGap);
}

/**
 * Lists the pairs nearer than PAIR_RANGE_M, first by boxes, then one by one, so that the stages of
 * the step look at nothing else. Whether the list still holds is asked of pairsHold.
 */
export function listPairs(
  s: TouchScratch,
  craft: Craft,
  obstacles: readonly Obstacle[],
  boat: BoatMotion,
  heading: number,
): void {
  s.pairCount = 0;
  s.listedX = boat.x;
  s.listedY = boat.y;
  s.listedHeading = heading;
  const { touch } = craft;
  let least = Infinity;
  for (let i = 0; i < obstacles.length; i++) {
    const obstacle = obstacles[i]!;
    const open = Math.max(least, PAIR_RANGE_M);
    if (boxDistance(obstacle, boat.x, boat.y) - touch.reach >= open) continue;
    if (toFace(s, obstacle, boat.x, boat.y) - touch.reach >= open) continue;
    for (let e = obstacle.outline ? 0 : touch.hullCount; e < touch.count; e++) {
      const px = boat.x + touch.x[e]! * boat.sin + touch.y[e]! * boat.cos;
      const py = boat.y + touch.x[e]! * boat.cos - touch.y[e]! * boat.sin;
      if (boxDistance(obstacle, px, py) - touch.radius[e]! >= open) continue;
      const gap = toFace(s, obstacle, px, py) - touch.radius[e]!;
      if (gap < least) least = gap;
      if (gap < PAIR_RANGE_M) pair(s, e, i, 0, gap);
    }
    const corners = obstacle.outline ? obstacle.outline.length : 1;
    for (let c = 0; c < corners; c += 2) {
      const px = obstacle.outline ? obstacle.outline[c]! : obstacle.x;
      const py = obstacle.outline ? obstacle.outline[c + 1]! : obstacle.y;
      const dx = px - boat.x;
      const dy = py - boat.y;
      const reach = touch.reach + obstacle.radius + open;
      if (dx * dx + dy * dy >= reach * reach) continue;
      const gap = toHullSide(s, craft, boat, px, py) - obstacle.radius;
      if (gap < least) least = gap;
      if (gap < PAIR_RANGE_M) pair(s, HULL_SIDE, i, obstacle.outline ? c : -1, gap);
    }
  }
  s.leastGap = least;
}

/** An outline corner or fender of the boat against a face or pile. */
function pressElement(
  force: Float64Array,
  s: TouchScratch,
  touch: TouchElements,
  boat: BoatMotion,
  obstacle: Obstacle,
  index: number,
  element: number,
): void {
  const bx = touch.x[element]!;
  const by = touch.y[element]!;
  const px = boat.x + bx * boat.sin + by * boat.cos;
  const py = boat.y + bx * boat.cos - by * boat.sin;
  const radius = touch.radius[element]!;
  const distance = toFace(s, obstacle, px, py);
  const depth = radius - distance;
  if (depth <= 0 || distance === 0) return;
  const ex = (px - s.nearest.x) / distance;
  const ey = (py - s.nearest.y) / distance;
  const nx = ex * boat.sin + ey * boat.cos;
  const ny = ex * boat.cos - ey * boat.sin;
  const x = bx - nx * radius;
  const y = by - ny * radius;
  press(force, s, touch, boat, obstacle, index, element, x, y, nx, ny, depth);
}

/** A corner or pile ashore against the hull side between the boat's own corners. */
function pressSide(
  force: Float64Array,
  s: TouchScratch,
  craft: Craft,
  boat: BoatMotion,
  obstacle: Obstacle,
  index: number,
  corner: number,
): void {
  const px = corner < 0 ? obstacle.x : obstacle.outline![corner]!;
  const py = corner < 0 ? obstacle.y : obstacle.outline![corner + 1]!;
  const distance = toHullSide(s, craft, boat, px, py);
  const depth = obstacle.radius - distance;
  if (depth <= 0 || distance === 0) return;
  const dx = px - boat.x;
  const dy = py - boat.y;
  const { nearest } = s;
  // From the thing towards the hull: the way the boat is pushed.
  const nx = (nearest.x - (dx * boat.sin + dy * boat.cos)) / distance;
  const ny = (nearest.y - (dx * boat.cos - dy * boat.sin)) / distance;
  press(
    force,
    s,
    craft.touch,
    boat,
    obstacle,
    index,
    HULL_SIDE,
    nearest.x,
    nearest.y,
    nx,
    ny,
    depth,
  );
}

/**
 * Narrow phase: adds the force of every touch among the listed pairs (N, N, N·m, body axes) and
 * leaves the list of touches in the scratch.
 */
export function addTouch(
  force: Float64Array,
  s: TouchScratch,
  craft: Craft,
  obstacles: readonly Obstacle[],
  boat: BoatMotion,
): void {
  s.count = 0;
  for (let k = 0; k < s.pairCount; k++) {
    if (s.pairGap[k]! > s.far) continue;
    const index = s.pairObstacle[k]!;
    const obstacle = obstacles[index]!;
    const element = s.pairElement[k]!;
    if (element === HULL_SIDE) {
      pressSide(force, s, craft, boat, obstacle, index, s.pairCorner[k]!);
    } else {
      pressElement(force, s, craft.touch, boat, obstacle, index, element);
    }
  }
}
