import { box } from '../testing/boxes';
import { engineIn, inputOf, stepOf } from '../testing/manoeuvre';
import { mirroredPlan, runPlan, type PlanStep, type RunInput } from './';

const START = { is: 'start' } as const;
const wall = box('wall', -20, 30, 20, 34);

/** Ahead, looked at after so long, out astern where it is not as expected, and again. */
function round(times: number, automatic = true): Partial<RunInput> & { steps: PlanStep[] } {
  const check = stepOf(START, [engineIn(1)], {
    id: 'check',
    expect: [{ is: 'heading', at: 'next', heading: 1, within: 0.1 }],
    wayOut: {
      automatic,
      orders: [engineIn(0), engineIn(-1, 0, 1)],
      again: { step: 0, cue: { is: 'sternway' }, within: 60, times },
    },
  });
  const steps = [check, stepOf({ is: 'after', time: 6 }, [engineIn(0)], { id: 'in' })];
  return { steps, limit: 200, obstacles: [wall] };
}

const events = (times: number, automatic = true) => {
  const { steps, ...rest } = round(times, automatic);
  return runPlan(inputOf(steps, { is: 'after', time: 3 }, rest));
};

describe('round again', () => {
  it('goes on from the step that is named, and no more often than it may', () => {
    const run = events(2);
    expect(run.events.filter(({ is }) => is === 'again')).toMatchObject([
      { step: 0, round: 1 },
      { step: 0, round: 2 },
    ]);
    expect(run.events.filter(({ is }) => is === 'way out')).toHaveLength(3);
    expect(run.outcome).toBe('broke off');
    // Every round is in the marks of its steps, in the order of time.
    expect(run.steps.map(({ step }) => step)).toEqual([0, 0, 0]);
    expect(run.steps.map(({ time }) => time)).toEqual(
      run.steps.map(({ time }) => time).toSorted((a, b) => a - b),
    );
  });

  it('is not taken where nothing is taken by itself', () => {
    const run = events(2, false);
    expect(run.events.some(({ is }) => is === 'again')).toBe(false);
    expect(run.outcome).toBe('reached');
  });

  it('is the same in the mirror', () => {
    const { steps, ...rest } = round(1);
    const input = inputOf(steps, { is: 'after', time: 3 }, rest);
    const [first] = mirroredPlan(input.plan).steps;
    expect(first!.wayOut.again).toEqual(steps[0]!.wayOut.again);
    const flipped = runPlan({ ...input, plan: mirroredPlan(input.plan) });
    expect(flipped.events.filter(({ is }) => is === 'again')).toHaveLength(1);
  });
});

describe('room left', () => {
  it('comes as the bow is so near to what stands ahead, whatever stands beside', () => {
    const { limit, obstacles } = round(1);
    const beside = box('beside', 3, 0, 5, 20);
    const at = (things: NonNullable<RunInput['obstacles']>) =>
      runPlan(
        inputOf(
          [stepOf(START, [engineIn(1, 0.2)])],
          { is: 'room', end: 'bow', distance: 6 },
          {
            limit: limit!,
            obstacles: things,
          },
        ),
      );
    const run = at(obstacles!);
    const bow = run.trace.y.at(-1)! + 5;
    expect(30 - bow).toBeGreaterThan(5.4);
    expect(30 - bow).toBeLessThan(6.6);
    expect(at([...obstacles!, beside]).duration).toBeCloseTo(run.duration, 6);
  });
});
