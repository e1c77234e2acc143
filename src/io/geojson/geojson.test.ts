import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import fc from 'fast-check';
import { between } from '@/core/testing/arbitrary';
import { check, fingerRow, placeSchema, type Place } from '@/document';
import { placeGeoJson, projection, readPlaceGeoJson } from './';
import { MOST_GEOJSON } from './read';
import { computing } from '../testing/computing';

const DEMO = join(process.cwd(), 'demo', 'places');
const demos = readdirSync(DEMO).map((name) => {
  const place = check<Place>(placeSchema, JSON.parse(readFileSync(join(DEMO, name), 'utf8')));
  if (!place.ok) throw new Error(name);
  return place.value;
});

function written(place: Place): string {
  const geo = placeGeoJson(place);
  if (!geo.ok) throw new Error(geo.problems[0]!.message);
  return JSON.stringify(geo.value);
}

function readBack(text: string): Place {
  const read = readPlaceGeoJson(text, 'read back');
  if (!read.ok) throw new Error(`${read.problems[0]!.path}: ${read.problems[0]!.message}`);
  return read.value.place;
}

/** Metres along the meridian of the WGS84 ellipsoid between two latitudes, degrees, by Simpson's rule. */
function meridian(from: number, to: number): number {
  const [a, f] = [6_378_137, 1 / 298.257223563];
  const e2 = f * (2 - f);
  const radius = (deg: number) => {
    const s = Math.sin((deg * Math.PI) / 180);
    return (a * (1 - e2)) / Math.pow(1 - e2 * s * s, 1.5);
  };
  const n = 200;
  const h = ((to - from) * Math.PI) / 180 / n;
  let sum = radius(from) + radius(to);
  for (let i = 1; i < n; i++) sum += (i % 2 ? 4 : 2) * radius(from + ((to - from) * i) / n);
  return (sum * h) / 3;
}

describe('metres and degrees', () => {
  it('are true along the meridian to a millimetre in ten kilometres, and square to it in the origin', () => {
    for (const lat of [-63, -20, 0, 46.5, 78]) {
      const { toMetres, toLonLat } = projection({ lat_deg: lat, lon_deg: -31 });
      const [east, north] = toMetres([-31, lat + 0.09]);
      expect(Math.abs(north - meridian(lat, lat + 0.09))).toBeLessThan(1e-3);
      expect(Math.abs(east)).toBeLessThan(1e-6);
      // East of it by the radius across the meridian, a / sqrt(1 - e² sin²).
      const f = 1 / 298.257223563;
      const s = Math.sin((lat * Math.PI) / 180);
      const across = 6_378_137 / Math.sqrt(1 - f * (2 - f) * s * s);
      const [lon] = toLonLat([100, 0]);
      const degree = (across * Math.cos((lat * Math.PI) / 180) * Math.PI) / 180;
      expect((lon + 31) * degree).toBeCloseTo(100, 4);
    }
  });

  it('come back as they were anywhere within a place', () => {
    fc.assert(
      fc.property(
        between(-84, 84),
        between(-180, 180),
        between(-20000, 20000),
        between(-20000, 20000),
        (lat, lon, x, y) => {
          const { toMetres, toLonLat } = projection({ lat_deg: lat, lon_deg: lon });
          const [east, north] = toMetres(toLonLat([x, y]));
          expect(Math.hypot(east - x, north - y)).toBeLessThan(1e-5);
        },
      ),
    );
  });
});

describe('a place as GeoJSON', () => {
  it.each(demos.map((place) => [place.id, place] as const))(
    '%s comes back the same',
    (_id, place) => {
      expect(readBack(written(place))).toEqual(place);
    },
  );

  it('keeps what it does not know, through there and back and there again', () => {
    const text = JSON.stringify({
      type: 'FeatureCollection',
      features: [
        {
          type: 'Feature',
          id: 'way/17',
          geometry: {
            type: 'Polygon',
            coordinates: [
              [
                [5, 5],
                [5.001, 5],
                [5.001, 5.0004],
                [5, 5],
              ],
            ],
          },
          properties: { kind: 'pier', material: 'larch', visited: { when: [1, null, true] } },
        },
      ],
    });
    const read = readPlaceGeoJson(text, 'Larch pier', { polygons: 'pontoon' });
    expect(read.ok && read.value.notes).toEqual([
      'a polygon that does not say what it is was taken for a pontoon',
    ]);
    const place = readBack(written(read.ok ? read.value.place : demos[0]!));
    expect(place.features[0]).toMatchObject({
      kind: 'pontoon',
      id: 'way-17',
      extra: { kind_was: 'pier', material: 'larch', visited: { when: [1, null, true] } },
    });
    expect(readBack(written(place))).toEqual(place);
  });

  it('a bridge nobody walks over stays one, and one that says nothing of it is walked over', () => {
    const place = structuredClone(demos.find(({ id }) => id === 'cobnut-lock')!);
    const bridge = place.areas.find((a) => a.kind === 'bridge')!;
    bridge.footway = false;
    expect(readBack(written(place)).areas.find((a) => a.kind === 'bridge')).toMatchObject({
      footway: false,
    });
    const bare = written(place).replace('"footway":false,', '').replace(',"footway":false', '');
    expect(bare).not.toContain('footway');
    expect(readBack(bare).areas.find((a) => a.kind === 'bridge')).toMatchObject({ footway: true });
  });

  it('what another program has moved is where it was moved to, though metres are written beside it', () => {
    const place: Place = {
      ...demos[0]!,
      berths: [],
      areas: [],
      transits: [],
      features: [{ kind: 'mark', id: 'mark', name: 'mark', x_m: 1.23456789, y_m: -7.5 }],
    };
    expect(readBack(written(place))).toEqual(place);
    const moved = JSON.parse(written(place)) as {
      features: { geometry: { coordinates: [number, number] } }[];
    };
    moved.features[0]!.geometry.coordinates[1] += 0.0001;
    expect(readBack(JSON.stringify(moved)).features[0]).toMatchObject({
      y_m: expect.closeTo(3.6, 0) as number,
    });
  });

  it('is refused without a position, and beyond 85 degrees', () => {
    const { origin: _origin, ...nowhere } = demos[0]!;
    expect(placeGeoJson(nowhere)).toMatchObject({ ok: false, problems: [{ path: 'origin' }] });
    expect(placeGeoJson({ ...demos[0]!, origin: { lat_deg: 88, lon_deg: 0 } }).ok).toBe(false);
  });

  it('any row of fingers drawn here comes back to the last bit', () => {
    fc.assert(
      fc.property(
        between(-300, 300),
        fc.integer({ min: 0, max: 359 }),
        fc.integer({ min: 2, max: 9 }),
        between(-30, 30),
        (x, bearing, fingers, lean) => {
          const empty: Place = { ...demos[0]!, features: [], berths: [], areas: [], transits: [] };
          const row = fingerRow(empty, {
            name: 'east',
            from_m: [x, -x / 3],
            bearing_deg: bearing,
            side: bearing % 2 ? 'port' : 'starboard',
            fingers,
            pitch_m: 11,
            length_m: 10,
            width_m: 0.8,
            lean_deg: lean,
            walkwayWidth_m: 2.4,
            boats: 2,
            occupied: [1],
            boatLength_m: 8.5,
            boatBeam_m: 2.9,
          });
          const place = { ...empty, ...(row.ok ? row.value : {}) };
          expect(place.features.length).toBeGreaterThan(2);
          expect(readBack(written(place))).toEqual(place);
        },
      ),
      { numRuns: 60 },
    );
  });
});

/** What each file of the folder comes to: what its first problem is about, or what is noted of it. */
const NASTY: Readonly<Record<string, RegExp>> = {
  'not-json': /^\(file\): is not JSON/,
  empty: /^\(file\): is not JSON/,
  'empty-collection': /holds nothing/,
  'bare-feature': /must be 'FeatureCollection'/,
  'self-crossing': /crosses itself/,
  'harbour-300-km': /334 km across/,
  'latitude-first': /longitude first/,
  'metres-for-degrees': /longitude first/,
  'at-the-pole': /85°/,
  'circle-geometry': /not a geometry/,
  'numbers-as-text': /features\[0\]\.geometry/,
  'two-corners': /at least three corners/,
  'quay-as-a-point': /a quay is a Polygon/,
  'pile-as-wide-as-a-town': /radius_m.*0\.03 to 20/,
  'berth-on-nothing': /name at least one feature/,
  'deep-nesting': /nests brackets/,
  'deeper-nesting': /nests brackets/,
  'too-much-said': /4000 characters/,
  'date-line': /across/,
  'null-properties': /^read: .*taken for a quay/,
  'markup-and-emoji': /^read: $/,
  'hole-and-parts':
    /^read: a hole in a polygon was filled; something without a geometry was left out; a polygon .* taken for a quay \(2 times\); a line .* left out$/,
};

describe('files that are wrong', () => {
  const folder = join(process.cwd(), 'src', 'io', 'geojson', 'nasty');
  const files = readdirSync(folder);

  it('all have their answer here', () => {
    expect(files.map((name) => name.replace('.geojson', '')).sort()).toEqual(
      Object.keys(NASTY).sort(),
    );
  });

  it.each(files)('%s', (name) => {
    const read = readPlaceGeoJson(readFileSync(join(folder, name), 'utf8'), name);
    const answer = read.ok
      ? `read: ${read.value.notes.join('; ')}`
      : `${read.problems[0]!.path}: ${read.problems[0]!.message}`;
    expect(answer).toMatch(NASTY[name.replace('.geojson', '')]!);
  });

  it('names come as text, whatever they hold', () => {
    const text = readFileSync(join(folder, 'markup-and-emoji.geojson'), 'utf8');
    expect(readBack(text).features[0]!.name).toBe('<img src=x onerror=alert(1)> ⚓ "quay"');
  });

  it('fifty million characters are refused at once', () => {
    const read = readPlaceGeoJson(' '.repeat(50_000_000), 'big');
    expect(read).toMatchObject({ ok: false, problems: [{ path: '(file)' }] });
    expect(MOST_GEOJSON).toBeLessThan(50_000_000);
  });

  it('whatever a file holds, there is a sound place or a reason, and nothing is thrown', () => {
    const coordinate = fc.oneof(
      between(-0.05, 0.05),
      fc.constant(0),
      fc.double(),
      fc.constant(null),
    );
    const point = fc.array(coordinate, { minLength: 0, maxLength: 3 });
    const ring = fc.array(point, { maxLength: 6 });
    const geometry = fc.oneof(
      fc.record({ type: fc.constant('Point'), coordinates: point }),
      fc.record({ type: fc.constant('LineString'), coordinates: ring }),
      fc.record({ type: fc.constant('Polygon'), coordinates: fc.array(ring, { maxLength: 2 }) }),
      fc.record({ type: fc.constant('MultiPolygon'), coordinates: fc.array(fc.array(ring)) }),
      fc.jsonValue(),
    );
    const kind = fc.constantFrom('quay', 'pile', 'berth', 'groundLine', 'boat', 'nonsense', 4);
    const feature = fc.record(
      {
        type: fc.constant('Feature'),
        id: fc.oneof(fc.string(), fc.integer(), fc.constant(null)),
        geometry,
        properties: fc.oneof(
          fc.record(
            {
              kind,
              name: fc.oneof(fc.string(), fc.jsonValue()),
              on: fc.jsonValue(),
              tail: fc.string(),
            },
            { requiredKeys: [] },
          ),
          fc.dictionary(fc.string(), fc.jsonValue(), { maxKeys: 3 }),
          fc.constant(null),
        ),
      },
      { requiredKeys: ['type', 'geometry', 'properties'] },
    );
    fc.assert(
      fc.property(fc.array(feature, { maxLength: 4 }), (features) => {
        const text = JSON.stringify({ type: 'FeatureCollection', features });
        const read = readPlaceGeoJson(text, 'any');
        if (!read.ok) expect(read.problems[0]!.message).not.toBe('');
        else expect(check(placeSchema, read.value.place).ok).toBe(true);
      }),
      { numRuns: 400 },
    );
  });
});

describe('far too much of one thing', () => {
  const LONG = JSON.stringify(Array.from({ length: 100_000 }, (_, i) => [-31 + i * 1e-6, 46]));
  const timed = (geometry: unknown, properties: object | null = null, times = 1) => {
    const feature = { type: 'Feature', geometry, properties };
    const features = Array.from({ length: times }, () => feature);
    const text = JSON.stringify({ type: 'FeatureCollection', features });
    const { value: read, ms } = computing(() => readPlaceGeoJson(text, 'much'));
    // Against taking a long text apart, so that a slow machine is slow in both; what grows with the square takes hundreds of times as long.
    const plain = computing(() => JSON.parse(LONG) as unknown).ms;
    expect(ms / plain).toBeLessThan(80);
    return read.ok ? 'read' : `${read.problems[0]!.path}: ${read.problems[0]!.message}`;
  };
  const near = (n: number) => Array.from({ length: n }, (_, i) => [-31 + (i % 97) * 1e-6, 46]);

  it('is refused in time: points of one, corners of a line, thousands of one name', () => {
    expect(timed({ type: 'MultiPoint', coordinates: near(100_000) })).toMatch(/cut it down/);
    expect(timed({ type: 'LineString', coordinates: near(100_000) })).toMatch(/cut it down/);
    expect(timed({ type: 'MultiPoint', coordinates: near(2900) }, { name: 'Same' })).toMatch(
      /at most 400 features/,
    );
    expect(timed({ type: 'Point', coordinates: [-31, 46] }, { name: 'Same' }, 2900)).toMatch(
      /at most 400 features/,
    );
  });

  it('a latitude that is none is refused with its path', () => {
    expect(timed({ type: 'Point', coordinates: [10, 91] })).toMatch(/^features\[0\]/);
    const text =
      '{"type":"FeatureCollection","features":[{"type":"Feature","geometry":{"type":"Point","coordinates":[10,1e999]},"properties":null}]}';
    expect(readPlaceGeoJson(text, 'x')).toMatchObject({ ok: false });
  });
});
