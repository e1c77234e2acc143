import { XMLBuilder } from 'fast-xml-parser';
import { playRecording } from '@/core/drive';
import { failure, success, toDrive, type DrivenFile, type Place, type Result } from '@/document';

/** WGS 84: half the long axis, m, and the square of the first eccentricity. */
const A_M = 6378137;
const E2 = 6.69437999014e-3;
const DEGREES = 180 / Math.PI;
/** A point of the track every so many samples: once a second. */
const EVERY = 10;

/**
 * Where a point of a place is on the globe, degrees: its metres east and north laid off along the parallel and the meridian
 * of the origin. Right to a centimetre within a kilometre of it.
 */
export function onGlobe(
  { lat_deg, lon_deg }: NonNullable<Place['origin']>,
  x: number,
  y: number,
): { readonly lat: number; readonly lon: number } {
  const sine = Math.sin(lat_deg / DEGREES);
  const w2 = 1 - E2 * sine * sine;
  const across = A_M / Math.sqrt(w2);
  const along = (A_M * (1 - E2)) / (w2 * Math.sqrt(w2));
  const lat = lat_deg + (y / along) * DEGREES;
  return { lat, lon: lon_deg + (x / (across * Math.cos(lat_deg / DEGREES))) * DEGREES };
}

/**
 * The track of a driven run as GPX 1.1, a point a second; a place without an origin cannot be put on the globe.
 *
 * @param startedAt milliseconds since 1970
 */
export function runGpx(file: DrivenFile, startedAt: number): Result<string> {
  const { origin } = file.manoeuvre.place;
  if (!origin)
    return failure({
      path: 'manoeuvre.place.origin',
      message:
        'is not told, so the track has no place on the globe; give it latitude and longitude',
    });
  const drive = toDrive(file);
  if (!drive.ok) return drive;
  const { trace } = playRecording(drive.value.input, drive.value.recording).run;
  const points = Array.from({ length: Math.ceil(trace.time.length / EVERY) }, (_, k) => {
    const i = k * EVERY;
    const { lat, lon } = onGlobe(origin, trace.x[i]!, trace.y[i]!);
    return {
      '@lat': lat.toFixed(8),
      '@lon': lon.toFixed(8),
      time: new Date(startedAt + 1000 * trace.time[i]!).toISOString(),
    };
  });
  const builder = new XMLBuilder({
    ignoreAttributes: false,
    attributeNamePrefix: '@',
    format: true,
  });
  return success(
    builder.build({
      '?xml': { '@version': '1.0', '@encoding': 'UTF-8' },
      gpx: {
        '@version': '1.1',
        '@creator': 'Yawtrope',
        '@xmlns': 'http://www.topografix.com/GPX/1/1',
        trk: { name: file.manoeuvre.title, trkseg: { trkpt: points } },
      },
    }),
  );
}
