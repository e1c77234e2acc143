import { outOfLock } from '@/core/locks';
import { nearestOnPolygon } from '@/core/math';
import { z } from 'zod';
import { pileObstacle, solidObstacle, type Obstacle, type Surface } from '@/core/holding';
import type { LineEnd } from '@/core/plan';
import { areaSchema, outline, sounding, transitSchema } from './areas';
import { extra, id, longText, shortText, within } from './fields';
import { locksIn, siteLock } from './lock';
import { migratePlace, PLACE_VERSION } from './place-migrations';
import { tideSchema } from './tide';

const surfaceKind = z.enum(['stone', 'timber', 'fendered', 'earth', 'hull'], {
  error: "say 'stone', 'timber', 'fendered', 'earth' or 'hull'",
});

const solid = z.strictObject({
  kind: z.enum(['quay', 'pontoon', 'bank', 'boat', 'building', 'gate']),
  id,
  name: shortText,
  extra,
  outline_m: outline,
  surface: surfaceKind.optional(),
  /** Over the water: what is lower than a deck's edge is met by the side under it, and hung over; and the wind it keeps off. */
  height_m: within(0.1, 200, 'm').optional(),
});

/** What every single point of a place has. */
const spot = {
  id,
  name: shortText,
  extra,
  x_m: within(-20000, 20000, 'm'),
  y_m: within(-20000, 20000, 'm'),
};

const pile = z.strictObject({
  kind: z.literal('pile'),
  ...spot,
  radius_m: within(0.03, 20, 'm').default(0.15),
});

/** A place to take a bearing on or to name in a cue; nothing can touch it. */
const mark = z.strictObject({
  kind: z.literal('mark'),
  ...spot,
});

/** Something a line is made on to; nothing can touch it. */
const bollard = z.strictObject({
  kind: z.literal('bollard'),
  ...spot,
  /** Over the water. */
  height_m: within(0, 20, 'm').default(0.6),
});

/** A mooring buoy: a line is made on to it; she lies against it without harm. Its own riser's give is left out. */
const buoy = z.strictObject({
  kind: z.literal('buoy'),
  ...spot,
});

/** Rungs let into a face from its top to below the water: where people climb. Nothing can touch it. */
const ladder = z.strictObject({
  kind: z.literal('ladder'),
  ...spot,
});

/** A line laid on the bottom from a weight there to the quay, picked up at the quay and led to the far end of a boat. */
const groundLine = z.strictObject({
  kind: z.literal('groundLine'),
  id,
  name: shortText,
  extra,
  /** Where its weight lies, and how deep. */
  x_m: within(-20000, 20000, 'm'),
  y_m: within(-20000, 20000, 'm'),
  depth_m: within(0.5, 60, 'm'),
  /** Name of the bollard its tail is tied to. */
  tail: shortText,
});

const feature = z.discriminatedUnion(
  'kind',
  [solid, pile, mark, bollard, buoy, ladder, groundLine, sounding],
  {
    error:
      "kind is 'quay', 'pontoon', 'bank', 'boat', 'building', 'gate', 'pile', 'bollard', 'buoy', 'ladder', 'groundLine', 'sounding' or 'mark'",
  },
);

const end = z.tuple([within(-20000, 20000, 'm'), within(-20000, 20000, 'm')]);

/**
 * Where a boat can be made fast: along an edge, open at both ends; a slip entered from its mouth only; or with
 * her stern or her bow to an edge as wide as she.
 */
const berth = z.strictObject({
  kind: z.enum(['alongside', 'slip', 'stern-to', 'bow-to'], {
    error: "kind is 'alongside', 'slip', 'stern-to' or 'bow-to'",
  }),
  id,
  name: shortText,
  extra,
  /** The edge she lies along, end to end; a slip's begins at its mouth. */
  edge_m: z.tuple([end, end]).refine(([[ax, ay], [bx, by]]) => Math.hypot(bx - ax, by - ay) >= 2, {
    error: 'give two ends at least 2 m apart',
  }),
  /** Ids of the features she lies against, the edge's first. One that is not there is passed over. */
  on: z.array(id).min(1, { error: 'name at least one feature' }).max(6, { error: 'at most 6' }),
  /** Top of what she lies against over the water, for the height of fenders. */
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
    features: z.array(feature).max(MOST_FEATURES, { error: `at most ${MOST_FEATURES} features` }),
    berths: z.array(berth).max(60, { error: 'at most 60 berths' }).default([]),
    /** Depths, bridges, water with rules and trees: what has an outline and cannot be touched. */
    areas: z.array(areaSchema).max(100, { error: 'at most 100 areas' }).default([]),
    transits: z.array(transitSchema).max(30, { error: 'at most 30 transits' }).default([]),
    /** Its tide; a place without one has water that stands. */
    tide: tideSchema.optional(),
  })
  .superRefine((place, context) => {
    place.features.forEach((f, i) => {
      if (f.kind !== 'groundLine') return;
      if (place.features.some((b) => b.kind === 'bollard' && b.name === f.tail)) return;
      const message = `there is no bollard '${f.tail}' for its tail; name one of the place`;
      context.addIssue({ code: 'custom', path: ['features', i, 'tail'], message });
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

/** The end a boat has to a berth she lies end on to; null where she lies along it. */
export const endTo = ({ kind }: Pick<Berth, 'kind'>): 'bow' | 'stern' | null =>
  kind === 'stern-to' ? 'stern' : kind === 'bow-to' ? 'bow' : null;
export type Feature = Place['features'][number];
export type SolidFeature = z.infer<typeof solid>;
type SurfaceKind = z.infer<typeof surfaceKind>;

/** Friction of a boat on fenders or hull along a face, and the face's own stiffness (judgement, ±50 %). */
const SURFACES: Readonly<Record<SurfaceKind, Surface>> = {
  stone: { friction: 0.4, stiffness: 5e6 },
  timber: { friction: 0.35, stiffness: 1e6 },
  fendered: { friction: 0.35, stiffness: 2e5 },
  earth: { friction: 0.6, stiffness: 5e5 },
  hull: { friction: 0.3, stiffness: 5e5 },
};

const USUAL_SURFACE: Readonly<Record<SolidFeature['kind'], SurfaceKind>> = {
  quay: 'stone',
  pontoon: 'timber',
  bank: 'earth',
  boat: 'hull',
  building: 'stone',
  gate: 'timber',
};

/** Everything on a place that a boat can touch. */
export function toObstacles(place: Place): Obstacle[] {
  return place.features.flatMap((f) => {
    if (!('outline_m' in f) && f.kind !== 'pile') return [];
    if (f.kind === 'pile') {
      return [pileObstacle(f.id, f.name, f.x_m, f.y_m, f.radius_m, SURFACES.timber)];
    }
    const surface = SURFACES[f.surface ?? USUAL_SURFACE[f.kind]];
    return [
      solidObstacle(f.id, f.name, Float64Array.from(f.outline_m.flat()), surface, f.height_m),
    ];
  });
}

/** Height over the water of a pile's head, where a line goes round it: it is not kept. Assumption. */
const PILE_HEIGHT_M = 1;
/** The ring of a buoy over the water, m. Assumption. */
const BUOY_HEIGHT_M = 0.4;

/** Is a place on a pontoon, or within a hand's breadth of one? */
export function isAfloat(place: Place, x: number, y: number): boolean {
  const near = { x: 0, y: 0, distance: 0 };
  return place.features.some((f) => {
    if (f.kind !== 'pontoon') return false;
    nearestOnPolygon(near, Float64Array.from(f.outline_m.flat()), x, y);
    return near.distance < 0.1;
  });
}

/** What a line can be made on to: bollards, cleats and rings, piles, buoys, and ground lines. */
export function lineEnds(place: Place): LineEnd[] {
  return place.features.flatMap((f): LineEnd[] => {
    if (f.kind === 'bollard') {
      const end = { name: f.name, x: f.x_m, y: f.y_m, height: f.height_m };
      return [isAfloat(place, f.x_m, f.y_m) ? { ...end, afloat: true } : end];
    }
    if (f.kind === 'pile') return [{ name: f.name, x: f.x_m, y: f.y_m, height: PILE_HEIGHT_M }];
    if (f.kind === 'buoy')
      return [{ name: f.name, x: f.x_m, y: f.y_m, height: BUOY_HEIGHT_M, afloat: true }];
    if (f.kind !== 'groundLine') return [];
    const tied = place.features.find((b) => b.kind === 'bollard' && b.name === f.tail);
    const tail =
      tied?.kind === 'bollard' ? { name: tied.name, x: tied.x_m, y: tied.y_m } : undefined;
    return [{ name: f.name, x: f.x_m, y: f.y_m, height: -f.depth_m, tail }];
  });
}

/** What of a solid thing can be told from afar by its corners: boats come and go, and a bank has none. */
const CORNERED: ReadonlySet<Feature['kind']> = new Set(['quay', 'pontoon', 'building', 'gate']);
const POINTS = ['N', 'NE', 'E', 'SE', 'S', 'SW', 'W', 'NW'] as const;

/** What stands where it is and can be seen: marks, bollards, piles, and corners of what is built. */
export function fixedPoints(place: Place): { name: string; x: number; y: number }[] {
  return place.features.flatMap((f) => {
    if (f.kind === 'mark' || f.kind === 'pile' || f.kind === 'bollard' || f.kind === 'ladder')
      return [{ name: f.name, x: f.x_m, y: f.y_m }];
    if (!('outline_m' in f) || !CORNERED.has(f.kind)) return [];
    const n = f.outline_m.length;
    const [mx, my] = f.outline_m.reduce(([x, y], [a, b]) => [x + a / n, y + b / n], [0, 0]);
    return f.outline_m.map(([x, y]) => {
      const eighth = Math.round((4 * Math.atan2(x - mx, y - my)) / Math.PI);
      return { name: `${f.name}, ${POINTS[(eighth + 8) % 8]} corner`, x, y };
    });
  });
}

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

/** What a cue can be about by its one point. */
const SPOTS: ReadonlySet<Feature['kind']> = new Set(['mark', 'pile', 'bollard', 'buoy', 'ladder']);

/** Places a cue can name: marks, bollards, piles, buoys, ladders, and the middles of berths, on their edge. */
export function namedMarks(place: Place): { name: string; x: number; y: number }[] {
  const marks = place.features.flatMap((f) =>
    SPOTS.has(f.kind) && 'x_m' in f ? [{ name: f.name, x: f.x_m, y: f.y_m }] : [],
  );
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
  return [...marks, ...middles, ...gates];
}
