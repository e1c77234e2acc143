import { patternSearch, robustCost, type Tunable } from '@/core/search';
import type { ManoeuvreFile } from '@/document/manoeuvre';
import { success, type Result } from '@/document/result';
import { prepareRun } from '@/document/run-input';
import type { CueDocument, OrderDocument, PlanDocument, SimpleCue } from '@/document/plan';
import { keyOf, parametersOf } from '@/document/plan-codec';

/** A number of a plan that may be fitted: how it is read and written, and its tunable in the document's own unit. */
interface PlanNumber extends Tunable {
  /** Where it stands in the plan, as no other does. */
  readonly name: string;
  write(plan: PlanDocument, value: number): PlanDocument;
}

const round = (value: number, decimals: number) => Number(value.toFixed(decimals));

/** The numbers of a part of a plan that may be fitted: the key each stands under, and its tunable. */
function tunablesOf(
  part: OrderDocument | SimpleCue,
): { key: string; decimals: number; tunable: Tunable }[] {
  return Object.entries(parametersOf(part)).flatMap(([name, p]) => {
    if (!('tune' in p) || !p.tune) return [];
    const key = keyOf(name, p);
    const value = (part as unknown as Readonly<Record<string, number>>)[key]!;
    const found = p.tune(value, part as unknown as Readonly<Record<string, unknown>>);
    if (!found) return [];
    const { decimals, ...rest } = found;
    return [{ key, decimals, tunable: { value, ...rest } }];
  });
}

/** Every number of a plan that may be fitted: those of cues, wheel angles and throttles. Gears, sides and names stay. */
export function planNumbers(plan: PlanDocument): PlanNumber[] {
  const numbers: PlanNumber[] = [];
  const parts = (cue: CueDocument) => (cue.is === 'any' || cue.is === 'all' ? cue.of : [cue]);
  plan.steps.forEach(({ cue, orders }, b) => {
    parts(cue).forEach((part, c) => {
      tunablesOf(part).forEach(({ key, decimals, tunable }) =>
        numbers.push({
          name: `step ${b + 1} cue ${c + 1} ${key}`,
          ...tunable,
          write: (s, value) =>
            withStep(s, b, (step) => {
              const put = (old: object) => ({ ...old, [key]: round(value, decimals) });
              const next =
                step.cue.is === 'any' || step.cue.is === 'all'
                  ? { ...step.cue, of: step.cue.of.map((p, i) => (i === c ? put(p) : p)) }
                  : put(step.cue);
              return { ...step, cue: next as CueDocument };
            }),
        }),
      );
    });
    orders.forEach((order, o) => {
      tunablesOf(order).forEach(({ key, decimals, tunable }) =>
        numbers.push({
          name: `step ${b + 1} order ${o + 1} ${key}`,
          ...tunable,
          write: (s, value) =>
            withStep(s, b, (step) => ({
              ...step,
              orders: step.orders.map((old, i) =>
                i === o ? ({ ...old, [key]: round(value, decimals) } as OrderDocument) : old,
              ),
            })),
        }),
      );
    });
  });
  return numbers;
}

type PlanStep = PlanDocument['steps'][number];

function withStep(
  plan: PlanDocument,
  at: number,
  change: (step: PlanStep) => PlanStep,
): PlanDocument {
  return { ...plan, steps: plan.steps.map((step, i) => (i === at ? change(step) : step)) };
}

export interface Tuned {
  readonly plan: PlanDocument;
  readonly tries: number;
  readonly of: number;
  /** Merit before and now; less is better. */
  readonly before: number;
  readonly now: number;
}

const MOST_TRIES = 400;

/**
 * Fits the numbers of a manoeuvre's plan by trying: what it costs in this wind, and in a weaker and a stronger one,
 * is brought down as far as small steps will. What cannot be played as it is given is refused.
 *
 * @param most tries, each of three runs
 */
export function* tunePlan(file: ManoeuvreFile, most = MOST_TRIES): Generator<Result<Tuned>> {
  const inputWith = prepareRun(file);
  const first = inputWith(file.plan);
  if (!first.ok) {
    yield first;
    return;
  }
  const numbers = planNumbers(file.plan);
  const written = (values: readonly number[]) =>
    numbers.reduce((plan, { write }, i) => write(plan, values[i]!), file.plan);
  const cost = (values: readonly number[]) => {
    const input = inputWith(written(values));
    return input.ok ? robustCost(input.value) : Infinity;
  };
  const before = robustCost(first.value);
  for (const { values, cost: now, tries } of patternSearch(numbers, cost, most)) {
    const better = now < before;
    yield success({
      plan: better ? written(values) : file.plan,
      tries,
      of: most,
      before,
      now: Math.min(before, now),
    });
  }
}
