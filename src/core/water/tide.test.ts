import fc from 'fast-check';
import { between } from '../testing/arbitrary';
import {
  CONSTITUENT_NAMES,
  cosineTide,
  tidalCurrent,
  tideLevel,
  turnsBetween,
  type Tide,
} from './';
import { astronomicalAngles, phaseAndFactor } from './tide';

const at = (iso: string) => Date.parse(iso) / 1000;
const HOUR = 3600;
/** Speeds of the constituents, degrees an hour, as every table of tides prints them. */
const SPEED: Readonly<Record<string, number>> = {
  M2: 28.9841042,
  S2: 30,
  N2: 28.4397295,
  K2: 30.0821373,
  K1: 15.0410686,
  O1: 13.9430356,
  P1: 14.9589314,
  Q1: 13.3986609,
  M4: 57.9682084,
  MS4: 58.9841042,
};
const M2_ONLY: Tide = {
  by: 'constituents',
  mean: 2.5,
  harmonics: [{ name: 'M2', amplitude: 1.4, phase: 2.1 }],
};

it.each(CONSTITUENT_NAMES)('%s runs at its speed', (name) => {
  const from = at('2026-03-01T00:00:00Z');
  const hours = 240;
  const turned = phaseAndFactor(name, from + hours * HOUR).phase - phaseAndFactor(name, from).phase;
  // The hour angle is taken within a day: whole turns are added by hand.
  const want = (SPEED[name]! * hours * Math.PI) / 180;
  const turns = Math.round((want - turned) / (2 * Math.PI));
  expect(turned + turns * 2 * Math.PI).toBeCloseTo(want, 1);
});

it('moon and sun stand together at a new moon, opposite at a full one, to the moon’s own unevenness', () => {
  const apart = (iso: string) => {
    const { s, h } = astronomicalAngles(at(iso));
    return (((s - h) % 360) + 360) % 360;
  };
  const near = (a: number, b: number) => Math.abs(((a - b + 540) % 360) - 180);
  expect(near(apart('2000-01-06T18:14:00Z'), 0)).toBeLessThan(8);
  expect(near(apart('2000-01-21T04:40:00Z'), 180)).toBeLessThan(8);
});

it('springs come with new and full moon, neaps a week after: M2 and S2 in step', () => {
  const both: Tide = {
    by: 'constituents',
    mean: 0,
    harmonics: [
      { name: 'M2', amplitude: 1, phase: 0 },
      { name: 'S2', amplitude: 0.4, phase: 0 },
    ],
  };
  const highest = (iso: string) =>
    Math.max(...turnsBetween(both, at(iso) - 13 * HOUR, at(iso) + 13 * HOUR).map((t) => t.level));
  expect(highest('2000-01-06T18:14:00Z')).toBeGreaterThan(1.33);
  expect(highest('2000-01-14T13:34:00Z')).toBeLessThan(0.72);
});

it('one constituent alone is the cosine between its turns, and a table of those turns is the same curve', () => {
  const from = at('2026-06-01T00:00:00Z');
  const turns = turnsBetween(M2_ONLY, from, from + 3 * 24 * HOUR);
  expect(turns.length).toBeGreaterThanOrEqual(11);
  const table: Tide = { by: 'table', turns };
  for (let i = 1; i < turns.length; i++) {
    const [a, b] = [turns[i - 1]!, turns[i]!];
    expect((b.at - a.at) / HOUR).toBeCloseTo(180 / SPEED.M2!, 2);
    for (const share of [0, 1 / 6, 0.37, 0.5, 5 / 6, 1]) {
      const now = a.at + share * (b.at - a.at);
      const byCosine = a.level + (b.level - a.level) * cosineTide(share * 6, 6);
      expect(tideLevel(M2_ONLY, now)).toBeCloseTo(byCosine, 3);
      expect(tideLevel(table, now)).toBeCloseTo(byCosine, 9);
    }
  }
});

it('comes later by its phase lag: a tide that lags a quarter round is a quarter of its period late', () => {
  const from = at('2026-06-01T00:00:00Z');
  const high = (phase: number) => {
    const tide: Tide = {
      by: 'constituents',
      mean: 0,
      harmonics: [{ name: 'M2', amplitude: 1, phase }],
    };
    return turnsBetween(tide, from, from + 26 * HOUR).find(({ level }) => level > 0)!.at;
  };
  const period = 360 / SPEED.M2!;
  const late = (high(2.1 + Math.PI / 2) - high(2.1)) / HOUR;
  expect((late + period) % period).toBeCloseTo(period / 4, 2);
});

it('a table tells nothing outside itself', () => {
  const table: Tide = {
    by: 'table',
    turns: [
      { at: 1000, level: 4 },
      { at: 23000, level: 1 },
    ],
  };
  expect([999, 1000, 12000, 23000, 23001].map((t) => tideLevel(table, t))).toEqual([
    null,
    4,
    2.5,
    1,
    null,
  ]);
});

it('every turn is one: higher or lower than a little before and after', () => {
  fc.assert(
    fc.property(between(0, 2), between(0, 0.9), between(0, 6), between(0, 3e9), (a, b, g, from) => {
      const tide: Tide = {
        by: 'constituents',
        mean: 3,
        harmonics: [
          { name: 'M2', amplitude: a + 0.2, phase: g },
          { name: 'S2', amplitude: b, phase: g + 1 },
          { name: 'O1', amplitude: b / 4, phase: g },
          { name: 'M4', amplitude: a / 20, phase: 1 },
        ],
      };
      const turns = turnsBetween(tide, from, from + 48 * HOUR);
      expect(turns.length).toBeGreaterThan(2);
      turns.forEach((turn, i) => {
        const sides = [-600, 600].map((d) => tideLevel(tide, turn.at + d)! - turn.level);
        expect(Math.sign(sides[0]!)).toBe(Math.sign(sides[1]!));
        if (i > 0) expect(Math.sign(turn.level - turns[i - 1]!.level)).toBe(-Math.sign(sides[0]!));
      });
    }),
    { numRuns: 40 },
  );
});

describe('the tidal current', () => {
  const hours = [
    { hour: -6, set: 0, rate: 0 },
    { hour: -3, set: Math.PI / 2, rate: 1 },
    { hour: 0, set: 0, rate: 0 },
    { hour: 3, set: (3 * Math.PI) / 2, rate: 0.8 },
    { hour: 6, set: 0, rate: 0 },
  ];
  const from = at('2026-06-01T00:00:00Z');
  const high = turnsBetween(M2_ONLY, from, from + 26 * HOUR).find((t) => t.level > 3)!;

  it('is as its table says at the table’s hours, grown with the range', () => {
    const flood = tidalCurrent(M2_ONLY, hours, 2.8, high.at - 3 * HOUR)!;
    expect(flood.rate).toBeCloseTo(1, 1);
    expect(flood.set).toBeCloseTo(Math.PI / 2, 6);
    const twice = tidalCurrent(M2_ONLY, hours, 1.4, high.at - 3 * HOUR)!;
    expect(twice.rate).toBeCloseTo(2 * flood.rate, 9);
    expect(tidalCurrent(M2_ONLY, hours, 2.8, high.at)!.rate).toBeLessThan(1e-3);
    expect(tidalCurrent(M2_ONLY, hours, 2.8, high.at + 1.5 * HOUR)).toMatchObject({
      set: expect.closeTo((3 * Math.PI) / 2, 6) as number,
    });
  });

  it('is not known without hours or far outside the table', () => {
    expect(tidalCurrent(M2_ONLY, [], 2, high.at)).toBeNull();
    expect(tidalCurrent({ by: 'table', turns: [] }, hours, 2, high.at)).toBeNull();
  });
});
