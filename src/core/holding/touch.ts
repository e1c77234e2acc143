import { fenderForce, type Craft, type TouchElements } from '../boat';
import { NEAREST, nearestOnRing } from '../math';
import { GROUND } from './ground';
import type { ObstacleSet } from './obstacle-set';
import {
  frictionSlope,
  seriesStiffness,
  SLIDE_SLIP_MPS,
  STICK_SLIP_MPS,
  withLoss,
} from './touch-law';
import { addStick } from './touch-stick';
import {
  FACE,
  FACE_COLUMNS,
  HULL_SIDE,
  IN_HAND_M,
  LIST,
  listPairs,
  pairsHold,
  SLOTS,
  toBody,
  type TouchScratch,
} from './touch-pairs';

/** How fast the touch noted in the next free slot closes, m/s. */
function approachOf(s: TouchScratch, boat: Float64Array): number {
  const k = s.count;
  const vx = boat[GROUND.SURGE]! - boat[GROUND.YAW]! * s.y[k]!;
  const vy = boat[GROUND.SWAY]! + boat[GROUND.YAW]! * s.x[k]!;
  return -(vx * s.nx[k]! + vy * s.ny[k]!);
}

/** Takes up the touch noted in the next free slot: adds its normal and friction force. Normal (nx, ny) pushes the boat. */
function press(
  force: Float64Array,
  s: TouchScratch,
  touch: TouchElements,
  boat: Float64Array,
  shore: ObstacleSet,
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
  const approach = s.approach[k]!;
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
  const scale = s.stick ? STICK_SLIP_MPS : SLIDE_SLIP_MPS;
  const slope = frictionSlope(shore.friction[obstacle]!, normal, slip, scale);
  const rub = -slope * slip;
  s.rub[k] = rub;
  s.mostRub[k] = shore.friction[obstacle]! * normal;
  // As much as the scheme follows by itself, shared among all that may touch.
  const beyond = slope * s.list[LIST.PIECE]! - touch.lightest / s.active;
  s.beyond[k] = s.stick && beyond > 0 ? beyond : 0;
  if (s.stick && beyond > 0) addStick(s, s.stick, k, 1);
  const fx = normal * nx - rub * ny;
  const fy = normal * ny + rub * nx;
  force[0]! += fx;
  force[1]! += fy;
  force[2]! += x * fy - y * fx;
  s.normalForce[k] = normal;
}

/** Notes an outline corner or fender of the boat and the face or pile nearest to it. */
function noteElement(
  s: TouchScratch,
  touch: TouchElements,
  boat: Float64Array,
  shore: ObstacleSet,
  k: number,
): void {
  const obstacle = s.pairObstacle[k]!;
  const element = s.pairElement[k]!;
  const { nearest } = s;
  const sin = boat[GROUND.SIN]!;
  const cos = boat[GROUND.COS]!;
  const shape = s.shapes[obstacle]!;
  const bx = shape.x[element]!;
  const by = shape.y[element]!;
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
  const slot = s.count;
  s.depth[slot] = distance === 0 ? 0 : radius - distance;
  if (distance === 0) return;
  const ex = (px - nearest[NEAREST.X]!) / distance;
  const ey = (py - nearest[NEAREST.Y]!) / distance;
  const nx = ex * sin + ey * cos;
  const ny = ex * cos - ey * sin;
  s.element[slot] = element;
  s.obstacle[slot] = obstacle;
  s.x[slot] = bx - nx * radius;
  s.y[slot] = by - ny * radius;
  s.nx[slot] = nx;
  s.ny[slot] = ny;
}

/** Notes a corner or pile ashore and the hull side between the boat's own corners. */
function noteSide(
  s: TouchScratch,
  craft: Craft,
  boat: Float64Array,
  shore: ObstacleSet,
  k: number,
): void {
  const obstacle = s.pairObstacle[k]!;
  const corner = s.pairCorner[k]!;
  const { nearest } = s;
  const { ring } = s.shapes[obstacle]!;
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
  const sides = ring.length / 2;
  nearest[NEAREST.FROM_X] = bx;
  nearest[NEAREST.FROM_Y] = by;
  nearestOnRing(nearest, ring, 0, sides, craft.touch.deckTurn, s.edges, first, count);
  const distance = nearest[NEAREST.DISTANCE]!;
  const slot = s.count;
  s.depth[slot] = distance === 0 ? 0 : radius - distance;
  if (distance === 0) return;
  // From the thing towards the hull: the way the boat is pushed.
  const x = nearest[NEAREST.X]!;
  const y = nearest[NEAREST.Y]!;
  s.element[slot] = HULL_SIDE;
  s.obstacle[slot] = obstacle;
  s.x[slot] = x;
  s.y[slot] = y;
  s.nx[slot] = (x - bx) / distance;
  s.ny[slot] = (y - by) / distance;
}

/** The one edge pair `k` can meet, as it stands now. */
function setFace(s: TouchScratch, shore: ObstacleSet, k: number): void {
  const { faces } = s;
  const { corners, start } = shore;
  const obstacle = s.pairObstacle[k]!;
  const a = s.edges[s.pairEdges[k]!]!;
  const b = a + 1 === start[obstacle + 1]! ? start[obstacle]! : a + 1;
  const ex = corners[2 * b]! - corners[2 * a]!;
  const ey = corners[2 * b + 1]! - corners[2 * a + 1]!;
  const over = shore.turn[obstacle]! / Math.sqrt(ex * ex + ey * ey);
  const at = k * FACE_COLUMNS;
  faces[at + FACE.X] = corners[2 * a]!;
  faces[at + FACE.Y] = corners[2 * a + 1]!;
  // To the right of an anticlockwise edge.
  faces[at + FACE.OUT_X] = ey * over;
  faces[at + FACE.OUT_Y] = -ex * over;
}

/** Sets the faces of the listed pairs, unless they stand where they did. */
function setFaces(s: TouchScratch, shore: ObstacleSet): void {
  const moved = shore.moved[0]!;
  if (s.list[LIST.FACED] === moved) return;
  s.list[LIST.FACED] = moved;
  for (let k = 0; k < s.pairCount; k++) if (s.pairFlat[k] === 1) setFace(s, shore, k);
}

/** The same as noteElement where one edge alone can be nearest: its depth, and the rest if it is deeper than NOTED. */
function noteOnFace(s: TouchScratch, touch: TouchElements, boat: Float64Array, k: number): void {
  const { faces } = s;
  const obstacle = s.pairObstacle[k]!;
  const element = s.pairElement[k]!;
  const slot = s.count;
  const at = k * FACE_COLUMNS;
  const sin = boat[GROUND.SIN]!;
  const cos = boat[GROUND.COS]!;
  const shape = s.shapes[obstacle]!;
  const bx = shape.x[element]!;
  const by = shape.y[element]!;
  const px = boat[GROUND.X]! + bx * sin + by * cos;
  const py = boat[GROUND.Y]! + bx * cos - by * sin;
  const ex = faces[at + FACE.OUT_X]!;
  const ey = faces[at + FACE.OUT_Y]!;
  const radius = touch.radius[element]!;
  const depth = radius - (px - faces[at + FACE.X]!) * ex - (py - faces[at + FACE.Y]!) * ey;
  s.depth[slot] = depth;
  if (depth <= s.list[LIST.NOTED]!) return;
  const nx = ex * sin + ey * cos;
  const ny = ex * cos - ey * sin;
  const x = bx - nx * radius;
  const y = by - ny * radius;
  s.element[slot] = element;
  s.obstacle[slot] = obstacle;
  s.x[slot] = x;
  s.y[slot] = y;
  s.nx[slot] = nx;
  s.ny[slot] = ny;
  const vx = boat[GROUND.SURGE]! - boat[GROUND.YAW]! * y;
  const vy = boat[GROUND.SWAY]! + boat[GROUND.YAW]! * x;
  s.approach[slot] = -(vx * nx + vy * ny);
}

/** Looks at pair `k`: notes it in the next free slot, with its depth and how fast it closes. */
function notePair(
  s: TouchScratch,
  craft: Craft,
  boat: Float64Array,
  shore: ObstacleSet,
  k: number,
): void {
  if (s.pairFlat[k] === 1) {
    noteOnFace(s, craft.touch, boat, k);
    return;
  }
  if (s.pairElement[k] === HULL_SIDE) noteSide(s, craft, boat, shore, k);
  else noteElement(s, craft.touch, boat, shore, k);
  s.approach[s.count] = approachOf(s, boat);
}

/** Looks at the listed pairs from where the boat is now: opens those that can come to touch within the step. */
function openPairs(s: TouchScratch, craft: Craft, shore: ObstacleSet, boat: Float64Array): void {
  const { count } = s;
  const far = s.list[LIST.FAR]!;
  const reach = s.list[LIST.TRAVEL]! + IN_HAND_M;
  s.active = 0;
  s.list[LIST.NOTED] = -reach;
  // Past the touches of the last evaluation, which the record may still want.
  s.count = Math.min(count, SLOTS - 1);
  for (let k = 0; k < s.pairCount; k++) {
    if (s.pairGap[k]! > far) continue;
    notePair(s, craft, boat, shore, k);
    const depth = s.depth[s.count]!;
    if (depth <= -reach) continue;
    s.pairDepth[k] = depth;
    s.pairApproach[k] = s.approach[s.count]!;
    s.open[s.active++] = k;
  }
  s.count = count;
}

/**
 * Finds out what the boat may touch within the step of LIST.SECONDS, looking round anew only if it has moved on.
 *
 * @param boat columns GROUND, of the step's beginning
 */
export function lookForTouches(
  s: TouchScratch,
  craft: Craft,
  shore: ObstacleSet,
  boat: Float64Array,
): void {
  const u = boat[GROUND.SURGE]!;
  const v = boat[GROUND.SWAY]!;
  const speed = Math.sqrt(u * u + v * v) + Math.abs(boat[GROUND.YAW]!) * craft.touch.reach;
  // Half as much again for what the boat may gain within the step.
  s.list[LIST.TRAVEL] = 1.5 * speed * s.list[LIST.SECONDS]!;
  if (!pairsHold(s, craft.touch, shore, boat)) {
    listPairs(s, craft, shore, boat);
    pairsHold(s, craft.touch, shore, boat);
  }
  setFaces(s, shore);
  openPairs(s, craft, shore, boat);
}

/**
 * Narrow phase: adds the force of every touch among the listed pairs (N, N, N·m, body axes) and
 * leaves the list of touches in the scratch. What holds the boat back is added to what is there.
 */
export function addTouch(
  force: Float64Array,
  s: TouchScratch,
  craft: Craft,
  shore: ObstacleSet,
  boat: Float64Array,
): void {
  s.count = 0;
  s.list[LIST.NOTED] = 0;
  for (let i = 0; i < s.active; i++) {
    notePair(s, craft, boat, shore, s.open[i]!);
    if (s.depth[s.count]! > 0) press(force, s, craft.touch, boat, shore);
  }
}
