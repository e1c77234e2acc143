import type { FieldErrors, Resolver } from 'react-hook-form';
import { CUES, EXPECTATIONS, ORDERS, type Parameters } from '@/core/plan';
import { check, stepSchema, type Problem, type Result, type StepDocument } from '@/document';
import type { Units } from '../words/units';
import { cueFromForm, cueToForm, viewOfCue, type CueForm } from './cues';
import { expectFrom, expectRow, viewOfExpectation, type ExpectRow } from './expectations';
import { orderFrom, orderRow, viewOfOrder, type OrderRow } from './orders';
import { ABSENT, limitsOnScreen, type PartForm } from './part-values';

/** A step as fields, in the user's units. */
export interface StepForm extends CueForm {
  title: string;
  within: number;
  orders: OrderRow[];
  expect: ExpectRow[];
  note: string;
  automatic: boolean;
  wayOrders: OrderRow[];
  again: AgainForm;
}

/** Round again as fields: from which step; from none where it is absent. */
export interface AgainForm extends CueForm {
  step: string;
  times: number;
  within: number;
}

/** What is asked for first where a way out is to lead round again. */
const ONCE_MORE: NonNullable<StepDocument['wayOut']['again']> = {
  step: ABSENT,
  cue: { is: 'stopped' },
  within_s: 90,
  times: 2,
};

export function againForm(again: StepDocument['wayOut']['again'], units: Units): AgainForm {
  const { step, cue, within_s, times } = again ?? ONCE_MORE;
  return { step, times, within: within_s, ...cueToForm(cue, units) };
}

export function toForm(step: StepDocument, units: Units): StepForm {
  return {
    title: step.title,
    ...cueToForm(step.cue, units),
    within: step.within_s,
    orders: step.orders.map((order) => orderRow(order, units)),
    expect: step.expect.map((expected) => expectRow(expected, units)),
    note: step.wayOut.note,
    automatic: step.wayOut.automatic,
    wayOrders: step.wayOut.orders.map((order) => orderRow(order, units)),
    again: againForm(step.wayOut.again, units),
  };
}

/** The step the fields describe, checked by the document's own schema. */
export function fromForm(id: string, form: StepForm, units: Units): Result<StepDocument> {
  const orders = (rows: readonly OrderRow[]) => rows.map((row) => orderFrom(row, units));
  const { again } = form;
  const round = {
    step: again.step,
    cue: cueFromForm(again, units),
    within_s: again.within,
    times: again.times,
  };
  return check(stepSchema, {
    id,
    title: form.title,
    cue: cueFromForm(form, units),
    within_s: form.within,
    orders: orders(form.orders),
    expect: form.expect.map((row) => expectFrom(row, units)),
    wayOut: {
      note: form.note,
      automatic: form.automatic,
      orders: orders(form.wayOrders),
      ...(again.step === ABSENT ? {} : { again: round }),
    },
  });
}

/** Keys of a row that are fields of its own, not of what it says. */
const OWN: Readonly<Record<string, string>> = { after_s: 'after', do: 'do', is: 'is' };

/** The field of a row that a key of the document stands in: `angle_deg` → `values.angle`. */
const fieldIn = (key: string) => OWN[key] ?? `values.${key.replace(/_(deg|mps|m|s)$/, '')}`;

/** The field a document path is about: `orders[1].angle_deg` → `orders.1.values.angle`. */
export function fieldOf(path: string): string {
  const keys = path.split(/[.[\]]+/).filter(Boolean);
  if (keys[0] === 'within_s') return 'within';
  if (keys[0] === 'wayOut' && keys[1] === 'again')
    return `again.${fieldOf(keys.slice(2).join('.'))}`;
  if (keys[0] === 'cue') {
    const row = keys[1] === 'of' ? (keys[2] ?? '0') : '0';
    const leaf = keys.at(-1)!;
    return leaf === row || leaf === 'cue' || leaf === 'of'
      ? `cues.${row}.is`
      : `cues.${row}.${fieldIn(leaf)}`;
  }
  if (keys[0] === 'wayOut') {
    if (keys[1] !== 'orders') return keys[1] ?? 'note';
    keys.splice(0, 2, 'wayOrders');
  }
  const [list, row, ...rest] = keys;
  const leaf = rest.filter((key) => key !== 'at').at(-1);
  if (leaf === undefined) return [list, row].filter((key) => key !== undefined).join('.');
  return `${list}.${row}.${fieldIn(leaf)}`;
}

/** What a row of the form says, and how it looks. */
function partAt(
  form: StepForm,
  list: string,
  row: number,
): { readonly parameters: Parameters; readonly view: PartForm } | null {
  if (list === 'cues') {
    const cue = form.cues[row];
    return cue ? { parameters: CUES[cue.is].parameters, view: viewOfCue(cue.is) } : null;
  }
  if (list === 'expect') {
    const one = form.expect[row];
    return one
      ? { parameters: EXPECTATIONS[one.is].parameters, view: viewOfExpectation(one.is) }
      : null;
  }
  if (list !== 'orders' && list !== 'wayOrders') return null;
  const order = form[list][row];
  return order ? { parameters: ORDERS[order.do].parameters, view: viewOfOrder(order.do) } : null;
}

/** A field kept in SI or signed, but shown otherwise: its limits as the user sees them. */
function limitOnScreen(field: string, form: StepForm, units: Units): string | null {
  const [list, row, , name] = field.replace(/^again\./, '').split('.');
  const within = field.startsWith('again.') ? { ...form, ...form.again } : form;
  const part = name === undefined ? null : partAt(within, list!, Number(row));
  const parameter = part?.parameters[name!];
  return part && parameter ? limitsOnScreen(name!, parameter, part.view, units) : null;
}

/** Problems as react-hook-form keeps them: a tree by field. */
export function errorTree(
  problems: readonly Problem[],
  form: StepForm,
  units: Units,
): FieldErrors<StepForm> {
  const tree: Record<string, unknown> = {};
  for (const { path, message: given } of problems) {
    const field = fieldOf(path);
    const keys = field.split('.');
    // Only what is out of range is told anew; other reasons stand as they are.
    const onScreen = given.startsWith('give a number') ? limitOnScreen(field, form, units) : null;
    const message = onScreen ?? given;
    let node = tree;
    keys.slice(0, -1).forEach((key) => {
      node[key] ??= {};
      node = node[key] as Record<string, unknown>;
    });
    node[keys.at(-1)!] ??= { type: 'invalid', message };
  }
  return tree as FieldErrors<StepForm>;
}

export function stepResolver(id: string, units: Units): Resolver<StepForm> {
  return (form) => {
    const step = fromForm(id, form, units);
    return step.ok
      ? { values: form, errors: {} }
      : { values: {}, errors: errorTree(step.problems, form, units) };
  };
}
