import { z } from 'zod';
import {
  AREAS,
  check,
  definitionOf,
  failure,
  FEATURES,
  idFrom,
  isAreaKind,
  parseJson,
  placeSchema,
  PLACE_SCHEMA,
  PLACE_VERSION,
  success,
  type FeatureKind,
  type Place,
  type Problem,
  type Result,
} from '@/document';
import { MOST_LAT_DEG, projection, type LonLat, type Metres, type Origin } from './projection';
import { onGrid } from './write';

/** Largest file read, characters. */
export const MOST_GEOJSON = 8_000_000;
/** A place is no wider than this, m. */
const MOST_WIDE_M = 30_000;
const MOST_FEATURES = 3000;
/** Corners of everything together. */
const MOST_POINTS = 60_000;
/** What is written exactly is believed where the degrees agree with it so far, m. */
const AGREES_M = 1e-3;

const position = z.array(z.number()).min(2).max(4);
const geometry = z.discriminatedUnion(
  'type',
  [
    z.looseObject({ type: z.literal('Point'), coordinates: position }),
    z.looseObject({ type: z.literal('MultiPoint'), coordinates: z.array(position) }),
    z.looseObject({ type: z.literal('LineString'), coordinates: z.array(position) }),
    z.looseObject({ type: z.literal('MultiLineString'), coordinates: z.array(z.array(position)) }),
    z.looseObject({ type: z.literal('Polygon'), coordinates: z.array(z.array(position)) }),
    z.looseObject({
      type: z.literal('MultiPolygon'),
      coordinates: z.array(z.array(z.array(position))),
    }),
  ],
  { error: 'is not a geometry this program reads: Point, LineString, Polygon, or several of one' },
);
const feature = z.looseObject({
  type: z.literal('Feature', { error: "must be 'Feature'" }),
  id: z.union([z.string(), z.number()]).nullish(),
  geometry: geometry.nullable(),
  properties: z.record(z.string(), z.json()).nullable(),
});
const collection = z.looseObject({
  type: z.literal('FeatureCollection', {
    error: "must be 'FeatureCollection': this program reads GeoJSON as RFC 7946 has it",
  }),
  features: z.array(feature).max(MOST_FEATURES, { error: `at most ${MOST_FEATURES} features` }),
  yawtrope: z
    .looseObject({
      id: z.string(),
      name: z.string(),
      note: z.string().optional(),
      origin: z.strictObject({ lat_deg: z.number(), lon_deg: z.number() }),
      tide: z.json().optional(),
    })
    .optional(),
});
type GeoFeature = z.infer<typeof feature>;

/** What becomes of shapes that do not say what they are. */
export interface Unmarked {
  readonly polygons: 'quay' | 'bank' | 'pontoon' | 'building' | 'boat';
}

/** A place read, and what was done with what did not fit. */
export interface ReadPlace {
  readonly place: Place;
  /** In words, one for each kind of thing that was made otherwise or left out. */
  readonly notes: readonly string[];
}

interface Part {
  readonly path: string;
  readonly id: string | null;
  readonly properties: Record<string, unknown>;
  readonly shape: 'Point' | 'LineString' | 'Polygon';
  readonly points: readonly LonLat[];
}

/** What of a berth or a transit its properties carry, beside its name; of features and areas their own definitions say. */
const KEYS: Readonly<Record<string, readonly string[]>> = {
  berth: ['lies', 'on', 'height_m'],
  transit: ['front', 'back'],
};
const LINES = new Set(['berth', 'transit']);

const isFeature = (kind: string): kind is FeatureKind => Object.hasOwn(FEATURES, kind);

/** The geometry a kind of thing has; null for one that is not known. */
function shapeOf(kind: string): Part['shape'] | null {
  if (isFeature(kind)) return definitionOf(kind).shape === 'outline' ? 'Polygon' : 'Point';
  return isAreaKind(kind) ? 'Polygon' : LINES.has(kind) ? 'LineString' : null;
}

/** Makes ids and names that are free, from what is wished. */
class Free {
  private readonly taken = new Set<string>();
  /** The number a wish was given last: thousands of one name are not counted through anew each time. */
  private readonly last = new Map<string, number>();
  of(wish: string, join: string): string {
    for (let n = (this.last.get(wish) ?? 0) + 1; ; n++) {
      const one = n === 1 ? wish : `${wish}${join}${n}`;
      if (this.taken.has(one)) continue;
      this.taken.add(one);
      this.last.set(wish, n);
      return one;
    }
  }
}

/**
 * Reads a place from GeoJSON text. Nothing is taken in by halves: there is a whole place, or what is wrong with the file.
 *
 * @param name what the place is called where the file does not say
 */
export function readPlaceGeoJson(
  text: string,
  name: string,
  unmarked: Unmarked = { polygons: 'quay' },
): Result<ReadPlace> {
  const json = parseJson(text, MOST_GEOJSON);
  if (!json.ok) return json;
  if (tooMany(json.value))
    return failure({
      path: 'features',
      message: `holds more than ${MOST_POINTS} points; cut it down to the harbour`,
    });
  const checked = check<z.infer<typeof collection>>(collection, json.value);
  if (!checked.ok) return checked;
  const { features, yawtrope } = checked.value;
  const notes = new Map<string, number>();
  const note = (what: string) => notes.set(what, (notes.get(what) ?? 0) + 1);
  const parts: Part[] = [];
  let points = 0;
  for (const [i, f] of features.entries()) {
    for (const part of partsOf(f, `features[${i}]`, note)) {
      parts.push(part);
      points += part.points.length;
    }
    if (parts.length > MOST_FEATURES || points > MOST_POINTS)
      return failure({
        path: `features[${i}].geometry`,
        message: `makes more than ${MOST_FEATURES} things or ${MOST_POINTS} points of the file; cut it down to the harbour`,
      });
  }
  const where = originOf(parts, yawtrope?.origin);
  if (!where.ok) return where;
  const origin = where.value;
  const { toMetres } = projection(origin);
  const problems: Problem[] = [];
  const ids = new Free();
  const names = new Free();
  const place: Record<'features' | 'berths' | 'areas' | 'transits', unknown[]> = {
    features: [],
    berths: [],
    areas: [],
    transits: [],
  };
  for (const part of parts) {
    const made = documentOf(part, toMetres, unmarked, note, problems);
    if (!made) continue;
    const wished = typeof part.properties.name === 'string' ? part.properties.name.trim() : '';
    const called =
      wished.slice(0, 72) || `${String(made.kind ?? 'transit')} ${place.features.length + 1}`;
    const one = {
      ...made,
      id: ids.of(idFrom(part.id ?? '', idFrom(called, 'thing')), '-'),
      name: names.of(called, ' '),
    };
    place[listOf(one)].push(one);
  }
  if (problems.length > 0) return failure(...problems.slice(0, 20));
  if (Object.values(place).every((list) => list.length === 0))
    return failure({ path: 'features', message: 'holds nothing that makes a place' });
  const whole = check<Place>(placeSchema, {
    $schema: PLACE_SCHEMA,
    version: PLACE_VERSION,
    id: idFrom(yawtrope?.id ?? name, 'place'),
    name: (yawtrope?.name ?? name).trim().slice(0, 80) || 'A place',
    note: yawtrope?.note ?? '',
    origin,
    ...(yawtrope?.tide === undefined ? {} : { tide: yawtrope.tide }),
    ...place,
  });
  if (!whole.ok) return whole;
  const said = [...notes].map(([what, n]) => (n > 1 ? `${what} (${n} times)` : what));
  return success({ place: whole.value, notes: said });
}

/** Whether there are more positions than are read: counted before each of them is checked. */
function tooMany(value: unknown): boolean {
  let left = MOST_POINTS;
  const count = (at: unknown): void => {
    if (left < 0 || typeof at !== 'object' || at === null) return;
    if (Array.isArray(at) && typeof at[0] === 'number') left -= 1;
    else for (const part of Object.values(at)) count(part);
  };
  count((value as { features?: unknown } | null)?.features);
  return left < 0;
}

/** Which list of a place a thing read belongs to. */
function listOf(one: Record<string, unknown>): 'features' | 'berths' | 'areas' | 'transits' {
  if ('edge_m' in one) return 'berths';
  if ('front' in one || !('kind' in one)) return 'transits';
  return isAreaKind(String(one.kind)) ? 'areas' : 'features';
}

/** A feature taken apart: several geometries of one become things of their own. */
function partsOf(f: GeoFeature, path: string, note: (what: string) => void): Part[] {
  if (!f.geometry) {
    note('something without a geometry was left out');
    return [];
  }
  const { type } = f.geometry;
  const shape = type.replace('Multi', '') as Part['shape'];
  const lonLat = (p: readonly number[]): LonLat => [p[0]!, p[1]!];
  const each: (readonly (readonly number[])[])[] = [];
  switch (f.geometry.type) {
    case 'Point':
      each.push([f.geometry.coordinates]);
      break;
    case 'MultiPoint':
      each.push(...f.geometry.coordinates.map((one) => [one]));
      break;
    case 'LineString':
      each.push(f.geometry.coordinates);
      break;
    case 'MultiLineString':
      each.push(...f.geometry.coordinates);
      break;
    case 'Polygon':
    case 'MultiPolygon': {
      const polygons =
        f.geometry.type === 'Polygon' ? [f.geometry.coordinates] : f.geometry.coordinates;
      for (const [outer, ...holes] of polygons) {
        if (holes.length > 0) note('a hole in a polygon was filled');
        if (outer) each.push(outer);
      }
    }
  }
  const id = f.id === undefined || f.id === null ? null : String(f.id);
  return each.map((ring) => ({
    path,
    id,
    properties: f.properties ?? {},
    shape,
    points: (shape === 'Polygon' ? opened(ring) : ring).map(lonLat),
  }));
}

/** A ring without its last corner, which is its first again. */
function opened(ring: readonly (readonly number[])[]): readonly (readonly number[])[] {
  const [first, last] = [ring[0], ring.at(-1)];
  const same = first && last && first[0] === last[0] && first[1] === last[1];
  return ring.length > 1 && same ? ring.slice(0, -1) : ring;
}

/** Where its metres begin: where the file says, or in the middle of what it holds. */
function originOf(parts: readonly Part[], given: Origin | undefined): Result<Origin> {
  const lon: [number, number] = [Infinity, -Infinity];
  const lat: [number, number] = [Infinity, -Infinity];
  for (const { points, path } of parts) {
    for (const [east, north] of points) {
      if (Math.abs(north) > 90 || Math.abs(east) > 180)
        return failure({
          path: `${path}.geometry`,
          message: `${east}, ${north} is no place on the earth; GeoJSON has the longitude first, then the latitude, in degrees`,
        });
      lon[0] = Math.min(lon[0], east);
      lon[1] = Math.max(lon[1], east);
      lat[0] = Math.min(lat[0], north);
      lat[1] = Math.max(lat[1], north);
    }
  }
  if (parts.length === 0)
    return failure({ path: 'features', message: 'holds nothing that makes a place' });
  const middle = { lat_deg: (lat[0] + lat[1]) / 2, lon_deg: (lon[0] + lon[1]) / 2 };
  const high = (lat[1] - lat[0]) * 111_195;
  const wide = (lon[1] - lon[0]) * 111_195 * Math.cos((middle.lat_deg * Math.PI) / 180);
  const most = Math.max(high, wide);
  if (most > MOST_WIDE_M)
    return failure({
      path: 'features',
      message: `is ${Math.round(most / 1000)} km across; a place is at most ${MOST_WIDE_M / 1000} km: cut the file down to the harbour, and see that longitude comes before latitude`,
    });
  const origin = given ?? middle;
  if (Math.abs(origin.lat_deg) > MOST_LAT_DEG || Math.abs(origin.lon_deg) > 180)
    return failure({
      path: given ? 'yawtrope.origin' : 'features',
      message: `a place lies between ${-MOST_LAT_DEG}° and ${MOST_LAT_DEG}° of latitude`,
    });
  return success(origin);
}

/** A thing of the place as the user keeps it, without id and name; null where it is left out, which is noted. */
function documentOf(
  { path, properties, shape, points }: Part,
  toMetres: (at: LonLat) => Metres,
  { polygons }: Unmarked,
  note: (what: string) => void,
  problems: Problem[],
): Record<string, unknown> | null {
  const said = properties.kind;
  const known = typeof said === 'string' && shapeOf(said) !== null;
  const usual = shape === 'Polygon' ? polygons : shape === 'Point' ? 'mark' : null;
  const kind = known ? (said as string) : usual;
  if (!kind) {
    note('a line that is no berth was left out');
    return null;
  }
  if (!known)
    note(
      `a ${shape === 'Polygon' ? 'polygon' : 'point'} that does not say what it is was taken for a ${kind}`,
    );
  const wanted = shapeOf(kind);
  if (wanted !== shape) {
    problems.push({
      path: `${path}.geometry`,
      message: `a ${kind} is a ${wanted}, not a ${shape}`,
    });
    return null;
  }
  const metres = exact(points.map(toMetres), properties.exact_m);
  const keys = isFeature(kind)
    ? definitionOf(kind).keys
    : isAreaKind(kind)
      ? AREAS[kind].keys
      : KEYS[kind]!;
  const own = Object.fromEntries(
    keys.flatMap((key) => (properties[key] === undefined ? [] : [[key, properties[key]]])),
  );
  const mine = new Set([...keys, 'name', 'exact_m', ...(known ? ['kind'] : [])]);
  // What it calls itself stays beside what it was taken for.
  const rest = Object.entries(properties).flatMap(([key, value]) =>
    mine.has(key) ? [] : [[key === 'kind' ? 'kind_was' : key, value] as const],
  );
  const extra = rest.length > 0 ? { extra: Object.fromEntries(rest) } : {};
  if (kind === 'berth') {
    const { lies, ...more } = own;
    return { kind: lies ?? 'alongside', ...more, ...extra, edge_m: metres };
  }
  // Its ends are where the marks it names stand.
  if (kind === 'transit') return { ...own, ...extra };
  if (shape === 'Polygon') return { kind, ...own, ...extra, outline_m: metres };
  return { kind, ...own, ...extra, x_m: metres[0]![0], y_m: metres[0]![1] };
}

/** Metres from degrees, on the grid; or as they were written exactly, where nobody has moved them since. */
function exact(points: readonly Metres[], written: unknown): Metres[] {
  const said = z.array(z.tuple([z.number(), z.number()])).safeParse(written);
  const agree =
    said.success &&
    said.data.length === points.length &&
    said.data.every(([x, y], i) => Math.hypot(x - points[i]![0], y - points[i]![1]) < AGREES_M);
  if (agree) return said.data;
  return points.map(([x, y]): Metres => [onGrid(x), onGrid(y)]);
}
