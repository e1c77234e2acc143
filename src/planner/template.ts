import type { Tunable } from '@/core/search';
import type { LineDocument } from '@/document/rigging';
import type {
  StepDocument,
  CueDocument,
  OrderDocument,
  PlanDocument,
  SimpleCue,
} from '@/document/plan';

/** What is open of a template, by name: where it begins, how far it is first moved, and its bounds. */
export type TemplateParameters = Readonly<Record<string, Tunable>>;
/** A number for each of them. */
export type Numbers = Readonly<Record<string, number>>;

/**
 * A technique laid out for one boat, place and day, its numbers still open: the parameters to be fitted, and the plan
 * they make. `write` rounds as a writer would.
 */
export interface PlanTemplate {
  readonly parameters: TemplateParameters;
  /** Id of a step at whose cue most is decided, of a plan that goes on long after: the first tries end there. */
  readonly decided?: string;
  write(numbers: Numbers): PlanDocument;
  /** Near enough what it comes to and quicker to play, for the first tries. */
  rough?(numbers: Numbers): PlanDocument;
}

/** A template whose plan is written from its own parameters by their names. */
export const template = <const P extends TemplateParameters>({
  write,
  ...rest
}: {
  readonly parameters: P;
  readonly decided?: string;
  write(numbers: { readonly [N in keyof P]: number }): PlanDocument;
}): PlanTemplate => ({
  ...rest,
  write: (numbers) => write(numbers as { readonly [N in keyof P]: number }),
});

/** A number for each parameter of a template. */
export const numbersBy = ({ parameters }: PlanTemplate, of: (open: Tunable) => number): Numbers =>
  Object.fromEntries(Object.entries(parameters).map(([name, open]) => [name, of(open)]));

/** The plan as it stands before anything is fitted. */
export const atFirst = (template: PlanTemplate): PlanDocument =>
  template.write(numbersBy(template, ({ value }) => value));

/** Values in the order of a template's parameters, each by its name again: a search knows no names. */
export const named = ({ parameters }: PlanTemplate, values: readonly number[]): Numbers =>
  Object.fromEntries(Object.keys(parameters).map((name, i) => [name, values[i]!]));

/** The same plan, over as one of its steps would begin. */
export function endedAt(plan: PlanDocument, id: string): PlanDocument {
  const last = plan.steps.findIndex((step) => step.id === id);
  if (last < 1) return plan;
  const { cue, within_s } = plan.steps[last]!;
  return { ...plan, steps: plan.steps.slice(0, last), end: { cue, within_s } };
}

export const tunable = (value: number, step: number, least: number, most: number): Tunable => ({
  value: Math.max(least, Math.min(most, value)),
  step,
  least,
  most,
});

export const tenth = (value: number) => Math.round(value * 10) / 10;
export const whole = (value: number) => Math.round(value);
/** Throttle to the nearest twentieth. */
export const twentieth = (value: number) => Math.round(value * 20) / 20;
export const compassOf = (value: number) => ((Math.round(value) % 360) + 360) % 360;

type Gear = 'ahead' | 'neutral' | 'astern';

export const engine = (gear: Gear, throttle = 0, after_s = 0, which?: string): OrderDocument => ({
  do: 'engine',
  after_s,
  ...(which === undefined ? {} : { engine: which }),
  gear,
  throttle: gear === 'neutral' ? 0 : Math.max(0, Math.min(1, twentieth(throttle))),
});

export const wheel = (angle: number, after_s = 0): OrderDocument => ({
  do: 'wheel',
  after_s,
  angle_deg: whole(angle),
});

export const steer = (heading: number, after_s = 0): OrderDocument => ({
  do: 'steer',
  after_s,
  heading_deg: compassOf(heading),
});

export const call = (text: string, after_s = 0): OrderDocument => ({ do: 'call', after_s, text });

export const near = (point: string, mark: string, distance: number): SimpleCue => ({
  is: 'within',
  point,
  mark,
  distance_m: tenth(Math.max(0.1, distance)),
});

/** Either the boat's way is off, or it has been long enough. */
export const wayOff = (seconds: number): CueDocument => ({
  is: 'any',
  of: [{ is: 'stopped' }, { is: 'sternway' }, { is: 'after', time_s: seconds }],
});

/** Turned through so much, or it has been long enough. */
export const turnedOr = (by: number, seconds: number): CueDocument => ({
  is: 'any',
  of: [
    { is: 'turned', by_deg: Math.round(by) || 1 },
    { is: 'after', time_s: tenth(seconds) },
  ],
});

export function step(
  id: string,
  title: string,
  cue: CueDocument,
  orders: OrderDocument[],
  say: string,
  within_s = 120,
): StepDocument {
  return {
    id,
    title,
    cue,
    within_s,
    orders,
    expect: [],
    wayOut: { note: say, automatic: false, orders: [] },
  };
}

/** The last of a way out: what angle there was comes off, and the boat goes steady. */
export const alongOut = (after: number, heading: number): StepDocument =>
  step(
    'along',
    'steady along the way out',
    { is: 'after', time_s: tenth(after) },
    [steer(heading), engine('ahead')],
    'neutral, look round',
  );

/** Over once the last line is on as said; not for ever while it is not. */
export const endOnLine = (
  line: string,
  state: 'on' | 'fast',
  seconds: number,
): PlanDocument['end'] => ({
  cue: {
    is: 'any',
    of: [
      { is: 'line', line, state },
      { is: 'after', time_s: seconds },
    ],
  },
  within_s: 90,
});

export const planOf = (
  steps: StepDocument[],
  end: CueDocument,
  within_s = 60,
  lines: LineDocument[] = [],
  fenders: PlanDocument['fenders'] = [],
  crew: PlanDocument['crew'] = [],
): PlanDocument => ({
  steps,
  end: { cue: end, within_s },
  lines,
  crew,
  fenders,
});
