import { patternSearch, robustMerit, type Dial } from '@/core/search';
import type { ManoeuvreFile } from '@/document/manoeuvre';
import { success, type Result } from '@/document/result';
import { toRunInput } from '@/document/run-input';
import {
  MOST_RUDDER_DEG,
  type CueDocument,
  type OrderDocument,
  type PlanDocument,
} from '@/document/plan';

/** A number of a plan that may be fitted: how it is read and written, and its dial in the document's own unit. */
interface FitNumber extends Dial {
  write(plan: PlanDocument, value: number): PlanDocument;
}

const round = (value: number, decimals: number) => Number(value.toFixed(decimals));

function cueDial(cue: CueDocument): { key: string; decimals: number; dial: Dial } | null {
  switch (cue.is) {
    case 'after':
      // A pause of a second or less is there for the gear or the hands, not to be fitted.
      if (cue.time_s <= 1) return null;
      return {
        key: 'time_s',
        decimals: 1,
        dial: { value: cue.time_s, step: Math.max(1, 0.2 * cue.time_s), least: 0.5, most: 600 },
      };
    case 'heading':
      return {
        key: 'heading_deg',
        decimals: 0,
        dial: { value: cue.heading_deg, step: 8, least: 0, most: 359 },
      };
    case 'turned':
      return {
        key: 'by_deg',
        decimals: 0,
        dial: {
          value: cue.by_deg,
          step: 8,
          least: cue.by_deg > 0 ? 2 : -360,
          most: cue.by_deg > 0 ? 360 : -2,
        },
      };
    case 'speed':
      return {
        key: 'speed_mps',
        decimals: 3,
        dial: { value: cue.speed_mps, step: 0.2, least: 0.05, most: 6 },
      };
    case 'within':
      return {
        key: 'distance_m',
        decimals: 1,
        dial: {
          value: cue.distance_m,
          step: Math.max(0.5, 0.2 * cue.distance_m),
          least: 0.3,
          most: 2000,
        },
      };
    default:
      return null;
  }
}

function orderDial(order: OrderDocument): { key: string; decimals: number; dial: Dial } | null {
  if (order.do === 'wheel' && order.angle_deg !== 0)
    return {
      key: 'angle_deg',
      decimals: 0,
      dial: {
        value: order.angle_deg,
        step: 6,
        // It stays on its side.
        least: order.angle_deg > 0 ? 1 : -MOST_RUDDER_DEG,
        most: order.angle_deg > 0 ? MOST_RUDDER_DEG : -1,
      },
    };
  if (order.do === 'steer')
    return {
      key: 'heading_deg',
      decimals: 0,
      dial: { value: order.heading_deg, step: 6, least: 0, most: 359 },
    };
  if (order.do === 'engine' && order.gear !== 'neutral')
    return {
      key: 'throttle',
      decimals: 2,
      // Bursts are fitted, not racing.
      dial: { value: order.throttle, step: 0.1, least: 0, most: Math.max(order.throttle, 0.6) },
    };
  return null;
}

/** Every number of a plan that may be fitted: those of cues, wheel angles and throttles. Gears, sides and names stay. */
export function planNumbers(plan: PlanDocument): FitNumber[] {
  const numbers: FitNumber[] = [];
  const parts = (cue: CueDocument) => (cue.is === 'any' || cue.is === 'all' ? cue.of : [cue]);
  plan.steps.forEach(({ cue, orders }, b) => {
    parts(cue).forEach((part, c) => {
      const found = cueDial(part);
      if (!found) return;
      const { key, decimals, dial } = found;
      numbers.push({
        ...dial,
        write: (s, value) =>
          withStep(s, b, (step) => {
            const put = (old: object) => ({ ...old, [key]: round(value, decimals) });
            const next =
              step.cue.is === 'any' || step.cue.is === 'all'
                ? { ...step.cue, of: step.cue.of.map((p, i) => (i === c ? put(p) : p)) }
                : put(step.cue);
            return { ...step, cue: next as CueDocument };
          }),
      });
    });
    orders.forEach((order, o) => {
      const found = orderDial(order);
      if (!found) return;
      const { key, decimals, dial } = found;
      numbers.push({
        ...dial,
        write: (s, value) =>
          withStep(s, b, (step) => ({
            ...step,
            orders: step.orders.map((old, i) =>
              i === o ? ({ ...old, [key]: round(value, decimals) } as OrderDocument) : old,
            ),
          })),
      });
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
  const first = toRunInput(file);
  if (!first.ok) {
    yield first;
    return;
  }
  const numbers = planNumbers(file.plan);
  const written = (values: readonly number[]) =>
    numbers.reduce((plan, { write }, i) => write(plan, values[i]!), file.plan);
  const cost = (values: readonly number[]) => {
    const input = toRunInput({ ...file, plan: written(values) });
    return input.ok ? robustMerit(input.value) : Infinity;
  };
  const before = robustMerit(first.value);
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
