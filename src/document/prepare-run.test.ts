import { runPlan } from '@/core/plan';
import { prepareRun, toRunInput, type PlanDocument } from './';
import { demoFile } from './testing/demo';

describe('a manoeuvre made ready once', () => {
  const file = demoFile('sprung-off-the-pontoon');
  const bare = { ...file.plan, fenders: [] };
  const inputWith = prepareRun(file);

  it('is what each plan would have made of it by itself', () => {
    expect(file.plan.fenders.length).toBeGreaterThan(0);
    for (const plan of [file.plan, bare, file.plan]) {
      const alone = toRunInput({ ...file, plan });
      expect(inputWith(plan)).toEqual(alone);
    }
  });

  it('runs the same however often, whatever was run in it before', () => {
    const run = (plan: PlanDocument) => {
      const input = inputWith(plan);
      if (!input.ok) throw new Error(JSON.stringify(input.problems));
      return runPlan(input.value);
    };
    const first = run(file.plan);
    expect(run(bare).duration).toBeGreaterThan(0);
    const again = run(file.plan);
    expect([...again.trace.x]).toEqual([...first.trace.x]);
    expect(again.events).toEqual(first.events);
  });

  it('says what is amiss with a plan, and forgets it with the next', () => {
    const steps = file.plan.steps.map((step, i) =>
      i === 0
        ? { ...step, cue: { is: 'line' as const, line: 'no such', state: 'off' as const } }
        : step,
    );
    expect(inputWith({ ...file.plan, steps })).toMatchObject({
      ok: false,
      problems: [{ path: 'plan.steps[0].cue.line' }],
    });
    expect(inputWith(file.plan).ok).toBe(true);
  });

  it('says what is amiss with the manoeuvre to every plan', () => {
    const inPontoon = { ...file, berth: ['nothing'] };
    const ready = prepareRun(inPontoon);
    for (const plan of [file.plan, bare])
      expect(ready(plan)).toMatchObject({ ok: false, problems: [{ path: 'berth[0]' }] });
  });
});
