import {
  check,
  crewSchema,
  hungSchema,
  linesSchema,
  success,
  type StepDocument,
  type CueDocument,
  type LineDocument,
  type OrderDocument,
  type PersonDocument,
  type Result,
  type PlanDocument,
} from '@/document';

export type Fender = PlanDocument['fenders'][number];
type What = 'line' | 'by';

function renamedIn<T extends object>(part: T, what: What, from: string, to: string): T {
  const held = part as T & Partial<Record<What, string>>;
  return held[what] === from ? { ...part, [what]: to } : part;
}

function renamedCue(cue: CueDocument, from: string, to: string): CueDocument {
  if (cue.is === 'any' || cue.is === 'all')
    return { ...cue, of: cue.of.map((part) => renamedIn(part, 'line', from, to)) };
  return renamedIn(cue, 'line', from, to);
}

/** The same plan with a line or somebody of the crew called otherwise, wherever a step names them. */
function renamed(plan: PlanDocument, what: What, from: string, to: string): PlanDocument {
  const order = (one: OrderDocument) => renamedIn(one, what, from, to);
  const cue = (one: CueDocument) => (what === 'line' ? renamedCue(one, from, to) : one);
  return {
    ...plan,
    steps: plan.steps.map((step): StepDocument => ({
      ...step,
      cue: cue(step.cue),
      orders: step.orders.map(order),
      expect: step.expect.map((e) => (what === 'line' ? renamedIn(e, 'line', from, to) : e)),
      wayOut: { ...step.wayOut, orders: step.wayOut.orders.map(order) },
    })),
    end: { ...plan.end, cue: cue(plan.end.cue) },
  };
}

/** Number of the first step that names a line or somebody, counted from 1; null for none. The end is the one after. */
export function stepNaming({ steps, end }: PlanDocument, what: What, name: string): number | null {
  const names = (part: object) => (part as Partial<Record<What, string>>)[what] === name;
  const cueNames = (cue: CueDocument) =>
    cue.is === 'any' || cue.is === 'all' ? cue.of.some(names) : names(cue);
  const found = steps.findIndex(
    (step) =>
      cueNames(step.cue) ||
      [...step.orders, ...step.expect, ...step.wayOut.orders].some((part) => names(part)),
  );
  if (found >= 0) return found + 1;
  return cueNames(end.cue) ? steps.length + 1 : null;
}

function replaced<T>(list: readonly T[], index: number, next: T | null): T[] {
  return next === null
    ? list.filter((_, i) => i !== index)
    : list.map((one, i) => (i === index ? next : one));
}

/** A line changed, or taken out with null; a new name goes through the whole plan. */
export function withLine(
  plan: PlanDocument,
  index: number,
  next: LineDocument | null,
): Result<PlanDocument> {
  const lines = check(linesSchema, replaced(plan.lines, index, next));
  if (!lines.ok) return lines;
  const from = plan.lines[index]!.name;
  const to = lines.value[index]?.name;
  const named = next && to && to !== from ? renamed(plan, 'line', from, to) : plan;
  return success({ ...named, lines: lines.value });
}

export function withPerson(
  plan: PlanDocument,
  index: number,
  next: PersonDocument | null,
): Result<PlanDocument> {
  const crew = check(crewSchema, replaced(plan.crew, index, next));
  if (!crew.ok) return crew;
  const from = plan.crew[index]!.name;
  const to = crew.value[index]?.name;
  const named = next && to && to !== from ? renamed(plan, 'by', from, to) : plan;
  return success({ ...named, crew: crew.value });
}

/** A fender hung, changed, or taken in with null. */
export function withFender(
  plan: PlanDocument,
  index: number,
  next: Fender | null,
): Result<PlanDocument> {
  const list = index < plan.fenders.length ? plan.fenders : [...plan.fenders, next!];
  const fenders = check(hungSchema, replaced(list, index, next));
  return fenders.ok ? success({ ...plan, fenders: fenders.value }) : fenders;
}

/** A name not used yet: "bow line", "bow line 2". */
export function freshName(taken: readonly { readonly name: string }[], wish: string): string {
  const used = new Set(taken.map(({ name }) => name));
  if (!used.has(wish)) return wish;
  let n = 2;
  while (used.has(`${wish} ${n}`)) n += 1;
  return `${wish} ${n}`;
}

/** A fender for where the boat may touch: at the shoulder, of a size for it. */
export function freshFender(plan: PlanDocument, length: number): Fender {
  const diameter_m = Math.max(0.2, Math.round(0.25 * length) / 10);
  return {
    name: freshName(plan.fenders, 'roving fender'),
    x_m: Math.round(0.4 * length * 10) / 10,
    side: 'port',
    diameter_m,
    length_m: Math.round(3 * diameter_m * 10) / 10,
    pressure_kPa: 15,
    loss_spm: 1,
  };
}
