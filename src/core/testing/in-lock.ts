import type { Order, RunInput } from '../score';
import { LOCK_WALLS, lockAt } from './locks';
import { beatOf, inputOf } from './manoeuvre';

const NEVER = { is: 'after', seconds: 400 } as const;

export const orderAt = (after: number, order: Order) => ({ after, order });

/** The sloop in the chamber, 9 m long: her bow to the upper gates, kept off them. */
export function inLock(
  orders: readonly ReturnType<typeof orderAt>[],
  rest: Partial<RunInput> = {},
): RunInput {
  const input = inputOf([beatOf({ is: 'start' }, [...orders])], NEVER, {
    obstacles: LOCK_WALLS,
    locks: [lockAt()],
    start: { x: 0, y: -8, heading: 0, speed: 0 },
    limit: 420,
    ...rest,
  });
  return { ...input, score: { ...input.score, end: { cue: NEVER, within: 500 } } };
}
