import { FIRM_WAY_THROTTLE, GAINING_MPS, LOOK_LATE_S, THROTTLE_NOTCH, WELL_ABOVE } from '../policy';
import { cos, sin } from '../math';
import { orderEngine } from './actuators';
import { PSI, U, type Gear, type SimState } from './state';
import type { World } from './world';

/** How often a hand that keeps way on looks how fast the boat goes, s. */
export const HAND_PERIOD_S = 1;

/** Speed over the ground along the boat's heading, as it is seen on the shore going by, m/s. */
function seenAlong({ motion }: SimState, { environment }: World): number {
  const { currentEast, currentNorth } = environment;
  return motion[U]! + currentEast * sin(motion[PSI]!) + currentNorth * cos(motion[PSI]!);
}

/** Tells a hand to keep the way on between two speeds over the ground, m/s, ahead (`way` 1) or astern (−1). */
export function keepWayOn(state: SimState, way: 1 | -1, least: number, most: number): void {
  Object.assign(state.hand, { active: true, way, least, most, throttle: 0, looksIn: 0, last: NaN });
}

/**
 * A hand that keeps way on, looking once a second. It acts on the speed it expects by the time the gear answers, from how that has
 * changed since the last look: under the least into gear, the throttle up a notch while nothing comes of it; over the most out of gear, and well
 * over it the other gear at idle; in between it leaves things as they are, but takes the other gear out.
 */
export function lookHand(state: SimState, world: World): void {
  const { hand } = state;
  const now = hand.way * seenAlong(state, world);
  const gained = Number.isNaN(hand.last) ? 0 : now - hand.last;
  hand.last = now;
  const expected = now + (gained * LOOK_LATE_S) / HAND_PERIOD_S;
  const gear = hand.way * (state.engines[0]?.orderedGear ?? 0);
  if (expected < hand.least) {
    if (gear === 1 && gained < GAINING_MPS)
      hand.throttle = Math.min(FIRM_WAY_THROTTLE, hand.throttle + THROTTLE_NOTCH);
    order(state, world, 1);
  } else if (expected > hand.most) {
    hand.throttle = 0;
    order(state, world, expected > WELL_ABOVE * hand.most ? -1 : 0);
  } else if (gear === -1) order(state, world, 0);
}

/** Every engine into gear the way it is kept (1), out (0), or the other way at idle (−1). */
function order(state: SimState, { craft }: World, gear: 1 | 0 | -1): void {
  const { way, throttle } = state.hand;
  const lever = gear === 0 ? 0 : ((way * gear) as Gear);
  state.engines.forEach((engine, i) =>
    orderEngine(engine, craft.spec.drives[i]!, lever, gear === 1 ? throttle : 0),
  );
}
