import type { PassHow, TendHow } from '@/core/plan';
import type { OrderDocument } from '@/document';
import { tidy } from '../words/units';
import { sided } from './sided';

type HandsDocument = Extract<
  OrderDocument,
  {
    do:
      | 'pass'
      | 'tend'
      | 'letGo'
      | 'anchor'
      | 'stepAshore'
      | 'stepAboard'
      | 'go'
      | 'paddle'
      | 'gates';
  }
>;

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
  /** Degrees to steer, or the mark to steer for. */
  heading: number;
  mark: string;
  first: 'bow' | 'stern';
  text: string;
  /** A line's name, what it is made on to, how it is passed, how it is tended. */
  line: string;
  end: string;
  how: PassHow;
  tend: TendHow;
  /** Somebody's name, or ANYBODY. */
  by: string;
  /** Metres of line; nought for as it comes. */
  metres: number;
  turns: number;
  winch: 'hand' | 'winch';
  anchor: 'drop' | 'weigh';
  /** Point aboard to go to or step to. */
  point: string;
  /** A lock's name, a paddle of it and how far it is to be up, percent; or which of its gates. */
  lock: string;
  paddle: string;
  up: number;
  gateEnd: 'upper' | 'lower';
  leaf: 'both' | 'left' | 'right';
  gatesTo: 'open' | 'shut';
  /** Another boat by her name; does she keep a heading? */
  boat: string;
  keeps: 'a heading' | 'a mark' | 'no heading';
}

/** Stands for whoever is at hand; nobody may have an empty name. */
export const ANYBODY = ' anybody';

/** Stands for every engine at once; no boat's engine may have an empty name. */
export const ALL_ENGINES = ' all';

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
    heading: 0,
    mark: '',
    first: 'bow',
    text: '',
    line: '',
    end: '',
    how: 'drop',
    tend: 'fast',
    by: ANYBODY,
    metres: 0,
    turns: 1.5,
    winch: 'hand',
    anchor: 'drop',
    point: '',
    lock: '',
    paddle: '',
    up: 50,
    gateEnd: 'lower',
    leaf: 'both',
    gatesTo: 'open',
    boat: '',
    keeps: 'a heading',
  };
}

export function orderRow(order: OrderDocument): OrderRow {
  const row = { ...freshOrder(order.do), after: order.after_s };
  if (order.do === 'wheel') {
    const side = order.angle_deg < 0 ? 'port' : 'starboard';
    return { ...row, angle: Math.abs(order.angle_deg), side };
  }
  if (order.do === 'steer') return { ...row, heading: order.heading_deg };
  if (order.do === 'steerFor') return { ...row, mark: order.mark, first: order.first };
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
  if (order.do === 'call') return { ...row, text: order.text };
  if (order.do === 'signal') return row;
  if (order.do === 'other')
    return {
      ...row,
      boat: order.boat,
      gear: order.gear,
      throttle: tidy(order.throttle * 100, 1),
      keeps:
        order.mark !== undefined
          ? 'a mark'
          : order.heading_deg === undefined
            ? 'no heading'
            : 'a heading',
      heading: order.heading_deg ?? 0,
      mark: order.mark ?? row.mark,
    };
  return handsRow(row, order);
}

function handsRow(row: OrderRow, order: HandsDocument): OrderRow {
  const who = { ...row, by: order.by ?? ANYBODY };
  switch (order.do) {
    case 'pass': {
      const { line, to, how, length_m } = order;
      return { ...who, line, end: to, how, metres: length_m ?? 0 };
    }
    case 'tend': {
      const { line, how, length_m, turns, winch } = order;
      const metres = length_m ?? 0;
      return { ...who, line, tend: how, metres, turns, winch: winch ? 'winch' : 'hand' };
    }
    case 'letGo':
      return { ...who, line: order.line };
    case 'anchor':
      return { ...who, line: order.line, anchor: order.how, metres: order.length_m ?? 0 };
    case 'stepAshore':
      return { ...who, mark: order.mark };
    case 'stepAboard':
    case 'go':
      return { ...who, point: order.point };
    case 'paddle':
      return { ...who, lock: order.lock, paddle: order.paddle, up: tidy(order.to * 100, 1) };
    case 'gates': {
      const { lock, end, leaf, to } = order;
      return { ...who, lock, gateEnd: end, leaf, gatesTo: to };
    }
  }
}

function handsFrom(row: OrderRow & { do: HandsDocument['do'] }): HandsDocument {
  const after_s = row.after;
  const by = row.by === ANYBODY ? {} : { by: row.by };
  const length = row.metres > 0 ? { length_m: row.metres } : {};
  switch (row.do) {
    case 'pass':
      return { do: 'pass', after_s, line: row.line, to: row.end, how: row.how, ...by, ...length };
    case 'tend': {
      const { line, tend: how, turns } = row;
      const winch = row.winch === 'winch';
      return { do: 'tend', after_s, line, how, ...by, ...length, turns, winch };
    }
    case 'letGo':
      return { do: 'letGo', after_s, line: row.line, ...by };
    case 'anchor': {
      const out = row.anchor === 'drop' ? length : {};
      return { do: 'anchor', after_s, line: row.line, how: row.anchor, ...by, ...out };
    }
    case 'stepAshore':
      return { do: row.do, after_s, by: row.by, mark: row.mark };
    case 'stepAboard':
    case 'go':
      return { do: row.do, after_s, by: row.by, point: row.point };
    case 'paddle':
      return { do: 'paddle', after_s, lock: row.lock, paddle: row.paddle, to: row.up / 100, ...by };
    case 'gates': {
      const { lock, gateEnd: end, leaf, gatesTo: to } = row;
      return { do: 'gates', after_s, lock, end, leaf, to, ...by };
    }
  }
}

export function orderFrom(row: OrderRow): OrderDocument {
  const after_s = row.after;
  if (row.do === 'wheel') {
    return { do: 'wheel', after_s, angle_deg: sided(row.angle, row.side) };
  }
  if (row.do === 'steer') return { do: 'steer', after_s, heading_deg: row.heading };
  if (row.do === 'steerFor') return { do: 'steerFor', after_s, mark: row.mark, first: row.first };
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
  if (row.do === 'call') return { do: 'call', after_s, text: row.text };
  if (row.do === 'signal') return { do: 'signal', after_s };
  if (row.do === 'other') {
    const throttle = row.gear === 'neutral' ? 0 : row.throttle / 100;
    const steers =
      row.keeps === 'a heading'
        ? { heading_deg: row.heading }
        : row.keeps === 'a mark'
          ? { mark: row.mark }
          : {};
    return { do: 'other', after_s, boat: row.boat, gear: row.gear, throttle, ...steers };
  }
  return handsFrom({ ...row, do: row.do });
}
