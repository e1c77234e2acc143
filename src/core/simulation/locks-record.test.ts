import { runPlan } from '../plan';
import { stepOf, inputOf } from '../testing/manoeuvre';
import { LOCK_WALLS, lockAt, swingGates, windTo } from '../testing/locks';
import { COLUMN_NAMES, lockRecorded, namedColumns, sampleBefore } from './';

const run = runPlan(
  inputOf(
    [
      stepOf({ is: 'start' }, [
        { after: 2, order: windTo(0, 1) },
        { after: 2, order: windTo(1, 0.5) },
      ]),
    ],
    { is: 'after', time: 60 },
    {
      obstacles: LOCK_WALLS,
      locks: [lockAt()],
      start: { x: 0, y: -8, heading: 0, speed: 0 },
      limit: 70,
    },
  ),
);

describe('a lock in a record', () => {
  it('reads as it stood, between samples by straight lines', () => {
    const { time, locks } = run.trace;
    const { chamber } = locks[0]!;
    const at = (t: number) => lockRecorded(run.trace, 0, lockAt(), t);
    const i = 300;
    expect(at(time[i]!).state.chamber).toBe(chamber[i]);
    const between = at((time[i]! + time[i + 1]!) / 2).state.chamber;
    expect(between).toBeCloseTo((chamber[i]! + chamber[i + 1]!) / 2, 12);
    expect(at(0).state.open[0]).toBe(0);
    expect(at(30).state.open[0]).toBe(1);
    expect(at(30).state.open[1]).toBeCloseTo(0.5, 9);
    expect(at(1e9).state.chamber).toBe(chamber.at(-1));
  });

  it('rises as fast as what comes in over its area', () => {
    const { rising, state } = lockRecorded(run.trace, 0, lockAt(), 30);
    const flow = 0.62 * 0.3 * 1.5 * Math.sqrt(2 * 9.80665 * (2 - state.chamber));
    expect(rising).toBeCloseTo(flow / (16 * 6), 3);
  });

  it('stands as it begins where a record has none of it', () => {
    const open = lockAt({}, 'upper', 'open');
    const { state, rising } = lockRecorded(run.trace, 1, open, 10);
    expect(state.gates.upper).toBe(1);
    expect(rising).toBe(0);
  });

  it('has a column for everything, none twice', () => {
    const named = Object.entries(namedColumns(run.trace)).filter(([name]) =>
      name.startsWith('lock1'),
    );
    expect(named).toHaveLength(3 + 4 + 4);
    expect(new Set(COLUMN_NAMES).size).toBe(COLUMN_NAMES.length);
    for (const [name, column] of named) {
      expect(COLUMN_NAMES).toContain(name);
      expect(column).toHaveLength(run.trace.time.length);
    }
  });

  it('a sample before a time is the last that is not after it', () => {
    const trace = { ...run.trace, time: Float64Array.of(0, 1, 2, 4) };
    expect([-1, 0, 0.5, 1, 3.9, 4, 9].map((t) => sampleBefore(trace, t))).toEqual([
      0, 0, 0, 1, 2, 3, 3,
    ]);
  });
});

it('one leaf opened is recorded as one leaf', () => {
  const one = runPlan(
    inputOf(
      [stepOf({ is: 'start' }, [{ after: 0, order: swingGates('lower', 'open', null, 'left') }])],
      { is: 'after', time: 30 },
      {
        obstacles: LOCK_WALLS,
        locks: [lockAt()],
        start: { x: 0, y: -8, heading: 0, speed: 0 },
        limit: 40,
      },
    ),
  );
  const { state } = lockRecorded(one.trace, 0, lockAt(), 25);
  expect([...state.leaves]).toEqual([0, 0, 1, 0]);
  expect(state.gates).toEqual({ upper: 0, lower: 1 });
});
