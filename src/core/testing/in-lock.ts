import type { Order, RunInput } from '../plan';
import { LOCK_WALLS, lockAt } from './locks';
import { stepOf, inputOf } from './manoeuvre';

const NEVER = { is: 'after', time: 400 } as const;

export const orderAt = (after: number, order: Order) => ({ after, order });

/** The sloop in the chamber, 9 m long: the boat's bow to the upper gates, kept off them. */
export function inLock(
  orders: readonly ReturnType<typeof orderAt>[],
  rest: Partial<RunInput> = {},
): RunInput {
  const input = inputOf([stepOf({ is: 'start' }, [...orders])], NEVER, {
    obstacles: LOCK_WALLS,
    locks: [lockAt()],
    start: { x: 0, y: -8, heading: 0, speed: 0 },
    limit: 420,
    ...rest,
  });
  return { ...input, plan: { ...input.plan, end: { cue: NEVER, within: 500 } } };
}
