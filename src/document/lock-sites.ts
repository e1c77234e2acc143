import type { Obstacle } from '@/core/holding';
import {
  IN_LOCK,
  intoLock,
  levelThere,
  nearestLock,
  tideWindows,
  type SitedLock,
  type Stretch,
} from '@/core/locks';
import { locksIn, siteLock, toLock, type LockOfPlace } from './lock';
import { featureStanding } from './features';
import { standingHigher } from './areas';
import type { Place } from './place';

/** Locks of a place whose working is known. */
export const locksOfPlace = (place: Place): LockOfPlace[] => locksIn(place.areas);

/** Behind locks that keep no tide out the water is fresh; elsewhere it is taken to be the sea's. */
export function usualWater(place: Place): 'sea' | 'fresh' {
  const locks = locksOfPlace(place);
  return locks.length > 0 && !place.tide && locks.every(({ working }) => !working.tidal)
    ? 'fresh'
    : 'sea';
}

/** Where the water over an outline stands with nothing else told: at the pound's level above a lock, else at level nought, m. */
export function standingLevel(
  place: Place,
  outline: readonly (readonly [number, number])[],
): number {
  const sites = locksOfPlace(place).flatMap((lock) => siteLock(lock, 'lower', 'shut', 0) ?? []);
  if (sites.length === 0) return 0;
  const x = outline.reduce((sum, [east]) => sum + east / outline.length, 0);
  const y = outline.reduce((sum, [, north]) => sum + north / outline.length, 0);
  const begins = sites.map((site) => site.begins);
  const level = levelThere(sites, begins, x, y);
  return sites[nearestLock(sites, x, y)]!.tidal && level === 0 ? 0 : level;
}

/**
 * The same place with what stands above a lock nobody works counted from the water there: its depths, and how high bollards and
 * edges are over it, unless they float.
 *
 * @param worked names of the locks that are worked: those look after their own levels
 */
export function withPounds(place: Place, worked: readonly string[]): Place {
  const sites = locksOfPlace(place)
    .filter(({ name }) => !worked.includes(name))
    .flatMap((lock) => siteLock(lock, 'lower', 'shut', 0) ?? []);
  if (sites.length === 0) return place;
  const where = new Float64Array(2);
  const over = (points: readonly (readonly [number, number])[]) => {
    const x = points.reduce((sum, [east]) => sum + east / points.length, 0);
    const y = points.reduce((sum, [, north]) => sum + north / points.length, 0);
    const sited = sites[nearestLock(sites, x, y)]!;
    intoLock(where, sited, x, y);
    return where[IN_LOCK.S]! < 0 ? sited.begins.upper : 0;
  };
  return {
    ...place,
    areas: place.areas.map((a) => standingHigher(a, over(a.outline_m))),
    features: place.features.map((f) =>
      featureStanding(f, over('outline_m' in f ? f.outline_m : [[f.x_m, f.y_m]]), place.features),
    ),
  };
}

/** A sea lock of a place, and when the tide of a day lets a draught through. */
export interface LockByTide {
  readonly name: string;
  readonly windows: readonly Stretch[];
}

/** Every tidal lock of a place by the levels of a day; none where nobody tells them. */
export function locksByTide(
  place: Place,
  draught: number,
  hours: readonly { readonly at: number; readonly level_m: number | null }[],
): LockByTide[] {
  const tide = hours.flatMap(({ at, level_m }) =>
    level_m === null ? [] : [{ at, level: level_m }],
  );
  if (tide.length < 2) return [];
  return locksOfPlace(place)
    .filter(({ working }) => working.tidal)
    .map(({ name, working }) => ({ name, windows: tideWindows(toLock(working), draught, tide) }));
}

/** So near to a worked lock's gates a drawn gate is taken to be one of its leaves, m. */
const LEAF_NEAR_M = 2;

/** The same with gates left out that are drawn where a worked lock has its own, which swing. */
export function withoutDrawnLeaves(
  obstacles: readonly Obstacle[],
  place: Place,
  locks: readonly SitedLock[],
): readonly Obstacle[] {
  const gates = new Set(place.features.flatMap((f) => (f.kind === 'gate' ? [f.id] : [])));
  const where = new Float64Array(2);
  return obstacles.filter(({ id, x, y }) => {
    if (!gates.has(id)) return true;
    return !locks.some((sited) => {
      intoLock(where, sited, x, y);
      const [s, t] = [where[IN_LOCK.S]!, where[IN_LOCK.T]!];
      const { length, width } = sited.lock;
      const along = Math.min(Math.abs(s), Math.abs(s - length));
      return Math.abs(t) <= width && along <= width + LEAF_NEAR_M;
    });
  });
}
