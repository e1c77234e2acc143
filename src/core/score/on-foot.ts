import {
  intoLock,
  IN_LOCK,
  isShut,
  outOfLock,
  type End,
  type LockState,
  type Side,
  type SitedLock,
} from '../locks';
import { nearestOnPolygon } from '../math';
import { othersOf, pointAboard, type Bridge, type SimState, type World } from '../sim';
import { between } from './hand';

// Ways on foot: beside a lock nobody walks over the water, but round by gates that stand shut and by bridges.

/** A place ashore, m east and north. */
export interface Ashore {
  readonly x: number;
  readonly y: number;
}

/** A place beside a lock: from its upper gates down, and from its middle to the left looking up-stream, m. */
export interface Spot {
  readonly s: number;
  readonly t: number;
}

/** Somebody who works a paddle or a leaf stands so far back from the chamber's edge, m. */
const STANDS_BACK_M = 1;
/** Somebody this near to a thing stands on it, m. */
const STANDS_ON_M = 3;

export const endAt = (sited: SitedLock, end: End) => (end === 'upper' ? 0 : sited.lock.length);

/** Where a paddle or leaf is worked from. */
export function spotOf(sited: SitedLock, end: End, side: Side): Spot {
  const t = sited.lock.width / 2 + STANDS_BACK_M;
  return { s: endAt(sited, end), t: side === 'left' ? t : -t };
}

export function spotAt(sited: SitedLock, { x, y }: Ashore): Spot {
  const where = new Float64Array(2);
  intoLock(where, sited, x, y);
  return { s: where[IN_LOCK.S]!, t: where[IN_LOCK.T]! };
}

const apart = (a: Spot, b: Spot) => {
  const ds = a.s - b.s;
  const dt = a.t - b.t;
  return Math.sqrt(ds * ds + dt * dt);
};

/** Middle of what an outline has at so far to the left of a lock's middle, m from its upper gates; null where it is not there. */
function middleAt(corners: readonly Spot[], t: number): number | null {
  const met = corners.flatMap((a, i) => {
    const b = corners[(i + 1) % corners.length]!;
    if (a.t < t === b.t < t) return [];
    return [a.s + ((t - a.t) / (b.t - a.t)) * (b.s - a.s)];
  });
  return met.length > 0 ? (Math.min(...met) + Math.max(...met)) / 2 : null;
}

/** Where a bridge is stepped on and off beside a lock, on its left and right; null where it does not reach over the whole chamber's breadth. */
function landingsOf(sited: SitedLock, { outline }: Bridge): readonly [Spot, Spot] | null {
  const corners = Array.from({ length: outline.length / 2 }, (_, i) =>
    spotAt(sited, { x: outline[2 * i]!, y: outline[2 * i + 1]! }),
  );
  const t = sited.lock.width / 2;
  const [left, right] = [middleAt(corners, t), middleAt(corners, -t)];
  return left === null || right === null
    ? null
    : [
        { s: left, t },
        { s: right, t: -t },
      ];
}

/**
 * Way on foot between two places beside a lock, m: along its side, and across by gates that stand shut or a bridge with a
 * footway; null where there is neither.
 */
export function wayOnFoot(
  sited: SitedLock,
  state: LockState,
  from: Spot,
  to: Spot,
  bridges: readonly Bridge[] = [],
): number | null {
  if (from.t * to.t > 0) return apart(from, to);
  const ways = (['upper', 'lower'] as const).flatMap((end) => {
    if (!isShut(sited.lock, state, end)) return [];
    const at = endAt(sited, end);
    return [Math.abs(from.s - at) + Math.abs(from.t - to.t) + Math.abs(to.s - at)];
  });
  for (const bridge of bridges) {
    const landings = bridge.footway ? landingsOf(sited, bridge) : null;
    if (!landings) continue;
    const [on, off] = from.t > 0 ? landings : [landings[1], landings[0]];
    ways.push(apart(from, on) + apart(on, off) + apart(off, to));
  }
  return ways.length > 0 ? Math.min(...ways) : null;
}

/** The worked lock whose middle is nearest to a place, by number; −1 where none is worked. */
function nearestLock(locks: readonly SitedLock[], to: Ashore): number {
  let best = -1;
  let least = Infinity;
  locks.forEach((sited, i) => {
    const far = between(outOfLock(sited, sited.lock.length / 2, 0), to);
    if (far >= least) return;
    least = far;
    best = i;
  });
  return best;
}

/**
 * Way on foot between two places ashore, m: straight, but round by shut gates or a bridge where a worked lock lies between them;
 * null where there is neither.
 */
export function footway(world: World, state: SimState, from: Ashore, to: Ashore): number | null {
  const locks = world.gates?.locks ?? [];
  const nearest = nearestLock(locks, to);
  const sited = locks[nearest];
  const straight = between(from, to);
  if (!sited || spotAt(sited, from).t * spotAt(sited, to).t > 0) return straight;
  // The gates of any of them may be the bridge: those of a staircase stand in a row.
  const ways = locks.flatMap((each, i) => {
    const way = wayOnFoot(
      each,
      state.locks[i]!,
      spotAt(each, from),
      spotAt(each, to),
      world.bridges,
    );
    return way === null || spotAt(each, from).t * spotAt(each, to).t > 0 ? [] : [way];
  });
  return ways.length > 0 ? Math.min(...ways) : null;
}

/**
 * Ways on foot from a place ashore to where one could step to a place on the water: to the nearest part of each thing within
 * a step of it, m. Empty where nothing is so near, or nothing so near is come to on foot.
 */
export function waysToStep(
  world: World,
  state: SimState,
  from: Ashore,
  water: Ashore,
  gap: number,
): number[] {
  const near = { x: 0, y: 0, distance: Infinity };
  const ways: number[] = [];
  for (const { outline } of world.obstacles) {
    if (!outline) continue;
    nearestOnPolygon(near, outline, water.x, water.y);
    if (near.distance > gap) continue;
    const to = { x: near.x, y: near.y };
    nearestOnPolygon(near, outline, from.x, from.y);
    // What she lies against and one stands on is walked along.
    const way = near.distance < STANDS_ON_M ? between(from, to) : footway(world, state, from, to);
    if (way !== null) ways.push(way);
  }
  othersOf(world).forEach((other, i) => {
    const { x, y } = pointAboard(state.others[i]!, water.x, water.y);
    nearestOnPolygon(near, other.world.craft.spec.hull.deck, x, y);
    if (near.distance <= gap) ways.push(between(from, water));
  });
  return ways;
}
