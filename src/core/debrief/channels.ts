import type { DriveInput } from '../drive';
import type { LockOrder } from '../locks';
import type { Order } from '../plan';

/** What an order is given to: orders to one thing follow one another, and only those are held against each other. */
export type Channel =
  | { readonly of: 'wheel' }
  | { readonly of: 'engine'; readonly engine: number | null }
  | { readonly of: 'thruster'; readonly thruster: number }
  | { readonly of: 'joystick' }
  | { readonly of: 'line'; readonly line: number }
  | { readonly of: 'person'; readonly who: number }
  /** A paddle of a lock by its number, or gates by their end and leaf. */
  | { readonly of: 'lock'; readonly lock: number; readonly what: string };

/** The channel of an order; null for what is only called. */
export function channelOf(order: Order): Channel | null {
  switch (order.do) {
    case 'wheel':
    case 'steer':
    case 'steerFor':
      return { of: 'wheel' };
    case 'engine':
      return { of: 'engine', engine: order.engine };
    case 'thruster':
      return { of: 'thruster', thruster: order.thruster };
    case 'joystick':
      return { of: 'joystick' };
    case 'call':
    case 'other':
    case 'signal':
      return null;
    case 'lock':
      return { of: 'lock', lock: order.lock, what: lockPart(order.order) };
    case 'pass':
    case 'tend':
    case 'letGo':
    case 'anchor':
      return { of: 'line', line: order.line };
    case 'stepAshore':
    case 'stepAboard':
    case 'go':
      return { of: 'person', who: order.by };
  }
}

function lockPart(order: LockOrder): string {
  return order.do === 'wind' ? `paddle ${order.paddle}` : `${order.end} ${order.leaf ?? 'both'}`;
}

const keyOf = (channel: Channel) => Object.values(channel).join(':');

/** Are two orders given to the same thing? */
export function sameChannel(a: Order, b: Order): boolean {
  const one = channelOf(a);
  const two = channelOf(b);
  return one !== null && two !== null && keyOf(one) === keyOf(two);
}

/** Steps within which orders to one thing are one movement of the hand. */
const ONE_HAND = 5;

/** How far two orders are from meaning the same: nought the same, Infinity never the same thing. */
export function unlike(a: Order, b: Order): number {
  if (a.do !== b.do) return Infinity;
  switch (a.do) {
    case 'wheel':
      return b.do === 'wheel' ? Math.abs(a.angle - b.angle) : Infinity;
    case 'engine':
      return b.do === 'engine' && a.gear === b.gear ? Math.abs(a.throttle - b.throttle) : Infinity;
    case 'thruster':
      return b.do === 'thruster' && Math.sign(a.power) === Math.sign(b.power)
        ? Math.abs(a.power - b.power)
        : Infinity;
    case 'joystick':
      return b.do === 'joystick'
        ? Math.abs(a.surge - b.surge) + Math.abs(a.sway - b.sway) + Math.abs(a.yaw - b.yaw)
        : Infinity;
    case 'pass':
    case 'tend':
    case 'anchor':
      return 'how' in b && a.how === b.how ? 0 : Infinity;
    case 'lock':
      return b.do === 'lock' ? unlikeLock(a.order, b.order) : Infinity;
    default:
      return 0;
  }
}

function unlikeLock(a: LockOrder, b: LockOrder): number {
  if (a.do === 'wind' && b.do === 'wind') return Math.abs(a.to - b.to);
  return a.do === b.do && a.to === b.to ? 0 : Infinity;
}

/** Inputs by what they are given to; of one movement of the hand only where it came to rest, when it began. */
export function byChannel(
  inputs: readonly DriveInput[],
): ReadonlyMap<string, { readonly channel: Channel; readonly inputs: readonly DriveInput[] }> {
  const map = new Map<string, { channel: Channel; inputs: DriveInput[]; last: number }>();
  for (const input of inputs) {
    const channel = channelOf(input.order);
    if (!channel) continue;
    const key = keyOf(channel);
    const so = map.get(key) ?? { channel, inputs: [], last: -Infinity };
    const before = so.inputs.at(-1);
    const sameHand =
      before &&
      input.timestep - so.last <= ONE_HAND &&
      Number.isFinite(unlike(before.order, input.order)) &&
      (channel.of === 'wheel' || channel.of === 'joystick' || channel.of === 'engine');
    if (sameHand)
      so.inputs[so.inputs.length - 1] = { timestep: before.timestep, order: input.order };
    else so.inputs.push(input);
    so.last = input.timestep;
    map.set(key, so);
  }
  return map;
}
