import {
  check,
  failure,
  instantOf,
  MOST_FIXES,
  RECORD_SCHEMA,
  recordSchema,
  type Place,
  type RecordDocument,
  type Result,
} from '@/document';
import { projection } from '../geojson';
import type { NmeaRecord } from '../nmea0183';

/** Farther from the place than this it was recorded somewhere else, m. */
const FAR_M = 30_000;

/** A recording laid on the place of a manoeuvre; one made somewhere else, or too long, is refused. */
export function recordOf(
  { fixes, counts }: NmeaRecord,
  { origin, name: placeName }: Place,
  called: Pick<RecordDocument, 'id' | 'manoeuvreId' | 'name' | 'source'>,
): Result<RecordDocument> {
  if (!origin)
    return failure({
      path: 'place.origin',
      message: `${placeName} has no position on the earth yet; give its origin a latitude and longitude`,
    });
  if (fixes.length > MOST_FIXES)
    return failure({
      path: '(file)',
      message: `holds ${fixes.length} positions; at most ${MOST_FIXES} are kept: cut out the manoeuvre`,
    });
  const { toMetres } = projection(origin);
  const first = fixes[0]!.at;
  const laid = fixes.map(({ at, lat_deg, lon_deg, ...rest }) => {
    const [x, y] = toMetres([lon_deg, lat_deg]);
    const round = (metres: number) => Math.round(metres * 100) / 100 + 0;
    return { t_s: Math.round((at - first) * 100) / 100, x_m: round(x), y_m: round(y), ...rest };
  });
  const far = laid.find(({ x_m, y_m }) => !(Math.hypot(x_m, y_m) < FAR_M));
  if (far)
    return failure({
      path: '(file)',
      message: `was recorded ${Math.round(Math.hypot(far.x_m, far.y_m) / 1000)} km from ${placeName}; open a manoeuvre of the place it was recorded at`,
    });
  return check<RecordDocument>(recordSchema, {
    $schema: RECORD_SCHEMA,
    version: 1,
    ...called,
    begins: instantOf(first),
    aerial: { x_m: 0, y_m: 0 },
    fixes: laid,
    counts,
  });
}
