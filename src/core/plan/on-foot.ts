import { outOfLock, spotAt, wayOnFoot, type SitedLock } from '../locks';
import { nearestOnPolygon } from '../math';
import { STANDS_ON_M } from '../policy';
import { othersOf, pointAboard, type SimState, type World } from '../simulation';
import { between } from './crew-member';

// Ways on foot: beside a lock nobody walks over the water, but round by gates that stand shut and by bridges.

/** A place ashore, m east and north. */
export interface Ashore {
  readonly x: number;
  readonly y: number;
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

/** How one gets to where one steps to or from the water: so far on foot ashore, and so high on a ladder, m; 0 where one steps over. */
export interface Footing {
  readonly way: number;
  readonly climb: number;
}

/**
 * How high one stands over the boat's deck on a thing it lies by, m; 0 where it is not known. In a chamber that is its coping over the
 * water in it; above a lock heights are those over the lower water, and not used.
 */
export function standsOver(
  freeboard: number,
  locks: readonly SitedLock[],
  chambers: readonly { readonly chamber: number }[],
  { height }: { readonly height: number },
  at: Ashore,
): number {
  const nearest = nearestLock(locks, at);
  const sited = locks[nearest];
  if (sited) {
    const { s, t } = spotAt(sited, at);
    if (s < 0) return 0;
    const beside = Math.abs(t) < sited.lock.width / 2 + STANDS_ON_M;
    if (s <= sited.lock.length && beside)
      return sited.coping - chambers[nearest]!.chamber - freeboard;
  }
  return height === Infinity ? 0 : height - freeboard;
}

/**
 * From a place ashore to where one could step to a place on the water: to the nearest part of each thing within a step of it
 * that stands no higher than one steps, and to each ladder there. Empty where nothing is so near, or nothing so near is come
 * to on foot.
 *
 * @param gap how wide one steps, and `high` how high, m
 */
export function footings(
  world: World,
  state: SimState,
  from: Ashore,
  water: Ashore,
  gap: number,
  high: number,
): Footing[] {
  const near = { x: 0, y: 0, distance: Infinity };
  const found: Footing[] = [];
  const { freeboard } = world.craft.spec.hull;
  const locks = world.gates?.locks ?? [];
  // The highest of what stands there is what a ladder leads up to.
  let over = 0;
  for (const obstacle of world.obstacles) {
    const { outline } = obstacle;
    if (!outline) continue;
    nearestOnPolygon(near, outline, water.x, water.y);
    if (near.distance > gap) continue;
    const to = { x: near.x, y: near.y };
    const up = standsOver(freeboard, locks, state.locks, obstacle, to);
    over = Math.max(over, up);
    if (up > high) continue;
    nearestOnPolygon(near, outline, from.x, from.y);
    // What the boat lies against and one stands on is walked along.
    const way = near.distance < STANDS_ON_M ? between(from, to) : footway(world, state, from, to);
    if (way !== null) found.push({ way, climb: 0 });
  }
  for (const ladder of world.ladders ?? []) {
    if (over <= high || between(ladder, water) > gap) continue;
    const way = footway(world, state, from, ladder);
    if (way !== null) found.push({ way, climb: over });
  }
  othersOf(world).forEach((other, i) => {
    const { x, y } = pointAboard(state.others[i]!, water.x, water.y);
    nearestOnPolygon(near, other.world.craft.spec.hull.deck, x, y);
    if (near.distance <= gap) found.push({ way: between(from, water), climb: 0 });
  });
  return found;
}
