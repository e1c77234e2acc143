import fc from 'fast-check';
import { between } from '../testing/arbitrary';
import { tries } from '../testing/sweep';
import { solidObstacle } from '../holding';
import {
  stepOf as step,
  engineIn as engine,
  inputOf as input,
  wheelTo as wheel,
} from '../testing/manoeuvre';
import { CALM } from '../testing/rig';
import { hands, riggedWith } from '../testing/rigging';
import { runPlan, type Cue, type Expectation, type SimpleCue, type TimedOrder } from './';
import { columnsIn } from '../simulation';

const DEG = Math.PI / 180;

const begun = (run: ReturnType<typeof runPlan>) => run.steps.map(({ time }) => time);

describe('cues', () => {
  const bow = { name: 'bow', x: 5, y: 0 };
  const ahead = { name: 'mark', x: 3, y: 20 };
  const under = { is: 'start' } as const;

  it('come at their own moment, not at the next step', () => {
    const run = runPlan(
      input(
        [
          step(under, [engine(1, 0.3)]),
          step({ is: 'after', time: 3.1234 }, [wheel(30)]),
          step({ is: 'heading', heading: 20 * DEG }, [wheel(0)]),
          step({ is: 'speed', over: 'water', compare: 'above', speed: 1 }, [engine(0)]),
        ],
        { is: 'speed', over: 'ground', compare: 'below', speed: 0.6 },
      ),
    );
    expect(run.outcome).toBe('reached');
    expect(begun(run)[1]).toBeCloseTo(3.1234, 8);
    expect(run.steps[2]!.heading / DEG).toBeCloseTo(20, 5);
    const last = run.trace.time.length - 1;
    expect(run.trace.groundSpeed[last]).toBeCloseTo(0.6, 6);
    expect(run.trace.time[last]).toBe(run.duration);
  });

  it('names a point abeam of, and within a distance of, a mark', () => {
    const run = (cue: Cue) =>
      runPlan(input([step(under, [engine(1, 0.2)]), step(cue, [])], { is: 'after', time: 1 }));
    const abeam = run({ is: 'abeam', point: bow, mark: ahead }).steps[1]!;
    const along =
      (ahead.x - abeam.x) * Math.sin(abeam.heading) + (ahead.y - abeam.y) * Math.cos(abeam.heading);
    expect(along).toBeCloseTo(5, 6);
    const near = run({ is: 'within', point: bow, mark: ahead, distance: 6 }).steps[1]!;
    const x = near.x + 5 * Math.sin(near.heading);
    const y = near.y + 5 * Math.cos(near.heading);
    expect(Math.hypot(x - ahead.x, y - ahead.y)).toBeCloseTo(6, 6);
  });

  it('counts turned through from the last step, sternway and stopped after way', () => {
    const run = runPlan(
      input(
        [
          step(under, [engine(1, 0.5), wheel(35)]),
          step({ is: 'turned', by: 30 * DEG }, [engine(-1, 0.6), wheel(0)]),
          step({ is: 'sternway' }, [engine(0)]),
        ],
        { is: 'any', of: [{ is: 'stopped' }, { is: 'after', time: 60 }] },
      ),
    );
    expect(run.steps[1]!.heading / DEG).toBeCloseTo(30, 5);
    expect(run.steps.length).toBe(3);
    expect(run.duration).toBeGreaterThan(run.steps[2]!.time);
  });

  it('waits for all of a group and takes the first of any', () => {
    const three: SimpleCue[] = [
      { is: 'after', time: 2 },
      { is: 'after', time: 5 },
    ];
    const timed = (is: 'any' | 'all') =>
      begun(
        runPlan(input([step(under, []), step({ is, of: three }, [])], { is: 'after', time: 0 })),
      )[1];
    expect(timed('any')).toBeCloseTo(2, 8);
    expect(timed('all')).toBeCloseTo(5, 8);
  });

  it('that never come end the run and say so', () => {
    const run = runPlan(
      input([step(under, []), step({ is: 'heading', heading: 1 }, [], { within: 7 })], {
        is: 'after',
        time: 1,
      }),
    );
    expect(run.outcome).toBe('cue never came');
    expect(run.duration).toBeCloseTo(7, 6);
    expect(run.events.at(-1)).toMatchObject({ is: 'cue never came', step: 1 });
  });

  it('do not jump by a step when a number changes a little', () => {
    const end = (seconds: number) =>
      runPlan(
        input([step(under, [engine(1, 0.4)]), step({ is: 'after', time: seconds }, [wheel(30)])], {
          is: 'after',
          time: 20,
        }),
      ).trace.x.at(-1)!;
    const slopes = [0, 1, 2, 3, 4].map((k) => {
      const at = 4 + 0.013 * k;
      return (end(at + 0.001) - end(at)) / 0.001;
    });
    for (const slope of slopes) expect(slope).toBeCloseTo(slopes[0]!, 1);
  });
});

describe('orders', () => {
  it('come after their delay, and a new step overtakes what is left', () => {
    const run = runPlan(
      input(
        [
          step({ is: 'start' }, [engine(1, 0.5), engine(0, 0, 2.03), engine(-1, 1, 9)]),
          step({ is: 'after', time: 4 }, [wheel(10)]),
        ],
        { is: 'after', time: 8 },
      ),
    );
    const times = run.events.filter((e) => e.is === 'order').map((e) => e.time);
    expect(times).toHaveLength(3);
    expect(times[1]).toBeCloseTo(2.03, 8);
    expect(run.margins.gearShifts).toBe(1);
  });
});

describe('expectations and the way out', () => {
  const rising: Expectation = { is: 'speed', at: { after: 6 }, over: 'water', least: 3, most: 9 };

  it('a failed one is an event with what was found', () => {
    const run = runPlan(
      input([step({ is: 'start' }, [engine(1)], { expect: [rising] })], {
        is: 'after',
        time: 10,
      }),
    );
    const failed = run.events.find((e) => e.is === 'expectation failed');
    expect(failed).toMatchObject({ step: 0 });
    expect(failed!.time).toBeCloseTo(6, 8);
    expect(run.outcome).toBe('reached');
  });

  it('takes the way out when told to, and drops the rest of the plan', () => {
    const wayOut = { automatic: true, orders: [engine(0), engine(-1, 0.5, 2), engine(0, 0, 6)] };
    const run = runPlan(
      input(
        [
          step({ is: 'start' }, [engine(1, 0.4)], { expect: [rising], wayOut }),
          step({ is: 'after', time: 30 }, [wheel(35)]),
        ],
        { is: 'after', time: 30 },
      ),
    );
    expect(run.outcome).toBe('broke off');
    expect(run.steps).toHaveLength(1);
    expect(run.events.some((e) => e.is === 'way out')).toBe(true);
  });

  it('watches clearance all the way, not only at the end', () => {
    const pier = solidObstacle('p', 'pier', Float64Array.from([4, 8, 9, 8, 9, 14, 4, 14]), {
      friction: 0.3,
      stiffness: 1e6,
    });
    const expectClear: Expectation = { is: 'clear', at: { after: 40 }, least: 4 };
    const run = runPlan(
      input(
        [step({ is: 'start' }, [engine(1, 0.4)], { expect: [expectClear] })],
        { is: 'after', time: 41 },
        { obstacles: [pier] },
      ),
    );
    const failed = run.events.find((e) => e.is === 'expectation failed')!;
    expect(failed.time).toBeLessThan(20);
    expect(run.clearance).toMatchObject({ name: 'pier' });
    expect(run.clearance!.distance).toBeLessThan(4);
  });
});

describe('outcomes', () => {
  it('a hard touch is never a success', () => {
    const wall = solidObstacle('w', 'wall', Float64Array.from([-20, 15, 20, 15, 20, 20, -20, 20]), {
      friction: 0.3,
      stiffness: 5e6,
    });
    const run = runPlan(
      input(
        [step({ is: 'start' }, [engine(1, 0.8)])],
        { is: 'after', time: 25 },
        { obstacles: [wall] },
      ),
    );
    expect(run.outcome).toBe('hard touch');
    expect(run.margins.touch).toMatchObject({ grade: 'hard', part: 'bow', name: 'wall' });
    expect(run.margins.clearance!.distance).toBeLessThan(0.01);
  });

  it('the goal is judged on where she lies, how she heads and how fast', () => {
    const goal = {
      is: 'lie',
      point: { name: 'midships', x: 0, y: 0 },
      mark: { name: 'spot', x: 0, y: 6 },
      within: 3,
      heading: 0,
      headingWithin: 0.2,
      speedBelow: 0.3,
    } as const;
    const run = runPlan(
      input(
        [step({ is: 'start' }, [engine(1)]), step({ is: 'after', time: 8 }, [engine(-1, 0.5)])],
        { is: 'speed', over: 'ground', compare: 'below', speed: 0.1 },
        { goal },
      ),
    );
    expect(run.goal.map((c) => c.what)).toEqual(['distance', 'heading', 'speed']);
    expect(run.outcome).toBe(run.goal.every((c) => c.met) ? 'reached' : 'missed');
    const missed = runPlan(
      input([step({ is: 'start' }, [engine(1)])], { is: 'after', time: 40 }, { goal }),
    );
    expect(missed.outcome).toBe('missed');
  });

  it('she is not off while a line of hers is on, however far she has gone', () => {
    const fast = riggedWith([{ x: 4, y: 1, fast: { x: 12, y: 4, length: 12 } }]);
    const run = (orders: TimedOrder[]) =>
      runPlan(
        input(
          [step({ is: 'start' }, orders)],
          { is: 'after', time: 20 },
          {
            ...fast,
            obstacles: [],
            goal: { is: 'clear', distance: 2 },
          },
        ),
      );
    const tied = run([]);
    expect(tied.outcome).toBe('missed');
    expect(tied.goal.find(({ what }) => what === 'lines')).toMatchObject({ found: 1, met: false });
    const off = run([hands({ do: 'letGo', line: 0, by: null })]);
    expect(off.outcome).toBe('reached');
  });
});

describe('any plan at all', () => {
  const orders = fc.array(
    fc.oneof(
      fc.record({
        after: between(0, 8),
        order: fc.record({
          do: fc.constant('wheel' as const),
          angle: between(-1, 1),
        }),
      }),
      fc.record({
        after: between(0, 8),
        order: fc.record({
          do: fc.constant('engine' as const),
          engine: fc.constant(null),
          gear: fc.constantFrom(-1 as const, 0 as const, 1 as const),
          throttle: between(0, 1),
        }),
      }),
    ),
    { maxLength: 6 },
  );

  it('gives finite, bounded motion and the same run twice', () => {
    const quay = solidObstacle('q', 'quay', Float64Array.from([-30, 9, 30, 12, 30, 20, -30, 20]), {
      friction: 0.4,
      stiffness: 5e6,
    });
    fc.assert(
      fc.property(
        orders,
        orders,
        between(0, 25),
        between(0, 6.28),
        (first, second, windSpeed, windFrom) => {
          const planned = input(
            [step({ is: 'start' }, first), step({ is: 'after', time: 10 }, second)],
            { is: 'after', time: 15 },
            {
              obstacles: [quay],
              weather: { ...CALM, windSpeed, windFrom },
              start: { x: 0, y: 0, heading: 1.4, speed: 1 },
            },
          );
          const run = runPlan(planned);
          for (const column of columnsIn(run.trace)) {
            for (const value of column) expect(Number.isFinite(value)).toBe(true);
          }
          expect(Math.max(...run.trace.groundSpeed)).toBeLessThan(6);
          expect(runPlan(planned).trace.x).toEqual(run.trace.x);
        },
      ),
      { numRuns: tries(10, 40) },
    );
  });
});
