import type { Feature as GeoFeature, FeatureCollection, Geometry } from 'geojson';
import {
  failure,
  success,
  type Area,
  type Berth,
  type Feature,
  type Place,
  type PlaceTransit,
  type Result,
} from '@/document';
import { MOST_LAT_DEG, projection, type LonLat, type Metres } from './projection';

/** Degrees are written to this many places: a micrometre, far within the grid. */
const PLACES = 11;
/** Metres that are whole in this unit come back from degrees as they were, m. */
export const GRID_M = 1e-4;

export const onGrid = (metres: number) => Math.round(metres / GRID_M) / (1 / GRID_M) + 0;

/**
 * A place as GeoJSON (RFC 7946): a feature for each thing of it, with what this program knows of it among its
 * properties, and what it does not know as it came. See docs/formats/places.md. A place without an origin is refused.
 */
export function placeGeoJson(place: Place): Result<FeatureCollection> {
  const { origin } = place;
  if (!origin)
    return failure({
      path: 'origin',
      message:
        'the place has no position on the earth yet; give its origin a latitude and longitude',
    });
  if (Math.abs(origin.lat_deg) > MOST_LAT_DEG)
    return failure({ path: 'origin.lat_deg', message: `lies beyond ${MOST_LAT_DEG}°` });
  const { toLonLat } = projection(origin);
  const degrees = (point: Metres): LonLat => {
    const [lon, lat] = toLonLat(point);
    return [Number(lon.toFixed(PLACES)), Number(lat.toFixed(PLACES))];
  };
  const collection: FeatureCollection & { yawtrope: object } = {
    type: 'FeatureCollection',
    yawtrope: {
      schema: place.$schema,
      version: place.version,
      id: place.id,
      name: place.name,
      note: place.note,
      origin,
      ...(place.tide ? { tide: place.tide } : {}),
    },
    features: [
      ...place.features.map((f) => writeFeature(f, degrees)),
      ...place.berths.map((b) => writeBerth(b, degrees)),
      ...place.areas.map((a) => writeFeature(a, degrees)),
      ...place.transits.map((t) => writeTransit(t, place, degrees)),
    ],
  };
  return success(collection);
}

/** Metres that are not on the grid are written beside the degrees, so that nothing is lost. */
const exactly = (points: readonly Metres[]) =>
  points.flat().every((metres) => onGrid(metres) === metres) ? {} : { exact_m: points };

const position = ([lon, lat]: LonLat) => [lon, lat];

function writeFeature(f: Feature | Area, degrees: (point: Metres) => LonLat): GeoFeature {
  const { id, extra, ...known } = f;
  if ('outline_m' in known) {
    const { outline_m, ...properties } = known;
    const ring = outline_m.map(degrees);
    return {
      type: 'Feature',
      id,
      geometry: { type: 'Polygon', coordinates: [[...ring, ring[0]!].map(position)] },
      properties: { ...extra, ...properties, ...exactly(outline_m) },
    };
  }
  const { x_m, y_m, ...properties } = known;
  const geometry: Geometry = { type: 'Point', coordinates: position(degrees([x_m, y_m])) };
  return {
    type: 'Feature',
    id,
    geometry,
    properties: { ...extra, ...properties, ...exactly([[x_m, y_m]]) },
  };
}

function writeBerth(berth: Berth, degrees: (point: Metres) => LonLat): GeoFeature {
  const { id, extra, edge_m, kind, ...properties } = berth;
  return {
    type: 'Feature',
    id,
    geometry: { type: 'LineString', coordinates: edge_m.map(degrees).map(position) },
    properties: { ...extra, kind: 'berth', lies: kind, ...properties, ...exactly(edge_m) },
  };
}

/** A line from the one in front to the one behind, which it names. */
function writeTransit(
  { id, extra, ...properties }: PlaceTransit,
  { features }: Place,
  degrees: (point: Metres) => LonLat,
): GeoFeature {
  const ends = [properties.front, properties.back].flatMap((name) => {
    const mark = features.find((f) => 'x_m' in f && f.name === name);
    return mark && 'x_m' in mark ? [position(degrees([mark.x_m, mark.y_m]))] : [];
  });
  return {
    type: 'Feature',
    id,
    geometry: { type: 'LineString', coordinates: ends },
    properties: { ...extra, kind: 'transit', ...properties },
  };
}
