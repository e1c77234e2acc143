import { carriedOnTurns } from '../holding';
import { stepOf as step, box, engineIn as engine, inputOf } from '../testing/manoeuvre';
import { aboard, ashore, end, hands, riggedWith, type TestLine } from '../testing/rigging';
import { runPlan, type Person, type RunInput, type TimedOrder } from './';
import { catchChance, throwRange } from './rigging';

const START = { is: 'start' } as const;
const pass = (line: number, mark: ReturnType<typeof end>, rest = {}) =>
  hands({ do: 'pass', line, by: null, to: mark, how: 'drop', length: null, ...rest });
const tend = (line: number, how: 'haul' | 'hold' | 'turn' | 'fast' | 'ease', rest = {}) =>
  hands({ do: 'tend', line, by: null, how, length: null, turns: 1, winch: false, ...rest });

function play(
  orders: TimedOrder[],
  seconds: number,
  lines: TestLine[],
  crew: Person[] = [],
  rest: Partial<RunInput> = {},
) {
  const rigging = riggedWith(lines, crew);
  const input = inputOf(
    [step(START, orders)],
    { is: 'after', time: seconds },
    { ...rigging, ...rest },
  );
  return runPlan(input);
}

type Played = ReturnType<typeof runPlan>;
const told = (run: Played, what: string) =>
  run.events.filter((e) => (e.is === 'line' || e.is === 'crew') && e.what === what);
const last = (values: Float64Array | undefined) => values!.at(-1)!;
const most = (values: Float64Array | undefined) => Math.max(...values!);

describe('a line', () => {
  // Under way north at a knot and a bit past a pile one metre to starboard of the boat's track.
  const passing = { start: { x: 0, y: -6, heading: 0, speed: 0.7 } };
  const pile = end('pile', 2.4, 0);

  it('is dropped over a pile in passing, fast at a length measured before, and stops her there', () => {
    const run = play([pass(0, pile, { length: 5 })], 40, [{ x: 0, y: 1.6 }], [], passing);
    expect(told(run, 'fast')).toHaveLength(1);
    const tension = run.trace.lines[0]!.tension;
    const taut = tension.findIndex((t) => t > 50);
    const away = (i: number) => Math.hypot(run.trace.x[i]! - 0.8, run.trace.y[i]!);
    expect(away(taut)).toBeLessThan(5.6);
    expect(Math.max(...run.trace.y)).toBeLessThan(5.5);
    expect(run.margins.line).toMatchObject({ line: 0, tension: most(tension) });
  });

  it('held in the hand surges: it never carries more than the hand; made fast it does', () => {
    const held = play([pass(0, pile)], 12, [{ x: 0, y: 1.6 }], [], passing);
    const fast = play([pass(0, pile, { length: 2 })], 12, [{ x: 0, y: 1.6 }], [], passing);
    expect(most(held.trace.lines[0]!.tension)).toBeLessThanOrEqual(300);
    expect(most(held.trace.lines[0]!.tension)).toBeGreaterThan(295);
    expect(most(fast.trace.lines[0]!.tension)).toBeGreaterThan(600);
  });

  it('doubled and held in the hand carries twice the hand, its other end being fast', () => {
    const line = (doubled: boolean) => [
      { x: 4, y: 0, fast: { x: 0, y: -10, length: 14 }, doubled },
    ];
    const orders = [tend(0, 'hold'), engine(1, 0.4, 1)];
    expect(most(play(orders, 12, line(false)).trace.lines[0]!.tension)).toBeCloseTo(300, 6);
    expect(most(play(orders, 12, line(true)).trace.lines[0]!.tension)).toBeCloseTo(600, 6);
  });

  it('on turns holds as the capstan says, and gives way beyond that', () => {
    const lines = [{ x: 4, y: 0, fast: { x: 0, y: -10, length: 14 } }];
    const orders = [tend(0, 'turn', { turns: 0.5 }), engine(1, 0.6, 2)];
    const run = play(orders, 12, lines);
    // Hold h behind n turns carries h·e^(μ2πn): the load of which 300 N is left.
    const carries = most(run.trace.lines[0]!.tension);
    expect(carries).toBeCloseTo(carriedOnTurns(300, 0.25, 0.5), 3);
    expect(carries / (300 * Math.exp(0.25 * Math.PI))).toBeCloseTo(1, 6);
    expect(last(run.trace.lines[0]!.length)).toBeGreaterThan(14);
  });

  it('is brought up at its own end, and parts when that is too much', () => {
    const line = (breaks: number) => [
      { x: 4, y: 0, fast: { x: 0, y: -10, length: 14 }, spec: { total: 15, breaks } },
    ];
    const orders = [tend(0, 'hold'), engine(1, 0.8, 1)];
    const strong = play(orders, 40, line(1e6));
    expect(told(strong, 'brought up')).toHaveLength(1);
    expect(last(strong.trace.lines[0]!.length)).toBe(15);
    const weak = play(orders, 40, line(900));
    expect(told(weak, 'parted')).toHaveLength(1);
    expect(last(weak.trace.lines[0]!.tension)).toBe(0);
    expect(last(weak.trace.y)).toBeGreaterThan(last(strong.trace.y) + 5);
  });

  it('hauled by hand brings her in and pulls no harder than the hand; a winch pulls harder', () => {
    const lines = [{ x: 0, y: 1.6, fast: { x: 8, y: 0, length: 6.6 }, winch: 2000 }];
    const byHand = play([tend(0, 'haul', { length: 3 })], 25, lines);
    const byWinch = play([tend(0, 'haul', { length: 3, winch: true })], 25, lines);
    expect(last(byHand.trace.x)).toBeGreaterThan(1);
    expect(most(byHand.trace.lines[0]!.tension)).toBeLessThanOrEqual(300 + 1e-6);
    expect(most(byWinch.trace.lines[0]!.tension)).toBeGreaterThan(600);
    expect(most(byWinch.trace.lines[0]!.tension)).toBeLessThanOrEqual(2000 * 1.05);
  });

  it('hauled against something that does not give comes up to the pull and stays there', () => {
    const opposed = [
      { x: 0, y: 1.6, fast: { x: 8, y: 0, length: 6.4 }, winch: 2000 },
      { x: 0, y: -1.6, fast: { x: -8, y: 0, length: 6.4 } },
    ];
    const run = play([tend(0, 'haul', { length: 3, winch: true })], 40, opposed);
    expect(last(run.trace.lines[0]!.tension) / 2000).toBeGreaterThan(0.9);
    expect(last(run.trace.lines[0]!.tension) / 2000).toBeLessThan(1.05);
  });

  it('eased gives the length asked for and no more', () => {
    const lines = [{ x: 0, y: 1.6, fast: { x: 4, y: 0, length: 3 } }];
    const run = play([tend(0, 'ease', { length: 2 })], 20, lines);
    expect(last(run.trace.lines[0]!.length)).toBeCloseTo(5, 6);
    expect(told(run, 'eased')).toHaveLength(1);
  });

  it('is let go from aboard when doubled, from ashore only while it is slack', () => {
    const lines = (doubled: boolean) => [
      { x: -4, y: 0, fast: { x: 0, y: -10, length: 5.9 }, doubled },
    ];
    const pulled = [engine(1, 0.6), hands({ do: 'letGo', line: 0, by: null }, 30)];
    const slip = play(pulled, 50, lines(true));
    expect(told(slip, 'let go')).toHaveLength(1);
    const loaded = play(pulled, 90, lines(false));
    expect(told(loaded, 'not let go')).toHaveLength(1);
    const slackened = play([...pulled, engine(0, 0, 33)], 90, lines(false));
    expect(told(slackened, 'home')).toHaveLength(1);
  });

  it('trailing within reach of a propeller that turns ends the run; not in neutral, not from the bow', () => {
    const lines = (x: number) => [
      { x, y: 1, fast: { x: 1, y: x - 4, length: 4.2 }, doubled: true },
    ];
    const go = hands({ do: 'letGo', line: 0, by: null });
    expect(play([go, engine(-1, 0, 1)], 20, lines(-4)).outcome).toBe('fouled');
    expect(play([go], 20, lines(-4)).outcome).toBe('reached');
    expect(play([go, engine(-1, 0, 18)], 20, lines(-4)).outcome).toBe('reached');
    expect(play([go, engine(-1, 0, 1)], 20, [{ ...lines(4)[0]!, doubled: false }]).outcome).toBe(
      'reached',
    );
  });

  it('slack enough for its bight to reach the propeller fouls it as well', () => {
    const lines = (length: number) => [{ x: -4, y: 1, fast: { x: 2, y: -5, length } }];
    expect(play([engine(1)], 3, lines(2)).outcome).not.toBe('fouled');
    expect(play([engine(1)], 3, lines(9)).outcome).toBe('fouled');
  });
});

describe('a throw', () => {
  const bollard = end('bollard', 6, 0);
  const line = [{ x: 0, y: 1.6 }];
  const throwIt = pass(0, bollard, { how: 'throw' });
  const seeded = (seed: number, away = 6) =>
    runPlan(
      inputOf(
        [step(START, [pass(0, { ...bollard, x: away }, { how: 'throw' })])],
        { is: 'after', time: 60 },
        riggedWith(line, [], { seed }),
      ),
    );

  it('is caught as often as its chance says, and thrown again when missed', () => {
    const firstTime = Array.from({ length: 200 }, (_, seed) => told(seeded(seed), 'missed').length);
    const caught = firstTime.filter((misses) => misses === 0).length / 200;
    expect(caught).toBeCloseTo(catchChance(4.4, 8), 1);
    const once = firstTime.findIndex((misses) => misses === 1);
    expect(told(seeded(once), 'on')).toHaveLength(1);
    const on = (run: Played) => told(run, 'on')[0]!.time;
    expect(on(seeded(once))).toBeGreaterThan(on(seeded(firstTime.indexOf(0))) + 5);
  });

  it('waits until it is in range, and is given up when it never is', () => {
    const run = play([pass(0, end('far', 30, 0), { how: 'throw' })], 60, line);
    expect(told(run, 'not passed')).toHaveLength(1);
    expect(told(run, 'missed')).toHaveLength(0);
  });

  it('goes less far against the wind, and needs somebody ashore where people are named', () => {
    expect(throwRange(8, 10)).toBeCloseTo(5.6, 9);
    expect(throwRange(8, -10)).toBeGreaterThan(8);
    const alone = play([throwIt], 60, line, [aboard('Ada', 0, 1.6)]);
    expect(told(alone, 'on')).toHaveLength(0);
    const met = play([throwIt], 60, line, [aboard('Ada', 0, 1.6), ashore('Bo', 9, 0)]);
    expect(told(met, 'on')).toHaveLength(1);
  });
});

describe('people', () => {
  const quay = box('quay', 1.95, -30, 12, 30);
  const beside: Partial<RunInput> = { obstacles: [quay], berth: new Set(['quay']) };
  const mark = end('bollard', 3, 0);
  const stepping = hands({ do: 'stepAshore', by: 0, mark });

  it('walk before they can haul', () => {
    const lines = [{ x: 4, y: 1, fast: { x: 6, y: 4, length: 6 } }];
    const near = play([tend(0, 'fast', { by: 0 })], 30, lines, [aboard('Ada', 4, 1)]);
    const far = play([tend(0, 'fast', { by: 0 })], 30, lines, [aboard('Ada', -4, 1)]);
    const done = (run: Played) => told(run, 'fast').at(-1)!.time;
    expect(done(far) - done(near)).toBeCloseTo(8 / 0.8, 6);
  });

  it('step ashore where it is near and slow, in danger with a propeller turning beside them', () => {
    const crew = [aboard('Ada', -3.5, 1.5)];
    const safe = play([stepping], 20, [], crew, beside);
    expect(told(safe, 'ashore')).toHaveLength(1);
    expect(safe.outcome).toBe('reached');
    // From amidships the boat walks to the rail that is near, on whichever side, and it takes it as long.
    const inboard = [aboard('Ada', -3.5, -0.4)];
    const walked = play([stepping], 20, [], inboard, beside);
    expect(told(walked, 'ashore')[0]!.time).toBeGreaterThan(told(safe, 'ashore')[0]!.time + 1);
    const risky = play([engine(-1), stepping], 4, [], crew, beside);
    expect(risky.outcome).toBe('unsafe');
    const wide = play([stepping], 110, [], crew, { obstacles: [box('quay', 4, -30, 12, 30)] });
    expect(told(wide, 'could not step')).toHaveLength(1);
  });

  it('alone aboard, engines wait until whoever left the helm is back at it', () => {
    const crew = [aboard('Ada', -3, 0)];
    const lines = [{ x: 4, y: 1, fast: { x: 6, y: 4, length: 6 } }];
    const run = play([tend(0, 'fast', { by: 0 }), engine(1, 0, 3)], 40, lines, crew);
    expect(told(run, 'helm left')).toHaveLength(1);
    const back = told(run, 'helm manned')[0]!.time;
    const engaged = run.trace.engines[0]!.gear.findIndex((gear) => gear !== 0);
    expect(run.trace.time[engaged]!).toBeGreaterThan(back);
    const two = play([tend(0, 'fast', { by: 1 }), engine(1, 0, 3)], 40, lines, [
      ...crew,
      aboard('Bo', 4, 1),
    ]);
    expect(
      two.trace.time[two.trace.engines[0]!.gear.findIndex((gear) => gear !== 0)]!,
    ).toBeLessThan(5);
  });

  it('handle a line led to the helm without leaving it', () => {
    const line = { x: 4, y: 1, fast: { x: 6, y: 4, length: 6 }, doubled: true };
    const go = [hands({ do: 'letGo', line: 0, by: 0 })];
    const alone = [aboard('Ada', -3, 0)];
    const led = play(go, 30, [{ ...line, led: { name: 'helm', x: -3, y: 0 } }], alone);
    expect(told(led, 'let go')[0]!.time).toBeCloseTo(2, 6);
    expect(told(led, 'helm left')).toHaveLength(0);
    expect(told(play(go, 30, [line], alone), 'helm left')).toHaveLength(1);
  });

  it('let a line run that they walk away from', () => {
    const lines = [{ x: 4, y: 1, fast: { x: 4, y: 12, length: 8 } }];
    const orders = [
      tend(0, 'hold', { by: 0 }),
      engine(-1, 0.4, 1),
      hands({ do: 'go', by: 0, point: { name: 'stern', x: -4, y: 0 } }, 15),
    ];
    const run = play(orders, 30, lines, [aboard('Ada', 4, 1)]);
    expect(told(run, 'left')).toHaveLength(1);
    expect(last(run.trace.lines[0]!.tension)).toBe(0);
  });
});

describe('cues and expectations of lines', () => {
  const lines = [{ x: 4, y: 0, fast: { x: 0, y: -10, length: 14 } }];

  it('wait for a line to come taut, at its own moment', () => {
    const run = runPlan(
      inputOf(
        [
          step(START, [engine(1, 0.2)]),
          step({ is: 'line', line: 0, state: 'taut' }, [engine(0)], {
            expect: [{ is: 'line', at: { after: 1 }, line: 0, state: 'off' }],
          }),
        ],
        { is: 'after', time: 2 },
        riggedWith(lines),
      ),
    );
    const taut = run.steps[1]!.time;
    const i = run.trace.time.findIndex((t) => t >= taut);
    expect(run.trace.lines[0]!.tension[i - 1]!).toBeLessThan(150);
    expect(run.trace.lines[0]!.tension[i]!).toBeGreaterThan(149);
    expect(run.events.some((e) => e.is === 'expectation failed')).toBe(true);
  });

  it('wait for hands to have made it fast, or let it go', () => {
    const run = runPlan(
      inputOf(
        [
          step(START, [tend(0, 'turn'), tend(0, 'fast')]),
          step({ is: 'line', line: 0, state: 'fast' }, [hands({ do: 'letGo', line: 0, by: null })]),
          step({ is: 'line', line: 0, state: 'off' }, []),
        ],
        { is: 'after', time: 1 },
        riggedWith(lines),
      ),
    );
    expect(run.outcome).toBe('reached');
    // Fast as it began, so the second step comes at once; home when 14 m of it have come in.
    expect(run.steps[2]!.time).toBeGreaterThan(10);
  });

  it('the same run over and over, lines, throws and all', () => {
    const rigging = riggedWith([{ x: 0, y: 1.6 }], [], { seed: 3 });
    const input = inputOf(
      [step(START, [pass(0, end('b', 6, 0), { how: 'throw' }), engine(1, 0.1, 4)])],
      { is: 'after', time: 40 },
      rigging,
    );
    const one = runPlan(input);
    const two = runPlan(input);
    expect(two.trace.lines[0]!.tension).toEqual(one.trace.lines[0]!.tension);
    expect(two.events).toEqual(one.events);
  });
});

it('made fast astern and motored on, she settles where the line carries the whole thrust', () => {
  const line = (length: number) => [{ x: -4, y: 0, fast: { x: 0, y: -12, length } }];
  const settled = (length: number) => {
    const tension = play([engine(1, 0.3)], 150, line(length)).trace.lines[0]!.tension.slice(-100);
    return { most: Math.max(...tension), least: Math.min(...tension) };
  };
  const one = settled(8);
  expect(one.most - one.least).toBeLessThan(0.02 * one.most);
  // However long the line, it carries the same.
  expect(Math.abs(settled(8.4).most / one.most - 1)).toBeLessThan(0.02);
});
