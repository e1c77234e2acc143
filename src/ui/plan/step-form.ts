import type { FieldErrors, Resolver } from 'react-hook-form';
import {
  stepSchema,
  check,
  MOST_CLEARANCE_M,
  MOST_CUE_DISTANCE_M,
  MOST_CUE_SPEED_MPS,
  MOST_RUDDER_DEG,
  MOST_TURN_DEG,
  type StepDocument,
  type Problem,
  type Result,
} from '@/document';
import { lengthIn, speedIn, tidy, type Units } from '../words/units';
import { cueFromForm, cueToForm, type CueForm, type CueRow } from './cue-rows';
import { expectFrom, expectRow, type ExpectRow } from './expect-rows';
import { orderFrom, orderRow, type OrderRow } from './order-rows';

/** A step as fields, in the user's units. */
export interface StepForm extends CueForm {
  title: string;
  within: number;
  orders: OrderRow[];
  expect: ExpectRow[];
  note: string;
  automatic: boolean;
  wayOrders: OrderRow[];
}

export function toForm(
  step: StepDocument,
  fresh: { cue: CueRow; expect: ExpectRow },
  units: Units,
): StepForm {
  return {
    title: step.title,
    ...cueToForm(step.cue, fresh.cue, units),
    within: step.within_s,
    orders: step.orders.map(orderRow),
    expect: step.expect.map((e) => expectRow(e, fresh.expect, units)),
    note: step.wayOut.note,
    automatic: step.wayOut.automatic,
    wayOrders: step.wayOut.orders.map(orderRow),
  };
}

/** The step the fields describe, checked by the document's own schema. */
export function fromForm(id: string, form: StepForm, units: Units): Result<StepDocument> {
  return check(stepSchema, {
    id,
    title: form.title,
    cue: cueFromForm(form, units),
    within_s: form.within,
    orders: form.orders.map(orderFrom),
    expect: form.expect.map((row) => expectFrom(row, units)),
    wayOut: { note: form.note, automatic: form.automatic, orders: form.wayOrders.map(orderFrom) },
  });
}

const FIELD_OF: Readonly<Record<string, string>> = {
  heading_deg: 'heading',
  time_s: 'seconds',
  by_deg: 'turned',
  speed_mps: 'speed',
  distance_m: 'distance',
  within_m: 'distance',
  after_s: 'after',
  angle_deg: 'angle',
  within_deg: 'headingWithin',
  least_mps: 'least',
  most_mps: 'most',
  least_m: 'clear',
  length_m: 'metres',
};

/** The field a document path is about: `orders[1].angle_deg` → `orders.1.angle`. */
export function fieldOf(path: string): string {
  const keys = path.split(/[.[\]]+/).filter(Boolean);
  if (keys[0] === 'within_s') return 'within';
  if (keys[0] === 'cue') {
    const row = keys[1] === 'of' ? (keys[2] ?? '0') : '0';
    const leaf = keys.at(-1)!;
    return `cues.${row}.${FIELD_OF[leaf] ?? leaf}`;
  }
  if (keys[0] === 'wayOut') {
    if (keys[1] !== 'orders') return keys[1] ?? 'note';
    keys.splice(0, 2, 'wayOrders');
  }
  return keys
    .filter((key) => key !== 'at')
    .map((key) => FIELD_OF[key] ?? key)
    .join('.');
}

/** Fields kept in SI or signed, but shown otherwise: their limits as the user sees them. */
function limitOnScreen(field: string, units: Units): string | null {
  const told = (least: number, most: number, unit: string) =>
    `give a number from ${least} to ${tidy(most, 0)} ${unit}`;
  switch (field) {
    case 'speed':
    case 'least':
    case 'most':
      return told(0, speedIn(MOST_CUE_SPEED_MPS, units.speed), units.speed);
    case 'distance':
      return told(0, lengthIn(MOST_CUE_DISTANCE_M, units.length), units.length);
    case 'clear':
      return told(0, lengthIn(MOST_CLEARANCE_M, units.length), units.length);
    case 'angle':
      return told(0, MOST_RUDDER_DEG, 'degrees');
    case 'turned':
      return told(0, MOST_TURN_DEG, 'degrees');
    case 'throttle':
      return told(0, 100, '% above idle');
    case 'power':
      return told(0, 100, '%');
    case 'ahead':
    case 'sideways':
    case 'twist':
      return told(-100, 100, '%');
    default:
      return null;
  }
}

/** Problems as react-hook-form keeps them: a tree by field. */
export function errorTree(problems: readonly Problem[], units: Units): FieldErrors<StepForm> {
  const tree: Record<string, unknown> = {};
  for (const { path, message: given } of problems) {
    const keys = fieldOf(path).split('.');
    // Only what is out of range is told anew; other reasons stand as they are.
    const onScreen = given.startsWith('give a number') ? limitOnScreen(keys.at(-1)!, units) : null;
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
      : { values: {}, errors: errorTree(step.problems, units) };
  };
}
