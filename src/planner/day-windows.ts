import { LEAST_OVER_M, LEAST_UNDER_M } from '@/core/policy';
import { runPlan, type Outcome } from '@/core/plan';
import { conditionsAt, type Day } from '@/document/day';
import type { ManoeuvreFile } from '@/document/manoeuvre';
import { toRunInput } from '@/document/run-input';

/** How a manoeuvre goes at a moment of a day. */
export interface DayRun {
  readonly at: number;
  /** Null where it cannot be played, and why. */
  readonly outcome: Outcome | null;
  readonly why: string | null;
  /** Least clearance, water under the boat and room over it, m; null where there is none to tell. */
  readonly clearance: number | null;
  readonly under: number | null;
  readonly over: number | null;
  /** Speed of the worst touch, m/s. */
  readonly touch: number | null;
}

/** Does a run count as within limits: done, nothing harder than a soft touch, water under the boat and room over it? */
export function withinLimits({ outcome, under, over }: DayRun): boolean {
  return (
    outcome === 'reached' &&
    (under === null || under >= LEAST_UNDER_M) &&
    (over === null || over >= LEAST_OVER_M)
  );
}

/** Plays a manoeuvre at moments of a day, one after the other. */
export function* playDay(
  file: ManoeuvreFile,
  day: Pick<Day, 'hours'>,
  moments: readonly number[],
): Generator<DayRun> {
  const nothing = { outcome: null, why: null, clearance: null, under: null, over: null };
  for (const at of moments) {
    const conditions = conditionsAt(file.conditions, day, at, file.limit_s);
    const input = conditions.ok
      ? toRunInput({ ...file, conditions: conditions.value })
      : conditions;
    if (!input.ok) {
      yield { at, ...nothing, touch: null, why: input.problems[0]!.message };
      continue;
    }
    const { outcome, margins } = runPlan(input.value);
    yield {
      at,
      outcome,
      why: null,
      clearance: margins.clearance?.distance ?? null,
      under: margins.underKeel?.depth ?? null,
      over: margins.overhead?.room ?? null,
      touch: margins.touch?.speed ?? null,
    };
  }
}
