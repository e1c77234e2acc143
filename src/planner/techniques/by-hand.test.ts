import { runPlan } from '@/core/plan';
import type { ManoeuvreFile } from '@/document/manoeuvre';
import { toRunInput } from '@/document/run-input';
import { demoFile } from '@/document/testing/demo';
import { type TechniqueId } from '@/planner';
import { atFirst } from '../template';
import { refusalOf, templatesFor } from '../testing/asked';

const written = (file: ManoeuvreFile, technique: TechniqueId) => {
  const templates = templatesFor(file, technique);
  return templates.map(atFirst);
};
const play = (file: ManoeuvreFile) => {
  const input = toRunInput(file);
  if (!input.ok) throw new Error(input.problems[0]!.message);
  return runPlan(input.value);
};

describe('the stern hauled in by hand', () => {
  const file = demoFile('fennick-swings-herself-out');

  it('swings her bow out while nobody touches the engine', () => {
    const run = play(file);
    const away = run.steps.find(({ step }) => file.plan.steps[step]!.id === 'away')!;
    const turned = away.heading - run.trace.heading[0]!;
    expect(turned * (180 / Math.PI)).toBeGreaterThan(15);
    const engines = run.events.filter(
      (e) => e.is === 'order' && e.order.do === 'engine' && e.order.gear !== 0,
    );
    expect(engines.every(({ time }) => time >= away.time)).toBe(true);
  });

  it('leads to a bollard abreast of the quarter, on the side she lies to', () => {
    for (const plan of written(file, 'stern-in-by-hand')) {
      expect(plan.lines).toHaveLength(1);
      expect(plan.lines[0]!.from).toBe('port quarter cleat');
      expect(play({ ...file, plan }).outcome).not.toBe('cue never came');
    }
    const bare = {
      ...file,
      place: { ...file.place, features: file.place.features.filter((f) => f.kind !== 'bollard') },
    };
    expect(refusalOf(bare, 'stern-in-by-hand')).toEqual({
      why: 'no bollard abreast of the quarter',
    });
  });
});

describe('held on a spring', () => {
  const file = demoFile('wicket-waits-on-one-spring');

  it('keeps her where she is with the engine, and not without', () => {
    const { trace } = play(file);
    expect(Math.abs(trace.heading.at(-1)! - trace.heading[0]!)).toBeLessThan(0.15);
    const { plan } = file;
    const stopped = plan.steps.map((step) => ({
      ...step,
      orders: step.orders.filter(({ do: what }) => what !== 'engine'),
    }));
    const drifted = play({ ...file, plan: { ...plan, steps: stopped } }).trace;
    expect(Math.abs(drifted.heading.at(-1)! - drifted.heading[0]!)).toBeGreaterThan(0.3);
  });

  it('is for staying alongside only', () => {
    expect(refusalOf(file, 'hold-on-a-spring')).toBeNull();
    expect(refusalOf(demoFile('alongside-wind-off'), 'hold-on-a-spring')).toEqual({
      why: 'not staying alongside',
    });
    expect(written(file, 'hold-on-a-spring')[0]!.lines[0]!.from).toBe('port midship cleat');
  });
});

describe('warped along', () => {
  const file = demoFile('dunlin-hatch-moves-up');

  it('moves her by hands alone, never faster than they walk', () => {
    const run = play(file);
    expect(run.margins.fastest).toBeLessThan(0.6);
    expect(run.margins.line!.tension).toBeLessThan(400);
    expect(run.outcome).toBe('reached');
  });

  it('leads the warp the way she is to go and the check line the other', () => {
    const [plan] = written(file, 'warp-along');
    const [warp, check] = plan!.lines;
    expect([warp!.name, check!.name]).toEqual(['warp', 'check line']);
    expect(warp!.from).not.toBe(check!.from);
    const start = { ...file.start };
    const s = Math.sin((start.heading_deg * Math.PI) / 180);
    const c = Math.cos((start.heading_deg * Math.PI) / 180);
    const moved = (by: number): ManoeuvreFile => ({
      ...file,
      place: { ...file.place, features: file.place.features.filter((f) => f.kind !== 'boat') },
      start: { ...start, x_m: start.x_m + by * s, y_m: start.y_m + by * c },
    });
    const { length_m } = file.boat.hull;
    expect(refusalOf(moved(-2 * length_m), 'warp-along')).toMatchObject({
      why: expect.stringMatching(
        /^(further than a line reaches|no bollards to warp by)$/,
      ) as string,
    });
    expect(refusalOf(demoFile('alongside-wind-off'), 'warp-along')).toEqual({
      why: 'not shifting along',
    });
  });
});
