import type { Craft, TouchElements } from '../craft';
import { nearestOnPolygon, type Nearest } from '../math';
import { boxDistance, type Obstacle } from './obstacles';
import { fenderForce, frictionForce, seriesStiffness, withLoss } from './touch-law';

/** Most touches looked at in one instant. */
const SLOTS = 256;
/** Distance kept beyond what can be covered in a step when listing what may touch, m. */
const PAIR_MARGIN_M = 0.1;
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
  /**
   * Pairs that may touch during this step: an element of the boat (or HULL_SIDE) with an obstacle and,
   * for the hull side, the obstacle's corner (index into its outline; −1 for a pile).
   */
  pairCount: number;
  readonly pairElement: Int32Array;
  readonly pairObstacle: Int32Array;
  readonly pairCorner: Int32Array;
  /** Where the boat was last looked round from, and how far the nearest face was from her circle, m. */
  quietX: number;
  quietY: number;
  quietGap: number;
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
    quietX: 0,
    quietY: 0,
    quietGap: -Infinity,
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

function pair(s: TouchScratch, element: number, obstacle: number, corner: number): void {
  if (s.pairCount >= SLOTS) return;
  const k = s.pairCount++;
  s.pairElement[k] = element;
  s.pairObstacle[k] = obstacle;
  s.pairCorner[k] = corner;
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

/**
 * Lists the pairs that can touch within `seconds`, first by boxes, then one by one. Done once a step, so
 * that the stages of the step look at nothing else.
 */
export function findPairs(
  s: TouchScratch,
  craft: Craft,
  obstacles: readonly Obstacle[],
  boat: BoatMotion,
  seconds: number,
): void {
  s.pairCount = 0;
  const { touch } = craft;
  const speed =
    Math.sqrt(boat.surge * boat.surge + boat.sway * boat.sway) + Math.abs(boat.yaw) * touch.reach;
  const margin = PAIR_MARGIN_M + 1.5 * speed * seconds;
  const movedX = boat.x - s.quietX;
  const movedY = boat.y - s.quietY;
  const quiet = s.quietGap - margin;
  if (quiet > 0 && movedX * movedX + movedY * movedY < quiet * quiet) return;
  let gap = Infinity;
  for (let i = 0; i < obstacles.length; i++) {
    const obstacle = obstacles[i]!;
    const boxGap = boxDistance(obstacle, boat.x, boat.y) - touch.reach;
    if (boxGap >= gap && boxGap > margin) continue;
    const faceGap = toFace(s, obstacle, boat.x, boat.y) - touch.reach;
    if (faceGap < gap) gap = faceGap;
    if (faceGap > margin) continue;
    for (let e = obstacle.outline ? 0 : touch.hullCount; e < touch.count; e++) {
      const px = boat.x + touch.x[e]! * boat.sin + touch.y[e]! * boat.cos;
      const py = boat.y + touch.x[e]! * boat.cos - touch.y[e]! * boat.sin;
      const range = touch.radius[e]! + margin;
      if (boxDistance(obstacle, px, py) > range) continue;
      if (toFace(s, obstacle, px, py) <= range) pair(s, e, i, 0);
    }
    const range = obstacle.radius + margin;
    if (!obstacle.outline) {
      if (toHullSide(s, craft, boat, obstacle.x, obstacle.y) <= range) pair(s, HULL_SIDE, i, -1);
      continue;
    }
    const reach = touch.reach + margin;
    for (let c = 0; c < obstacle.outline.length; c += 2) {
      const px = obstacle.outline[c]!;
      const py = obstacle.outline[c + 1]!;
      const dx = px - boat.x;
      const dy = py - boat.y;
      if (dx * dx + dy * dy > reach * reach) continue;
      if (toHullSide(s, craft, boat, px, py) <= range) pair(s, HULL_SIDE, i, c);
    }
  }
  s.quietX = boat.x;
  s.quietY = boat.y;
  s.quietGap = gap;
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
