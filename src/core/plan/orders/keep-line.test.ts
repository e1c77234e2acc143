import { fleetCraft } from '@/document/testing/fleet';
import { runPlan, type Plan } from '..';
import { inputOf, stepOf } from '../../testing/manoeuvre';
import { CALM } from '../../testing/rig';
import { mirroredOrder } from '../mirror';
import type { Order } from './';

const START = { is: 'start' } as const;
const line = (way: 'ahead' | 'astern', thrusters = false): Order => ({
  do: 'keepLine',
  mark: { name: 'mark', x: 3, y: 0 },
  off: 3,
  heading: 0,
  way,
  thrusters,
});
const keep = (way: 'ahead' | 'astern'): Order => ({ do: 'keepWay', way, least: 0.5, most: 0.8 });

/** Along the line x = 0 from so far to starboard of it; how far off it is, from two and a half lengths on. */
function offLine(id: string, way: 'ahead' | 'astern', windSpeed: number) {
  const boat = fleetCraft(id).spec;
  const { length } = boat.hull;
  const sign = way === 'ahead' ? 1 : -1;
  const orders = [line(way), keep(way)].map((order) => ({ after: 0, order }));
  const { trace } = runPlan(
    inputOf(
      [stepOf(START, orders)],
      { is: 'after', time: 110 },
      {
        boat,
        limit: 120,
        start: { x: 0.2 * length, y: 0, heading: 0, speed: 0.6 * sign },
        weather: { ...CALM, windSpeed, windFrom: Math.PI / 2 },
      },
    ),
  );
  return [...trace.x]
    .filter((_, i) => sign * trace.y[i]! > 2.5 * length)
    .map((x) => Math.abs(x) / length);
}

describe('a helm that keeps to a line', () => {
  it.each(['quince', 'brisling', 'fennick', 'marram'])(
    'brings %s on to it and keeps it there',
    (id) => {
      const off = offLine(id, 'ahead', 0);
      expect(off.length).toBeGreaterThan(50);
      expect(Math.max(...off)).toBeLessThan(0.2);
      expect(Math.max(...offLine(id, 'ahead', 3))).toBeLessThan(0.25);
    },
  );

  it('keeps it going astern, with the engines where there are two', () => {
    expect(Math.max(...offLine('marram', 'astern', 0))).toBeLessThan(0.25);
  });

  it('is told to the other side in the mirror', () => {
    const mirrored = mirroredOrder(line('ahead'));
    expect(mirrored).toMatchObject({ off: -3, mark: { x: -3, y: 0 } });
  });
});

describe('cues and expectations along a line', () => {
  const ahead = (cue: Plan['end']['cue'], rest = {}) =>
    runPlan(
      inputOf([stepOf(START, [{ after: 0, order: keep('ahead') }])], cue, {
        start: { x: 0, y: 0, heading: 0, speed: 0.7 },
        limit: 60,
        ...rest,
      }),
    );

  it('come as a point is level with a mark, or so far short of it', () => {
    const bow = { name: 'bow', x: 5, y: 0 };
    const mark = { name: 'mark', x: 30, y: 20 };
    const at = (short: number) => {
      const { trace } = ahead({ is: 'levelWith', point: bow, mark, heading: 0, short });
      return trace.y.at(-1)! + 5;
    };
    expect(at(0)).toBeCloseTo(20, 1);
    expect(at(4)).toBeCloseTo(16, 1);
  });

  it('are looked at: off the line by no more than so much', () => {
    const expected = (within: number) => ({
      is: 'onLine' as const,
      at: { after: 2 },
      mark: { name: 'mark', x: 5, y: 0 },
      off: 3,
      heading: 0,
      within,
    });
    const failed = (within: number) =>
      runPlan(
        inputOf([stepOf(START, [], { expect: [expected(within)] })], { is: 'after', time: 4 }),
      ).events.filter(({ is }) => is === 'expectation failed').length;
    expect(failed(2.2)).toBe(0);
    expect(failed(1.8)).toBe(1);
  });
});
