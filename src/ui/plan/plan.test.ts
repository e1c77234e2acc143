import { runPlan } from '@/core/plan';
import { check, planSchema, toRunInput, type StepDocument } from '@/document';
import { demoFile } from '@/document/testing/demo';
import { errorTree, fieldOf, fromForm, toForm } from './step-form';
import { addStep, duplicateStep, freshStepId, moveStep, removeStep, splitStep } from './edits';
import { placeHeads } from './layout';

const KN = { speed: 'kn', length: 'm', force: 'N' } as const;
const FEET = { speed: 'm/s', length: 'ft', force: 'lbf' } as const;
const steps = [
  ...demoFile('off-stilt-pontoon').plan.steps,
  ...demoFile('alongside-wind-off').plan.steps,
];

/** Numbers compared to what a field shows (two decimals). */
function near(a: unknown, b: unknown): boolean {
  if (typeof a === 'number' && typeof b === 'number') return Math.abs(a - b) < 0.006;
  if (typeof a !== 'object' || a === null || typeof b !== 'object' || b === null) return a === b;
  const keys = new Set([...Object.keys(a), ...Object.keys(b)]);
  return [...keys].every((key) => near(a[key as keyof typeof a], b[key as keyof typeof b]));
}

describe('step fields', () => {
  it.each([
    ['knots and metres', KN],
    ['metres a second and feet', FEET],
  ])('hold every shipped step in %s and give it back', (_, units) => {
    for (const step of steps) {
      const back = fromForm(step.id, toForm(step, units), units);
      expect(back.ok && near(back.value, step)).toBe(true);
    }
  });

  it('tell what is wrong in the unit on screen, at the field', () => {
    const step: StepDocument = {
      ...steps[0]!,
      cue: { is: 'speed', over: 'water', compare: 'below', speed_mps: 1 },
      orders: [{ do: 'wheel', after_s: 0, angle_deg: 0 }],
      expect: [{ is: 'speed', at: 'next', over: 'water', least_mps: 1, most_mps: 2 }],
    };
    const form = toForm(step, KN);
    form.cues[0]!.values.speed = 50;
    form.orders[0]!.values.angle = 120;
    form.expect[0]!.values.most = 0.5;
    const result = fromForm('b', form, KN);
    if (result.ok) throw new Error('taken');
    const tree = errorTree(result.problems, form, KN);
    expect(tree.cues?.[0]?.values?.speed?.message).toBe('give a number from 0 to 39 kn');
    expect(tree.orders?.[0]?.values?.angle?.message).toBe('give a number from 0 to 90 degrees');
    expect(tree.expect?.[0]?.values?.most?.message).toBe('must not be below the least speed');
  });

  it('find the field of a document path', () => {
    expect(fieldOf('cue.heading_deg')).toBe('cues.0.values.heading');
    expect(fieldOf('cue.of[2].distance_m')).toBe('cues.2.values.distance');
    expect(fieldOf('orders[1].after_s')).toBe('orders.1.after');
    expect(fieldOf('expect[0].at.after_s')).toBe('expect.0.after');
    expect(fieldOf('wayOut.orders[0].angle_deg')).toBe('wayOrders.0.values.angle');
    expect(fieldOf('wayOut.note')).toBe('note');
    expect(fieldOf('within_s')).toBe('within');
  });
});

describe('edits of a plan', () => {
  const { plan } = demoFile('off-stilt-pontoon');
  const ids = (s: typeof plan) => s.steps.map((b) => b.id);

  it('add, duplicate, move and remove without touching the plan they came from', () => {
    const before = structuredClone(plan);
    const added = addStep(plan, 1, freshStepId(plan.steps));
    expect(ids(added)[1]).toBe('step-5');
    expect(ids(duplicateStep(plan, 'go-ahead', 'again'))).toEqual([
      'let-go',
      'go-ahead',
      'again',
      'round-up',
      'steady',
    ]);
    expect(ids(moveStep(plan, 'steady', -2))).toEqual(['let-go', 'steady', 'go-ahead', 'round-up']);
    expect(moveStep(plan, 'let-go', -1)).toBe(plan);
    expect(ids(removeStep(plan, 'go-ahead'))).toEqual(['let-go', 'round-up', 'steady']);
    expect(plan).toEqual(before);
    for (const made of [added, moveStep(plan, 'steady', -2)]) {
      expect(check(planSchema, made).ok).toBe(true);
    }
  });

  it('cut a step in two: what was to come later goes with the second, and it plays the same', () => {
    const turn = demoFile('alongside-wind-off').plan;
    const split = splitStep(turn, 'turn', 'rest', 1);
    const [first, second] = split.steps.slice(3, 5);
    expect(first!.id).toBe('turn');
    expect(first!.orders.map((o) => o.after_s)).toEqual([0, 0, 0.7]);
    expect(second).toMatchObject({ id: 'rest', cue: { is: 'after', time_s: 1 } });
    expect(second!.orders.map((o) => o.after_s)).toEqual([0.8]);
    expect(first!.expect).toEqual([]);
    expect(second!.expect).toEqual(turn.steps[3]!.expect);
    expect(check(planSchema, split).ok).toBe(true);
    expect(splitStep(turn, 'turn', 'rest', 0)).toBe(turn);
    const played = (s: typeof turn) => {
      const input = toRunInput({ ...demoFile('alongside-wind-off'), plan: s });
      if (!input.ok) throw new Error('not played');
      const { trace } = runPlan(input.value);
      return [trace.x.at(-1)!, trace.y.at(-1)!];
    };
    played(split).forEach((at, i) => expect(at).toBeCloseTo(played(turn)[i]!, 2));
  });

  it('leave a plan its last step', () => {
    const one = { ...plan, steps: plan.steps.slice(0, 1) };
    expect(removeStep(one, 'let-go')).toBe(one);
  });
});

describe('heads of steps', () => {
  it('stand at their moment where there is room', () => {
    const places = placeHeads([100, 400, 700], 100, 1000, 120);
    expect(places.map((p) => p.x)).toEqual([100, 400, 700]);
    expect(places[1]!.width).toBe(300);
  });

  it('give way to one another, in order and inside the plan', () => {
    const places = placeHeads([100, 105, 106, 980, 985], 100, 1000, 120);
    places.forEach((p, i) => {
      expect(p.x).toBeGreaterThanOrEqual(100);
      expect(p.x + p.width).toBeLessThanOrEqual(1000.001);
      if (i > 0) expect(p.x - places[i - 1]!.x).toBeGreaterThanOrEqual(119.999);
    });
    expect(
      placeHeads(
        Array.from({ length: 60 }, () => 500),
        100,
        700,
        120,
      ).at(-1)!.width,
    ).toBe(10);
  });
});
