import {
  FIRM_WAY_THROTTLE,
  GAINING_MPS,
  KICK,
  LOOK_LATE_S,
  THROTTLE_NOTCH,
  WELL_ABOVE,
} from '../policy';
import { orderAll, seenAlong } from './hand';
import { helpTurning } from './kick';
import type { SimState } from './state';
import { lookToStop } from './stopping-hand';
import type { World } from './world';

/** How often a hand on the throttle looks how the boat goes, s. */
export const HAND_PERIOD_S = 1;

/** A hand on the throttle looks, and does what it finds is to be done. */
export function lookHand(state: SimState, world: World): void {
  if (state.hand.task === 'work') state.hand.worker?.look(state, world);
  else if (state.hand.task === 'keep') lookToKeepWay(state, world);
  else lookToStop(state, world);
}

/** Tells a hand to keep the way on between two speeds over the ground, m/s, ahead (`way` 1) or astern (−1). */
export function keepWayOn(state: SimState, way: 1 | -1, least: number, most: number): void {
  const task = { active: true, done: false, task: 'keep', way, least, most } as const;
  Object.assign(state.hand, { ...task, throttle: 0, looks: 0, looksIn: 0, last: NaN });
}

/**
 * A hand that keeps way on, looking once a second. It acts on the speed it expects by the time the gear answers, from how that has
 * changed since the last look: under the least into gear, the throttle up a notch while nothing comes of it; over the most out of gear, and well
 * over it the other gear at idle; in between it leaves things as they are, but takes the other gear out.
 */
function lookToKeepWay(state: SimState, world: World): void {
  const { hand } = state;
  const now = hand.way * seenAlong(state, world);
  const gained = Number.isNaN(hand.last) ? 0 : now - hand.last;
  hand.last = now;
  const expected = now + (gained * LOOK_LATE_S) / HAND_PERIOD_S;
  // With far to turn it turns on the spot: way would carry the boat past.
  const far = state.helm.active && Math.abs(state.helm.off) > KICK.shortFrom;
  const [least, most] = far ? [0, KICK.turning * hand.most] : [hand.least, hand.most];
  if (helpTurning(state, world, expected, most)) return;
  const gear = hand.way * (state.engines[0]?.orderedGear ?? 0);
  if (expected < least) {
    if (gear === 1 && gained < GAINING_MPS)
      hand.throttle = Math.min(FIRM_WAY_THROTTLE, hand.throttle + THROTTLE_NOTCH);
    orderAll(state, world, 1, hand.throttle);
  } else if (expected > most) {
    hand.throttle = 0;
    orderAll(state, world, expected > WELL_ABOVE * most ? -1 : 0, 0);
  } else if (gear === -1) orderAll(state, world, 0, 0);
}
