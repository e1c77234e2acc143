import { assembleCraft, type BoatSpec } from '../boat';
import { linesOf, MADE, NO_LINES, ropeFigures, type LineSpec } from '../holding';
import { surveyed } from '../search';
import { namedColumns, type Gear } from '../simulation';
import { sloop } from '../testing/boats';
import { stepOf, box, engineIn, inputOf, mirrored, wheelTo } from '../testing/manoeuvre';
import { end, hands, riggedWith } from '../testing/rigging';
import { runPlan, type OtherInput, type RunInput, type Run } from './';

// A sloop lies to the east of the boat on a quay still further east; the boat comes, or is tied, alongside it.

const ROPE = ropeFigures('polyester', 14, 0.6);
const heavy: BoatSpec = { ...sloop(), name: 'heavy' };
const BESIDE_M = 3.75;
const quay = box('quay', BESIDE_M + 1.95, -40, 30, 40);

const fastTo = (
  boatX: number,
  boatY: number,
  x: number,
  y: number,
  more: Partial<LineSpec> = {},
) => ({
  boatX,
  boatY,
  shoreX: x,
  shoreY: y,
  rise: 0,
  length: Math.hypot(x - BESIDE_M - boatY, y - boatX) + 0.05,
  total: 20,
  ...ROPE,
  ...more,
});

/** The other boat, on four lines to the quay or on none. */
function other(on: 'lines' | 'none' = 'lines', x = BESIDE_M): OtherInput {
  const lines = [
    fastTo(4, 0.8, BESIDE_M + 2.2, 8),
    fastTo(-4.5, 1.1, BESIDE_M + 2.2, -9),
    fastTo(3, 1.3, BESIDE_M + 2.2, -3),
    fastTo(-3, 1.5, BESIDE_M + 2.2, 3),
  ];
  return {
    id: 'heavy',
    name: 'Heavy',
    craft: assembleCraft(heavy),
    start: { x, y: 0, heading: 0, speed: 0 },
    lines: on === 'lines' ? linesOf(lines, true) : NO_LINES,
  };
}

const where = (hers: number) => Array.from({ length: hers }, (_, row) => ({ boat: 0, row }));

const input = (rest: Partial<RunInput>, seconds = 40, orders = [engineIn(0)]) =>
  inputOf(
    [stepOf({ is: 'start' }, orders)],
    { is: 'after', time: seconds },
    { obstacles: [quay], ...rest },
  );

const last = (run: Run, column: string) => namedColumns(run.trace)[column]!.at(-1)!;

const WIND_ON = { windFrom: -Math.PI / 2, windSpeed: 9 };
const weather = (more: object) => ({ ...inputOf([], { is: 'start' }).weather, ...more });

describe('another boat that gives way', () => {
  it('is touched, gives way, and is told of by her name', () => {
    const run = runPlan(
      input(
        {
          others: [other()],
          start: { x: -2, y: 0, heading: 0, speed: 0 },
          weather: weather(WIND_ON),
        },
        60,
      ),
    );
    expect(run.touches.length).toBeGreaterThan(0);
    expect(run.touches[0]).toMatchObject({ name: 'Heavy' });
    expect(run.touches[0]!.fender).not.toBeNull();
    // The boat gives way to the quay, no further.
    expect(last(run, 'other1X') - BESIDE_M).toBeGreaterThan(0.01);
    expect(last(run, 'other1X') - BESIDE_M).toBeLessThan(0.5);
    expect(run.clearance!.name).toBe('Heavy');
  });

  it('that is not near makes no difference but to how finely the step is cut', () => {
    const orders = [engineIn(1, 0.3), wheelTo(10, 2)];
    const alone = runPlan(input({ obstacles: [] }, 30, orders));
    const far = runPlan(input({ obstacles: [], others: [other('none', 900)] }, 30, orders));
    for (const column of ['x', 'y', 'heading', 'surge', 'sway', 'yawRate'] as const)
      far.trace[column].forEach((now, i) => expect(now).toBeCloseTo(alone.trace[column][i]!, 4));
  });

  it('steers for a mark, and a cue sees where she is', () => {
    const mark = { name: 'post', x: 30, y: 60 };
    const bow = { name: 'her bow', x: 5, y: 0, boat: 1 };
    const under = { do: 'other', boat: 1, gear: 1, throttle: 0.3, heading: null, mark } as const;
    const near = { is: 'within', point: bow, mark, distance: 12 } as const;
    const scene = input({ obstacles: [], others: [other('none', 9)] }, 1);
    const plan = {
      steps: [
        stepOf({ is: 'start' }, [{ after: 0, order: under }]),
        stepOf(near, []),
        stepOf({ is: 'abeam', point: bow, mark }, [
          ...[-1, 0].map((gear, i) => ({ after: 4 * i, order: { ...under, gear: gear as Gear } })),
        ]),
        stepOf({ is: 'stopped', boat: 1 }, [], { within: 500 }),
      ],
      end: { cue: { is: 'after', time: 5 } as const, within: 60 },
    };
    for (const flip of [false, true]) {
      const plain = { ...scene, plan, limit: 900 };
      const run = runPlan(flip ? mirrored(plain) : plain);
      expect(run.outcome).not.toBe('cue never came');
      const [, close, abreast, stopped] = run.steps.map(({ time }) => time);
      const side = flip ? -1 : 1;
      const i = run.trace.time.findIndex((time) => time >= close!);
      const psi = run.trace.others[0]!.heading[i]!;
      const dx = side * mark.x - (run.trace.others[0]!.x[i]! + 5 * Math.sin(psi));
      const dy = mark.y - (run.trace.others[0]!.y[i]! + 5 * Math.cos(psi));
      expect(Math.hypot(dx, dy)).toBeCloseTo(12, 0);
      expect(abreast).toBeGreaterThan(close!);
      const j = run.trace.time.findIndex((time) => time >= stopped!);
      expect(stopped! - abreast!).toBeGreaterThan(1);
      const moved = Math.hypot(
        run.trace.others[0]!.x[j]! - run.trace.others[0]!.x[j - 1]!,
        run.trace.others[0]!.y[j]! - run.trace.others[0]!.y[j - 1]!,
      );
      expect(moved / (run.trace.time[j]! - run.trace.time[j - 1]!)).toBeLessThan(0.1);
      // The boat itself lies where it lay: it is not it that is watched.
      expect(last(run, 'x')).toBeCloseTo(run.trace.x[0]!, 1);
    }
  });

  it('is hit as hard as two that give way hit: half the mass stops half the energy', () => {
    const run = (rest: Partial<RunInput>) => runPlan(input(rest, 30, [engineIn(0)]));
    const start = { x: 0, y: -9, heading: 0, speed: 0.5 };
    const ahead = { ...other('none'), start: { x: 0, y: 6, heading: 0, speed: 0 } };
    const wall = box('wall', -6, 1, 6, 3);
    const boat = run({ obstacles: [], others: [ahead], start });
    const stone = run({ obstacles: [wall], start });
    const { speed, energy } = boat.touches[0]!;
    expect(speed).toBeGreaterThan(0.2);
    // Bow to stern of a sister: the same speed over the ground, half the mass to stop.
    const perSpeed = (t: { speed: number; energy: number }) => t.energy / (t.speed * t.speed);
    expect(perSpeed({ speed, energy }) / perSpeed(stone.touches[0]!)).toBeCloseTo(0.5, 1);
    expect(last(boat, 'other1Y')).toBeGreaterThan(6.1);
  });

  it('lies on her own lines, and hers on what she is tied to', () => {
    const tied = riggedWith([
      { x: 4, y: 0.8, spec: { on: 1, shoreX: -0.8, shoreY: 4, length: 2.3, made: MADE.FAST } },
      {
        x: -4.5,
        y: 1.1,
        spec: { on: 1, shoreX: -1.1, shoreY: -4.5, length: 1.7, made: MADE.FAST },
      },
    ]);
    const off = weather({ windFrom: Math.PI / 2, windSpeed: 9 });
    const rafted = runPlan(
      input({ others: [other()], where: where(2), ...tied, weather: off }, 90),
    );
    const loose = runPlan(input({ others: [other()], weather: off }, 90));
    expect(last(loose, 'x')).toBeLessThan(-8);
    expect(last(rafted, 'x')).toBeGreaterThan(-1);
    expect(
      rafted.trace.lines[0]!.tension.at(-1)! + rafted.trace.lines[1]!.tension.at(-1)!,
    ).toBeGreaterThan(200);
    // The boat's own lines hold both; the record has where the lines' other ends have gone.
    expect(Math.abs(last(rafted, 'other1X') - BESIDE_M)).toBeLessThan(0.8);
    const psi = last(rafted, 'other1Heading');
    const cleat = last(rafted, 'other1X') + 4 * Math.sin(psi) - 0.8 * Math.cos(psi);
    expect(rafted.trace.lines[0]!.endX.at(-1)).toBeCloseTo(cleat, 9);
  });

  it('is passed a line, which holds to her as she moves', () => {
    const rig = riggedWith([{ x: 4, y: 0.8 }]);
    const to = { ...end('Heavy: bow', 4, -0.8), boat: 1 };
    const pass = { do: 'pass', line: 0, by: null, to, how: 'throw', length: null } as const;
    const run = runPlan(
      input({ others: [other()], where: where(1), ...rig, obstacles: [quay] }, 40, [hands(pass)]),
    );
    const on = run.events.find((e) => e.is === 'line' && e.what === 'on');
    expect(on).toMatchObject({ is: 'line' });
    expect(on && 'x' in on ? on.x : NaN).toBeCloseTo(BESIDE_M - 0.8, 0);
  });

  it('carries her marks with her: a goal at her cleat is as far off as that is by then', () => {
    const mark = { name: 'Heavy: bow', x: 4, y: -0.8, boat: 1 };
    const goal = {
      is: 'lie',
      point: { name: 'midships', x: 0, y: 0 },
      mark,
      within: 9,
      heading: 0,
      headingWithin: 3,
      speedBelow: 9,
    } as const;
    const run = runPlan(
      input({ others: [other('none', 6)], obstacles: [], goal, weather: weather(WIND_ON) }, 30),
    );
    const psi = last(run, 'other1Heading');
    const x = last(run, 'other1X') + 4 * Math.sin(psi) - 0.8 * Math.cos(psi);
    const y = last(run, 'other1Y') + 4 * Math.cos(psi) + 0.8 * Math.sin(psi);
    expect(last(run, 'other1X')).toBeGreaterThan(7);
    expect(run.goal[0]!.found).toBeCloseTo(Math.hypot(x - last(run, 'x'), y - last(run, 'y')), 9);
  });

  it('has lines of her own let go and hauled by her own hands', () => {
    const { rigging } = riggedWith([{ x: 4, y: 0.8 }]);
    const lines = rigging!.lines.map((line) => ({ ...line, boat: 1 }));
    const letGo = { do: 'letGo', line: 0, by: null } as const;
    const one = other();
    const run = runPlan(
      input(
        {
          others: [one],
          where: [{ boat: 1, row: 0 }],
          rigging: { ...rigging!, lines },
        },
        40,
        [hands(letGo)],
      ),
    );
    expect(run.events.some((e) => e.is === 'line' && e.what === 'home')).toBe(true);
    expect(run.trace.lines[0]!.made.at(-1)).toBe(0);
  });

  it('mirrored, all is mirrored', () => {
    const tied = riggedWith([
      { x: 4, y: 0.8, spec: { on: 1, shoreX: -0.8, shoreY: 4, length: 3, made: MADE.FAST } },
    ]);
    const base = input(
      {
        others: [other()],
        where: where(1),
        ...tied,
        weather: weather({ windFrom: 1.2, windSpeed: 8 }),
      },
      40,
      [engineIn(1, 0.2), wheelTo(20)],
    );
    const a = runPlan(base);
    const b = runPlan(mirrored(base));
    expect(last(b, 'x')).toBeCloseTo(-last(a, 'x'), 6);
    expect(last(b, 'y')).toBeCloseTo(last(a, 'y'), 6);
    expect(last(b, 'other1X')).toBeCloseTo(-last(a, 'other1X'), 6);
    expect(last(b, 'other1Heading')).toBeCloseTo(-last(a, 'other1Heading'), 6);
    expect(b.trace.lines[0]!.tension.at(-1)).toBeCloseTo(a.trace.lines[0]!.tension.at(-1)!, 3);
  });

  it('counts when the ways out are tried', () => {
    const start = { x: 0, y: -30, heading: 0, speed: 1.5 };
    const ahead = { ...other('none'), start: { x: 0, y: 6, heading: Math.PI / 2, speed: 0 } };
    const found = surveyed(
      input({ obstacles: [], others: [ahead], start }, 24, [engineIn(1, 0.5)]),
    );
    const grades = found.map(({ wayOut }) => wayOut.grade);
    expect(grades[0]).toBe('open');
    expect(grades.at(-1)).not.toBe('open');
  });

  it('gives the same run every time', () => {
    const base = input({ others: [other()], weather: weather(WIND_ON) }, 30, [engineIn(1, 0.2)]);
    expect([...runPlan(base).trace.x]).toEqual([...runPlan(base).trace.x]);
  });
});
