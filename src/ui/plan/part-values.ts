import type { Parameter, Parameters } from '@/core/plan';
import { keyOf } from '@/document';
import { lengthFrom, lengthIn, speedFrom, speedIn, tidy, type Units } from '../words/units';

/**
 * The parameters of an order, a cue or an expectation as fields of a form: by their names, in the user's units, each by its
 * kind. One to a side of the boat has an amount and, under NAMESide, the side; what is left out has a value that says so.
 */
export type PartValues = Record<string, string | number>;

type PartDocument = Readonly<Record<string, unknown>>;

/** Stands for a name that is left out; nothing may have an empty name. */
export const ABSENT = ' none';

export type Side = 'port' | 'starboard';

/** An amount to one side as a signed figure. The side has its own field, so the amount has no sign. */
export function sided(amount: number, side: Side): number {
  if (!(amount >= 0)) return NaN;
  return side === 'port' ? -amount : amount;
}

/** What is shown of names that can be given: the first of each kind stands in a fresh row. */
export interface FirstNames {
  readonly thruster: string;
  readonly line: string;
  readonly rope: string;
  readonly anchor: string;
  readonly person: string;
  readonly boat: string;
  readonly lock: string;
  readonly paddle: string;
  readonly mark: string;
  readonly point: string;
  readonly anyPoint: string;
  readonly lineEnd: string;
}

/** What a screen adds to what a parameter's kind says: how fresh ones stand, and which shares have a side. */
export interface PartForm {
  readonly fresh?: PartValues;
  readonly sided?: readonly string[];
}

const isSided = (name: string, p: Parameter, form: PartForm): boolean =>
  (p.kind === 'angle' && p.lateral) || (form.sided?.includes(name) ?? false);

const sideOf = (value: number): Side => (value < 0 ? 'port' : 'starboard');

/** A parameter's value in its field; `undefined` where the document leaves it out. */
function shown(p: Parameter, value: unknown, units: Units): string | number {
  switch (p.kind) {
    case 'share':
      return tidy((value as number) * 100, 1);
    case 'speed':
      return tidy(speedIn(value as number, units.speed));
    case 'distance':
      return tidy(lengthIn(value as number, units.length));
    case 'flag':
      return value === true ? 'yes' : 'no';
    case 'angle':
    case 'heading':
    case 'length':
    case 'time':
    case 'turns':
      return (value as number | undefined) ?? 0;
    default:
      return (value as string | undefined) ?? ABSENT;
  }
}

/** The parameters of a part of a plan as its fields show them. */
export function toValues(
  parameters: Parameters,
  part: object,
  form: PartForm,
  units: Units,
): PartValues {
  const values: PartValues = {};
  for (const [name, p] of Object.entries(parameters)) {
    const field = shown(p, (part as PartDocument)[keyOf(name, p)], units);
    if (isSided(name, p, form)) {
      values[name] = Math.abs(field as number);
      values[`${name}Side`] = sideOf(field as number);
    } else values[name] = field;
  }
  return values;
}

/** What a field says, as the document has it; undefined where it says that there is nothing. */
function given(p: Parameter, value: string | number, units: Units): unknown {
  switch (p.kind) {
    case 'share':
      return (value as number) / 100;
    case 'speed':
      return speedFrom(value as number, units.speed);
    case 'distance':
      return lengthFrom(value as number, units.length);
    case 'flag':
      return value === 'yes';
    case 'length':
      // Nought is as it comes.
      return p.optional && !((value as number) > 0) ? undefined : value;
    default:
      return value === ABSENT ? undefined : value;
  }
}

/** A part of a plan from its fields: every parameter it has a value for. */
export function fromValues(
  parameters: Parameters,
  values: PartValues,
  form: PartForm,
  units: Units,
): PartDocument {
  const part: Record<string, unknown> = {};
  for (const [name, p] of Object.entries(parameters)) {
    const field = values[name]!;
    const value = isSided(name, p, form)
      ? sided(field as number, values[`${name}Side`] as Side)
      : field;
    const said = given(p, value, units);
    if (said !== undefined) part[keyOf(name, p)] = said;
  }
  return part;
}

function freshOf(p: Parameter, first: FirstNames): string | number {
  switch (p.kind) {
    case 'choice':
      return p.fallback ?? p.of[0]!;
    case 'gear':
      return 'neutral';
    case 'flag':
      return p.fallback ? 'yes' : 'no';
    case 'text':
      return '';
    case 'engine':
    case 'hand':
    case 'keeper':
      return ABSENT;
    case 'boat':
      return p.optional ? ABSENT : first.boat;
    case 'turns':
      return p.fallback ?? p.least;
    case 'angle':
    case 'heading':
    case 'share':
    case 'speed':
    case 'distance':
    case 'length':
    case 'time':
      return 0;
    default:
      return first[p.kind];
  }
}

/** Fields of a part just added. What another kind had under the same name stays, where it is of the same kind. */
export function freshValues(parameters: Parameters, form: PartForm, first: FirstNames): PartValues {
  const values: PartValues = {};
  for (const [name, p] of Object.entries(parameters)) {
    values[name] = freshOf(p, first);
    if (isSided(name, p, form)) values[`${name}Side`] = 'starboard';
  }
  return { ...values, ...form.fresh };
}

/** The same with what the fields of another kind said under the same names, where that is of the same kind. */
export function keptValues(
  fresh: PartValues,
  parameters: Parameters,
  before: PartValues,
  had: Parameters,
): PartValues {
  const kept: PartValues = { ...fresh };
  for (const [name, p] of Object.entries(parameters))
    if (had[name]?.kind === p.kind && p.kind !== 'choice') kept[name] = before[name]!;
  return kept;
}

/** What a field may be given, as its user sees it: bounds kept in SI or signed are told otherwise. Null where the document's own words do. */
export function limitsOnScreen(
  name: string,
  p: Parameter,
  form: PartForm,
  units: Units,
): string | null {
  const told = (least: number, most: number, unit: string) =>
    `give a number from ${least} to ${tidy(most, 0)} ${unit}`;
  switch (p.kind) {
    case 'angle':
      return p.lateral ? told(0, p.most, 'degrees') : null;
    case 'share':
      return told(isSided(name, p, form) ? 0 : 100 * p.least, 100 * p.most, '%');
    case 'speed':
      return told(p.least, speedIn(p.most, units.speed), units.speed);
    case 'distance':
      return told(0, lengthIn(p.most, units.length), units.length);
    default:
      return null;
  }
}
