import fc from 'fast-check';
import { runPlan, worldOf } from '@/core/plan';
import { toRunInput } from '@/document';
import { demoFile } from '@/document/testing/demo';
import { recordOf } from '../record';
import { feedSentences, readNmea } from './';

/** A sentence with its checksum. */
function say(body: string): string {
  let sum = 0;
  for (let i = 0; i < body.length; i++) sum ^= body.charCodeAt(i);
  return `$${body}*${sum.toString(16).toUpperCase().padStart(2, '0')}`;
}

const rmc = (time: string, lat = '4630.0000', lon = '03112.0000', rest = '002.5,045.0,260526,,') =>
  say(`GPRMC,${time},A,${lat},N,${lon},W,${rest}`);

const read = (...lines: string[]) => {
  const record = readNmea(lines.join('\r\n'));
  if (!record.ok) throw new Error(record.problems[0]!.message);
  return record.value;
};

it('reads position, speeds, heading, wind and depth, each with the position after it', () => {
  const { fixes, counts } = read(
    rmc('101500.00'),
    say('IIHDT,217.4,T'),
    say('IIVHW,217.4,T,217.4,M,3.10,N,5.74,K'),
    say('WIMWV,045.0,R,12.0,N,A'),
    say('SDDBT,9.8,f,3.0,M,1.6,F'),
    rmc('101501.00', '4630.0010'),
    say('SDDPT,3.2,0.4'),
    rmc('101502.50', '4630.0020'),
  );
  expect(fixes).toHaveLength(3);
  expect(fixes[0]).toMatchObject({ at: Date.UTC(2026, 4, 26, 10, 15) / 1000, heading_deg: null });
  expect(fixes[0]!.lat_deg).toBeCloseTo(46.5, 9);
  expect(fixes[0]!.lon_deg).toBeCloseTo(-31.2, 9);
  expect(fixes[0]!.sog_mps).toBeCloseTo(2.5 * 0.514444, 5);
  expect(fixes[1]).toMatchObject({ windAngle_deg: 45, depth_m: 3 });
  expect(fixes[1]!.heading_deg).toBeCloseTo(217.4, 9);
  expect(fixes[1]!.stw_mps).toBeCloseTo(3.1 * 0.514444, 5);
  expect(fixes[2]).toMatchObject({ depth_m: expect.closeTo(3.6, 9) as number });
  expect(fixes[2]!.at - fixes[1]!.at).toBeCloseTo(1.5, 6);
  expect(counts).toEqual({ sentences: 8, used: 8, bad: {}, unused: {} });
});

it('counts what is broken by why, and what is of no use by type; neither is fatal', () => {
  const { fixes, counts } = read(
    rmc('101500.00'),
    rmc('101501.00').replace('2.5', '9.5'),
    rmc('101502.00').slice(0, 30),
    'nothing of the kind',
    say('IIHDT,,T'),
    say('GPRMC,101503.00,V,,,,,,,260526,,'),
    say('GPGSV,1,1,01,03,54,120,30'),
    rmc('101504.00', '4730.0000'),
    rmc('101459.00'),
    rmc('101505.00', '4630.0010'),
  );
  expect(fixes).toHaveLength(2);
  expect(counts.bad).toEqual({
    checksum: 1,
    'cut off or without a checksum': 1,
    'no sentence': 1,
    empty: 2,
    'a leap': 1,
    'out of its time': 1,
  });
  expect(counts.unused).toEqual({ GSV: 1 });
});

it('takes the compass to true by the variation, and a clock past midnight to the next day', () => {
  const { fixes } = read(
    rmc('235959.00', '4630.0000', '03112.0000', '002.5,045.0,260526,007.0,W'),
    say('IIHDM,050.0,M'),
    say('GPGGA,000001.00,4630.0010,N,03112.0000,W,1,08,0.9,0.0,M,0.0,M,,'),
  );
  expect(fixes[1]!.heading_deg).toBeCloseTo(43, 9);
  expect(fixes[1]!.at - fixes[0]!.at).toBeCloseTo(2, 6);
});

it.each([
  ['', /no track/],
  ['hello\nworld', /none tell/],
  [rmc('101500.00'), /one tells/],
])('says what it wants where there is no track: %j', (text, message) => {
  const record = readNmea(text);
  expect(record.ok ? '' : record.problems[0]!.message).toMatch(message);
});

it('takes anything at all without falling over', () => {
  const piece = fc.oneof(
    fc.string({ maxLength: 90 }),
    fc.constantFrom(rmc('101500.00'), rmc('101501.00'), say('IIHDT,217.4,T'), say('IIVHW,,,,,,,')),
    fc
      .array(fc.string({ maxLength: 8 }), { maxLength: 14 })
      .map((f) => say(`GPRMC,${f.join(',')}`)),
    fc
      .array(fc.string({ maxLength: 8 }), { maxLength: 14 })
      .map((f) => say(`GPGGA,${f.join(',')}`)),
    fc.array(fc.double(), { maxLength: 8 }).map((f) => say(`WIMWV,${f.join(',')}`)),
  );
  fc.assert(
    fc.property(fc.array(piece, { maxLength: 40 }), (lines) => {
      const record = readNmea(lines.join('\n'));
      if (!record.ok) return;
      for (const fix of record.value.fixes) {
        expect(Math.abs(fix.lat_deg)).toBeLessThanOrEqual(90);
        for (const value of Object.values(fix))
          expect(value === null || Number.isFinite(value)).toBe(true);
      }
    }),
    { numRuns: 300 },
  );
});

describe('the simulated feed', () => {
  const file = demoFile('under-sallow-bridge');
  const input = toRunInput(file);
  if (!input.ok) throw new Error('not sound');
  const { trace } = runPlan(input.value);
  const begins = new Date('2026-05-04T09:00:00Z');
  const text = [...feedSentences(trace, file.place.origin!, begins, 3)].map(({ line }) => line);

  it('can be read, but for what is spoilt on the way, and lies within metres of the run', () => {
    const record = readNmea(text.join('\n'));
    if (!record.ok) throw new Error(record.problems[0]!.message);
    const { counts } = record.value;
    const lost = Object.values(counts.bad).reduce((a, b) => a + b, 0);
    expect(lost).toBeGreaterThan(0);
    expect(lost / counts.sentences).toBeLessThan(0.06);
    const laid = recordOf(record.value, file.place, {
      id: '00000000-0000-4000-8000-000000000000',
      manoeuvreId: file.id,
      name: 'feed',
      source: 'feed',
    });
    if (!laid.ok) throw new Error(laid.problems[0]!.message);
    for (const { t_s, x_m, y_m } of laid.value.fixes) {
      const i = Math.min(trace.time.length - 1, Math.round(t_s * 10));
      expect(Math.hypot(x_m - trace.x[i]!, y_m - trace.y[i]!)).toBeLessThan(4);
    }
  });

  it('tells the wind as it is felt under way: with her own motion put back, the wind of the day', () => {
    const { gusts: _, ...weather } = input.value.weather;
    const { environment } = worldOf({ ...input.value, weather }, 100);
    const lines = [...feedSentences(trace, file.place.origin!, begins, 5, environment)];
    const record = readNmea(lines.map(({ line }) => line).join('\n'));
    if (!record.ok) throw new Error(record.problems[0]!.message);
    let [east, north, n, speeds] = [0, 0, 0, 0];
    for (const fix of record.value.fixes) {
      // Positions here tell the time of day without a date.
      const i = Math.round(10 * ((fix.at - begins.getTime() / 1000) % 86_400));
      if (fix.wind_mps === null || fix.windAngle_deg === null || i < 1) continue;
      if (i + 1 >= trace.time.length) continue;
      const from = trace.heading[i]! + (fix.windAngle_deg * Math.PI) / 180;
      east -= fix.wind_mps * Math.sin(from) - (trace.x[i + 1]! - trace.x[i - 1]!) / 0.2;
      north -= fix.wind_mps * Math.cos(from) - (trace.y[i + 1]! - trace.y[i - 1]!) / 0.2;
      speeds += fix.wind_mps;
      n += 1;
    }
    expect(n).toBeGreaterThan(40);
    const wind = Math.hypot(east, north) / n;
    expect(wind / weather.windSpeed).toBeCloseTo(1, 1);
    expect(Math.cos(Math.atan2(-east, -north) - weather.windFrom)).toBeGreaterThan(0.995);
    // Felt and blowing are two things in a boat under way.
    expect(Math.abs(speeds / n - weather.windSpeed)).toBeGreaterThan(0.3);
  });

  it('is refused on a place far away, and on one without a position', () => {
    const record = readNmea(text.join('\n'));
    if (!record.ok) throw new Error('not read');
    const called = {
      id: '00000000-0000-4000-8000-000000000000',
      manoeuvreId: file.id,
      name: 'feed',
      source: 'feed' as const,
    };
    const far = { ...file.place, origin: { lat_deg: 10, lon_deg: 10 } };
    const { origin: _origin, ...nowhere } = file.place;
    for (const [place, message] of [
      [far, /km from Sallow Bridge/],
      [nowhere, /no position/],
    ] as const) {
      const laid = recordOf(record.value, place, called);
      expect(laid.ok ? '' : laid.problems[0]!.message).toMatch(message);
    }
  });
});
