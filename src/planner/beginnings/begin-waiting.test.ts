import { runPlan } from '@/core/plan';
import type { ManoeuvreFile } from '@/document/manoeuvre';
import { toRunInput } from '@/document/run-input';
import { demoFile } from '@/document/testing/demo';
import { refusalOf, templatesFor } from '../testing/asked';

// Nell at the landing below Cobnut Lock, which is full and shut: the boat waits on its lines while it is emptied for it.

function waiting(change: (file: ManoeuvreFile) => void = () => {}): ManoeuvreFile {
  const file = structuredClone(demoFile('nell-waits-below-cobnut-lock'));
  const up = demoFile('nell-up-cobnut-lock');
  file.goal = up.goal;
  file.berth = up.berth;
  file.limit_s = 1500;
  file.plan.lines = [];
  file.plan.steps = file.plan.steps.slice(0, 1).map((step) => ({ ...step, orders: [] }));
  change(file);
  return file;
}

const unfit = (file: ManoeuvreFile) => refusalOf(file, 'through-the-lock');

/** With numbers as they were fitted for the boat there. */
function written(file: ManoeuvreFile) {
  const templates = templatesFor(file, 'through-the-lock');
  return templates[0]!.write({ slow: 0.05, turned: 16.3, stop: 8.1, back: 0.3, angle: 0 });
}

describe('a lock that is set against her', () => {
  it('is made ready while she lies at the landing; then her lines come off, and she goes in and up', () => {
    const file = waiting();
    expect(unfit(file)).toBeNull();
    const plan = written(file);
    expect(plan.steps.slice(0, 5).map(({ id }) => id)).toEqual([
      'wait',
      'wash',
      'made',
      'slip',
      'go',
    ]);
    const input = toRunInput({ ...file, plan });
    if (!input.ok) throw new Error(JSON.stringify(input.problems));
    const run = runPlan(input.value);
    expect(run.outcome).toBe('reached');
    const time = (id: string) => run.steps.find(({ step }) => plan.steps[step]!.id === id)!.time;
    const { time: times, x, y, engines, locks } = run.trace;
    const { gear } = engines[0]!;
    const level = locks[0]!.chamber;
    const at = (seconds: number) => times.findIndex((t) => t >= seconds);
    // The wash comes down on the boat and its lines hold it; it starts its engine for none of it.
    const start = [x[0]!, y[0]!] as const;
    const moved = Math.max(
      ...[...times.keys()]
        .slice(0, at(time('slip')))
        .map((i) => Math.hypot(x[i]! - start[0], y[i]! - start[1])),
    );
    expect(moved).toBeLessThan(1.5);
    expect(gear.slice(0, at(time('go'))).every((engaged) => engaged === 0)).toBe(true);
    expect(level[0]!).toBeGreaterThan(level[at(time('made'))]! + 1);
    // No line in the water when the engine turns.
    const home = run.events.flatMap((e) => (e.is === 'line' && e.what === 'home' ? [e.time] : []));
    expect(home.filter((t) => t <= time('go') + 1e-6)).toHaveLength(2);
  });

  it('of gates that are only shut they are opened, and nothing is wound', () => {
    const file = waiting(({ locks }) => {
      locks[0]!.set = 'lower';
    });
    expect(unfit(file)).toBeNull();
    const plan = written(file);
    expect(plan.steps.slice(0, 3).map(({ id }) => id)).toEqual(['wait', 'slip', 'go']);
    const before = plan.steps.slice(0, 2).flatMap(({ orders }) => orders);
    expect(before.some((order) => order.do === 'paddle')).toBe(false);
  });

  it('is refused where she does not lie there, or has not time enough', () => {
    const off = waiting(({ start }) => {
      start.speed_mps = 0.5;
    });
    expect(unfit(off)).toMatchObject({ why: 'lock set against' });
    const short = waiting((file) => {
      file.limit_s = 400;
    });
    expect(unfit(short)).toMatchObject({ why: 'too little time', limit: 400 });
  });

  it('with everybody aboard somebody steps ashore first, works the lock, and is taken up beyond it', () => {
    const file = waiting((copy) => {
      copy.plan.crew = [
        { name: 'Joss', at: { aboard: 'helm' }, pull_N: 300, throws_m: 8 },
        { name: 'Wren', at: { aboard: 'midships' }, pull_N: 300, throws_m: 8 },
      ];
    });
    expect(unfit(file)).toBeNull();
    const plan = written(file);
    expect(plan.steps.slice(0, 2).map(({ id }) => id)).toEqual(['step-ashore', 'wait']);
    const orders = plan.steps.flatMap((step) => step.orders);
    const doing = (what: string) =>
      orders.flatMap((o) => (o.do === what && 'by' in o ? [o.by] : []));
    expect(new Set(doing('paddle'))).toEqual(new Set(['Wren']));
    expect(new Set(doing('gates'))).toEqual(new Set(['Wren']));
    expect(new Set(doing('pass'))).toEqual(new Set(['Joss']));
    expect(orders.flatMap((o) => (o.do.startsWith('step') ? [o.do] : []))).toEqual([
      'stepAshore',
      'stepAboard',
    ]);
    const input = toRunInput({ ...file, plan });
    if (!input.ok) throw new Error(JSON.stringify(input.problems));
    const run = runPlan(input.value);
    const crew = run.events.flatMap((e) => (e.is === 'crew' ? [e.what] : []));
    expect(crew).toContain('ashore');
    expect(crew).not.toContain('could not step');
    expect(crew).not.toContain('no way across');
    const wound = run.events.find((e) => e.is === 'lock' && e.what === 'paddle up')!;
    const ashore = run.events.find((e) => e.is === 'crew' && e.what === 'ashore')!;
    expect(wound.time).toBeGreaterThan(ashore.time);
    expect(run.outcome).not.toBe('unsafe');
  });
});
