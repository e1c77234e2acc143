import { z } from 'zod';
import type { Obstacle } from '@/core/holding';
import { outOfLock } from '@/core/locks';
import type { LineEnd } from '@/core/plan';
import { areaSchema } from './areas';
import {
  cornerSpots,
  definitionOf,
  featureSchema,
  fixedSpots,
  lineEndsOf,
  namedSpots,
  obstaclesOf,
} from './features';
import { extra, id, longText, shortText, within } from './fields';
import { locksIn, siteLock } from './lock';
import { migratePlace, PLACE_VERSION } from './place-migrations';
import { tideSchema } from './tide';
import { transitSchema } from './transit';

const end = z.tuple([within(-20000, 20000, 'm'), within(-20000, 20000, 'm')]);

/**
 * Where a boat can be made fast: along an edge, open at both ends; a slip entered from its mouth only; or with
 * its stern or its bow to an edge as wide as it.
 */
const berth = z.strictObject({
  kind: z.enum(['alongside', 'slip', 'stern-to', 'bow-to'], {
    error: "kind is 'alongside', 'slip', 'stern-to' or 'bow-to'",
  }),
  id,
  name: shortText,
  extra,
  /** The edge the boat lies along, end to end; a slip's begins at its mouth. */
  edge_m: z.tuple([end, end]).refine(([[ax, ay], [bx, by]]) => Math.hypot(bx - ax, by - ay) >= 2, {
    error: 'give two ends at least 2 m apart',
  }),
  /** Ids of the features the boat lies against, the edge's first. One that is not there is passed over. */
  on: z.array(id).min(1, { error: 'name at least one feature' }).max(6, { error: 'at most 6' }),
  /** Top of what the boat lies against over the water, for the height of fenders. */
  height_m: within(0, 12, 'm').default(0.5),
});

const ONE_OF = {
  features: 'feature',
  berths: 'berth',
  areas: 'area',
  transits: 'transit',
} as const;

export const PLACE_SCHEMA = 'yawtrope:place';
/** What stands and lies about in one place. */
export const MOST_FEATURES = 400;

const currentPlace = z
  .strictObject({
    $schema: z.literal(PLACE_SCHEMA),
    version: z.literal(PLACE_VERSION, { error: 'this program reads versions 1 and 2' }),
    id,
    name: shortText,
    note: longText.default(''),
    origin: z
      .strictObject({ lat_deg: within(-90, 90, 'degrees'), lon_deg: within(-180, 180, 'degrees') })
      .optional(),
    features: z
      .array(featureSchema)
      .max(MOST_FEATURES, { error: `at most ${MOST_FEATURES} features` }),
    berths: z.array(berth).max(60, { error: 'at most 60 berths' }).default([]),
    /** Depths, bridges, water with rules and trees: what has an outline and cannot be touched. */
    areas: z.array(areaSchema).max(100, { error: 'at most 100 areas' }).default([]),
    transits: z.array(transitSchema).max(30, { error: 'at most 30 transits' }).default([]),
    /** Its tide; a place without one has water that stands. */
    tide: tideSchema.optional(),
  })
  .superRefine((place, context) => {
    place.features.forEach((f, i) => {
      const problem = definitionOf(f.kind).problem?.(f, place.features);
      if (!problem) return;
      const { key, message } = problem;
      context.addIssue({ code: 'custom', path: ['features', i, key], message });
    });
    place.areas.forEach((a, i) => {
      if (a.kind !== 'lock' || a.working?.above === undefined) return;
      const { above } = a.working;
      if (above !== a.name && locksIn(place.areas).some(({ name }) => name === above)) return;
      const message = `there is no other lock '${above}' with gates and paddles; name one of the place`;
      context.addIssue({ code: 'custom', path: ['areas', i, 'working', 'above'], message });
    });
    place.transits.forEach((t, i) => {
      for (const key of ['front', 'back'] as const) {
        if (place.features.some((f) => 'x_m' in f && f.name === t[key])) continue;
        const message = `there is nothing called '${t[key]}' to take a bearing on; name a mark of the place`;
        context.addIssue({ code: 'custom', path: ['transits', i, key], message });
      }
      if (t.front !== t.back) return;
      const message = 'is the one in front as well; name two';
      context.addIssue({ code: 'custom', path: ['transits', i, 'back'], message });
    });
    // Berths are named in cues beside the marks, areas and transits in words beside both.
    const lists = ['features', 'berths', 'areas', 'transits'] as const;
    for (const key of ['id', 'name'] as const) {
      const seen = new Set<string>();
      for (const list of lists)
        place[list].forEach((one, i) => {
          if (seen.has(one[key])) {
            const message = `'${one[key]}' is used twice; give each ${ONE_OF[list]} its own ${key}`;
            context.addIssue({ code: 'custom', path: [list, i, key], message });
          }
          seen.add(one[key]);
        });
    }
  });

export type Place = z.infer<typeof currentPlace>;

/** A stretch of water as kept and exchanged: metres east and north of its origin. Of any version. */
export const placeSchema = z.preprocess(migratePlace, currentPlace);
export type Berth = Place['berths'][number];

/** The end a boat has to a berth it lies end on to; null where it lies along it. */
export const endTo = ({ kind }: Pick<Berth, 'kind'>): 'bow' | 'stern' | null =>
  kind === 'stern-to' ? 'stern' : kind === 'bow-to' ? 'bow' : null;
/** Everything on a place that a boat can touch. */
export const toObstacles = ({ features }: Place): Obstacle[] => obstaclesOf(features);

/** What a line can be made on to. */
export const lineEnds = ({ features }: Place): LineEnd[] => lineEndsOf(features);

/** What stands where it is and can be seen. */
export const fixedPoints = ({ features }: Place) => fixedSpots(features);

/** Transits the place is marked with, the nearer mark first. */
export function markedTransits({ transits, features }: Place) {
  const spot = (name: string) => {
    const f = features.find((one) => one.name === name);
    return f && 'x_m' in f ? { name: f.name, x: f.x_m, y: f.y_m } : null;
  };
  return transits.flatMap(({ front, back }) => {
    const [near, far] = [spot(front), spot(back)];
    return near && far ? [{ near, far }] : [];
  });
}

/** Where people climb up from the water, m east and north. */
export const laddersOf = ({ features }: Place): { name: string; x: number; y: number }[] =>
  features.flatMap((f) => (f.kind === 'ladder' ? [{ name: f.name, x: f.x_m, y: f.y_m }] : []));

/** Places a cue can name: marks, bollards, piles, buoys, ladders, corners of what is built, ends of boats that lie there, and the middles of berths, on their edge. */
export function namedMarks(place: Place): { name: string; x: number; y: number }[] {
  const middles = place.berths.map(({ name, edge_m: [[ax, ay], [bx, by]] }) => ({
    name,
    x: (ax + bx) / 2,
    y: (ay + by) / 2,
  }));
  const gates = locksIn(place.areas).flatMap((lock) => {
    const sited = siteLock(lock, 'lower', 'shut', 0);
    if (!sited) return [];
    const at = (what: string, s: number) => ({
      name: `${lock.name}, ${what}`,
      ...outOfLock(sited, s, 0),
    });
    const { length } = sited.lock;
    return [at('lower gates', length), at('upper gates', 0), at('middle', length / 2)];
  });
  return [...namedSpots(place.features), ...middles, ...gates, ...cornerSpots(place.features)];
}
