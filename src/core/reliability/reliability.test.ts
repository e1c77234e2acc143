import { Random } from '../math';
import { runPlan, type RunInput } from '../plan';
import { box } from '../testing/boxes';
import { openWater } from '../testing/uncertain';
import { drawOf, normal, NO_SPREAD, only, STANDARD_SPREAD, varied } from '../uncertainty';
import { quantilesOf } from './share';
import {
  certificateOf,
  fanOf,
  holds,
  influenceOf,
  roseRange,
  shareOf,
  trialOf,
  type Trial,
} from './';

describe('shares', () => {
  it('have the intervals of the score (Wilson 1927)', () => {
    expect(shareOf(81, 263)).toMatchObject({ share: 81 / 263 });
    expect(shareOf(81, 263).least).toBeCloseTo(0.2553, 4);
    expect(shareOf(81, 263).most).toBeCloseTo(0.3662, 4);
    expect(shareOf(0, 20)).toMatchObject({ least: 0 });
    expect(shareOf(0, 20).most).toBeCloseTo(0.1611, 4);
    expect(shareOf(20, 20)).toMatchObject({ most: 1 });
    expect(shareOf(0, 0)).toMatchObject({ least: 0, most: 1 });
  });

  it('hold the true one in about 95 of 100', () => {
    const random = new Random(5);
    for (const p of [0.5, 0.9, 0.97]) {
      let inside = 0;
      for (let i = 0; i < 2000; i++) {
        let hits = 0;
        for (let k = 0; k < 200; k++) if (random.uniform() < p) hits += 1;
        const { least, most } = shareOf(hits, 200);
        if (least <= p && p <= most) inside += 1;
      }
      expect(inside / 2000).toBeGreaterThan(0.93);
      expect(inside / 2000).toBeLessThan(0.975);
    }
  });

  it('quantiles lie between what was found', () => {
    expect(quantilesOf([4, 1, 3, 2], [0, 0.5, 1])).toEqual([1, 2.5, 4]);
    expect(quantilesOf([], [0.5])).toBeNull();
  });
});

const trial = (run: number, rest: Partial<Trial>): Trial => ({
  run,
  outcome: 'reached',
  seconds: 60,
  step: 2,
  clearance: { distance: 1, name: 'quay' },
  touch: null,
  load: 0,
  poses: [],
  ...rest,
});

it('a certificate tells shares by outcome, the commonest cause first, and figures of what was run', () => {
  const touch = { speed: 0.5, name: 'pile', part: 'bow', x: 0, y: 0, heading: 0 };
  const trials = [
    ...[0, 1, 2, 3, 4].map((run) => trial(run, { seconds: 50 + run })),
    trial(5, { outcome: 'hard touch', touch, step: 1 }),
    trial(6, { outcome: 'hard touch', touch, step: 2 }),
    trial(7, { outcome: 'hard touch', touch, step: 2 }),
    trial(8, { outcome: 'missed', clearance: null }),
    trial(9, { outcome: 'hard touch', touch: { ...touch, part: 'stern' } }),
  ];
  const certificate = certificateOf(trials);
  expect(certificate).toMatchObject({ share: 0.5, runs: 10 });
  expect(certificate.outcomes['hard touch']).toBeCloseTo(0.4, 12);
  expect(certificate.causes[0]).toMatchObject({ on: 'pile', part: 'bow', step: 2, share: 0.3 });
  expect(certificate.causes).toHaveLength(3);
  expect(certificate.quantiles.seconds![2]).toBe(52);
  expect(certificate.quantiles.touch![4]).toBeCloseTo(0.5, 12);
});

it('a fan holds where the boat was in the first tries, and hits apart', () => {
  const at = (x: number) => ({ x, y: 0, heading: 0 });
  const touch = { speed: 0.5, name: 'pile', part: 'bow', ...at(9) };
  const trials = [
    trial(0, { poses: [at(0), at(1), at(2)] }),
    trial(1, { outcome: 'hard touch', touch, poses: [at(0), at(9)] }),
    // A soft touch is none.
    trial(2, { touch, poses: [at(3)] }),
    trial(3, { poses: [at(4)] }),
  ];
  const { tries, poses, hits } = fanOf(trials, 3);
  expect(tries).toBe(3);
  expect(poses.map(({ x }) => x)).toEqual([0, 1, 2, 0, 3]);
  expect(hits).toEqual([touch]);
});

/** On past a pier the boat clears by little. */
function byAPier(spare: number): RunInput {
  const water = openWater();
  const pier = box('pier', -4, 2 + 1.9 + spare, 40, 8);
  return {
    ...water,
    obstacles: [pier],
    weather: { ...water.weather, windSpeed: 0, currentSpeed: 0 },
    start: { x: -8, y: 2, heading: Math.PI / 2, speed: 1 },
    plan: {
      steps: [
        {
          ...water.plan.steps[0]!,
          orders: [{ after: 0, order: { do: 'engine', engine: null, gear: 1, throttle: 0.2 } }],
        },
      ],
      end: { cue: { is: 'after', time: 12 }, within: 20 },
    },
    goal: { is: 'clear', distance: 0.1 },
  };
}

/** Passing it with a start that may be so far off to the side. */
const aside = (sd: number) => {
  const start = {
    along: normal(0, 0),
    across: normal(0, sd),
    heading: normal(0, 0),
    speed: normal(0, 0),
  };
  return { ...NO_SPREAD, start: { arriving: start, leaving: start } };
};

describe('tries of a manoeuvre', () => {
  it('are the same for the same seed, and end as the run itself does', () => {
    const input = byAPier(1);
    const again = [0, 1, 2].map((k) => trialOf(input, STANDARD_SPREAD, 4, k));
    expect([0, 1, 2].map((k) => trialOf(input, STANDARD_SPREAD, 4, k))).toEqual(again);
    for (const { run, outcome, poses } of again) {
      const whole = runPlan(varied(input, drawOf(STANDARD_SPREAD, 4, run)));
      // Where its only step began, and where it ended.
      expect(poses).toHaveLength(2);
      expect(poses[0]).toEqual({
        x: whole.trace.x[0],
        y: whole.trace.y[0],
        heading: whole.trace.heading[0],
      });
      expect(whole.outcome).toBe(outcome);
    }
  });

  it('are drawn by what the boat itself says of its figures', () => {
    const spread = only(STANDARD_SPREAD, ['thrust']);
    const ends = (known: RunInput['known']) =>
      [0, 1, 2, 3].map((k) => trialOf({ ...byAPier(1), known }, spread, 4, k).poses.at(-1)!.x);
    expect(new Set(ends({ thrust: 0 })).size).toBe(1);
    expect(new Set(ends(undefined)).size).toBe(4);
  });

  it('hold in as many as the start leaves room for', () => {
    // The boat goes straight: it holds while the start is less aside than what is spare.
    const spare = 0.8;
    const share = (sd: number) => {
      const trials = Array.from({ length: 400 }, (_, k) =>
        trialOf(byAPier(spare), aside(sd), 1, k),
      );
      return certificateOf(trials);
    };
    const [narrow, wide] = [share(0.4), share(1.6)];
    // Φ(0.8/0.4) and Φ(0.8/1.6), less what a tenth of a metre and a fender's give change.
    expect(narrow.share).toBeGreaterThan(0.93);
    expect(wide.share).toBeLessThan(0.75);
    expect(wide.share).toBeGreaterThan(0.55);
    expect(wide.causes[0]!.on).toBe('pier');
  });

  it('tell which part of the spread does it', () => {
    const both = { ...aside(1.2), hullDrag: STANDARD_SPREAD.hullDrag };
    const start = influenceOf(byAPier(0.6), both, 'start', 1, 80)!;
    expect(start.without.share).toBe(1);
    expect(start.alone.share).toBeLessThan(0.85);
    expect(influenceOf(byAPier(0.6), both, 'gusts', 1, 10)).toBeNull();
    expect(influenceOf(byAPier(0.6), STANDARD_SPREAD, 'lock water', 1, 10)).toBeNull();
  });

  it('tell from each direction how much wind it holds in', () => {
    const spread = only(STANDARD_SPREAD, ['gusts']);
    const input = byAPier(0.8);
    // From the north the wind sets the boat off the pier, from the south on to it.
    const off = roseRange(input, spread, 1, 10, 0);
    const on = roseRange(input, spread, 1, 10, 8);
    expect(off.least).toBe(0);
    expect(on.least).toBe(0);
    expect(on.most!).toBeLessThan(off.most!);
    expect(holds(trialOf(input, NO_SPREAD, 1, 0))).toBe(true);
  });
});
