import type { StepDocument, PlanDocument } from '@/document';
import { tidy } from '../words/units';

/** Edits of a plan; each gives a new one and leaves the old as it was. */

/** An id no step of the plan has yet. */
export function freshStepId(steps: readonly StepDocument[]): string {
  for (let n = steps.length + 1; ; n++) {
    const id = `step-${n}`;
    if (!steps.some((step) => step.id === id)) return id;
  }
}

/** A new step before place `at`, to be filled in: five seconds on, nothing ordered. */
export function addStep(plan: PlanDocument, at: number, id: string): PlanDocument {
  const step: StepDocument = {
    id,
    title: '',
    cue: { is: 'after', time_s: 5 },
    within_s: 60,
    orders: [],
    expect: [],
    wayOut: { note: '', automatic: false, orders: [] },
  };
  return { ...plan, steps: [...plan.steps.slice(0, at), step, ...plan.steps.slice(at)] };
}

/** The same step once more, right after itself. */
export function duplicateStep(plan: PlanDocument, id: string, copyId: string): PlanDocument {
  const at = plan.steps.findIndex((step) => step.id === id);
  const step = plan.steps[at];
  if (!step) return plan;
  const copy = { ...structuredClone(step), id: copyId };
  return { ...plan, steps: [...plan.steps.slice(0, at + 1), copy, ...plan.steps.slice(at + 1)] };
}

/**
 * A step cut in two `seconds` after it began: what was ordered from then on, what was expected by the next step and the
 * way out go with the second.
 */
export function splitStep(
  plan: PlanDocument,
  id: string,
  newId: string,
  seconds: number,
): PlanDocument {
  const at = plan.steps.findIndex((step) => step.id === id);
  const step = plan.steps[at];
  if (!step || seconds <= 0) return plan;
  const early = step.orders.filter(({ after_s }) => after_s < seconds);
  const late = step.orders.filter(({ after_s }) => after_s >= seconds);
  const soon = step.expect.filter((e) => e.at !== 'next' && e.at.after_s < seconds);
  const later = step.expect.filter((e) => !soon.includes(e));
  const second: StepDocument = {
    id: newId,
    title: '',
    cue: { is: 'after', time_s: tidy(seconds, 1) },
    within_s: 60,
    orders: late.map((order) => ({ ...order, after_s: tidy(order.after_s - seconds, 2) })),
    expect: later.map((e) =>
      e.at === 'next' ? e : { ...e, at: { after_s: tidy(e.at.after_s - seconds, 2) } },
    ),
    wayOut: structuredClone(step.wayOut),
  };
  const first = { ...step, orders: early, expect: soon };
  return {
    ...plan,
    steps: [...plan.steps.slice(0, at), first, second, ...plan.steps.slice(at + 1)],
  };
}

/** Without a step; the last one stays, as a plan needs one. */
export function removeStep(plan: PlanDocument, id: string): PlanDocument {
  if (plan.steps.length < 2) return plan;
  const steps = plan.steps.filter((step) => step.id !== id);
  return {
    ...plan,
    // Nothing goes on with a step that is gone.
    steps: steps.map((step) => {
      const { again, ...wayOut } = step.wayOut;
      return again?.step === id ? { ...step, wayOut } : step;
    }),
  };
}

/** A step moved by places, earlier negative. */
export function moveStep(plan: PlanDocument, id: string, by: number): PlanDocument {
  const from = plan.steps.findIndex((step) => step.id === id);
  const to = from + by;
  if (from < 0 || to < 0 || to >= plan.steps.length) return plan;
  const steps = plan.steps.slice();
  const [step] = steps.splice(from, 1);
  steps.splice(to, 0, step!);
  return { ...plan, steps };
}
