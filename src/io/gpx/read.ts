import { gpx } from '@tmcw/togeojson';
import { DOMParser } from '@xmldom/xmldom';
import { failure, success, type Place, type Result } from '@/document';
import { projection, type LonLat, type Metres } from '../geojson';

/** Largest file read, characters. */
export const MOST_GPX = 20_000_000;
const MOST_POINTS = 100_000;
/** Farther from the place than this it is of somewhere else, m. */
const FAR_M = 30_000;

/** Tracks and waypoints of a GPX file on a place, m east and north of its origin. */
export interface GpxLayer {
  readonly name: string;
  readonly tracks: readonly (readonly Metres[])[];
  readonly waypoints: readonly { readonly name: string; readonly at: Metres }[];
}

/**
 * Reads GPX text on to a place: tracks, routes and waypoints. A file that is not GPX, empty, too large, or of somewhere else is
 * refused with why.
 */
export function readGpx(text: string, name: string, { origin }: Place): Result<GpxLayer> {
  if (!origin)
    return failure({
      path: 'origin',
      message: 'the place has no position on the earth yet; give its origin first',
    });
  if (text.length > MOST_GPX)
    return failure({ path: '(file)', message: `is larger than ${MOST_GPX / 1e6} MB` });
  const dom = parsed(text);
  if (!dom) return failure({ path: '(file)', message: 'is not GPX: no XML that can be read' });
  const { features } = gpx(dom as unknown as Document);
  const { toMetres } = projection(origin);
  const tracks: Metres[][] = [];
  const waypoints: { name: string; at: Metres }[] = [];
  const at = (position: readonly number[]): Metres =>
    toMetres([position[0]!, position[1]!] as LonLat);
  for (const { geometry, properties } of features) {
    if (!geometry) continue;
    if (geometry.type === 'Point') {
      const told: unknown = properties?.name;
      const called = typeof told === 'string' && told.trim() !== '' ? told.trim().slice(0, 72) : '';
      waypoints.push({
        name: called || `waypoint ${waypoints.length + 1}`,
        at: at(geometry.coordinates),
      });
    } else if (geometry.type === 'LineString') tracks.push(geometry.coordinates.map(at));
    else if (geometry.type === 'MultiLineString')
      tracks.push(...geometry.coordinates.map((part) => part.map(at)));
  }
  const all = [...tracks.flat(), ...waypoints.map((w) => w.at)];
  if (all.length === 0)
    return failure({ path: '(file)', message: 'is no GPX, or holds no track and no waypoint' });
  if (all.length > MOST_POINTS)
    return failure({
      path: '(file)',
      message: `holds more than ${MOST_POINTS} points; cut it down`,
    });
  const far = all.find(([x, y]) => !(Math.hypot(x, y) < FAR_M));
  if (far)
    return failure({
      path: '(file)',
      message: `lies ${Number.isFinite(far[0]) ? `${Math.round(Math.hypot(...far) / 1000)} km` : 'far'} from this place`,
    });
  return success({ name, tracks, waypoints });
}

/** Null where it is no XML. */
function parsed(text: string) {
  // What is only doubtful is passed over; what cannot be read throws.
  const parser = new DOMParser({ onError: (level) => level === 'fatalError' });
  try {
    return parser.parseFromString(text, 'text/xml');
  } catch {
    return null;
  }
}
