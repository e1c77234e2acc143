import { fleetCraft } from '@/document/testing/fleet';
import { runPlan, type RunInput } from '..';
import { sloop } from '../../testing/boats';
import { inputOf, stepOf } from '../../testing/manoeuvre';
import { CALM } from '../../testing/rig';
import { drawOf, only, STANDARD_SPREAD, varied } from '../../uncertainty';
import type { Order } from './';

const START = { is: 'start' } as const;
const keep = (least: number, most: number, way: 'ahead' | 'astern' = 'ahead'): Order => ({
  do: 'keepWay',
  way,
  least,
  most,
});

/** Orders at the start, and after so many seconds; run for a minute and a half on open water. */
function driven(orders: readonly (readonly [number, Order])[], rest: Partial<RunInput> = {}) {
  const timed = orders.map(([after, order]) => ({ after, order }));
  const end = { is: 'after', time: 90 } as const;
  const input = inputOf([stepOf(START, timed)], end, { boat: sloop(), limit: 120, ...rest });
  return { input, run: runPlan(input) };
}

/** Way along the heading over the ground in the last half minute, m/s. */
function lastWay({ trace }: ReturnType<typeof runPlan>): number[] {
  return [...trace.time].flatMap((t, i) => {
    if (t < 60 || i === 0) return [];
    const dt = t - trace.time[i - 1]!;
    const dx = trace.x[i]! - trace.x[i - 1]!;
    const dy = trace.y[i]! - trace.y[i - 1]!;
    const h = trace.heading[i]!;
    return dt > 1e-6 ? [(dx * Math.sin(h) + dy * Math.cos(h)) / dt] : [];
  });
}

describe('a hand that keeps way on', () => {
  it.each(['quince', 'brisling', 'pebble', 'tamarack-nell', 'ottoline'])(
    'holds %s between two speeds, in and out of gear',
    (id) => {
      const { run } = driven([[0, keep(0.5, 0.8)]], { boat: fleetCraft(id).spec });
      const way = lastWay(run);
      expect(Math.min(...way)).toBeGreaterThan(0.3);
      expect(Math.max(...way)).toBeLessThan(1.1);
    },
  );

  it('goes by the shore: against a current it gives as much more throttle as it takes', () => {
    const against = { ...CALM, currentSet: Math.PI, currentSpeed: 1.3 };
    const { run } = driven([[0, keep(0.5, 0.8)]], { weather: against });
    expect(Math.min(...lastWay(run))).toBeGreaterThan(0.3);
    expect(Math.max(...run.trace.engines[0]!.throttle)).toBeGreaterThan(0);
  });

  it('takes way off that is well over, by the other gear, and lets it run out where it is little', () => {
    const fast = driven([[0, keep(0.4, 0.7)]], { start: { x: 0, y: 0, heading: 0, speed: 2 } });
    const gears = [...fast.run.trace.engines[0]!.gear];
    expect(gears).toContain(-1);
    const little = driven([[0, keep(0.4, 0.7)]], { start: { x: 0, y: 0, heading: 0, speed: 0.8 } });
    expect([...little.run.trace.engines[0]!.gear]).not.toContain(-1);
  });

  it('keeps way on astern as well', () => {
    const { run } = driven([[0, keep(0.4, 0.7, 'astern')]]);
    const way = lastWay(run);
    expect(Math.max(...way)).toBeLessThan(-0.2);
    expect(Math.min(...way)).toBeGreaterThan(-1);
  });

  it('is over once an engine is ordered', () => {
    const neutral: Order = { do: 'engine', engine: null, gear: 0, throttle: 0 };
    const { run } = driven([
      [0, keep(0.5, 0.8)],
      [30, neutral],
    ]);
    const at = run.trace.time.findIndex((t) => t > 31);
    expect([...run.trace.engines[0]!.gear.slice(at)].every((gear) => gear === 0)).toBe(true);
  });

  it('gives the same run again, and is judged by eye in a try', () => {
    const { input, run } = driven([[0, keep(0.5, 0.8)]]);
    expect(runPlan(input).trace.y).toEqual(run.trace.y);
    const draw = drawOf(only(STANDARD_SPREAD, ['judgement']), 1, 3);
    const [one] = varied(input, draw).plan.steps[0]!.orders;
    if (one!.order.do !== 'keepWay') throw new Error('the order stays');
    // Both of its speeds are off by the same.
    expect(one!.order.least).not.toBe(0.5);
    expect(one!.order.most - one!.order.least).toBeCloseTo(0.3, 9);
  });
});
