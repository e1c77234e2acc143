import type { OrderDocument } from '@/document';
import { tidy } from '../words/units';
import { sided } from './sided';

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
  text: string;
}

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
    text: '',
  };
}

export function orderRow(order: OrderDocument): OrderRow {
  const row = { ...freshOrder(order.do), after: order.after_s };
  if (order.do === 'wheel') {
    const side = order.angle_deg < 0 ? 'port' : 'starboard';
    return { ...row, angle: Math.abs(order.angle_deg), side };
  }
  if (order.do === 'steer') return { ...row, heading: order.heading_deg };
  if (order.do === 'steerFor') return { ...row, mark: order.mark };
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

export function orderFrom(row: OrderRow): OrderDocument {
  const after_s = row.after;
  if (row.do === 'wheel') {
    return { do: 'wheel', after_s, angle_deg: sided(row.angle, row.side) };
  }
  if (row.do === 'steer') return { do: 'steer', after_s, heading_deg: row.heading };
  if (row.do === 'steerFor') return { do: 'steerFor', after_s, mark: row.mark };
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
