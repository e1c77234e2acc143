import fc from 'fast-check';
import { demoFile } from '@/document/testing/demo';
import { readGpx } from './';
import { computing } from '../testing/computing';

const { place } = demoFile('under-sallow-bridge');
const { lat_deg, lon_deg } = place.origin!;
const wrap = (inside: string) =>
  `<?xml version="1.0"?><gpx version="1.1" creator="t" xmlns="http://www.topografix.com/GPX/1/1">${inside}</gpx>`;
const point = (tag: string, north: number, inside = '') =>
  `<${tag} lat="${lat_deg + north / 111_195}" lon="${lon_deg}">${inside}</${tag}>`;

it('lays tracks, routes and waypoints on the place, names as text', () => {
  const text = wrap(
    point('wpt', 100, '<name>&lt;b&gt;Perch&lt;/b&gt; 🐟</name>') +
      point('wpt', 0) +
      `<trk><trkseg>${point('trkpt', 0)}${point('trkpt', 50)}</trkseg><trkseg>${point('trkpt', 60)}${point('trkpt', 70)}</trkseg></trk>` +
      `<rte>${point('rtept', 10)}${point('rtept', 20)}</rte>`,
  );
  const layer = readGpx(text, 'mine.gpx', place);
  if (!layer.ok) throw new Error(layer.problems[0]!.message);
  expect(layer.value.waypoints.map(({ name }) => name)).toEqual(['<b>Perch</b> 🐟', 'waypoint 2']);
  expect(layer.value.waypoints[0]!.at[1]).toBeCloseTo(100, 0);
  expect(layer.value.tracks.map((track) => track.length).sort()).toEqual([2, 2, 2]);
});

it.each([
  ['', /not GPX|no GPX/],
  ['{"type":"FeatureCollection"}', /not GPX|no GPX/],
  ['<html><p>hello</html>', /not GPX|no GPX/],
  [wrap(''), /no track and no waypoint/],
  [wrap('<wpt lat="10" lon="10"/>'), /from this place/],
  [wrap('<wpt lat="abc" lon="10"/>'), /^wpt\[0\]: has no place on the earth/],
  [wrap('<wpt lat="90.5" lon="10"/>'), /^wpt\[0\]: has no place on the earth/],
  [wrap('<wpt lat="1e999" lon="10"/>'), /^wpt\[0\]: has no place on the earth/],
  [wrap('<wpt/>'), /^wpt\[0\]: has no place on the earth/],
  [
    wrap(`<trk><trkseg>${point('trkpt', 0)}<trkpt lat="1" lon="181"/></trkseg></trk>`),
    /^trk\[0\]\.trkseg\[0\]\.trkpt\[1\]: has no place/,
  ],
  [
    `<!DOCTYPE g [<!ENTITY a "aaaa"><!ENTITY b "&a;&a;&a;">]>${wrap('<wpt lat="1" lon="1"><name>&b;</name></wpt>')}`,
    /./,
  ],
])('says what is wrong with it: %#', (text, message) => {
  const layer = readGpx(text, 'x', place);
  const said = layer.ok ? '' : `${layer.problems[0]!.path}: ${layer.problems[0]!.message}`;
  expect(said.replace('(file): ', '')).toMatch(message);
});

it('a track longer than is read is refused before anything is made of it, a long one read in time', () => {
  const long = (n: number) =>
    wrap(
      `<trk><trkseg>${Array.from({ length: n }, (_, i) => point('trkpt', i % 50)).join('')}</trkseg></trk>`,
    );
  const tooLong = long(130_000);
  const { value: refused, ms } = computing(() => readGpx(tooLong, 'x', place));
  expect(refused.ok ? '' : refused.problems[0]!.message).toMatch(
    /holds 130000 points; cut it down to 60000/,
  );
  const read = computing(() => readGpx(long(40_000), 'x', place));
  expect(read.value).toMatchObject({ ok: true });
  // Three times as long, and refused in less than it takes to read: nothing was made of it.
  expect(ms).toBeLessThan(read.ms);
});

it('names lose what cannot be seen', () => {
  const layer = readGpx(wrap(point('wpt', 0, '<name>be\u0001ll\u202e</name>')), 'x', place);
  expect(layer.ok && layer.value.waypoints[0]!.name).toBe('be ll');
});

it('is refused on a place without a position', () => {
  const { origin: _origin, ...nowhere } = place;
  expect(readGpx(wrap(point('wpt', 0)), 'x', nowhere)).toMatchObject({ ok: false });
});

it('takes anything at all without falling over', () => {
  const bit = fc.oneof(
    fc.string({ maxLength: 30 }),
    fc.constantFrom(
      '<gpx>',
      '</gpx>',
      '<wpt lat="46.5" lon="-31.2">',
      '</wpt>',
      '<trk><trkseg>',
      '<trkpt/>',
    ),
  );
  fc.assert(
    fc.property(fc.array(bit, { maxLength: 20 }), (bits) => {
      expect(typeof readGpx(bits.join(''), 'x', place).ok).toBe('boolean');
    }),
    { numRuns: 300 },
  );
});
