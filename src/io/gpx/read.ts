import { XMLParser } from 'fast-xml-parser';
import { failure, plainText, success, type Place, type Result } from '@/document';
import { projection, type LonLat, type Metres } from '../geojson';

/** Largest file read, characters. */
export const MOST_GPX = 20_000_000;
const MOST_POINTS = 60_000;
/** Farther from the place than this it is of somewhere else, m. */
const FAR_M = 30_000;

/** Tracks and waypoints of a GPX file on a place, m east and north of its origin. */
export interface GpxLayer {
  readonly name: string;
  readonly tracks: readonly (readonly Metres[])[];
  readonly waypoints: readonly { readonly name: string; readonly at: Metres }[];
}

const wrong = (message: string, path = '(file)') => failure({ path, message });

/** A point as the parser gives it; attributes are text. */
interface Point {
  readonly lat?: unknown;
  readonly lon?: unknown;
  readonly name?: unknown;
}

/** Elements that may be there several times, and are lists even where there is one. */
const LISTS: ReadonlySet<string> = new Set(['wpt', 'trk', 'trkseg', 'trkpt', 'rte', 'rtept']);

const PARSER = new XMLParser({
  ignoreAttributes: false,
  attributeNamePrefix: '',
  parseAttributeValue: false,
  parseTagValue: false,
  removeNSPrefix: true,
  isArray: (tag) => LISTS.has(tag),
});

/** Children of a name; an empty element is a text in the parser's tree, and has none. */
function children(of: unknown, tag: string): readonly unknown[] {
  if (typeof of !== 'object' || of === null) return [];
  const found = (of as Record<string, unknown>)[tag];
  return Array.isArray(found) ? found : [];
}

/** Each run of points that makes a line, with what it is called in problems. */
function* linesOf(root: unknown): Generator<readonly [string, readonly unknown[]]> {
  for (const [i, track] of children(root, 'trk').entries())
    for (const [j, segment] of children(track, 'trkseg').entries())
      yield [`trk[${i}].trkseg[${j}].trkpt`, children(segment, 'trkpt')];
  for (const [i, route] of children(root, 'rte').entries())
    yield [`rte[${i}].rtept`, children(route, 'rtept')];
}

/** Where a point says it is; null for nowhere on the earth. */
function positionOf(point: unknown): LonLat | null {
  if (typeof point !== 'object' || point === null) return null;
  const { lat, lon } = point as Point;
  if (typeof lat !== 'string' || typeof lon !== 'string' || !lat.trim() || !lon.trim()) return null;
  const [north, east] = [Number(lat), Number(lon)];
  return Math.abs(north) <= 90 && Math.abs(east) <= 180 ? [east, north] : null;
}

/** A name told in a file: text, without what cannot be seen. */
function nameOf(point: unknown): string {
  const { name } = point as Point;
  if (typeof name !== 'string') return '';
  return plainText(name.replace(/\p{Cc}/gu, ' '))
    .trim()
    .slice(0, 72);
}

/**
 * Reads GPX text on to a place: tracks, routes and waypoints. A file that is not GPX, empty, too large, or of somewhere else is
 * refused with why.
 */
export function readGpx(text: string, name: string, { origin }: Place): Result<GpxLayer> {
  if (!origin)
    return wrong('the place has no position on the earth yet; give its origin first', 'origin');
  if (text.length > MOST_GPX) return wrong(`is larger than ${MOST_GPX / 1e6} MB`);
  // Counted before anything is made of them.
  const points = text.match(/<(?:\w+:)?(?:wpt|trkpt|rtept)\b/g)?.length ?? 0;
  if (points === 0) return wrong('is no GPX, or holds no track and no waypoint');
  if (points > MOST_POINTS)
    return wrong(`holds ${points} points; cut it down to ${MOST_POINTS} at most`);
  let root: unknown;
  try {
    root = (PARSER.parse(text, true) as { gpx?: unknown }).gpx;
  } catch {
    return wrong('is not GPX: no XML that can be read');
  }
  const { toMetres } = projection(origin);
  const nowhere = (path: string) =>
    wrong(
      'has no place on the earth: give lat from -90 to 90 and lon from -180 to 180 degrees',
      path,
    );
  const tracks: Metres[][] = [];
  for (const [path, line] of linesOf(root)) {
    const track: Metres[] = [];
    for (const [i, point] of line.entries()) {
      const at = positionOf(point);
      if (!at) return nowhere(`${path}[${i}]`);
      track.push(toMetres(at));
    }
    if (track.length > 0) tracks.push(track);
  }
  const waypoints: { name: string; at: Metres }[] = [];
  for (const [i, point] of children(root, 'wpt').entries()) {
    const at = positionOf(point);
    if (!at) return nowhere(`wpt[${i}]`);
    waypoints.push({ name: nameOf(point) || `waypoint ${i + 1}`, at: toMetres(at) });
  }
  if (tracks.length + waypoints.length === 0)
    return wrong('is no GPX, or holds no track and no waypoint');
  const far = farthest([...tracks, waypoints.map((w) => w.at)]);
  if (far !== null) return wrong(`lies ${far} from this place`);
  return success({ name, tracks, waypoints });
}

/** How far off what lies too far off is; null where nothing does. */
function farthest(lines: readonly (readonly Metres[])[]): string | null {
  for (const line of lines)
    for (const [x, y] of line) {
      const off = Math.hypot(x, y);
      if (!(off < FAR_M)) return Number.isFinite(off) ? `${Math.round(off / 1000)} km` : 'far';
    }
  return null;
}
