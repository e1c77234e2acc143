import { chainReach, LINE, LINE_COLUMNS, MADE } from '../holding';
import { sloop } from '../testing/boats';
import { stepOf, inputOf } from '../testing/manoeuvre';
import { hands, riggedWith } from '../testing/rigging';
import { runPlan, type CrewOrder, type RunInput, type TimedOrder } from './';

// Eight millimetre chain on a 15 kg anchor in sand, four metres under water, half a metre more to the bow.
const CHAIN = { weight: 11.9, stiffness: 3.8e6, stiffening: 0, damping: 0, breaks: 20000 };
const HOLDS = 3700;
const HEIGHT = 4.5;

const anchor = (how: 'drop' | 'weigh', length: number | null = null): CrewOrder => ({
  do: 'anchor',
  line: 0,
  by: null,
  how,
  length,
});

function anchored(orders: TimedOrder[], rest: Partial<RunInput> = {}, seconds = 120, wind = 10) {
  const { lines, rigging } = riggedWith([
    { x: 5, y: 0, winch: 2000, spec: { ...CHAIN, anchor: HOLDS, total: 50 } },
  ]);
  const named = rigging!.lines.map((line) => ({ ...line, anchor: { depth: 4 } }));
  const base = inputOf([], { is: 'after', time: 1 });
  const made = inputOf(
    [stepOf({ is: 'start' }, orders)],
    { is: 'after', time: seconds },
    {
      boat: sloop(),
      weather: { ...base.weather, windFrom: 0, windSpeed: wind },
      lines: lines!,
      rigging: { ...rigging!, lines: named },
      ...rest,
    },
  );
  const end = { ...made.plan.end, within: 300 };
  const input = { ...made, plan: { ...made.plan, end } };
  let row: number[] = [];
  const run = runPlan(input, ({ lines: rows }) => {
    row = [...rows.subarray(0, LINE_COLUMNS)];
  });
  const events = run.events.flatMap((e) => (e.is === 'line' ? [e] : []));
  const bow = () => run.trace.y.at(-1)! + 5 * Math.cos(run.trace.heading.at(-1)!);
  return { run, row, when: (what: string) => events.find((e) => e.what === what)?.time, bow };
}

describe('an anchor dropped', () => {
  it('lies where the bow was, its chain running out as she is blown back and held at the length asked for', () => {
    const { run, row, when } = anchored([hands(anchor('drop', 30))], {}, 240);
    expect(when('anchor down')).toBeCloseTo(2, 1);
    expect(when('brought up')).toBeGreaterThan(10);
    expect(row[LINE.LENGTH]).toBe(30);
    expect(row[LINE.MADE]).toBe(MADE.FAST);
    expect(Math.abs(row[LINE.EAST]!)).toBeLessThan(1.5);
    // The boat lies to it: back from it no further than the chain reaches.
    const back = row[LINE.NORTH]! - run.trace.y.at(-1)!;
    expect(back).toBeGreaterThan(20);
    expect(back).toBeLessThan(36);
    expect(run.outcome).toBe('reached');
  });

  it('is set by what pulls it: a fresh one comes home a little, then holds', () => {
    const soft = anchored([hands(anchor('drop', 30))], {}, 240, 6);
    const hard = anchored([hands(anchor('drop', 30))], {}, 240, 14);
    expect(soft.row[LINE.DRAGGED]).toBeLessThan(1.5);
    expect(hard.row[LINE.DRAGGED]).toBeGreaterThan(soft.row[LINE.DRAGGED]!);
    expect(hard.row[LINE.DRAGGED]).toBeLessThan(6);
  });

  it('on a chain too short drags where a long one holds', () => {
    const short = anchored([hands(anchor('drop', 8))], {}, 240, 20);
    const long = anchored([hands(anchor('drop', 45))], {}, 240, 20);
    expect(short.row[LINE.DRAGGED]).toBeGreaterThan(4 * long.row[LINE.DRAGGED]!);
    expect(short.bow()).toBeLessThan(-8);
    expect(short.when('drags')).toBeGreaterThan(5);
  });

  it('carries at rest what a chain of that length reaches with', () => {
    const { run, row } = anchored([hands(anchor('drop', 30))], {}, 290, 12);
    const { trace } = run;
    const last = trace.x.length - 1;
    const psi = trace.heading[last]!;
    const reach = Math.hypot(
      row[LINE.EAST]! - trace.x[last]! - 5 * Math.sin(psi),
      row[LINE.NORTH]! - trace.y[last]! - 5 * Math.cos(psi),
    );
    // T = H + wh while some of it lies on the bottom.
    const level = trace.lines[0]!.tension[last]! - CHAIN.weight * HEIGHT;
    expect(chainReach(level / CHAIN.weight, 30, HEIGHT, CHAIN.weight, CHAIN.stiffness)).toBeCloseTo(
      reach,
      2,
    );
  });

  it('is weighed: she comes up to it, and it comes home', () => {
    const { run, row, when } = anchored(
      [hands(anchor('drop', 20)), hands(anchor('weigh'), 80)],
      {},
      290,
      5,
    );
    expect(when('anchor up')).toBeGreaterThan(120);
    expect(row[LINE.MADE]).toBe(MADE.ABOARD);
    expect(row[LINE.HOLD]).toBe(0);
    expect(run.trace.lines[0]!.tension.at(-1)).toBe(0);
  });

  it('is not dropped twice, nor weighed when it is up', () => {
    const twice = anchored([hands(anchor('drop', 20)), hands(anchor('drop', 20), 20)]);
    expect(twice.when('not passed')).toBeGreaterThanOrEqual(20);
    expect(anchored([hands(anchor('weigh'))]).when('not let go')).toBeDefined();
  });
});
