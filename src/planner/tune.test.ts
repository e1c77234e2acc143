import { runPlan } from '@/core/plan';
import { tunePlan, planNumbers, type Tuned } from './tune';
import { planSchema } from '@/document/plan';
import { toRunInput } from '@/document/run-input';
import { demoFile } from '@/document/testing/demo';
import type { ManoeuvreFile } from '@/document/manoeuvre';

function fit(file: ManoeuvreFile): Tuned {
  let last: Tuned | null = null;
  for (const found of tunePlan(file, 130)) {
    if (!found.ok) throw new Error(found.problems[0]!.message);
    last = found.value;
  }
  return last!;
}

function play(file: ManoeuvreFile) {
  const input = toRunInput(file);
  if (!input.ok) throw new Error(input.problems[0]!.message);
  return runPlan(input.value);
}

describe('fitting a plan', () => {
  const demo = demoFile('alongside-wind-off');

  it('takes numbers only: writing back what was read changes nothing', () => {
    const numbers = planNumbers(demo.plan);
    expect(numbers.length).toBeGreaterThan(6);
    const same = numbers.reduce((plan, n) => n.write(plan, n.value), demo.plan);
    expect(same).toEqual(demo.plan);
    for (const n of numbers) {
      expect(n.value).toBeGreaterThanOrEqual(n.least);
      expect(n.value).toBeLessThanOrEqual(n.most);
      for (const end of [n.least, n.most])
        expect(planSchema.safeParse(n.write(demo.plan, end)).success).toBe(true);
    }
  });

  it('makes one that fails in a stronger wind get there, gears and sides as they were', () => {
    const { wind } = demo.conditions;
    const harder: ManoeuvreFile = {
      ...demo,
      conditions: { ...demo.conditions, wind: { ...wind, speed_mps: 1.15 * wind.speed_mps } },
    };
    expect(play(harder).outcome).not.toBe('reached');
    const fitted = fit(harder);
    expect(fitted.now).toBeLessThan(fitted.before);
    expect(play({ ...harder, plan: fitted.plan }).outcome).toBe('reached');
    fitted.plan.steps.forEach((step, i) => {
      const was = demo.plan.steps[i]!;
      expect(step.cue.is).toBe(was.cue.is);
      expect(step.orders.map((o) => o.do)).toEqual(was.orders.map((o) => o.do));
      step.orders.forEach((o, k) => {
        const before = was.orders[k]!;
        if (o.do === 'wheel' && before.do === 'wheel')
          expect(Math.sign(o.angle_deg)).toBe(Math.sign(before.angle_deg));
        if (o.do === 'engine' && before.do === 'engine') expect(o.gear).toBe(before.gear);
      });
    });
    expect(planSchema.safeParse(fitted.plan).success).toBe(true);
  }, 60000);

  it('refuses what cannot be played', () => {
    const lost = { ...demo, berth: ['nowhere'] };
    const [found] = [...tunePlan(lost)];
    expect(found!.ok).toBe(false);
  });
});
