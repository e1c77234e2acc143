import { LINE, LINE_COLUMNS, MADE } from '../holding';
import { sloop } from '../testing/boats';
import { stepOf, engineIn, inputOf } from '../testing/manoeuvre';
import { aboard, hands, riggedWith } from '../testing/rigging';
import { runPlan, type CrewOrder, type Person, type RunInput, type TimedOrder } from './';

// A weight twenty metres ahead of the boat, four deep; its tail at the quay behind it.

const boat = {
  ...sloop(),
  points: [
    { name: 'stern', x: -5, y: 0 },
    { name: 'bow cleat', x: 4.4, y: -0.5 },
  ],
};
const tail = { name: 'ring', x: 0, y: -6.5 };
const weight = { name: 'ground line', x: 0, y: 24, height: -4, tail };
const pass = (by: number | null = null): CrewOrder => ({
  do: 'pass',
  line: 0,
  by,
  to: weight,
  how: 'drop',
  length: null,
});
const tend = (how: 'haul' | 'fast', by: number | null = null): CrewOrder => ({
  do: 'tend',
  line: 0,
  by,
  how,
  length: null,
  turns: 1.5,
  winch: false,
});

function played(
  orders: TimedOrder[],
  rest: Partial<RunInput> = {},
  crew: Person[] = [],
  seconds = 60,
) {
  const rigged = riggedWith([{ x: 4.4, y: -0.5, spec: { total: 40 } }], crew);
  const input = inputOf(
    [stepOf({ is: 'start' }, orders)],
    { is: 'after', time: seconds },
    { boat, ...rigged, ...rest },
  );
  let row: number[] = [];
  const run = runPlan(input, ({ lines }) => {
    row = [...lines.subarray(0, LINE_COLUMNS)];
  });
  const events = run.events.flatMap((e) => (e.is === 'line' ? [{ time: e.time, is: e.what }] : []));
  return { run, row, events, when: (what: string) => events.find((e) => e.is === what)?.time };
}

describe('a ground line', () => {
  it('is hooked at the quay, walked forward and hauled up to the weight on the bottom', () => {
    const { row, when, run } = played([hands(pass()), hands(tend('haul')), hands(tend('fast'))]);
    // Hooked in a second and a half, then 9.4 m of deck at 0.8 m/s.
    expect(when('picked up')).toBeCloseTo(1.5, 1);
    expect(when('on')! - when('picked up')!).toBeCloseTo(Math.hypot(9.4, 0.5) / 0.8, 1);
    expect(when('fast')).toBeGreaterThan(when('on')!);
    expect([row[LINE.EAST], row[LINE.NORTH]]).toEqual([0, 24]);
    expect(row[LINE.RISE]).toBeCloseTo(-4.5, 9);
    expect(row[LINE.MADE]).toBe(MADE.FAST);
    // A hand's pull and no more: it draws the boat ahead a little.
    expect(run.margins.line!.tension).toBeLessThan(310);
    expect(run.trace.y.at(-1)!).toBeGreaterThan(0.3);
  });

  it('finds a propeller that turns while it is slack along her side', () => {
    const turning = played([engineIn(1, 0), hands(pass(), 0.5)]);
    expect(turning.run.outcome).toBe('fouled');
    // At once, and not only when it hangs on the boat's bow.
    expect(turning.when('in the propeller')! - turning.when('picked up')!).toBeLessThan(0.2);
    expect(turning.when('on')).toBeUndefined();
    expect(played([engineIn(1, 0), engineIn(0, 0, 0.1), hands(pass(), 3)]).run.outcome).not.toBe(
      'fouled',
    );
  });

  it('is not passed where its tail is out of the hook’s reach', () => {
    const off = played([hands(pass())], { start: { x: 0, y: 4, heading: 0, speed: 0 } });
    expect(off.when('not passed')).toBeCloseTo(40, 0);
    expect(off.when('picked up')).toBeUndefined();
  });

  it('is walked by whoever is told to, from where they stand', () => {
    const crew = [aboard('Ada', 4.4, -0.5)];
    const { when } = played([hands(pass(0))], {}, crew);
    const walk = Math.hypot(9.4, 0.5) / 0.8;
    expect(when('picked up')).toBeCloseTo(walk + 1.5, 0);
    expect(when('on')! - when('picked up')!).toBeCloseTo(walk, 0);
  });

  it('made fast, holds her against being set astern', () => {
    const weather = { windFrom: 0, windSpeed: 9 };
    const held = (orders: TimedOrder[]) => {
      const base = inputOf([], { is: 'after', time: 1 });
      return played(orders, { weather: { ...base.weather, ...weather } }, [], 90).run.trace.y.at(
        -1,
      )!;
    };
    const free = held([]);
    expect(free).toBeLessThan(-8);
    expect(held([hands(pass()), hands(tend('fast'))])).toBeGreaterThan(0.6 * free);
  });
});
