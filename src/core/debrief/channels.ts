import type { DriveInput } from '../drive';
import { ORDERS, type Channel, type Order } from '../plan';
import { ONE_MOVEMENT_STEPS } from '../policy';

export type { Channel } from '../plan';

/** An order's own part of the vocabulary; it takes that order and no other. */
const partOf = (order: Order) => {
  const definition = ORDERS[order.do];
  return 'channel' in definition
    ? (definition as {
        channel(order: Order): Channel;
        unlike(a: Order, b: Order): number;
      })
    : null;
};

/** The channel of an order; null for what is only called, and for what another boat does. */
export const channelOf = (order: Order): Channel | null => partOf(order)?.channel(order) ?? null;

const keyOf = (channel: Channel) => Object.values(channel).join(':');

/** Are two orders given to the same thing? */
export function sameChannel(a: Order, b: Order): boolean {
  const one = channelOf(a);
  const two = channelOf(b);
  return one !== null && two !== null && keyOf(one) === keyOf(two);
}

/** How far two orders are from meaning the same: nought the same, Infinity never the same thing. */
export function unlike(a: Order, b: Order): number {
  if (a.do !== b.do) return Infinity;
  return partOf(a)?.unlike(a, b) ?? 0;
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
      input.timestep - so.last <= ONE_MOVEMENT_STEPS &&
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
