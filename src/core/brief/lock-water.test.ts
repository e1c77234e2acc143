import { toRunInput } from '@/document';
import { demoFile } from '@/document/testing/demo';
import { outOfLock } from '../locks';
import { runPlan, type RunInput } from '../plan';
import { NO_VARIATION, vary } from '../search';
import { lockWater } from './lock-water';

function inputOf(id: string): RunInput {
  const input = toRunInput(demoFile(id));
  if (!input.ok) throw new Error(`${id} cannot be played`);
  return input.value;
}

const nell = inputOf('nell-waits-below-cobnut-lock');

describe('a lock whose water pushes more or less than reckoned', () => {
  it('is looked at at either end of what is known', () => {
    const found = [...lockWater(nell)];
    expect(found.map(({ times }) => times)).toEqual([0.5, 1.5]);
    for (const { times, margins, outcome } of found) {
      const run = runPlan(vary(nell, { ...NO_VARIATION, waterTimes: times }));
      expect(outcome).toBe(run.outcome);
      expect(margins).toEqual(run.margins);
    }
  });

  it('sets a boat adrift below it by as much more', () => {
    // In neutral, on no line, in a calm, the chamber full above the boat and its lower paddles up.
    const drift = (waterTimes: number) => {
      const input = inputOf('nell-waits-below-cobnut-lock');
      const locks = input.locks!.map((sited) => {
        const raised = sited.lock.paddles.map(({ end }) => (end === 'lower' ? 1 : 0));
        const begins = {
          ...sited.begins,
          chamber: sited.begins.upper,
          open: Float64Array.from(raised),
          wound: Float64Array.from(raised),
        };
        return { ...sited, begins };
      });
      const [first] = input.plan.steps;
      const plan = {
        ...input.plan,
        steps: [{ ...first!, orders: [] }],
        end: { cue: { is: 'after' as const, time: 40 }, within: 60 },
      };
      const calm = { ...input.weather, windSpeed: 0 };
      const tail = outOfLock(locks[0]!, locks[0]!.lock.length + 20, 0);
      const start = { ...input.start, ...tail, speed: 0 };
      const { rigging: _, lines: __, where: ___, ...rest } = input;
      const adrift = { ...rest, locks, plan, start, weather: calm };
      const { x, y } = runPlan(vary(adrift, { ...NO_VARIATION, waterTimes })).trace;
      return Math.hypot(x.at(-1)! - x[0]!, y.at(-1)! - y[0]!);
    };
    const [none, less, reckoned, more] = [0, 0.5, 1, 1.5].map(drift);
    expect(none).toBeLessThan(0.01);
    expect(less! / reckoned!).toBeGreaterThan(0.2);
    expect(less! / reckoned!).toBeLessThan(0.8);
    expect(more! / reckoned!).toBeGreaterThan(1.2);
  });

  it('is nothing to look at without locks', () => {
    expect([...lockWater(inputOf('off-stilt-pontoon'))]).toEqual([]);
  });
});
