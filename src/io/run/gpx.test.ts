import { XMLParser, XMLValidator } from 'fast-xml-parser';
import type { DrivenFile } from '@/document';
import { demoFile } from '@/document/testing/demo';
import { onGlobe, runGpx } from './gpx';

interface Parsed {
  gpx: {
    trk: { name: string; trkseg: { trkpt: { '@lat': string; '@lon': string; time: string }[] } };
  };
}

function file(origin?: { lat_deg: number; lon_deg: number }): DrivenFile {
  const manoeuvre = demoFile('off-stilt-pontoon');
  const { origin: _none, ...place } = manoeuvre.place;
  return {
    $schema: 'yawtrope:driven',
    version: 2,
    manoeuvre: {
      ...manoeuvre,
      title: 'Out & <away>',
      place: origin ? { ...place, origin } : place,
    },
    recording: { inputs: [], timesteps: 45, end: null, surprises: [], skips: [] },
    notes: [],
  };
}

it('lays metres off as arcs of the ellipsoid', () => {
  // A degree of latitude: 110,574 m at the equator, 111,694 m at a pole; of longitude 111,320 m and 55,800 m at 60°.
  expect(onGlobe({ lat_deg: 0, lon_deg: 0 }, 0, 110.574).lat).toBeCloseTo(0.001, 8);
  expect(onGlobe({ lat_deg: 90, lon_deg: 0 }, 0, -111.694).lat).toBeCloseTo(89.999, 7);
  expect(onGlobe({ lat_deg: 0, lon_deg: 10 }, 111.32, 0).lon).toBeCloseTo(10.001, 7);
  expect(onGlobe({ lat_deg: 60, lon_deg: -3 }, 55.8, 0).lon).toBeCloseTo(-2.999, 7);
});

it('writes a point a second, each with its time', () => {
  const gpx = runGpx(file({ lat_deg: 50, lon_deg: -1 }), Date.UTC(2026, 0, 2, 3, 4, 5));
  if (!gpx.ok) throw new Error(JSON.stringify(gpx.problems));
  expect(XMLValidator.validate(gpx.value)).toBe(true);
  const parsed = new XMLParser({ ignoreAttributes: false, attributeNamePrefix: '@' }).parse(
    gpx.value,
  ) as Parsed;
  expect(parsed.gpx.trk.name).toBe('Out & <away>');
  const points = parsed.gpx.trk.trkseg.trkpt;
  expect(points).toHaveLength(5);
  expect(points[3]!.time).toBe('2026-01-02T03:04:08.000Z');
  expect(Number(points[0]!['@lat'])).toBeCloseTo(50 - 0.9 / 111_229, 6);
});

it('says what is missing where the place is nowhere', () => {
  expect(runGpx(file(), 0)).toMatchObject({
    ok: false,
    problems: [{ path: 'manoeuvre.place.origin' }],
  });
});
