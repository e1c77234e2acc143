import { runPlan } from '@/core/plan';
import {
  check,
  manoeuvreFileSchema,
  placeSchema,
  toRunInput,
  type ManoeuvreFile,
  type Place,
} from '@/document';
import { beginPassage, passagesAt } from '@/planner';
import { demoFile, demoJson } from '@/document/testing/demo';
import { fleetRecord } from '@/document/testing/fleet';
import { atFirst } from '../template';
import { refusalOf, templatesFor } from '../testing/asked';

// Passages through the two chambers of a staircase: begun, written down, played.

const [TOP, BOTTOM] = ['Medlar Top Lock', 'Medlar Bottom Lock'] as const;

function stairs(): Place {
  const found = check<Place>(placeSchema, demoJson('places', 'medlar-stairs'));
  if (!found.ok) throw new Error(JSON.stringify(found.problems));
  return found.value;
}

const begin = (lockId: string, going: 'up' | 'down', place = stairs()) =>
  beginPassage({
    id: 'stairs',
    title: 'Stairs',
    boat: fleetRecord('tamarack-nell'),
    place,
    lockId,
    going,
    conditions: {
      wind: { from_deg: 160, speed_mps: 2 },
      current: { set_deg: 0, speed_mps: 0 },
      water: 'fresh',
    },
  });

function begun(going: 'up' | 'down'): ManoeuvreFile {
  const made = begin(going === 'up' ? 'medlar-bottom' : 'medlar-top', going);
  if (!made.ok) throw new Error(made.problems[0]!.message);
  return made.value;
}

const unfit = (file: ManoeuvreFile) => refusalOf(file, 'through-the-lock');

describe('a passage through a staircase', () => {
  it('is begun before its open gates, both locks set as they have to be', () => {
    const up = begun('up');
    expect(up.goal).toEqual({ is: 'through', lock: TOP, by: 'upper' });
    expect(up.locks).toEqual([
      { lock: BOTTOM, set: 'lower', gates: 'open' },
      { lock: TOP, set: 'upper', gates: 'shut' },
    ]);
    const down = begun('down');
    expect(down.goal).toEqual({ is: 'through', lock: BOTTOM, by: 'lower' });
    expect(down.locks).toEqual([
      { lock: TOP, set: 'upper', gates: 'open' },
      { lock: BOTTOM, set: 'lower', gates: 'shut' },
    ]);
    for (const file of [up, down]) {
      // The boat may touch the walls of both chambers, and the landing beyond.
      const walls = file.berth.filter((each) => !each.includes('landing'));
      expect(new Set(walls)).toEqual(
        new Set(['lower-left', 'upper-left', 'lower-right', 'upper-right']),
      );
      expect(file.berth.length - walls.length).toBe(1);
      expect(unfit(file)).toBeNull();
    }
  });

  it('is offered once each way, by the names of both', () => {
    expect(passagesAt(stairs())).toEqual([
      { lockId: 'medlar-top', going: 'down', through: [TOP, BOTTOM] },
      { lockId: 'medlar-bottom', going: 'up', through: [BOTTOM, TOP] },
    ]);
  });

  it('is not begun half way up or down', () => {
    expect(begin('medlar-top', 'up')).toMatchObject({
      ok: false,
      problems: [{ path: 'lockId', message: expect.stringContaining(`begin at '${BOTTOM}'`) }],
    });
    expect(begin('medlar-bottom', 'down')).toMatchObject({
      ok: false,
      problems: [{ path: 'lockId', message: expect.stringContaining(`begin at '${TOP}'`) }],
    });
  });

  it('is not written down where the one above is empty, or the one below full', () => {
    const up = begun('up');
    const set = (file: ManoeuvreFile, lock: string, to: 'upper' | 'lower') => ({
      ...file,
      locks: file.locks.map((one) => (one.lock === lock ? { ...one, set: to } : one)),
    });
    expect(unfit(set(up, TOP, 'lower'))).toMatchObject({ why: 'staircase not full', upper: TOP });
    expect(unfit(set(begun('down'), BOTTOM, 'upper'))).toMatchObject({
      why: 'staircase not empty',
    });
    const shallow = structuredClone(up);
    for (const area of shallow.place.areas)
      if (area.kind === 'lock' && area.working && area.name === TOP) area.working.lowerCill_m = 1.5;
    expect(unfit(shallow)).toMatchObject({ why: 'staircase without water' });
  });

  it.each(['up', 'down'] as const)('%s works the gates and paddles in their order', (going) => {
    const file = begun(going);
    const templates = templatesFor(file, 'through-the-lock');
    const { decided } = templates[0]!;
    const plan = atFirst(templates[0]!);
    expect(check(manoeuvreFileSchema, { ...file, plan })).toMatchObject({ ok: true });
    expect(plan.steps.map(({ id }) => id)).toContain(decided);
    const orders = plan.steps.flatMap((step) => step.orders);
    const gates = orders.flatMap((o) => (o.do === 'gates' ? [`${o.lock}: ${o.end} ${o.to}`] : []));
    expect(gates).toEqual(
      going === 'up'
        ? [
            `${BOTTOM}: lower shut`,
            `${BOTTOM}: upper open`,
            `${TOP}: lower shut`,
            `${TOP}: upper open`,
          ]
        : [
            `${TOP}: upper shut`,
            `${TOP}: lower open`,
            `${BOTTOM}: upper shut`,
            `${BOTTOM}: lower open`,
          ],
    );
    // Those between come down again before the last ones go up.
    const wound = orders.flatMap((o) => (o.do === 'paddle' ? [o] : []));
    const last = going === 'up' ? /^top/ : /^tail/;
    const firstLast = wound.findIndex(({ paddle }) => last.test(paddle));
    const between = wound.filter(({ paddle }) => paddle.startsWith('middle'));
    expect(new Set(between.map(({ lock }) => lock))).toEqual(new Set([TOP]));
    for (const name of new Set(between.map(({ paddle }) => paddle))) {
      const before = wound.slice(0, firstLast).filter(({ paddle }) => paddle === name);
      expect(before.at(-1)!.to).toBe(0);
    }
  });
});

describe('Nell down the stairs, by technique', () => {
  it('with the numbers it was fitted to goes down both chambers, hangs on no cill and spills nothing', () => {
    const file = begun('down');
    const templates = templatesFor(file, 'through-the-lock');
    const plan = templates[0]!.write({
      slow: 0.05,
      turned: 25.1,
      stop: 12.3,
      back: 0.3,
      angle: 7,
      nextStop: 9.7,
    });
    const input = toRunInput({ ...file, plan });
    if (!input.ok) throw new Error(input.problems[0]!.message);
    const run = runPlan(input.value);
    expect(run.outcome).toBe('reached');
    const told = run.events.flatMap((e) => (e.is === 'lock' ? [e.what] : []));
    for (const bad of ['over the coping', 'over the cill', 'on the cill'])
      expect(told).not.toContain(bad);
    // First of the two worked is the top one: it comes down to meet the other, which then empties.
    expect(Math.min(...run.trace.locks[0]!.chamber)).toBeCloseTo(1.9, 1);
    expect(run.trace.locks[1]!.chamber.at(-1)!).toBeLessThan(0.1);
  });
});

describe('a staircase set against her', () => {
  const at = {
    up: { x_m: -45.5, y_m: -11.75, heading_deg: 74, speed_mps: 0 },
    down: { x_m: 44.4, y_m: 19.4, heading_deg: 249, speed_mps: 0 },
  };
  const against = (going: 'up' | 'down'): ManoeuvreFile => {
    const file = begun(going);
    return {
      ...file,
      start: at[going],
      berth: [...file.berth, going === 'up' ? 'landing-below' : 'landing-above'].slice(-12),
      locks: [
        { lock: BOTTOM, set: 'upper', gates: 'shut' },
        { lock: TOP, set: 'lower', gates: 'shut' },
      ],
      limit_s: 3600,
    };
  };

  it.each(['up', 'down'] as const)(
    'going %s she waits at the landing until the chamber that feeds or takes the water is ready, and hers',
    (going) => {
      const file = against(going);
      expect(unfit(file)).toBeNull();
      const templates = templatesFor(file, 'through-the-lock');
      const plan = atFirst(templates[0]!);
      const go = plan.steps.findIndex(({ id }) => id === 'go');
      const steps = plan.steps.slice(0, go);
      expect(steps[0]!.id).toBe('other-chamber');
      const input = toRunInput({
        ...file,
        plan: { ...plan, steps, end: { ...plan.end, cue: plan.steps[go]!.cue } },
      });
      if (!input.ok) throw new Error(input.problems[0]!.message);
      const run = runPlan(input.value);
      const now = {
        bottom: run.trace.locks[0]!.chamber.at(-1)!,
        top: run.trace.locks[1]!.chamber.at(-1)!,
      };
      expect(Math.abs(now.bottom)).toBeLessThan(0.15);
      expect(Math.abs(now.top - 3.8)).toBeLessThan(0.15);
      expect(run.events.some((e) => e.is === 'lock' && e.what === 'over the coping')).toBe(false);
      // Nobody was thrown about at the landing, and both lines came home.
      expect(run.touches.every(({ grade }) => grade !== 'hard')).toBe(true);
      expect(run.events.filter((e) => e.is === 'line' && e.what === 'home')).toHaveLength(2);
    },
  );

  it('out in the current she has nothing to wait on', () => {
    const file = against('up');
    expect(unfit({ ...file, start: { ...file.start, speed_mps: 0.6 } })).toMatchObject({
      why: 'lock set against',
    });
  });
});

describe('Nell up the stairs', () => {
  const file = demoFile('nell-up-medlar-stairs');
  const play = (plan = file.plan) => {
    const input = toRunInput({ ...file, plan });
    if (!input.ok) throw new Error(input.problems[0]!.message);
    return runPlan(input.value);
  };

  it('goes up both chambers, and no water is spilt', () => {
    const run = play();
    expect(run.outcome).toBe('reached');
    expect(run.events.some((e) => e.is === 'lock' && e.what === 'over the coping')).toBe(false);
    const [bottom, top] = run.trace.locks.map(({ chamber }) => chamber);
    // The bottom chamber comes up as the top one comes down, to one level; then the top one alone goes on.
    const level = Math.max(...bottom!);
    expect(level).toBeCloseTo(1.9, 1);
    expect(Math.max(...top!)).toBeCloseTo(3.8, 1);
    expect(Math.min(...top!)).toBeCloseTo(1.9, 1);
  });

  it('with the paddles between left up runs over the lower coping', () => {
    const run = play(file.tempting!.plan);
    expect(run.outcome).toBe('unsafe');
    expect(run.events.some((e) => e.is === 'lock' && e.what === 'over the coping')).toBe(true);
  });
});
