import type { RunInput, Run } from '../plan';

/** Something in a plan worth a second look, found in how it plays. SI; what `figure` and `limit` are is the rule's. */
export interface Finding {
  readonly rule: RuleName;
  /** Index of the step it belongs to. */
  readonly step: number;
  readonly time: number;
  readonly figure: number;
  readonly limit: number;
  /** Engine or thruster it is about, if there are several. */
  readonly which: string | null;
}

export const RULE_NAMES = [
  'steering late',
  'no pause in neutral',
  'against her way',
  'left in gear',
  'much throttle close in',
  'thruster long on',
  'steps at once',
  'order overtaken',
  'no way out written',
  'crew not there',
  'turned before it opens',
  'unseen from the helm',
] as const;
export type RuleName = (typeof RULE_NAMES)[number];

/** Looks through a run for one kind of mistake. */
export type Rule = (input: RunInput, run: Run) => readonly Finding[];

/** Step running at a moment, by index. */
export function stepAt(run: Run, time: number): number {
  let step = 0;
  for (const mark of run.steps) if (mark.time <= time + 1e-9) step = mark.step;
  return step;
}

/** Index of the first sample at or after a moment. */
export function sampleAt({ trace: { time } }: Run, at: number): number {
  const found = time.findIndex((t) => t >= at - 1e-9);
  return found < 0 ? time.length - 1 : found;
}

/** Only the first of several findings of one rule in one step, for one engine or thruster. */
export function oncePerStep(findings: readonly Finding[]): readonly Finding[] {
  const seen = new Set<string>();
  return findings.filter(({ step, which }) => {
    const key = `${step} ${which}`;
    if (seen.has(key)) return false;
    seen.add(key);
    return true;
  });
}

/** Gear orders of one engine in a run, in the order they were given. */
export interface GearOrder {
  readonly time: number;
  readonly step: number;
  readonly gear: -1 | 0 | 1;
  readonly throttle: number;
}

export function gearOrders(run: Run, engine: number): readonly GearOrder[] {
  return run.events.flatMap((event) => {
    if (event.is !== 'order' || event.order.do !== 'engine') return [];
    if (event.order.engine !== null && event.order.engine !== engine) return [];
    const { gear, throttle } = event.order;
    return [{ time: event.time, step: Math.max(0, event.step), gear, throttle }];
  });
}

/** Name of an engine where there is more than one. */
export function engineName({ boat }: RunInput, engine: number): string | null {
  return boat.drives.length > 1 ? boat.drives[engine]!.name : null;
}
