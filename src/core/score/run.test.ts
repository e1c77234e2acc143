import fc from 'fast-check';
import { between } from '../testing/arbitrary';
import { tries } from '../testing/sweep';
import { solidObstacle } from '../holding';
import {
  beatOf as beat,
  engineIn as engine,
  inputOf as input,
  wheelTo as wheel,
} from '../testing/manoeuvre';
import { CALM } from '../testing/rig';
import { hands, riggedWith } from '../testing/rigging';
import { runTake, type Cue, type Expectation, type TimedOrder } from '.';

const DEG = Math.PI / 180;

const begun = (take: ReturnType<typeof runTake>) => take.beats.map(({ time }) => time);

describe('cues', () => {
  const bow = { name: 'bow', x: 5, y: 0 };
  const ahead = { name: 'mark', x: 3, y: 20 };
  const under = { is: 'start' } as const;

  it('come at their own moment, not at the next step', () => {
    const take = runTake(
      input(
        [
          beat(under, [engine(1, 0.3)]),
          beat({ is: 'after', seconds: 3.1234 }, [wheel(30)]),
          beat({ is: 'heading', heading: 20 * DEG }, [wheel(0)]),
          beat({ is: 'speed', over: 'water', compare: 'above', speed: 1 }, [engine(0)]),
        ],
        { is: 'speed', over: 'ground', compare: 'below', speed: 0.6 },
      ),
    );
    expect(take.outcome).toBe('reached');
    expect(begun(take)[1]).toBeCloseTo(3.1234, 8);
    expect(take.beats[2]!.heading / DEG).toBeCloseTo(20, 5);
    const last = take.trace.time.length - 1;
    expect(take.trace.groundSpeed[last]).toBeCloseTo(0.6, 6);
    expect(take.trace.time[last]).toBe(take.duration);
  });

  it('names a point abeam of, and within a distance of, a mark', () => {
    const run = (cue: Cue) =>
      runTake(input([beat(under, [engine(1, 0.2)]), beat(cue, [])], { is: 'after', seconds: 1 }));
    const abeam = run({ is: 'abeam', point: bow, mark: ahead }).beats[1]!;
    const along =
      (ahead.x - abeam.x) * Math.sin(abeam.heading) + (ahead.y - abeam.y) * Math.cos(abeam.heading);
    expect(along).toBeCloseTo(5, 6);
    const near = run({ is: 'within', point: bow, mark: ahead, distance: 6 }).beats[1]!;
    const x = near.x + 5 * Math.sin(near.heading);
    const y = near.y + 5 * Math.cos(near.heading);
    expect(Math.hypot(x - ahead.x, y - ahead.y)).toBeCloseTo(6, 6);
  });

  it('counts turned through from the last beat, sternway and stopped after way', () => {
    const take = runTake(
      input(
        [
          beat(under, [engine(1, 0.5), wheel(35)]),
          beat({ is: 'turned', by: 30 * DEG }, [engine(-1, 0.6), wheel(0)]),
          beat({ is: 'sternway' }, [engine(0)]),
        ],
        { is: 'any', of: [{ is: 'stopped' }, { is: 'after', seconds: 60 }] },
      ),
    );
    expect(take.beats[1]!.heading / DEG).toBeCloseTo(30, 5);
    expect(take.beats.length).toBe(3);
    expect(take.duration).toBeGreaterThan(take.beats[2]!.time);
  });

  it('waits for all of a group and takes the first of any', () => {
    const three: Cue[] = [
      { is: 'after', seconds: 2 },
      { is: 'after', seconds: 5 },
    ];
    const timed = (is: 'any' | 'all') =>
      begun(
        runTake(input([beat(under, []), beat({ is, of: three }, [])], { is: 'after', seconds: 0 })),
      )[1];
    expect(timed('any')).toBeCloseTo(2, 8);
    expect(timed('all')).toBeCloseTo(5, 8);
  });

  it('that never come end the take and say so', () => {
    const take = runTake(
      input([beat(under, []), beat({ is: 'heading', heading: 1 }, [], { within: 7 })], {
        is: 'after',
        seconds: 1,
      }),
    );
    expect(take.outcome).toBe('cue never came');
    expect(take.duration).toBeCloseTo(7, 6);
    expect(take.events.at(-1)).toMatchObject({ is: 'cue never came', beat: 1 });
  });

  it('do not jump by a step when a number changes a little', () => {
    const end = (seconds: number) =>
      runTake(
        input([beat(under, [engine(1, 0.4)]), beat({ is: 'after', seconds }, [wheel(30)])], {
          is: 'after',
          seconds: 20,
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
  it('come after their delay, and a new beat overtakes what is left', () => {
    const take = runTake(
      input(
        [
          beat({ is: 'start' }, [engine(1, 0.5), engine(0, 0, 2.03), engine(-1, 1, 9)]),
          beat({ is: 'after', seconds: 4 }, [wheel(10)]),
        ],
        { is: 'after', seconds: 8 },
      ),
    );
    const times = take.events.filter((e) => e.is === 'order').map((e) => e.time);
    expect(times).toHaveLength(3);
    expect(times[1]).toBeCloseTo(2.03, 8);
    expect(take.margins.gearShifts).toBe(1);
  });
});

describe('expectations and the way out', () => {
  const rising: Expectation = { is: 'speed', at: { after: 6 }, over: 'water', least: 3, most: 9 };

  it('a failed one is an event with what was found', () => {
    const take = runTake(
      input([beat({ is: 'start' }, [engine(1)], { expect: [rising] })], {
        is: 'after',
        seconds: 10,
      }),
    );
    const failed = take.events.find((e) => e.is === 'expectation failed');
    expect(failed).toMatchObject({ beat: 0 });
    expect(failed!.time).toBeCloseTo(6, 8);
    expect(take.outcome).toBe('reached');
  });

  it('takes the way out when told to, and drops the rest of the score', () => {
    const wayOut = { automatic: true, orders: [engine(0), engine(-1, 0.5, 2), engine(0, 0, 6)] };
    const take = runTake(
      input(
        [
          beat({ is: 'start' }, [engine(1, 0.4)], { expect: [rising], wayOut }),
          beat({ is: 'after', seconds: 30 }, [wheel(35)]),
        ],
        { is: 'after', seconds: 30 },
      ),
    );
    expect(take.outcome).toBe('broke off');
    expect(take.beats).toHaveLength(1);
    expect(take.events.some((e) => e.is === 'way out')).toBe(true);
  });

  it('watches clearance all the way, not only at the end', () => {
    const pier = solidObstacle('p', 'pier', Float64Array.from([4, 8, 9, 8, 9, 14, 4, 14]), {
      friction: 0.3,
      stiffness: 1e6,
    });
    const expectClear: Expectation = { is: 'clear', at: { after: 40 }, least: 4 };
    const take = runTake(
      input(
        [beat({ is: 'start' }, [engine(1, 0.4)], { expect: [expectClear] })],
        { is: 'after', seconds: 41 },
        { obstacles: [pier] },
      ),
    );
    const failed = take.events.find((e) => e.is === 'expectation failed')!;
    expect(failed.time).toBeLessThan(20);
    expect(take.clearance).toMatchObject({ name: 'pier' });
    expect(take.clearance!.distance).toBeLessThan(4);
  });
});

describe('outcomes', () => {
  it('a hard touch is never a success', () => {
    const wall = solidObstacle('w', 'wall', Float64Array.from([-20, 15, 20, 15, 20, 20, -20, 20]), {
      friction: 0.3,
      stiffness: 5e6,
    });
    const take = runTake(
      input(
        [beat({ is: 'start' }, [engine(1, 0.8)])],
        { is: 'after', seconds: 25 },
        { obstacles: [wall] },
      ),
    );
    expect(take.outcome).toBe('hard touch');
    expect(take.margins.touch).toMatchObject({ grade: 'hard', part: 'bow', name: 'wall' });
    expect(take.margins.clearance!.distance).toBeLessThan(0.01);
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
    const take = runTake(
      input(
        [beat({ is: 'start' }, [engine(1)]), beat({ is: 'after', seconds: 8 }, [engine(-1, 0.5)])],
        { is: 'speed', over: 'ground', compare: 'below', speed: 0.1 },
        { goal },
      ),
    );
    expect(take.goal.map((c) => c.what)).toEqual(['distance', 'heading', 'speed']);
    expect(take.outcome).toBe(take.goal.every((c) => c.met) ? 'reached' : 'missed');
    const missed = runTake(
      input([beat({ is: 'start' }, [engine(1)])], { is: 'after', seconds: 40 }, { goal }),
    );
    expect(missed.outcome).toBe('missed');
  });

  it('she is not off while a line of hers is on, however far she has gone', () => {
    const fast = riggedWith([{ x: 4, y: 1, fast: { x: 12, y: 4, length: 12 } }]);
    const run = (orders: TimedOrder[]) =>
      runTake(
        input(
          [beat({ is: 'start' }, orders)],
          { is: 'after', seconds: 20 },
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
    const off = run([hands({ do: 'let go', line: 0, by: null })]);
    expect(off.outcome).toBe('reached');
  });
});

describe('any score at all', () => {
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

  it('gives finite, bounded motion and the same take twice', () => {
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
          const scored = input(
            [beat({ is: 'start' }, first), beat({ is: 'after', seconds: 10 }, second)],
            { is: 'after', seconds: 15 },
            {
              obstacles: [quay],
              weather: { ...CALM, windSpeed, windFrom },
              start: { x: 0, y: 0, heading: 1.4, speed: 1 },
            },
          );
          const take = runTake(scored);
          for (const column of Object.values(take.trace)) {
            for (const value of column) expect(Number.isFinite(value)).toBe(true);
          }
          expect(Math.max(...take.trace.groundSpeed)).toBeLessThan(6);
          expect(runTake(scored).trace.x).toEqual(take.trace.x);
        },
      ),
      { numRuns: tries(10, 40) },
    );
  });
});
