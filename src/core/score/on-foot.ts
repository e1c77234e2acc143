import { outOfLock, spotAt, wayOnFoot, type SitedLock } from '../locks';
import { nearestOnPolygon } from '../math';
import { othersOf, pointAboard, type SimState, type World } from '../sim';
import { between } from './hand';

// Ways on foot: beside a lock nobody walks over the water, but round by gates that stand shut and by bridges.

/** A place ashore, m east and north. */
export interface Ashore {
  readonly x: number;
  readonly y: number;
}

/** Somebody this near to a thing stands on it, m. */
const STANDS_ON_M = 3;

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
