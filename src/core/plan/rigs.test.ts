import fc from 'fast-check';
import { MADE } from '../holding';
import { between } from '../testing/arbitrary';
import { sloop } from '../testing/boats';
import { stepOf, engineIn, inputOf, wheelTo } from '../testing/manoeuvre';
import { CALM } from '../testing/rig';
import { end, hands, riggedWith, type TestLine } from '../testing/rigging';
import { energyAudit, runPlan, type CrewOrder, type RunInput } from './';
import { assembleCraft } from '../boat';
import { columnsIn } from '../simulation';

// Lines of every kind, led anywhere, handled in any order, on a boat that is motored about among them.

const boat = sloop();
const craft = assembleCraft(boat);

const line = fc
  .record({
    x: between(-4.5, 4.5),
    y: between(-1.6, 1.6),
    endX: between(-14, 14),
    endY: between(-14, 14),
    slack: between(0.02, 5),
    doubled: fc.boolean(),
    breaks: fc.constantFrom(1500, 8000, 1e6),
  })
  .map(({ x, y, endX, endY, slack, doubled, breaks }): TestLine => ({
    x,
    y,
    doubled,
    fast: { x: endX, y: endY, length: Math.hypot(endX - y, endY - x) + slack },
    spec: { total: 40, breaks },
  }));

const HOWS = ['hold', 'turn', 'fast', 'ease'] as const;

const order = (lines: number) =>
  fc
    .record({
      line: fc.integer({ min: 0, max: lines - 1 }),
      what: fc.constantFrom<(typeof HOWS)[number] | 'let go' | 'pass'>(...HOWS, 'let go', 'pass'),
      after: between(0, 25),
      length: between(0.5, 4),
      turns: between(0.25, 3),
    })
    .map(({ line: on, what, after, length, turns }) => {
      const made: CrewOrder =
        what === 'let go'
          ? { do: 'letGo', line: on, by: null }
          : what === 'pass'
            ? {
                do: 'pass',
                line: on,
                by: null,
                to: end('there', 3, 2),
                how: 'throw',
                length: null,
              }
            : { do: 'tend', line: on, by: null, how: what, length, turns, winch: false };
      return hands(made, after);
    });

const scene = fc
  .array(line, { minLength: 1, maxLength: 5 })
  .chain((lines) =>
    fc.record({
      lines: fc.constant(lines),
      orders: fc.array(order(lines.length), { maxLength: 8 }),
      gear: fc.constantFrom<-1 | 0 | 1>(-1, 0, 1),
      throttle: between(0, 0.5),
      wheel: between(-35, 35),
      wind: between(0, 14),
      from: between(0, 6.28),
    }),
  )
  .map(({ lines, orders, gear, throttle, wheel, wind, from }): RunInput => {
    const helm = [wheelTo(wheel), engineIn(gear, throttle, 1)];
    return inputOf(
      [stepOf({ is: 'start' }, [...helm, ...orders])],
      { is: 'after', time: 30 },
      {
        ...riggedWith(lines),
        boat,
        craft,
        weather: { ...CALM, windFrom: from, windSpeed: wind },
        limit: 40,
      },
    );
  });

describe('any rig', () => {
  it('stays finite, never pushes, never carries more than it is held by or parts at', () => {
    fc.assert(
      fc.property(scene, (input) => {
        const { trace } = runPlan(input);
        const { count, breaks } = input.lines!;
        for (const column of columnsIn(trace))
          expect(column.every((value) => Number.isFinite(value) || value === Infinity)).toBe(true);
        for (let i = 0; i < count; i++) {
          const { tension, made } = trace.lines[i]!;
          // One that has just parted still shows what parted it.
          const wrong = tension.findIndex(
            (pull, k) => pull < 0 || (made[k] !== MADE.PARTED && pull > breaks[i]! * 1.0001),
          );
          expect(wrong).toBe(-1);
        }
      }),
      { numRuns: 60 },
    );
  });

  it('gives her no energy that hands did not put in: lines that begin slack only take', () => {
    fc.assert(
      fc.property(scene, (input) => {
        const { work, missing, turnover } = energyAudit(input);
        const lines = work.find(({ cause }) => cause === 'lines')!.joules;
        expect(lines).toBeLessThanOrEqual(1e-3 * Math.max(1, turnover));
        expect(Math.abs(missing)).toBeLessThanOrEqual(5e-3 * Math.max(10, turnover));
      }),
      { numRuns: 40 },
    );
  });

  it('plays the same again, bit for bit', () => {
    fc.assert(
      fc.property(scene, (input) => {
        const one = runPlan(input);
        const two = runPlan(input);
        expect(two.trace.x).toEqual(one.trace.x);
        expect(two.events).toEqual(one.events);
      }),
      { numRuns: 15 },
    );
  });
});
