import { cos, sin } from '../math';
import { GRAVITY_MPS2 } from '../units';
import { pullOnBoat, type LockedBoat } from './boat-in-lock';
import { copyLockOver, type Lock, type LockState } from './lock';
import { feed, stepsDown } from './staircase';
import { workLock } from './work';

/** A lock where it lies: the middle of its upper gates, m, and the way down its chamber as a unit vector (east, north). */
export interface SitedLock {
  readonly id: string;
  readonly name: string;
  readonly lock: Lock;
  readonly x: number;
  readonly y: number;
  readonly east: number;
  readonly north: number;
  /** The edge people stand on, over the place's nought, m. */
  readonly coping: number;
  /** Its stones stand out over the walls by `out` and are so thick, m; none where the wall runs up flush. */
  readonly lip?: { readonly out: number; readonly thick: number } | undefined;
  /** Does its lower water rise and fall with the place's tide? */
  readonly tidal: boolean;
  /** Number of the lock above it in a staircase, whose lower gates are its upper ones. */
  readonly above?: number | undefined;
  /** And of the one below it, whose upper ones its lower gates are. */
  readonly below?: number | undefined;
  /** What its water does to boats, times what is reckoned: known to a half. As reckoned if not given. */
  readonly waterTimes?: number | undefined;
  /** Levels, paddles and gates as it begins. */
  readonly begins: LockState;
}

/** Place in a lock: S down the chamber from the upper gates, T to the left looking up-stream, m. */
export const IN_LOCK = { S: 0, T: 1 } as const;

export function intoLock(out: Float64Array, sited: SitedLock, x: number, y: number): void {
  out[IN_LOCK.S] = downLock(sited, x, y);
  out[IN_LOCK.T] = acrossLock(sited, x, y);
}

/** How far down the chamber from the upper gates a place is, m. */
export function downLock({ x, y, east, north }: SitedLock, atX: number, atY: number): number {
  return (atX - x) * east + (atY - y) * north;
}

/** How far to the left of the lock's middle, looking up-stream, m. */
export function acrossLock({ x, y, east, north }: SitedLock, atX: number, atY: number): number {
  return (atX - x) * north - (atY - y) * east;
}

/** The same turned round: a place on the earth. */
export function outOfLock(
  sited: SitedLock,
  s: number,
  t: number,
): { readonly x: number; readonly y: number } {
  return {
    x: sited.x + s * sited.east + t * sited.north,
    y: sited.y + s * sited.north - t * sited.east,
  };
}

export const inChamber = ({ lock }: SitedLock, s: number, t: number): boolean =>
  s >= 0 && s <= lock.length && Math.abs(t) <= lock.width / 2;

/** How a boat at a pose stands along a lock's chamber, in it or out of it: which end of it is up, how far down from the gates. */
export function standsAlong(
  sited: SitedLock,
  pose: { readonly x: number; readonly y: number; readonly heading: number },
  hull: {
    readonly length: number;
    readonly beam: number;
    readonly draught: number;
    readonly airDraught?: number | undefined;
  },
): LockedBoat & { readonly inside: boolean } {
  const s = downLock(sited, pose.x, pose.y);
  const up = -(sin(pose.heading) * sited.east + cos(pose.heading) * sited.north);
  const { length, beam, draught, airDraught = 0 } = hull;
  return {
    length,
    beam,
    draught,
    sternDraught: draught,
    airDraught,
    bowUp: up > 0,
    fromUpper: s - (Math.abs(up) * length) / 2,
    inside: inChamber(sited, s, acrossLock(sited, pose.x, pose.y)),
  };
}

/** Number of the lock whose chamber's middle is nearest to a place; there is at least one. */
export function nearestLock(locks: readonly SitedLock[], x: number, y: number): number {
  let best = 0;
  let least = Infinity;
  for (let i = 0; i < locks.length; i++) {
    const { lock } = locks[i]!;
    const s = downLock(locks[i]!, x, y) - lock.length / 2;
    const t = acrossLock(locks[i]!, x, y);
    const off = s * s + t * t;
    if (off >= least) continue;
    least = off;
    best = i;
  }
  return best;
}

/** Level of the water the boat would float on at a place, over the place's nought, m: the chamber's, the upper pound's, or the lower's. */
export function levelThere(
  locks: readonly SitedLock[],
  states: readonly LockState[],
  x: number,
  y: number,
): number {
  const k = nearestLock(locks, x, y);
  const s = downLock(locks[k]!, x, y);
  const state = states[k]!;
  if (s < 0) return state.upper;
  return inChamber(locks[k]!, s, acrossLock(locks[k]!, x, y)) ? state.chamber : state.lower;
}

/** How far a cill reaches to either side of its gates, m. */
const CILL_HALF_M = 0.5;

/** Height of what lies under a place in a lock over the place's nought, m: floor or cill; NaN outside. */
export function bedOfLock(sited: SitedLock, x: number, y: number): number {
  const { lock } = sited;
  const s = downLock(sited, x, y);
  if (Math.abs(acrossLock(sited, x, y)) > lock.width / 2) return NaN;
  if (s >= -CILL_HALF_M && s <= lock.cillReach) return lock.upperCill;
  if (Math.abs(s - lock.length) <= CILL_HALF_M) return lock.lowerCill;
  return s > 0 && s < lock.length ? lock.floor : NaN;
}

/** Works all locks on by `dt`; the lower water of a tidal one goes with the tide, which has risen by so much, m. */
export function workLocks(
  locks: readonly SitedLock[],
  states: readonly LockState[],
  dt: number,
  risen: number,
): void {
  // A staircase from its top down.
  for (let steps = 0; steps < locks.length; steps++)
    for (let i = 0; i < locks.length; i++) {
      if (stepsDown(locks, i) !== steps) continue;
      const { tidal, above, below, lock } = locks[i]!;
      const state = states[i]!;
      if (tidal) state.lower += risen;
      // The water below it is what the last step left in that chamber.
      if (below !== undefined) state.lower = states[below]!.chamber;
      if (above !== undefined) feed(lock, state, locks[above]!.lock, states[above]!);
      workLock(lock, state, dt);
    }
  // What went out of a chamber below is gone from the water under the gates above it.
  for (let i = 0; i < locks.length; i++) {
    const { below } = locks[i]!;
    if (below !== undefined) states[i]!.lower = states[below]!.chamber;
  }
}

/** Copies the states of all locks over others. */
export function copyLocksOver(to: readonly LockState[], from: readonly LockState[]): void {
  for (let i = 0; i < from.length; i++) copyLockOver(to[i]!, from[i]!);
}

/** A boat as it lies in or by a lock, and what the water does to it there, as far as a push goes. */
export interface LockPush {
  /** Along the chamber towards the lower gates, and to the left looking up-stream, N. */
  along: number;
  across: number;
}

/** Share of the jet's push that lays a boat to the side of the ground paddle it comes from. Judgement, ±70 %. */
const LAYS_ASIDE = 0.5;

/**
 * Push of a chamber's water on a boat in it, into `out`: pullOnBoat times its weight along it, and across what a ground paddle's
 * culvert, rebounding from the other wall, lays it to its own side by.
 *
 * @param weight N
 */
export function pushInLock(
  out: LockPush,
  { lock }: SitedLock,
  state: LockState,
  boat: LockedBoat,
  weight: number,
): void {
  const pull = pullOnBoat(lock, state, boat);
  out.along = weight * pull;
  const jet = weight * (pull - state.slope);
  let [left, all] = [0, 0];
  lock.paddles.forEach(({ end, where, side, area, discharge }, i) => {
    if (end !== 'upper' || where !== 'ground') return;
    const size = area * discharge * state.open[i]!;
    left += side === 'left' ? size : -size;
    all += size;
  });
  out.across = all > 0 ? (LAYS_ASIDE * jet * left) / all : 0;
}

/** Under this nothing is felt, m³/s. */
const FELT_M3PS = 0.005;
/** Out of the tail the flow spreads by so much of the way, and is spent after so many widths; near the gates it is fast in threads. */
const SPREADS = 0.4;
const SPENT_WIDTHS = 10;
const THREADS = 1;
const THREAD_WIDTHS = 2;

/** Is there flow in or about a lock that is felt? */
export const flows = ({ flowIn, flowOut }: LockState): boolean =>
  Math.abs(flowIn) > FELT_M3PS || Math.abs(flowOut) > FELT_M3PS;

/**
 * Adds the water's velocity in and about a lock to (east, north) of `out`, m/s: along the chamber what has come in and has to go
 * out, through its section; out of the tail the same spreading; above, drawn to the paddles as to a sink. Depth-mean, ±50 %.
 */
export function addLockCurrent(
  out: Float64Array,
  sited: SitedLock,
  state: LockState,
  x: number,
  y: number,
): void {
  const { lock } = sited;
  const s = downLock(sited, x, y);
  const t = acrossLock(sited, x, y);
  let along = 0;
  let across = 0;
  if (s >= 0 && s <= lock.length) {
    if (Math.abs(t) > lock.width / 2) return;
    const section = lock.width * Math.max(0.2, state.chamber - lock.floor);
    const share = s / lock.length;
    along = (state.flowIn * (1 - share) + state.flowOut * share) / section;
  } else if (s > lock.length) {
    const off = s - lock.length;
    const breadth = lock.width + SPREADS * off;
    if (Math.abs(t) > breadth / 2) return;
    const section = breadth * Math.max(0.2, state.lower - lock.floor);
    const thread = 1 + THREADS * Math.max(0, 1 - off / (THREAD_WIDTHS * lock.width));
    const left = Math.max(0, 1 - off / (SPENT_WIDTHS * lock.width));
    along = (state.flowOut / section) * thread * left;
  } else {
    const off = Math.sqrt(s * s + t * t);
    const section = (lock.width + Math.PI * off) * Math.max(0.2, state.upper - lock.upperCill);
    const draw = state.flowIn / section;
    along = off > 0 ? (-draw * s) / off : draw;
    across = off > 0 ? (-draw * t) / off : 0;
  }
  out[0]! += along * sited.east + across * sited.north;
  out[1]! += along * sited.north - across * sited.east;
}

/** Share of the chamber's section a hull fills at most, for the law below. */
const MOST_BLOCKAGE = 0.7;
const FULLNESS = 0.9;
/** The water that fills in behind a stern is spent after so much of the boat's length. */
const FOLLOWS = 0.5;

/**
 * Adds what a boat under way in the chamber does to the water about it: abreast of its it flows back at U m/(1 − m), m being the
 * share of the section it fills; behind its it follows it. Continuity; ±50 %.
 *
 * @param it where its middle is, and its velocity along the chamber (positive down it, m/s)
 */
export function addNeighbour(
  out: Float64Array,
  sited: SitedLock,
  state: LockState,
  her: { readonly x: number; readonly y: number; readonly along: number },
  hull: { readonly length: number; readonly beam: number; readonly draught: number },
  x: number,
  y: number,
): void {
  const { lock } = sited;
  if (her.along === 0) return;
  const s0 = downLock(sited, her.x, her.y);
  if (s0 < -hull.length / 2 || s0 > lock.length + hull.length / 2) return;
  const s = downLock(sited, x, y);
  if (!inChamber(sited, s, acrossLock(sited, x, y))) return;
  const section = lock.width * Math.max(0.2, state.chamber - lock.floor);
  const m = Math.min(MOST_BLOCKAGE, (FULLNESS * hull.beam * hull.draught) / section);
  const half = hull.length / 2;
  const ahead = (s - s0) * (her.along > 0 ? 1 : -1);
  let along = 0;
  if (Math.abs(ahead) <= half) along = (-her.along * m) / (1 - m);
  else if (ahead < -half)
    along = her.along * m * Math.max(0, 1 + (ahead + half) / (2 * FOLLOWS * hull.length));
  out[0]! += along * sited.east;
  out[1]! += along * sited.north;
}

/** Weight of a mass, N. */
export const weightOf = (mass: number): number => mass * GRAVITY_MPS2;
