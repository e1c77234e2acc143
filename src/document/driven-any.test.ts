import { Random } from '@/core/math';
import { gradeHandling, differencesBetween, faultsOf, handlingOf, reviewOf } from '@/core/debrief';
import { toDrive, type ManoeuvreFile, type OrderDocument, type RecordingDocument } from './';
import { chosen, tries } from '@/core/testing/sweep';
import { demoFile } from './testing/demo';

// Whatever is done at the helm of whatever boat: it can be played, looked over and held against another run.

const pick = <T>(random: Random, list: readonly T[]): T =>
  list[Math.floor(random.uniform() * list.length)]!;

function anyOrder(random: Random, { boat, plan }: ManoeuvreFile): OrderDocument {
  const after_s = 0;
  const signed = () => Number((2 * random.uniform() - 1).toFixed(2));
  const orders: (() => OrderDocument)[] = [
    () => ({ do: 'wheel', after_s, angle_deg: Math.round(90 * signed()) }),
    () => ({ do: 'steer', after_s, heading_deg: Math.round(180 + 180 * signed()) }),
    () => ({
      do: 'engine',
      after_s,
      engine: pick(random, boat.drives).name,
      gear: pick(random, ['ahead', 'neutral', 'astern'] as const),
      throttle: Number(random.uniform().toFixed(2)),
    }),
    ...boat.thrusters.map(({ name }) => () => ({
      do: 'thruster' as const,
      after_s,
      thruster: name,
      power: signed(),
    })),
    ...(boat.joystick
      ? [
          () => ({
            do: 'joystick' as const,
            after_s,
            ahead: signed(),
            sideways: signed(),
            twist: signed(),
          }),
        ]
      : []),
    ...plan.lines
      .filter(({ of, anchor }) => of === undefined && !anchor)
      .flatMap(({ name }) => [
        () => ({ do: 'letGo' as const, after_s, line: name }),
        () => ({
          do: 'tend' as const,
          after_s,
          line: name,
          how: pick(random, ['haul', 'hold', 'turn', 'fast', 'ease'] as const),
          turns: 1.5,
          winch: false,
        }),
      ]),
  ];
  return pick(random, orders)();
}

function anyRecording(seed: number, file: ManoeuvreFile): RecordingDocument {
  const random = new Random(seed);
  const timesteps = 150 + Math.floor(250 * random.uniform());
  const inputs = Array.from({ length: 14 }, () => ({
    timestep: Math.floor(timesteps * random.uniform()),
    order: anyOrder(random, file),
  })).sort((a, b) => a.timestep - b.timestep);
  return {
    inputs,
    timesteps,
    end: pick(random, ['done', 'broke off', null] as const),
    skips: [],
    surprises: [
      { is: 'gust', at_s: 5, by: 1, lasts_s: 5 },
      { is: 'current', at_s: 8, set_deg: 200, speed_mps: 0.5, over_s: 6 },
      { is: 'noAstern', at_s: 12, engine: file.boat.drives[0]!.name },
      { is: 'lineMissed', at_s: 1 },
    ],
  };
}

const driven = (file: ManoeuvreFile, seed: number) => {
  const drive = toDrive({ manoeuvre: file, recording: anyRecording(seed, file) });
  if (!drive.ok) throw new Error(JSON.stringify(drive.problems));
  return drive.value;
};

const BOATS = [
  'off-stilt-pontoon',
  'stern-to-before-supper',
  'four-engines-sideways',
  'two-piles-and-a-following-wind',
  'rafted-up-to-wicket',
  'tender-out-of-the-gap',
] as const;

it.each(
  chosen(BOATS, ['stern-to-before-supper', 'four-engines-sideways', 'tender-out-of-the-gap']),
)(
  '%s, driven anyhow',
  (id) => {
    const file = demoFile(id);
    for (const seed of [1, 2, 3].slice(0, tries(1, 3))) {
      const one = driven(file, seed);
      const review = reviewOf(one.input, one.recording);
      const { trace } = review.run;
      expect([...trace.x, ...trace.heading, ...trace.surge].every(Number.isFinite)).toBe(true);
      const faults = faultsOf(review);
      for (const { time, until } of faults) {
        expect(time).toBeGreaterThanOrEqual(0);
        expect(until).toBeGreaterThanOrEqual(time);
        expect(until).toBeLessThanOrEqual(review.run.duration + 0.2);
      }
      expect(['careful', 'fair', 'rough', 'harmful']).toContain(
        gradeHandling(review, faults).grade,
      );
      const { neutral, duration, throttleMost } = handlingOf(review);
      expect(neutral).toBeLessThanOrEqual(duration + 1e-6);
      expect(throttleMost).toBeLessThanOrEqual(1);
      if (seed > 1) continue;
      const { causes } = differencesBetween(one, driven(file, 9));
      expect(causes.every(({ share }) => share <= 1 + 1e-9)).toBe(true);
    }
  },
  120_000,
);
