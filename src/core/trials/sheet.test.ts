import { fleetCraft } from '@/document/testing/fleet';
import { computePivots, computeSheet, pivotsOf, SHEET_WINDS_KN, type Sheet } from './';
import { MPS_PER_KNOT } from '../units';

// What any boat's sheet must hold, whatever its figures are. Three boats as unlike as the fleet has.

const BOATS = ['quince', 'ottoline', 'long-measure'] as const;
const told: Record<string, number[]> = {};
const sheets: Record<string, Sheet> = {};

beforeAll(() => {
  for (const id of BOATS) {
    told[id] = [];
    sheets[id] = computeSheet(fleetCraft(id), (share) => told[id]!.push(share));
  }
}, 60_000);

function everyNumber(value: unknown, at = ''): [string, number][] {
  if (typeof value === 'number') return [[at, value]];
  if (value === null || typeof value !== 'object') return [];
  return Object.entries(value).flatMap(([key, v]) => everyNumber(v, `${at}.${key}`));
}

describe.each(BOATS)('the sheet of %s', (id) => {
  it('tells how far it is, rising to the whole', () => {
    const shares = told[id]!;
    expect(shares.length).toBeGreaterThan(60);
    expect(shares).toEqual([...shares].sort((a, b) => a - b));
    expect(shares.at(-1)).toBeCloseTo(1, 9);
  });

  it('holds no figure that is not a number', () => {
    for (const [at, value] of everyNumber(sheets[id])) {
      // Without limit: a wind the boat holds in anything; a throttle astern that never balances.
      const unbounded = /holds|extraAstern|walk/.test(at);
      if (Number.isNaN(value) || (!unbounded && !Number.isFinite(value)))
        throw new Error(`${at} is ${value}`);
    }
  });

  it('lets her go in every wind from every side, and stronger wind drives her faster', () => {
    const { drifts } = sheets[id]!;
    expect(drifts).toHaveLength(SHEET_WINDS_KN.length * 13);
    const abeam = SHEET_WINDS_KN.map((knots) =>
      drifts.find(
        (d) =>
          Math.abs(d.wind - knots * MPS_PER_KNOT) < 1e-9 && Math.abs(d.began - Math.PI / 2) < 1e-9,
      )!,
    );
    abeam.forEach((d, i) => {
      expect(d.drift).toBeGreaterThan(0);
      // No boat drifts faster than a raft in the wind would.
      expect(d.drift).toBeLessThan(0.2 * d.wind);
      if (i > 0) expect(d.drift).toBeGreaterThan(abeam[i - 1]!.drift);
      expect(d.lies).toBeGreaterThanOrEqual(0);
      expect(d.lies).toBeLessThanOrEqual(Math.PI);
    });
  });

  it('needs more room to stop from more way', () => {
    const { stops } = sheets[id]!;
    const [two, three] = stops.map(({ stop }) => stop);
    if (!two || !three) return expect(sheets[id]!.speeds.idleAhead).toBeNull();
    expect(three.distance).toBeGreaterThan(two.distance);
    expect(three.time).toBeGreaterThan(two.time);
  });
});

it('goes faster at half throttle than at idle, and slower astern than ahead', () => {
  for (const id of ['quince', 'ottoline'] as const) {
    const { idleAhead, halfAhead, idleAstern } = sheets[id]!.speeds;
    expect(halfAhead!).toBeGreaterThan(idleAhead!);
    expect(-idleAstern!).toBeGreaterThan(0);
    expect(-idleAstern!).toBeLessThan(idleAhead!);
  }
});

it('says nothing of engines and wheel to a boat without', () => {
  const sheet = sheets['long-measure']!;
  const { speeds, circles, kick, walk, backAndFill, opposed, steering, thrusters } = sheet;
  const none = [kick, walk, opposed, steering.ahead, steering.astern];
  expect([...none, ...Object.values(speeds), ...Object.values(circles)]).toEqual(
    Array(12).fill(null),
  );
  expect(backAndFill).toEqual({ starboard: null, port: null });
  expect(thrusters).toEqual([]);
  expect(sheet.carry!.distance).toBeGreaterThan(0);
  expect(computePivots(fleetCraft('long-measure'))).toEqual({
    kick: null,
    ahead: null,
    astern: null,
  });
});

it('holds a thruster’s thrust at rest and loses it with way', () => {
  const [thruster] = sheets['ottoline']!.thrusters;
  const shares = thruster!.at.map((a) => everyNumber(a));
  expect(shares.length).toBeGreaterThan(3);
  const rest = thruster!.at[0]!;
  const last = thruster!.at.at(-1)!;
  expect(last.speed).toBeGreaterThan(rest.speed);
  expect(last.share).toBeLessThan(rest.share);
});

it('finds the pivots on the drawing where the sheet has them', () => {
  const ofSheet = pivotsOf(sheets['quince']!);
  const alone = computePivots(fleetCraft('quince'));
  expect(alone.ahead).toBeCloseTo(ofSheet.ahead!, 1);
  expect(alone.astern).toBeCloseTo(ofSheet.astern!, 1);
  // Ahead of the middle with way on ahead, abaft it going astern.
  expect(alone.ahead).toBeGreaterThan(0);
  expect(alone.astern).toBeLessThan(0);
});
