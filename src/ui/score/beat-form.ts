import type { FieldErrors, Resolver } from 'react-hook-form';
import {
  beatSchema,
  check,
  MOST_CLEARANCE_M,
  MOST_CUE_DISTANCE_M,
  MOST_CUE_SPEED_MPS,
  MOST_RUDDER_DEG,
  MOST_TURN_DEG,
  type BeatDocument,
  type CueDocument,
  type ExpectationDocument,
  type OrderDocument,
  type Problem,
  type Result,
  type SimpleCue,
} from '@/document';
import { lengthFrom, lengthIn, speedFrom, speedIn, tidy, type Units } from '../words/units';

/** One cue as a row of fields: every kind's fields side by side, in the user's units. */
export interface CueRow {
  is: SimpleCue['is'];
  seconds: number;
  heading: number;
  turned: number;
  side: 'port' | 'starboard';
  speed: number;
  over: 'water' | 'ground';
  compare: 'below' | 'above';
  point: string;
  mark: string;
  distance: number;
}

export interface OrderRow {
  do: OrderDocument['do'];
  after: number;
  angle: number;
  side: 'port' | 'starboard';
  gear: 'ahead' | 'neutral' | 'astern';
  /** Percent. */
  throttle: number;
  /** Name of one engine, or ALL_ENGINES. */
  engine: string;
  thruster: string;
  /** Percent, of a thruster to `side`. */
  power: number;
  /** Percent of what she can do under a joystick; astern, port and bow to port negative. */
  ahead: number;
  sideways: number;
  twist: number;
  text: string;
}

/** Stands for every engine at once; no boat's engine may have an empty name. */
export const ALL_ENGINES = ' all';

export interface ExpectRow {
  is: ExpectationDocument['is'];
  at: 'next' | 'after';
  after: number;
  heading: number;
  headingWithin: number;
  over: 'water' | 'ground';
  least: number;
  most: number;
  to: 'port' | 'starboard';
  clear: number;
  point: string;
  mark: string;
  distance: number;
}

export interface BeatForm {
  title: string;
  join: 'only' | 'any' | 'all';
  cues: CueRow[];
  within: number;
  orders: OrderRow[];
  expect: ExpectRow[];
  say: string;
  take: boolean;
  wayOrders: OrderRow[];
}

export function freshCue(point: string, mark: string): CueRow {
  return {
    is: 'after',
    seconds: 5,
    heading: 0,
    turned: 30,
    side: 'starboard',
    speed: 1,
    over: 'water',
    compare: 'below',
    point,
    mark,
    distance: 10,
  };
}

export function freshOrder(kind: OrderDocument['do']): OrderRow {
  return {
    do: kind,
    after: 0,
    angle: 0,
    side: 'starboard',
    gear: 'neutral',
    throttle: 0,
    engine: ALL_ENGINES,
    thruster: '',
    power: 100,
    ahead: 0,
    sideways: 0,
    twist: 0,
    text: '',
  };
}

export function freshExpect(point: string, mark: string): ExpectRow {
  return {
    is: 'clear',
    at: 'next',
    after: 5,
    heading: 0,
    headingWithin: 10,
    over: 'water',
    least: 0,
    most: 3,
    to: 'starboard',
    clear: 1,
    point,
    mark,
    distance: 2,
  };
}

function cueRow(cue: SimpleCue, fresh: CueRow, units: Units): CueRow {
  const row = { ...fresh, is: cue.is };
  switch (cue.is) {
    case 'after':
      return { ...row, seconds: cue.seconds };
    case 'heading':
      return { ...row, heading: cue.heading_deg };
    case 'turned':
      return { ...row, turned: Math.abs(cue.by_deg), side: cue.by_deg < 0 ? 'port' : 'starboard' };
    case 'speed':
      return {
        ...row,
        over: cue.over,
        compare: cue.compare,
        speed: tidy(speedIn(cue.speed_mps, units.speed)),
      };
    case 'abeam':
      return { ...row, point: cue.point, mark: cue.mark };
    case 'within':
      return {
        ...row,
        point: cue.point,
        mark: cue.mark,
        distance: tidy(lengthIn(cue.distance_m, units.length)),
      };
    default:
      return row;
  }
}

/** An amount to one side as a signed figure. The side has its own field, so the amount has no sign. */
function sided(amount: number, side: 'port' | 'starboard'): number {
  if (!(amount >= 0)) return NaN;
  return side === 'port' ? -amount : amount;
}

function cueFrom(row: CueRow, units: Units): SimpleCue {
  switch (row.is) {
    case 'after':
      return { is: 'after', seconds: row.seconds };
    case 'heading':
      return { is: 'heading', heading_deg: row.heading };
    case 'turned':
      return { is: 'turned', by_deg: sided(row.turned, row.side) };
    case 'speed':
      return {
        is: 'speed',
        over: row.over,
        compare: row.compare,
        speed_mps: speedFrom(row.speed, units.speed),
      };
    case 'abeam':
      return { is: 'abeam', point: row.point, mark: row.mark };
    case 'within':
      return {
        is: 'within',
        point: row.point,
        mark: row.mark,
        distance_m: lengthFrom(row.distance, units.length),
      };
    default:
      return { is: row.is };
  }
}

export function cueToForm(
  cue: CueDocument,
  fresh: CueRow,
  units: Units,
): Pick<BeatForm, 'join' | 'cues'> {
  if (cue.is === 'any' || cue.is === 'all') {
    return { join: cue.is, cues: cue.of.map((part) => cueRow(part, fresh, units)) };
  }
  return { join: 'only', cues: [cueRow(cue, fresh, units)] };
}

export function cueFromForm({ join, cues }: Pick<BeatForm, 'join' | 'cues'>, units: Units) {
  const parts = cues.map((row) => cueFrom(row, units));
  return join === 'only' ? parts[0] : { is: join, of: parts };
}

function orderRow(order: OrderDocument): OrderRow {
  const row = { ...freshOrder(order.do), after: order.after_s };
  if (order.do === 'wheel') {
    const side = order.angle_deg < 0 ? 'port' : 'starboard';
    return { ...row, angle: Math.abs(order.angle_deg), side };
  }
  if (order.do === 'engine') {
    const engine = order.engine ?? ALL_ENGINES;
    return { ...row, engine, gear: order.gear, throttle: tidy(order.throttle * 100, 1) };
  }
  if (order.do === 'thruster') {
    const side = order.power < 0 ? 'port' : 'starboard';
    return { ...row, thruster: order.thruster, side, power: tidy(Math.abs(order.power) * 100, 1) };
  }
  if (order.do === 'joystick') {
    const percent = (share: number) => tidy(share * 100, 1);
    return {
      ...row,
      ahead: percent(order.ahead),
      sideways: percent(order.sideways),
      twist: percent(order.twist),
    };
  }
  return { ...row, text: order.text };
}

function orderFrom(row: OrderRow): OrderDocument {
  const after_s = row.after;
  if (row.do === 'wheel') {
    return { do: 'wheel', after_s, angle_deg: sided(row.angle, row.side) };
  }
  if (row.do === 'engine') {
    const throttle = row.gear === 'neutral' ? 0 : row.throttle / 100;
    const engine = row.engine === ALL_ENGINES ? {} : { engine: row.engine };
    return { do: 'engine', after_s, ...engine, gear: row.gear, throttle };
  }
  if (row.do === 'thruster') {
    return {
      do: 'thruster',
      after_s,
      thruster: row.thruster,
      power: sided(row.power, row.side) / 100,
    };
  }
  if (row.do === 'joystick') {
    const { ahead, sideways, twist } = row;
    return {
      do: 'joystick',
      after_s,
      ahead: ahead / 100,
      sideways: sideways / 100,
      twist: twist / 100,
    };
  }
  return { do: 'call', after_s, text: row.text };
}

function expectRow(e: ExpectationDocument, fresh: ExpectRow, units: Units): ExpectRow {
  const row: ExpectRow = {
    ...fresh,
    is: e.is,
    at: e.at === 'next' ? 'next' : 'after',
    after: e.at === 'next' ? fresh.after : e.at.after_s,
  };
  switch (e.is) {
    case 'heading':
      return { ...row, heading: e.heading_deg, headingWithin: e.within_deg };
    case 'speed':
      return {
        ...row,
        over: e.over,
        least: tidy(speedIn(e.least_mps, units.speed)),
        most: tidy(speedIn(e.most_mps, units.speed)),
      };
    case 'turning':
      return { ...row, to: e.to };
    case 'clear':
      return { ...row, clear: tidy(lengthIn(e.least_m, units.length)) };
    case 'near':
      return {
        ...row,
        point: e.point,
        mark: e.mark,
        distance: tidy(lengthIn(e.within_m, units.length)),
      };
  }
}

function expectFrom(row: ExpectRow, units: Units): ExpectationDocument {
  const at = row.at === 'next' ? 'next' : { after_s: row.after };
  switch (row.is) {
    case 'heading':
      return { is: 'heading', at, heading_deg: row.heading, within_deg: row.headingWithin };
    case 'speed':
      return {
        is: 'speed',
        at,
        over: row.over,
        least_mps: speedFrom(row.least, units.speed),
        most_mps: speedFrom(row.most, units.speed),
      };
    case 'turning':
      return { is: 'turning', at, to: row.to };
    case 'clear':
      return { is: 'clear', at, least_m: lengthFrom(row.clear, units.length) };
    case 'near':
      return {
        is: 'near',
        at,
        point: row.point,
        mark: row.mark,
        within_m: lengthFrom(row.distance, units.length),
      };
  }
}

export function toForm(
  beat: BeatDocument,
  fresh: { cue: CueRow; expect: ExpectRow },
  units: Units,
): BeatForm {
  return {
    title: beat.title,
    ...cueToForm(beat.cue, fresh.cue, units),
    within: beat.within_s,
    orders: beat.orders.map(orderRow),
    expect: beat.expect.map((e) => expectRow(e, fresh.expect, units)),
    say: beat.wayOut.say,
    take: beat.wayOut.take,
    wayOrders: beat.wayOut.orders.map(orderRow),
  };
}

/** The beat the fields describe, checked by the document's own schema. */
export function fromForm(id: string, form: BeatForm, units: Units): Result<BeatDocument> {
  return check(beatSchema, {
    id,
    title: form.title,
    cue: cueFromForm(form, units),
    within_s: form.within,
    orders: form.orders.map(orderFrom),
    expect: form.expect.map((row) => expectFrom(row, units)),
    wayOut: { say: form.say, take: form.take, orders: form.wayOrders.map(orderFrom) },
  });
}

const FIELD_OF: Readonly<Record<string, string>> = {
  heading_deg: 'heading',
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
    if (keys[1] !== 'orders') return keys[1] ?? 'say';
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
export function errorTree(problems: readonly Problem[], units: Units): FieldErrors<BeatForm> {
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
  return tree as FieldErrors<BeatForm>;
}

export function beatResolver(id: string, units: Units): Resolver<BeatForm> {
  return (form) => {
    const beat = fromForm(id, form, units);
    return beat.ok
      ? { values: form, errors: {} }
      : { values: {}, errors: errorTree(beat.problems, units) };
  };
}
