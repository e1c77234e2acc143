import fc from 'fast-check';
import {
  chamberArea,
  copyLock,
  feed,
  gentlest,
  headAt,
  joined,
  leavesOf,
  lockAtRest,
  simulateFill,
  orderLock,
  stepsDown,
  workLocks,
  type Lock,
  type LockOrder,
  type LockState,
  type SitedLock,
} from './';
import { jointArea, timeToLevel } from '../testing/lock-formulas';

// Two locks of which the upper one's lower gates are the lower one's upper gates: 4 m of rise in two steps of 2 m.

const GATES = { kind: 'mitre', hinge: 'left', swing: 20 } as const;
const paddle = (name: string, end: 'upper' | 'lower', winding = 10) => ({
  name,
  end,
  where: 'gate' as const,
  side: 'left' as const,
  area: 0.3,
  discharge: 0.6,
  winding,
});

const lockFrom = (
  upper: number,
  lower: number,
  paddles: Lock['paddles'],
  rest: Partial<Lock> = {},
): Lock => ({
  length: 20,
  width: 5,
  upper: { level: upper, area: Infinity },
  lower: { level: lower, area: Infinity },
  upperGates: GATES,
  lowerGates: GATES,
  paddles,
  upperCill: upper - 1.5,
  cillReach: 1,
  lowerCill: lower - 1.5,
  floor: lower - 1.8,
  leakUpper: 0,
  leakLower: 0,
  ...rest,
});

/** Both sites with their states; chambers set full or empty. */
function staircase(
  top: 'upper' | 'lower',
  bottom: 'upper' | 'lower',
  { winding = 10, pounds = Infinity, wide = 5 } = {},
) {
  const both = joined(
    lockFrom(4, 2, [paddle('top', 'upper', winding), paddle('middle', 'lower', winding)], {
      upper: { level: 4, area: pounds },
    }),
    lockFrom(2, 0, [paddle('tail', 'lower', winding)], {
      width: wide,
      lower: { level: 0, area: pounds },
    }),
  );
  const over = lockAtRest(both.upper, top);
  const under = lockAtRest(both.lower, bottom);
  over.lower = under.chamber;
  feed(both.lower, under, both.upper, over);
  const site = (id: string, lock: Lock, y: number, rest: Partial<SitedLock>): SitedLock => ({
    id,
    name: id,
    lock,
    x: 0,
    y,
    east: 0,
    north: -1,
    coping: lock.upper.level + 0.6,
    tidal: false,
    begins: lockAtRest(lock, 'upper'),
    ...rest,
  });
  const locks = [
    site('over', both.upper, 0, { below: 1 }),
    site('under', both.lower, -20, { above: 0 }),
  ];
  return { locks, states: [over, under] as LockState[] };
}

const work = ({ locks, states }: ReturnType<typeof staircase>, seconds: number, dt = 0.05) => {
  for (let t = 0; t < seconds - 1e-9; t += dt) workLocks(locks, states, dt, 0);
};
const give = ({ locks, states }: ReturnType<typeof staircase>, lock: number, order: LockOrder) =>
  orderLock(locks[lock]!.lock, states[lock]!, order);

/** Water over nought in chambers and pounds, each counted once. */
function water({ locks, states }: ReturnType<typeof staircase>): number {
  const [over, under] = locks.map(({ lock }) => lock) as [Lock, Lock];
  const [a, b] = states as [LockState, LockState];
  return (
    a.upper * over.upper.area +
    a.chamber * chamberArea(over) +
    b.chamber * chamberArea(under) +
    b.lower * under.lower.area
  );
}

describe('a staircase', () => {
  it('empties a full chamber into an empty one in the time two basins take, to the level between', () => {
    for (const wide of [5, 8]) {
      const both = staircase('upper', 'lower', { winding: 1e-6, wide });
      expect(give(both, 0, { do: 'wind', paddle: 1, to: 1 })).toBeNull();
      const [a, b] = [20 * 5, 20 * wide];
      // The oracle of two basins: the head is gone after so long, and the water has spread over both.
      const whole = timeToLevel({ discharge: 0.6, area: 0.3, opening: 0 }, jointArea(a, b), 4);
      work(both, 0.75 * whole);
      const left = both.states[0]!.chamber - both.states[1]!.chamber;
      expect(left).toBeCloseTo(4 * 0.25 * 0.25, 2);
      work(both, 0.5 * whole);
      const level = (4 * a) / (a + b);
      expect(both.states[0]!.chamber).toBeCloseTo(level, 3);
      expect(both.states[1]!.chamber).toBeCloseTo(level, 3);
    }
  });

  it('loses no water, whatever is wound and swung, and shared gates stand alike in both', () => {
    const order = fc.oneof(
      fc.record({
        lock: fc.constantFrom(0, 1),
        order: fc.record({
          do: fc.constant('wind' as const),
          paddle: fc.constantFrom(0, 1),
          to: fc.constantFrom(0, 0.3, 1),
        }),
      }),
      fc.record({
        lock: fc.constantFrom(0, 1),
        order: fc.record({
          do: fc.constant('gates' as const),
          end: fc.constantFrom('upper' as const, 'lower' as const),
          to: fc.constantFrom('open' as const, 'shut' as const),
        }),
      }),
    );
    const set = fc.constantFrom('upper' as const, 'lower' as const);
    fc.assert(
      fc.property(set, set, fc.array(order, { minLength: 1, maxLength: 8 }), (top, bottom, all) => {
        const both = staircase(top, bottom, { pounds: 4000 });
        const before = water(both);
        for (const { lock, order: one } of all) {
          // Shared gates are given to the lock above.
          if (lock === 1 && one.do === 'gates' && one.end === 'upper') continue;
          give(both, lock, one);
          work(both, 40);
          const [a, b] = both.states as [LockState, LockState];
          expect(a.lower).toBe(b.chamber);
          expect(b.leaves[0]).toBe(a.leaves[2]);
          expect(b.gates.upper).toBe(a.gates.lower);
          for (const level of [a.chamber, b.chamber]) expect(Number.isFinite(level)).toBe(true);
        }
        expect(water(both)).toBeCloseTo(before, 6);
      }),
      { numRuns: 25 },
    );
  });

  it('lets her through in the right order only: shared gates open at one level, with the others shut', () => {
    const both = staircase('upper', 'lower');
    expect(give(both, 0, { do: 'gates', end: 'lower', to: 'open' })).toMatchObject({
      is: 'not level',
      end: 'lower',
    });
    give(both, 0, { do: 'wind', paddle: 1, to: 1 });
    work(both, 300);
    expect(Math.abs(headAt(both.states[1]!, 'upper'))).toBeLessThan(0.02);
    expect(give(both, 0, { do: 'gates', end: 'lower', to: 'open' })).toBeNull();
    work(both, 25);
    expect(both.states[1]!.gates.upper).toBe(1);
    // Its tail gates stay shut while those are open.
    expect(give(both, 1, { do: 'gates', end: 'lower', to: 'open' })).not.toBeNull();
    // The tail drains both chambers while they are one water.
    give(both, 1, { do: 'wind', paddle: 0, to: 1 });
    work(both, 60);
    expect(both.states[0]!.chamber).toBeLessThan(1.9);
    expect(both.states[0]!.chamber).toBeCloseTo(both.states[1]!.chamber, 2);
  });

  it('worked the wrong way round it runs over, or is left without water', () => {
    const full = staircase('upper', 'upper');
    give(full, 0, { do: 'wind', paddle: 1, to: 1 });
    work(full, 300);
    expect(full.states[1]!.chamber).toBeCloseTo(3, 2);
    expect(full.states[1]!.chamber).toBeGreaterThan(full.locks[1]!.coping);
    const empty = staircase('lower', 'lower');
    give(empty, 0, { do: 'wind', paddle: 1, to: 1 });
    work(empty, 300);
    expect(empty.states[1]!.chamber).toBeCloseTo(1, 2);
  });

  it('what comes in below is what goes out above; the paddles between are wound at the lock above', () => {
    const both = staircase('upper', 'lower');
    expect(give(both, 1, { do: 'wind', paddle: 1, to: 1 })).toEqual({ is: 'no such paddle' });
    give(both, 0, { do: 'wind', paddle: 1, to: 1 });
    work(both, 15);
    const [a, b] = both.states as [LockState, LockState];
    expect(a.flowOut).toBeGreaterThan(0.5);
    expect(b.open[1]).toBe(a.open[1]);
    workLocks(both.locks, both.states, 0.05, 0);
    expect(b.flowIn).toBe(a.flowOut);
    expect(b.surgeIn).toBe(a.surgeOut);
  });

  it('is reckoned before with the chamber above full and the one below empty', () => {
    const { locks } = staircase('upper', 'lower');
    const boat = {
      length: 10,
      beam: 3,
      draught: 1,
      sternDraught: 1,
      airDraught: 2,
      bowUp: true,
      fromUpper: 2,
    };
    const down = simulateFill(locks[0]!.lock, 'lower', 1, boat)!;
    const up = simulateFill(locks[1]!.lock, 'upper', 1, boat)!;
    expect(down.level).toBeCloseTo(2, 1);
    expect(up.level).toBeCloseTo(2, 1);
    expect(up.seconds).toBeCloseTo(down.seconds, 0);
    expect(gentlest(locks[1]!.lock, 'upper', boat)).not.toBeNull();
  });

  it('has its shared leaves once, and knows how far down each lock lies', () => {
    const { locks } = staircase('upper', 'lower');
    const leaves = leavesOf(locks).map(({ lock, end, side }) => `${lock} ${end} ${side}`);
    expect(leaves).not.toContain('1 upper left');
    expect(leaves).toContain('0 lower left');
    expect(leaves).toContain('1 upper cill');
    expect([stepsDown(locks, 0), stepsDown(locks, 1)]).toEqual([0, 1]);
    expect(() => stepsDown([{ above: 1 }, { above: 0 }], 0)).toThrow(/ring/);
    const copy = copyLock(lockAtRest(locks[1]!.lock, 'lower'));
    expect(copy.open).toHaveLength(2);
  });
});
