import { fleetCraft } from '@/document/testing/fleet';
import { runPlan, type RunInput } from '..';
import { sloop } from '../../testing/boats';
import { inputOf, stepOf } from '../../testing/manoeuvre';
import type { Trace } from '../../simulation';
import { CALM } from '../../testing/rig';
import { drawOf, only, STANDARD_SPREAD, varied } from '../../uncertainty';
import type { Order } from './';

const START = { is: 'start' } as const;
const MARK = { name: 'pile', x: 3, y: 30 };

/** Where the boat first has next to no way along its heading left; across it, a current takes it where it will. */
function firstStill({ time, x, y, heading }: Trace): number {
  return time.findIndex((t, i) => {
    if (t < 5) return false;
    const h = heading[i]!;
    const dx = x[i]! - x[i - 1]!;
    const dy = y[i]! - y[i - 1]!;
    return (dx * Math.sin(h) + dy * Math.cos(h)) / (t - time[i - 1]!) < 0.15;
  });
}

/** On past a pile three metres off, from so much way: stopping with the mast abreast of it. */
function stopped(id: string | null, speed: number, rest: Partial<RunInput> = {}) {
  const boat = id ? fleetCraft(id).spec : sloop();
  const point = { name: 'mast', x: 0.5, y: 0 };
  const order: Order = { do: 'stopAbreast', point, mark: MARK };
  const orders = [{ after: 0, order }];
  const input = inputOf(
    [stepOf(START, orders)],
    { is: 'after', time: 140 },
    {
      boat,
      limit: 160,
      start: { x: 0, y: 30 - 0.5 - 3.2 * boat.hull.length, heading: 0, speed },
      ...rest,
    },
  );
  const run = runPlan(input);
  const { trace } = run;
  // Where the mast was, along the way, when the boat had first all but stopped.
  const at = firstStill(trace);
  const short = at < 0 ? NaN : 30 - trace.y[at]! - 0.5 * Math.cos(trace.heading[at]!);
  return { input, run, at, short, length: boat.hull.length };
}

describe('a hand that stops her abreast of something', () => {
  it.each([
    ['quince', 1.1],
    ['quince', 1.5],
    ['brisling', 1.2],
    ['pebble', 1],
    ['fennick', 1.3],
    ['ottoline', 1.2],
    ['tamarack-nell', 0.9],
  ])('stops %s from %f m/s within a fifth of her length', (id, speed) => {
    const { short, length, at } = stopped(id, speed);
    expect(at).toBeGreaterThan(0);
    expect(Math.abs(short) / length).toBeLessThan(0.2);
  });

  it('goes by the shore, in a current from ahead or astern', () => {
    for (const currentSet of [0, Math.PI]) {
      const weather = { ...CALM, currentSet, currentSpeed: 0.4 };
      const { short, length } = stopped('quince', 1.2, { weather });
      // From astern it carries her on as her walk swings her: nobody holds the wheel here.
      expect(Math.abs(short) / length).toBeLessThan(0.3);
    }
  });

  it('takes no gear while there is way enough to get there and room to stop', () => {
    const { run } = stopped('quince', 1.1);
    const gears = [...run.trace.engines[0]!.gear];
    expect(gears.indexOf(-1)).toBeGreaterThan(100);
    // And out of gear in the end.
    expect(gears.at(-1)).toBe(0);
  });

  it('stops sooner where the distance is taken for less', () => {
    const { input, short } = stopped(null, 1.2);
    const draw = drawOf(only(STANDARD_SPREAD, ['judgement']), 1, 3);
    const tried = varied(input, { ...draw, judged: () => ({ distance: 0.7, angle: 0, speed: 0 }) });
    const { trace } = runPlan(tried);
    const at = firstStill(trace);
    expect(30 - trace.y[at]! - 0.5).toBeGreaterThan(short - 0.05);
  });
});
