import { runPlan, type Run } from '@/core/plan';
import { sampleBefore } from '@/core/simulation';
import type { ManoeuvreFile } from '@/document/manoeuvre';
import { toRunInput } from '@/document/run-input';
import { demoFile } from '@/document/testing/demo';
import { refusalOf, templatesFor } from '../testing/asked';

// Nell through Cobnut Lock with nobody but the boat's helm: by the ladder, with the line.

type Change = (file: ManoeuvreFile) => void;

function passage(going: 'up' | 'down', change: Change = () => {}): ManoeuvreFile {
  const file = structuredClone(demoFile(`nell-${going}-cobnut-lock`));
  file.limit_s = 1800;
  file.plan.lines = [];
  file.plan.end = { cue: { is: 'after', time_s: 5 }, within_s: 20 };
  file.plan.steps = file.plan.steps.slice(0, 1).map((step) => ({ ...step, orders: [] }));
  file.plan.crew = [{ name: 'Joss', at: { aboard: 'helm' }, pull_N: 300, throws_m: 8 }];
  change(file);
  return file;
}

/** Numbers that take the boat through. */
const FITTED = {
  up: { slow: 0, turned: 17.36, stop: 10.62, back: 0.32, angle: 4.13 },
  down: { slow: 0, turned: 15.91, stop: 8.22, back: 0.32, angle: 4.11 },
} as const;

function written(file: ManoeuvreFile, going: 'up' | 'down') {
  const templates = templatesFor(file, 'alone-through-the-lock');
  return templates[0]!.write(FITTED[going]);
}

const unfit = (file: ManoeuvreFile) => refusalOf(file, 'alone-through-the-lock');

const timesOf = (run: Run, is: 'crew' | 'line' | 'lock', what: string) =>
  run.events.flatMap((e) => (e.is === is && e.what === what ? [e.time] : []));

describe.each(['up', 'down'] as const)('alone, going %s', (going) => {
  const file = passage(going);
  const plan = written(file, going);
  const input = toRunInput({ ...file, plan });
  if (!input.ok) throw new Error(JSON.stringify(input.problems));
  const run = runPlan(input.value);
  const once = (is: 'crew' | 'line' | 'lock', what: string) => timesOf(run, is, what)[0]!;

  it('gets there, with nobody in danger and nothing left to itself', () => {
    expect(run.outcome).toBe('reached');
    expect(timesOf(run, 'crew', 'in danger')).toEqual([]);
    expect(timesOf(run, 'line', 'left')).toEqual([]);
    expect(timesOf(run, 'line', 'loads up')).toEqual([]);
  });

  it('climbs the ladder where the chamber is low, and steps where it is full', () => {
    const [climbed] = timesOf(run, 'crew', 'on a ladder');
    expect(timesOf(run, 'crew', 'on a ladder')).toHaveLength(1);
    if (going === 'up') expect(climbed).toBeLessThan(once('crew', 'ashore'));
    else expect(climbed).toBeGreaterThan(once('line', 'let go'));
  });

  it('leaves the helm of a boat that lies still', () => {
    const at = sampleBefore(run.trace, once('crew', 'helm left'));
    expect(run.trace.groundSpeed[at]).toBeLessThan(0.1);
  });

  it('has no gear in from before the helm is left until it is manned again', () => {
    const { gear } = run.trace.engines[0]!;
    const from = sampleBefore(run.trace, once('crew', 'helm left'));
    const to = sampleBefore(run.trace, once('crew', 'aboard'));
    for (let i = from; i <= to; i++) expect(gear[i]).toBe(0);
  });

  it('has the line on two turns before a gate moves, and winds the paddles of her own side only', () => {
    expect(once('line', 'on a turn')).toBeLessThan(once('lock', 'gates shut'));
    // Slack the boat would surge on to a gate.
    expect(once('line', 'hauled')).toBeGreaterThan(timesOf(run, 'lock', 'gates shut').at(-1)!);
    expect(once('line', 'hauled')).toBeLessThan(once('lock', 'paddle up'));
    expect(run.touches.filter(({ grade }) => grade !== 'soft')).toEqual([]);
    expect(once('lock', 'gates shut')).toBeLessThan(once('lock', 'paddle up'));
    const wound = new Set(
      plan.steps.flatMap(({ orders }) =>
        orders.flatMap((order) => (order.do === 'paddle' ? [order.paddle] : [])),
      ),
    );
    expect(wound.size).toBe(1);
    // Back at the line after each.
    for (const up of timesOf(run, 'lock', 'paddle up'))
      expect(timesOf(run, 'line', 'kept snug').some((kept) => kept > up && kept < up + 120)).toBe(
        true,
      );
  });

  it('every order for hands is hers, and she gives nobody a sign', () => {
    const orders = plan.steps.flatMap(({ orders: all }) => all);
    for (const order of orders) {
      expect(order.do).not.toBe('signal');
      if ('line' in order || order.do === 'gates' || order.do === 'paddle')
        expect(order).toMatchObject({ by: 'Joss' });
    }
  });

  it('leaves no paddle up', () => {
    const { paddles } = run.trace.locks[0]!;
    expect(paddles.map((paddle) => paddle.at(-1))).toEqual([0, 0, 0, 0]);
  });
});

describe('alone it is refused, with the reason', () => {
  it('for more than one, beside another boat, without a ladder, set against her, in too short a time', () => {
    expect(unfit(passage('up'))).toBeNull();
    const two = demoFile('nell-up-cobnut-lock').plan.crew;
    expect(unfit(passage('up', (f) => void (f.plan.crew = two)))).toMatchObject({
      why: 'not one person',
    });
    expect(unfit(passage('up', (f) => void (f.plan.crew = [])))).toMatchObject({
      why: 'not one person',
    });
    const bare: Change = (f) => {
      f.place.features = f.place.features.filter(({ kind }) => kind !== 'ladder');
    };
    expect(unfit(passage('up', bare))).toMatchObject({ why: 'no ladder' });
    // From the full chamber one steps, but back down into the empty one nobody does.
    expect(unfit(passage('down', bare))).toMatchObject({ why: 'no ladder' });
    expect(unfit(passage('up', (f) => void (f.locks[0]!.set = 'upper')))).toMatchObject({
      why: 'lock set against',
    });
    expect(unfit(passage('up', (f) => void (f.limit_s = 600)))).toMatchObject({
      why: 'too little time',
      limit: 600,
      alone: true,
    });
    expect(unfit(demoFile('pebble-shares-withen-lock'))).toMatchObject({ why: 'not one person' });
    expect(unfit(demoFile('off-stilt-pontoon'))).not.toBeNull();
  });

  it('and the wall is the one that has the ladder, whatever the wind', () => {
    const west: Change = (f) => {
      f.place.features = f.place.features.filter(({ id }) => id !== 'ladder-east');
    };
    const passed = (file: ManoeuvreFile) =>
      written(file, 'up')
        .steps.flatMap(({ orders }) => orders)
        .flatMap((order) => (order.do === 'pass' ? [order.to] : []));
    expect(passed(passage('up'))[0]).toMatch(/^east/);
    expect(passed(passage('up', west))[0]).toMatch(/^west/);
  });
});
