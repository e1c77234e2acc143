import { KEEL, KEEL_COLUMNS } from '../boat';
import { LINE, LINE_COLUMNS, solidObstacle, type Obstacle } from '../holding';
import {
  addLockCurrent,
  addNeighbour,
  flows,
  inChamber,
  IN_LOCK,
  intoLock,
  leafOutline,
  leavesOf,
  levelThere,
  nearestLock,
  pushInLock,
  standsAlong,
  weightOf,
  workLocks,
  type LockedBoat,
  type LockState,
  type SitedLock,
} from '../locks';
import { cos, seriesAt, sin } from '../math';
import { PSI, U, V, X, Y, type SimState } from './state';
import type { Vessel } from './vessel';
import type { LocksThere, World } from './world';

/** Steel or wet timber against a fender or hull. Judgement, as of quays. */
const LEAF_SURFACE = { friction: 0.4, stiffness: 2e6 };

/** The locks of a place and their leaves as obstacles, shut or open as it begins; after `before` others. */
export function locksThere(
  locks: readonly SitedLock[],
  before: number,
): { readonly there: LocksThere; readonly obstacles: readonly Obstacle[] } {
  const leaves = leavesOf(locks);
  const obstacles = leaves.map((leaf) => {
    const sited = locks[leaf.lock]!;
    const outline = new Float64Array(8);
    leafOutline(outline, sited, leaf, sited.begins);
    return solidObstacle(`${sited.id}:${leaf.end}:${leaf.side}`, leaf.name, outline, LEAF_SURFACE);
  });
  return { there: { locks, leaves, first: before }, obstacles };
}

type Mutable<T> = { -readonly [K in keyof T]: T[K] };

/** Puts every leaf where it stands by now, in all that is looked at for what the boat may touch. */
export function setLeaves({ gates, obstacles, shore }: World, states: readonly LockState[]): void {
  if (!gates) return;
  const { leaves, locks, first } = gates;
  for (let k = 0; k < leaves.length; k++) {
    const leaf = leaves[k]!;
    const number = first + k;
    const outline = obstacles[number]!.outline!;
    leafOutline(outline, locks[leaf.lock]!, leaf, states[leaf.lock]!);
    const corners = shore.start[number]!;
    let moved = 0;
    for (let i = 0; i < 8; i++)
      moved = Math.max(moved, Math.abs(outline[i]! - shore.corners[2 * corners + i]!));
    if (moved === 0) continue;
    shore.corners.set(outline, 2 * corners);
    // Both coordinates may have gone so far.
    shore.moved[0]! += 1.5 * moved;
    place(obstacles[number]!, outline, shore.box, number);
  }
}

function place(obstacle: Obstacle, outline: Float64Array, box: Float64Array, number: number): void {
  const leaf = obstacle as Mutable<Obstacle>;
  const xs = [outline[0]!, outline[2]!, outline[4]!, outline[6]!];
  const ys = [outline[1]!, outline[3]!, outline[5]!, outline[7]!];
  leaf.minX = Math.min(...xs);
  leaf.maxX = Math.max(...xs);
  leaf.minY = Math.min(...ys);
  leaf.maxY = Math.max(...ys);
  leaf.x = (leaf.minX + leaf.maxX) / 2;
  leaf.y = (leaf.minY + leaf.maxY) / 2;
  box[4 * number] = leaf.minX;
  box[4 * number + 1] = leaf.minY;
  box[4 * number + 2] = leaf.maxX;
  box[4 * number + 3] = leaf.maxY;
}

/** Level of the water at a place in a world with locks, over the place's nought, m; 0 without. */
export function floatsAt(world: World, states: readonly LockState[], x: number, y: number): number {
  return world.gates ? levelThere(world.gates.locks, states, x, y) : 0;
}

/** A cill stands in the way once the chamber's water is below it, unless somebody lies over it: the boat hangs there. */
function lookAtCills(state: SimState, world: World): void {
  const { gates, others = [] } = world;
  gates!.locks.forEach((sited, k) => {
    const now = state.locks[k]!;
    const { upperCill, cillReach } = sited.lock;
    if (now.chamber >= upperCill) now.cillOut = 0;
    else if (now.cillOut === 0) {
      const boats = [state, ...state.others];
      const craft = [world.craft, ...others.map((other) => other.world.craft)];
      const clear = boats.every(({ motion }, i) => {
        const lying = lyingIn(sited, motion, craft[i]!);
        return lying === null || lying.fromUpper > cillReach;
      });
      if (clear) now.cillOut = 1;
    }
  });
}

function inAnyChamber(locks: readonly SitedLock[], x: number, y: number): boolean {
  const sited = locks[nearestLock(locks, x, y)]!;
  const where = new Float64Array(2);
  intoLock(where, sited, x, y);
  return inChamber(sited, where[IN_LOCK.S]!, where[IN_LOCK.T]!);
}

/**
 * Works the locks on by `dt`, leaves and all. What the boat lies on rises or falls: its lines to the shore lead higher or lower by as
 * much.
 */
export function advanceLocks(state: SimState, world: World, dt: number): void {
  // Most worlds have none: nothing is made for those.
  if (world.gates) workGates(state, world, world.gates, dt);
}

function workGates(state: SimState, world: World, { locks }: LocksThere, dt: number): void {
  const { environment, others = [] } = world;
  const boats = [state, ...state.others];
  const before = boats.map(({ motion }) => levelThere(locks, state.locks, motion[X]!, motion[Y]!));
  const { level } = environment;
  const risen = level ? seriesAt(level, state.time + dt) - seriesAt(level, state.time) : 0;
  workLocks(locks, state.locks, dt, risen);
  lookAtCills(state, world);
  setLeaves(world, state.locks);
  boats.forEach(({ motion, lines }, i) => {
    // Beyond the gates what lines lead to may float itself; in the chamber it stands on the coping.
    if (!inAnyChamber(locks, motion[X]!, motion[Y]!)) return;
    const rises = levelThere(locks, state.locks, motion[X]!, motion[Y]!) - before[i]!;
    const count = (i === 0 ? world : others[i - 1]!.world).lines.count;
    for (let k = 0; k < count && lines.length > 0; k++) {
      const at = k * LINE_COLUMNS;
      if (lines[at + LINE.ON] === 0) lines[at + LINE.RISE]! -= rises;
    }
  });
}

/** How the boat lies in a lock's chamber; null where its middle is not in it. */
export function lyingIn(
  sited: SitedLock,
  motion: Float64Array,
  { spec, keel }: World['craft'],
): LockedBoat | null {
  const boat = standsAlong(
    sited,
    { x: motion[X]!, y: motion[Y]!, heading: motion[PSI]! },
    spec.hull,
  );
  if (!boat.inside) return null;
  return boat.fromUpper < sited.lock.cillReach
    ? { ...boat, overCill: draughtOverCill(sited, motion[X]!, motion[Y]!, motion[PSI]!, keel) }
    : boat;
}

/**
 * How deep hangs what lies over a lock's upper cill of a boat at a pose, m: a fin amidships does not count while only its stern does.
 *
 * @param keel rows of KEEL
 */
export function draughtOverCill(
  sited: SitedLock,
  x: number,
  y: number,
  heading: number,
  keel: Float64Array,
): number {
  const where = new Float64Array(2);
  const s = sin(heading);
  const c = cos(heading);
  let deepest = 0;
  for (let k = 0; k < keel.length; k += KEEL_COLUMNS) {
    const ahead = keel[k + KEEL.X]!;
    const across = keel[k + KEEL.Y]!;
    intoLock(where, sited, x + ahead * s + across * c, y + ahead * c - across * s);
    if (where[IN_LOCK.S]! <= sited.lock.cillReach)
      deepest = Math.max(deepest, keel[k + KEEL.DRAUGHT]!);
  }
  return deepest;
}

/** A ground paddle's jet lays the boat aside by its end towards the upper gates: so much of its length off its middle. Judgement. */
const JET_ARM = 0.3;
/** Farther from a lock than this the water about it is not looked at, m. */
const ABOUT_M = 150;
/** What the water in a lock does to the boat in the step that begins now: a push, and whether it runs anywhere about. Held over the step. */
export function senseLocks(
  motion: Float64Array,
  { world, state: { locks }, scratch: s, others }: Vessel,
): void {
  const { gates, craft } = world;
  const { lockPush, lockNow, pushAlong: push } = s;
  if (!gates || locks.length === 0) return;
  lockPush.fill(0);
  const k = nearestLock(gates.locks, motion[X]!, motion[Y]!);
  const sited = gates.locks[k]!;
  const state = locks[k]!;
  const far = Math.abs(motion[X]! - sited.x) + Math.abs(motion[Y]! - sited.y);
  const moving = others.some((other) => Math.abs(other.state.motion[U]!) > 0.02);
  const felt = far < ABOUT_M + sited.lock.length && (flows(state) || moving);
  // What stands in the strips from before is over.
  if (!felt && lockNow[0] === 1 && !world.environment.field) {
    s.currentU.fill(0);
    s.currentV.fill(0);
  }
  lockNow[0] = felt ? 1 : 0;
  lockNow[1] = k;
  const boat = lyingIn(sited, motion, craft);
  if (!boat) return;
  pushInLock(push, sited, state, boat, weightOf(craft.spec.hull.mass));
  if (push.along === 0 && push.across === 0) return;
  const sinPsi = sin(motion[PSI]!);
  const cosPsi = cos(motion[PSI]!);
  const { waterTimes = 1 } = sited;
  push.along *= waterTimes;
  push.across *= waterTimes;
  const east = push.along * sited.east + push.across * sited.north;
  const north = push.along * sited.north - push.across * sited.east;
  lockPush[0] = east * sinPsi + north * cosPsi;
  lockPush[1] = east * cosPsi - north * sinPsi;
  const aside = push.across * (sited.north * cosPsi + sited.east * sinPsi);
  lockPush[2] = (boat.bowUp ? 1 : -1) * JET_ARM * boat.length * aside;
}

/** Adds the water's velocity about a lock at every strip of the boat, body axes, to its current. */
export function addLockCurrents(
  motion: Float64Array,
  { world, state: { locks }, scratch: s, others }: Vessel,
): void {
  const k = s.lockNow[1]!;
  const sited = world.gates!.locks[k]!;
  const state = locks[k]!;
  const { lockCurrent: current } = s;
  const sinPsi = sin(motion[PSI]!);
  const cosPsi = cos(motion[PSI]!);
  const { x } = world.craft.strips;
  const { waterTimes = 1 } = sited;
  for (let i = 0; i < x.length; i++) {
    const east = motion[X]! + x[i]! * sinPsi;
    const north = motion[Y]! + x[i]! * cosPsi;
    current.fill(0);
    addLockCurrent(current, sited, state, east, north);
    for (const other of others) {
      const { motion: her } = other.state;
      const { hull } = other.world.craft.spec;
      const h = her[PSI]!;
      const goesEast = her[U]! * sin(h) + her[V]! * cos(h);
      const goesNorth = her[U]! * cos(h) - her[V]! * sin(h);
      const along = goesEast * sited.east + goesNorth * sited.north;
      addNeighbour(current, sited, state, { x: her[X]!, y: her[Y]!, along }, hull, east, north);
    }
    s.currentU[i]! += waterTimes * (current[0]! * sinPsi + current[1]! * cosPsi);
    s.currentV[i]! += waterTimes * (current[0]! * cosPsi - current[1]! * sinPsi);
  }
}
