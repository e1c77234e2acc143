import fc from 'fast-check';
import { runPlan, type RunInput } from '../plan';
import { stepOf, box, engineIn, inputOf } from '../testing/manoeuvre';
import { CALM } from '../testing/rig';
import { cost, robustCost } from './cost';
import { patternSearch, type Tunable, type PatternState } from './pattern';

const START = { is: 'start' } as const;
const tunable = (value: number, step = 1, least = -10, most = 10): Tunable => ({
  value,
  step,
  least,
  most,
});

function search(
  tunables: Tunable[],
  cost: (v: readonly number[]) => number,
  most = 400,
): PatternState {
  let last: PatternState | null = null;
  for (const state of patternSearch(tunables, cost, most)) last = state;
  return last!;
}

describe('the pattern search', () => {
  it('finds the foot of a slanting valley to its last step', () => {
    const cost = ([x, y]: readonly number[]) => (x! - 3) ** 2 + 4 * (y! + 2 - 0.5 * x!) ** 2;
    const { values } = search([tunable(0), tunable(0)], cost);
    expect(values[0]).toBeCloseTo(3, 0);
    expect(values[1]).toBeCloseTo(-0.5, 0);
  });

  it('never ends worse than it began, nor outside its bounds, nor after more tries than it may', () => {
    const numbers = fc.array(fc.double({ min: -8, max: 8, noNaN: true }), {
      minLength: 1,
      maxLength: 4,
    });
    fc.assert(
      fc.property(numbers, numbers, (start, aim) => {
        const cost = (v: readonly number[]) =>
          v.reduce(
            (sum, x, i) => sum + Math.abs(x - (aim[i % aim.length] ?? 0)) + Math.cos(3 * x),
            0,
          );
        const tunables = start.map((value) => tunable(value, 2, -5, 5));
        const held = start.map((value) => Math.max(-5, Math.min(5, value)));
        const { values, cost: found, tries } = search(tunables, cost, 60);
        expect(found).toBeLessThanOrEqual(cost(held));
        expect(cost(values)).toBe(found);
        values.forEach((v) => expect(Math.abs(v)).toBeLessThanOrEqual(5));
        expect(tries).toBeLessThanOrEqual(60);
      }),
    );
  });

  it('with nothing to move tries once', () => {
    expect(search([], () => 7)).toEqual({ values: [], cost: 7, tries: 1 });
  });
});

describe('merit', () => {
  const lane = (half: number, throttle = 0.1): RunInput =>
    inputOf(
      [stepOf(START, [engineIn(1, throttle)])],
      { is: 'after', time: 20 },
      {
        obstacles: [box('west', -half - 5, -10, -half, 60), box('east', half, -10, half + 5, 60)],
        weather: { ...CALM, windFrom: 0, windSpeed: 3 },
      },
    );
  const of = (input: RunInput) => cost(input, runPlan(input));

  it('puts room before narrowness and slow before fast', () => {
    expect(of(lane(6))).toBeLessThan(of(lane(2.4)));
    expect(of(lane(6, 0.1))).toBeLessThan(of(lane(6, 0.7)));
  });

  it('puts any success before any failure', () => {
    const good = of(lane(2.1));
    const bad = { ...lane(12), goal: { is: 'clear', distance: 100 } as const };
    expect(runPlan(lane(2.1)).outcome).toBe('reached');
    expect(runPlan(bad).outcome).toBe('missed');
    expect(of(bad)).toBeGreaterThan(good + 50);
  });

  it('of a near miss is less bad than of a wide one', () => {
    const ending = (within: number): RunInput => ({
      ...lane(8),
      goal: {
        is: 'lie',
        point: { name: 'midships', x: 0, y: 0 },
        mark: { name: 'mark', x: 0, y: 0 },
        within,
        heading: 0,
        headingWithin: 1,
        speedBelow: 5,
      },
    });
    const { trace } = runPlan(lane(8));
    const far = trace.y.at(-1)!;
    expect(of(ending(far / 1.2))).toBeLessThan(of(ending(far / 3)));
  });

  it('in a calm asks for nothing but the calm', () => {
    const calm = { ...lane(6), weather: CALM };
    expect(robustCost(calm)).toBe(of(calm));
    expect(robustCost(lane(6))).not.toBe(of(lane(6)));
  });
});
