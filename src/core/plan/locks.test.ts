import fc from 'fast-check';
import { volumeOf, wayOnFoot } from '../locks';
import { engine } from '../testing/driven';
import { tries } from '../testing/sweep';
import { mirrored } from '../testing/manoeuvre';
import { inLock, orderAt as at } from '../testing/in-lock';
import { lockAt, swingGates, windTo } from '../testing/locks';
import { aboard, ashore, end, hands, riggedWith } from '../testing/rigging';
import { runPlan, type CrewOrder, type RunInput, type Run } from './';

const lockEvents = (run: Run) =>
  run.events.flatMap((e) =>
    // The boat lies loose in most of these, and comes against a gate as the water throws it.
    e.is === 'lock' && e.what !== 'on a gate' && e.what !== 'free again'
      ? [`${Math.round(e.time)} ${e.what}`]
      : [],
  );
const level = (run: Run) => run.trace.locks[0]!.chamber;

describe('a lock in a run', () => {
  it('the keeper winds in the paddle’s own time and she rises with the water, floating', () => {
    const run = runPlan(inLock([at(0, windTo(0, 1)), at(0, windTo(1, 1))]));
    expect(level(run)[0]).toBe(0);
    expect(level(run).at(-1)!).toBeCloseTo(2, 2);
    expect(lockEvents(run)).toEqual(['0 paddle up', '10 paddle up']);
    // More water under the boat as it rises.
    const under = run.trace.underKeel!;
    expect(under.at(-1)! - under[0]!).toBeCloseTo(2, 1);
  });

  it('gates are leaned on until the levels are made, then swing, and the way is free', () => {
    const run = runPlan(
      inLock([at(0, windTo(0, 1)), at(0, windTo(1, 1)), at(20, swingGates('upper', 'open'))]),
    );
    const opened = run.events.find((e) => e.is === 'lock' && e.what === 'gates open')!;
    const made = run.trace.time.findIndex((_, i) => level(run)[i]! > 1.98);
    expect(opened.time).toBeCloseTo(run.trace.time[made]!, 0);
    const leaf = run.trace.locks[0]!.leaves[0]!;
    const open = run.trace.time.findIndex((_, i) => leaf[i]! >= 1);
    expect(run.trace.time[open]! - opened.time).toBeCloseTo(20, 0);
  });

  it('a shut gate stops her, one that is open does not', () => {
    const ahead = at(0, engine(1, 0.2));
    const shut = runPlan(inLock([ahead], { limit: 60 }));
    expect(shut.touches.some(({ name }) => name.startsWith('upper gate'))).toBe(true);
    const open = runPlan(inLock([ahead], { limit: 40, locks: [lockAt({}, 'upper', 'open')] }));
    expect(open.touches).toEqual([]);
    expect(open.trace.y.at(-1)!).toBeGreaterThan(5);
  });

  it('one leaf shut of two leaves half the way', () => {
    const locks = [lockAt({}, 'lower', 'open')];
    const start = { x: 1.5, y: -26, heading: 0, speed: 1 };
    const orders = [at(0, swingGates('lower', 'shut', null, 'right'))];
    const run = runPlan(inLock(orders, { locks, start: { ...start, y: -40 }, limit: 60 }));
    expect(run.touches[0]!.name).toContain('right leaf');
    const left = runPlan(
      inLock(orders, { locks, start: { ...start, x: -1.5, y: -40 }, limit: 60 }),
    );
    expect(left.touches.some(({ name }) => name.includes('leaf of the lower'))).toBe(false);
  });

  it('a cill out of the water is a wall to whoever comes up to it from below', () => {
    const locks = [lockAt({ upperCill: 0.5 })];
    const run = runPlan(inLock([at(0, engine(1, 0.2))], { locks, limit: 60 }));
    expect(run.touches[0]!.name).toBe('cill of the lock');
    expect(run.outcome).not.toBe('hung up');
  });

  it('she hangs when the chamber falls with her end over the cill, as long after as it is told', () => {
    const emptying = [at(0, windTo(2, 1)), at(0, windTo(3, 1))];
    const over = { x: 0, y: -5.2, heading: Math.PI, speed: 0 };
    const locks = [lockAt({ upperCill: 0.5 }, 'upper')];
    const run = runPlan(inLock(emptying, { locks, start: over }));
    expect(run.outcome).toBe('hung up');
    const events = run.events.filter((e) => e.is === 'lock');
    const warned = events.find(({ what }) => what === 'over the cill')!;
    const hung = events.find(({ what }) => what === 'on the cill')!;
    expect(warned.time).toBeLessThan(hung.time);
    // The boat counts as hung when it is pressed on by five centimetres, which the chamber falls in two or three seconds.
    expect(warned.seconds!).toBeGreaterThan(3);
    expect(hung.time - warned.time - warned.seconds!).toBeGreaterThan(0);
    expect(hung.time - warned.time - warned.seconds!).toBeLessThan(5);
    const forward = runPlan(inLock(emptying, { locks, start: { ...over, y: -8.5 }, limit: 60 }));
    expect(forward.outcome).not.toBe('hung up');
    expect(forward.events.some((e) => e.is === 'lock' && e.what === 'over the cill')).toBe(false);
  });

  it('is told again where another paddle leaves her less time, and what is told last comes true', () => {
    const more = [at(0, windTo(2, 0.25)), at(10, windTo(2, 1)), at(10, windTo(3, 1))];
    const locks = [lockAt({ upperCill: 0.45 }, 'upper')];
    const start = { x: 0, y: -5.2, heading: Math.PI, speed: 0 };
    const run = runPlan(inLock(more, { locks, start }));
    const told = run.events.flatMap((e) =>
      e.is === 'lock' && (e.what === 'over the cill' || e.what === 'hangs sooner') ? [e] : [],
    );
    expect(told.map(({ what }) => what)).toEqual(['over the cill', 'hangs sooner']);
    const hung = run.events.find((e) => e.is === 'lock' && e.what === 'on the cill')!;
    const [first, last] = told.map(({ time, seconds }) => time + seconds!);
    expect(hung.time).toBeLessThan(first! - 10);
    expect(hung.time - last!).toBeGreaterThan(0);
    expect(hung.time - last!).toBeLessThan(5);
  });

  it('against the face of a cill that has come out of the water nothing is told of it', () => {
    const emptying = [at(0, windTo(2, 1)), at(0, windTo(3, 1))];
    const locks = [lockAt({ upperCill: 0.5 }, 'upper')];
    const run = runPlan(
      inLock(emptying, { locks, start: { x: 0, y: -6, heading: Math.PI, speed: 0 } }),
    );
    const times = run.events.flatMap((e) =>
      e.is === 'lock' && e.what === 'over the cill' ? [e.time] : [],
    );
    expect(times.length).toBeGreaterThan(0);
    for (const time of times) expect(time).toBeLessThan(20);
    expect(run.outcome).not.toBe('hung up');
  });

  it('is saved by dropping the paddles and filling again in time', () => {
    const locks = [lockAt({ upperCill: 0.3 }, 'upper')];
    const start = { x: 0, y: -5.2, heading: Math.PI, speed: 0 };
    const saved = [
      at(0, windTo(2, 1)),
      at(7, windTo(2, 0)),
      at(7, windTo(0, 1)),
      at(7, windTo(1, 1)),
    ];
    const run = runPlan(inLock(saved, { locks, start }));
    expect(run.events.some((e) => e.is === 'lock' && e.what === 'over the cill')).toBe(true);
    expect(run.outcome).not.toBe('hung up');
  });
});

describe('a line in a falling chamber', () => {
  const bollard = end('bollard', -3.4, -8, 3.2);
  const pass: CrewOrder = {
    do: 'pass',
    line: 0,
    by: null,
    to: bollard,
    how: 'drop',
    length: null,
  };
  const tended = (how: 'keep' | 'fast', turns = 0.5): CrewOrder => ({
    do: 'tend',
    line: 0,
    by: null,
    how,
    length: null,
    turns,
    winch: false,
  });
  const down = (
    how: 'keep' | 'fast',
    breaks?: number,
    then: CrewOrder[] = [],
    length: number | null = null,
  ) =>
    runPlan({
      ...inLock([
        at(0, { ...pass, length }),
        hands(tended(how), 8),
        at(16, windTo(2, 1)),
        at(16, windTo(3, 1)),
        ...then.map((order) => hands(order, 20)),
      ]),
      locks: [lockAt({}, 'upper')],
      start: { x: -1.2, y: -8, heading: Math.PI, speed: 0 },
      ...riggedWith([{ x: 0, y: 1.6, ...(breaks ? { spec: { breaks } } : {}) }]),
    });
  const lines = (run: Run) => run.events.flatMap((e) => (e.is === 'line' ? [e.what] : []));

  it('kept snug on a turn it runs as she goes down, and never pulls harder than it is held', () => {
    const run = down('keep');
    expect(run.outcome).not.toBe('unsafe');
    expect(lines(run)).not.toContain('loads up');
    const held = 300 * Math.exp(0.25 * 2 * Math.PI * 0.5);
    expect(Math.max(...run.trace.lines[0]!.tension)).toBeLessThan(held * 1.01);
    expect(run.trace.lines[0]!.length.at(-1)!).toBeGreaterThan(
      run.trace.lines[0]!.length[300]! + 1,
    );
  });

  it('made fast it loads up, warns, hangs her or parts, and the run is unsafe', () => {
    const run = down('fast');
    expect(run.outcome).toBe('unsafe');
    const what = lines(run);
    expect(what).toContain('loads up');
    expect(what.includes('hangs her') || what.includes('parted')).toBe(true);
    const [told, first] = what.filter((one) => /fast as|loads|hangs/.test(one));
    expect([told, first]).toEqual(['fast as it falls', 'loads up']);
  });

  it('made fast with slack enough for all of the fall it is no safer, tied off briefly it may be', () => {
    const slack = down('fast', undefined, [], 14);
    expect(lines(slack)).not.toContain('loads up');
    expect(lines(slack)).toContain('fast too long');
    expect(slack.outcome).toBe('unsafe');
    const twice = lines(down('fast', undefined, [tended('keep'), tended('fast')]));
    expect(twice.filter((what) => what === 'fast as it falls')).toHaveLength(2);
    const briefly = down('fast', undefined, [tended('keep')]);
    expect(lines(briefly)).toContain('fast as it falls');
    expect(lines(briefly)).not.toContain('fast too long');
    expect(briefly.outcome).not.toBe('unsafe');
  });

  it('a line that cannot part hangs her, and that is no safer', () => {
    const run = down('fast', 1e7);
    expect(lines(run)).toContain('hangs her');
    expect(lines(run)).not.toContain('parted');
    expect(run.outcome).toBe('unsafe');
  });

  it('a bridge over the chamber catches her as she rises to it, and one above counts from the pound', () => {
    const under = (y: number, clearance: number, rest: Partial<RunInput> = {}) => {
      const input = inLock([at(0, windTo(0, 0.25))], rest);
      const boat = { ...input.boat, hull: { ...input.boat.hull, airDraught: 7 } };
      const outline = Float64Array.of(-8, y - 1, 8, y - 1, 8, y + 1, -8, y + 1);
      const bridges = [{ name: 'bridge', outline, clearance, footway: true }];
      return runPlan({ ...input, boat, bridges });
    };
    const caught = under(-8, 8);
    expect(caught.outcome).toBe('caught overhead');
    const told = caught.events.find((e) => e.is === 'lock' && e.what === 'rises to a bridge');
    if (told?.is !== 'lock') throw new Error('not told');
    // Told as the water begins to come, with the time that is then left.
    expect(told.time).toBeLessThan(20);
    expect(told.time + told.seconds! - caught.duration).toBeLessThan(15);
    expect(told.time + told.seconds!).toBeGreaterThan(caught.duration - 15);
    expect(level(caught).at(-1)!).toBeCloseTo(1, 1);
    const clear = under(-8, 9.5);
    expect(clear.outcome).not.toBe('caught overhead');
    expect(lockEvents(clear).filter((what) => what.includes('bridge'))).toEqual([]);
    expect(clear.margins.overhead!.room).toBeCloseTo(2.5 - level(clear).at(-1)!, 2);
    expect(level(clear).at(-1)!).toBeGreaterThan(1);
    const pound = { start: { x: 0, y: 12, heading: 0, speed: 0 }, limit: 5 };
    expect(under(12, 9.5, pound).margins.overhead!.room).toBeCloseTo(0.5, 2);
  });

  it('made fast going up it only hangs slack', () => {
    const run = runPlan({
      ...inLock([
        at(0, { ...pass, to: { ...bollard, height: 1.2 } }),
        hands(tended('fast'), 8),
        at(16, windTo(0, 1)),
      ]),
      start: { x: -1.2, y: -8, heading: 0, speed: 0 },
      ...riggedWith([{ x: 0, y: -1.6 }]),
    });
    expect(lines(run)).not.toContain('loads up');
    expect(run.outcome).not.toBe('unsafe');
  });
});

describe('people at a lock', () => {
  const sited = lockAt();
  const spot = (s: number, t: number) => ({ s, t });

  it('walk along their side, and across only where gates stand shut', () => {
    const { begins } = sited;
    expect(wayOnFoot(sited, begins, spot(0, 4), spot(16, 4))).toBe(16);
    expect(wayOnFoot(sited, begins, spot(0, 4), spot(0, -4))).toBe(8);
    expect(wayOnFoot(sited, begins, spot(16, 4), spot(16, -4))).toBe(8);
    const open = lockAt({}, 'lower', 'open').begins;
    expect(wayOnFoot(sited, open, spot(16, 4), spot(16, -4))).toBe(16 + 8 + 16);
    const none = { ...open, leaves: Float64Array.of(1, 1, 1, 1) };
    expect(wayOnFoot(sited, none, spot(16, 4), spot(16, -4))).toBeNull();
  });

  it('take their time for it, one thing after another', () => {
    const run = runPlan(
      inLock([at(0, windTo(0, 1, 1)), at(0, windTo(1, 1, 1))], {
        ...riggedWith([], [aboard('Ada', -3, 0), ashore('Ben', -4, 0)]),
      }),
    );
    const events = run.events.flatMap((e) => (e.is === 'lock' && e.who !== null ? [e] : []));
    expect(events.map(({ who }) => who)).toEqual([1, 1]);
    // Beside the first paddle already; ten seconds of winding, then eight metres across by the gates.
    expect(events[0]!.time).toBeCloseTo(0, 1);
    expect(events[1]!.time).toBeCloseTo(10 + 8 / 1.2, 1);
  });

  it('do nothing there while they are aboard', () => {
    const run = runPlan(
      inLock([at(0, windTo(0, 1, 0))], { ...riggedWith([], [aboard('Ada', -3, 0)]), limit: 20 }),
    );
    expect(lockEvents(run)).toEqual(['0 not there']);
    expect(level(run).at(-1)).toBe(0);
  });
});

it('mirrored it is the same', () => {
  const input = inLock([at(0, windTo(0, 1)), at(5, swingGates('lower', 'open', null, 'left'))], {
    start: { x: 0.6, y: -8, heading: 0.05, speed: 0 },
    limit: 90,
  });
  const here = runPlan(input);
  const there = runPlan(mirrored(input));
  const last = here.trace.x.length - 1;
  expect(there.trace.x[last]).toBeCloseTo(-here.trace.x[last]!, 6);
  expect(there.trace.y[last]).toBeCloseTo(here.trace.y[last]!, 6);
  expect(there.trace.locks[0]!.leaves[3]![last]).toBeCloseTo(
    here.trace.locks[0]!.leaves[2]![last]!,
    9,
  );
});

it('whatever is ordered, no water is made or lost over a passage, and gates stand open at one end at most', () => {
  const order = fc.oneof(
    fc.record({ paddle: fc.integer({ min: 0, max: 3 }), to: fc.constantFrom(0, 0.5, 1) }),
    fc.record({
      end: fc.constantFrom('upper' as const, 'lower' as const),
      to: fc.constantFrom('open' as const, 'shut' as const),
    }),
  );
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.integer({ min: 0, max: 80 }), order), { maxLength: 6 }),
      (list) => {
        const locks = [lockAt({ upper: { level: 2, area: 900 }, lower: { level: 0, area: 700 } })];
        const orders = list.map(([after, one]) =>
          at(after, 'paddle' in one ? windTo(one.paddle, one.to) : swingGates(one.end, one.to)),
        );
        let first: number | null = null;
        runPlan(inLock(orders, { locks, limit: 120 }), (state) => {
          const now = state.locks[0]!;
          const volume = volumeOf(locks[0]!.lock, now);
          first ??= volume;
          expect(Math.abs(volume / first - 1)).toBeLessThan(1e-9);
          expect(now.gates.upper > 0 && now.gates.lower > 0).toBe(false);
        });
      },
    ),
    { numRuns: tries(8, 25) },
  );
});
