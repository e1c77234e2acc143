import { depthOver } from '@/core/water';
import { bottomOfPlace, bridgesOf, check, placeSchema, toRunInput, type Place } from './';
import { playDay, withinLimits } from '@/planner';
import { demoFile, demoJson } from './testing/demo';

const bare = demoJson('places', 'sallow-bridge') as Record<string, unknown>;
const sound = (change: object) => check<Place>(placeSchema, { ...bare, ...change });
const problem = (change: object) => {
  const made = sound(change);
  return made.ok ? null : `${made.problems[0]!.path}: ${made.problems[0]!.message}`;
};
const ring = [
  [0, 0],
  [10, 0],
  [10, 10],
  [0, 10],
];
const tide = (change: object) => ({
  tide: { zone: 'WET', level: { by: 'constituents', mean_m: 2, constituents: [] }, ...change },
});

it('a place written before there were areas, transits and tides is read as one without', () => {
  const { areas: _a, transits: _t, tide: _tide, ...old } = bare;
  expect(check<Place>(placeSchema, old)).toMatchObject({
    ok: true,
    value: { areas: [], transits: [] },
  });
});

it.each([
  [
    { areas: [{ kind: 'depth', id: 'a', name: 'west bank', outline_m: ring, depth_m: 1 }] },
    /used twice/,
  ],
  [
    { areas: [{ kind: 'depth', id: 'a', name: 'a', outline_m: ring.slice(0, 2), depth_m: 1 }] },
    /three corners/,
  ],
  [
    {
      areas: [
        {
          kind: 'depth',
          id: 'a',
          name: 'a',
          outline_m: [ring[0], ring[2], ring[1], ring[3]],
          depth_m: 1,
        },
      ],
    },
    /crosses itself/,
  ],
  [{ areas: [{ kind: 'depth', id: 'a', name: 'a', outline_m: ring, depth_m: -40 }] }, /-15 to 500/],
  [{ areas: [{ kind: 'swamp', id: 'a', name: 'a', outline_m: ring }] }, /kind is/],
  [
    { transits: [{ id: 't', name: 't', front: 'span lamp', back: 'nowhere' }] },
    /nothing called 'nowhere'/,
  ],
  [{ transits: [{ id: 't', name: 't', front: 'span lamp', back: 'span lamp' }] }, /name two/],
  [tide({}), /at least one constituent/],
  [tide({ zone: 'Mars/Olympus' }), /no time zone/],
  [
    tide({
      level: {
        by: 'table',
        waters: [
          { at: '2026-05-04T06:00:00Z', level_m: 1 },
          { at: '2026-05-04T05:00:00Z', level_m: 3 },
        ],
      },
    }),
    /order of time/,
  ],
  [
    tide({
      level: {
        by: 'table',
        waters: [
          { at: 'tomorrow', level_m: 1 },
          { at: '2026-05-04T05:00:00Z', level_m: 3 },
        ],
      },
    }),
    /universal time/,
  ],
])('says what is wrong: %#', (change, message) => {
  expect(problem(change)).toMatch(message);
});

it('tells its bottom and its bridges over nought', () => {
  const { place } = demoFile('under-sallow-bridge');
  const bottom = bottomOfPlace(place.areas, [], undefined)!;
  expect(depthOver(bottom, 0, 0)).toBeCloseTo(2.2, 6);
  expect(
    bridgesOf(place.areas).find(({ name }) => name === 'middle opening')!.clearance,
  ).toBeCloseTo(7.1, 9);
  // One that says nothing of it is walked over.
  expect(bridgesOf(place.areas).every(({ footway }) => footway)).toBe(true);
  const railed = place.areas.map((a) => (a.kind === 'bridge' ? { ...a, footway: false } : a));
  expect(bridgesOf(railed).some(({ footway }) => footway)).toBe(false);
});

it('a start without water under it is refused, saying how much is wanting', () => {
  const file = demoFile('under-sallow-bridge');
  const low = toRunInput({
    ...file,
    conditions: { ...file.conditions, level: [{ at_s: 0, level_m: -1 }] },
  });
  expect(low.ok ? '' : low.problems[0]!.message).toMatch(/starts aground, 1\.\d m too little/);
});

it('a day is within limits while the level leaves room under and over her, and not else', () => {
  const file = demoFile('under-sallow-bridge');
  const hour = (at: number, level_m: number) => ({ at, level_m, wind: null, current: null });
  const day = {
    hours: [hour(0, 0.2), hour(3600, 2.4), hour(7200, 3.7), hour(10800, 4.2), hour(14400, 4.2)],
  };
  const runs = [...playDay(file, day, [0, 3600, 7200, 10800])];
  expect(runs.map(withinLimits)).toEqual([false, true, false, false]);
  expect(runs[0]!.under).toBeLessThan(0.3);
  expect(runs[1]!.over).toBeCloseTo(7.1 - 2.4 - 3.2, 1);
  expect(runs[2]!.over).toBeCloseTo(0.2, 1);
  expect(runs[3]!.outcome).toBe('caught overhead');
});
