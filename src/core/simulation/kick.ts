import { DRIVE, DRIVE_COLUMNS, type Craft } from '../boat';
import { KICK } from '../policy';
import { orderEngine } from './actuators';
import { orderAll } from './hand';
import type { SimState } from './state';
import type { World } from './world';

/**
 * Throttle of all engines that gathers way from rest at so much, m/s², ahead (`way` 1) or astern (−1): 0 to 1, nought where idle does as much.
 * What a boat is handled by goes by how it answers, not by how its lever is marked.
 */
export function throttleFor(
  { spec, drives, mass }: Craft,
  density: number,
  way: 1 | -1,
  answer: number,
) {
  const column = way > 0 ? DRIVE.AHEAD_SQUARED : DRIVE.ASTERN_SQUARED;
  const unit = spec.drives.reduce(
    (sum, _, i) => sum + density * drives.values[i * DRIVE_COLUMNS + column]!,
    0,
  );
  const [first] = spec.drives;
  if (!first || unit <= 0) return 0;
  const rps = Math.sqrt((answer * mass.m11) / unit);
  return Math.max(0, Math.min(1, (rps - first.idleRps) / (first.fullRps - first.idleRps)));
}

/** Engines far enough apart to turn the boat by the one against the other: the furthest to port and to starboard; null where there are none. */
export function apart({
  spec: { drives, hull },
}: Craft): { port: number; starboard: number } | null {
  let port = 0;
  let starboard = 0;
  drives.forEach(({ y }, i) => {
    if (y < drives[port]!.y) port = i;
    if (y > drives[starboard]!.y) starboard = i;
  });
  const wide = drives.length > 1 && drives[starboard]!.y - drives[port]!.y > KICK.apart * hull.beam;
  return wide ? { port, starboard } : null;
}

/** Which way the boat has to be helped round: 1 to starboard, −1 to port, 0 where the wheel is enough; and is idle enough for it? */
function helpWanted({ helm }: SimState): { side: 1 | -1 | 0; idle: boolean } {
  const off = Math.abs(helm.off);
  const side = !helm.active || off < KICK.idleFrom ? 0 : helm.off > 0 ? 1 : -1;
  return { side, idle: off < KICK.from };
}

/**
 * A kick that turns the boat while the wheel is hard over: of engines apart the one that pushes the way the boat goes, and where it has far to turn or way
 * enough the other against it; else all of them the way `gear`.
 *
 * @param side 1 to starboard
 * @param opposed engines apart drive against one another
 */
function kick(
  state: SimState,
  { craft }: World,
  side: 1 | -1,
  gear: 1 | -1,
  throttle: number,
  opposed: boolean,
): void {
  const pair = apart(craft);
  const { way } = state.hand;
  state.engines.forEach((engine, i) => {
    const { y } = craft.spec.drives[i]!;
    const turns = y * side < 0 ? 1 : y * side > 0 ? -1 : 0;
    const lever = !pair ? gear : opposed || turns === way ? turns : 0;
    orderEngine(engine, craft.spec.drives[i]!, lever, lever === 0 ? 0 : throttle);
  });
}

/**
 * Helps the wheel round where it is over and not enough; tells whether it did. Engines apart turn the boat by themselves, and thrust that is turned pulls
 * the stern round astern as well.
 *
 * @param expected way it will have as the gear answers, m/s
 * @param most way it is to have at the most
 */
export function helpTurning(
  state: SimState,
  world: World,
  expected: number,
  most: number,
): boolean {
  const { hand } = state;
  const { craft } = world;
  const { side, idle } = helpWanted(state);
  const steered = craft.spec.drives.some(({ steering }) => steering !== 'fixed');
  const gear = hand.way < 0 && steered ? -1 : 1;
  // Going astern a kick ahead takes the way off: it straightens a boat that is far off, and way is gathered again before the next.
  const against = gear !== hand.way && !apart(craft);
  if (side === 0 || (against && Math.abs(state.helm.off) < KICK.againstFrom)) {
    hand.looks = 0;
    hand.filling = false;
    return false;
  }
  if (against) {
    if (hand.filling ? expected > 0.8 * most : expected < 0) hand.filling = !hand.filling;
    if (hand.filling) {
      hand.looks = 0;
      return false;
    }
  }
  const { waterDensity } = world.environment;
  // A burst the way the boat goes gathers way: with more than enough of it, it is taken off again with the wheel left where it is.
  const gathers = gear === hand.way && !apart(craft);
  if (gathers && expected > KICK.over * most) {
    hand.looks = 0;
    if (Math.abs(state.helm.off) < KICK.shortFrom) return false;
    hand.filling = true;
  }
  if (hand.filling && !against) {
    hand.filling = expected > KICK.under * most;
    if (hand.filling) {
      orderAll(
        state,
        world,
        -1,
        throttleFor(craft, waterDensity, hand.way > 0 ? -1 : 1, KICK.answer),
      );
      return true;
    }
  }
  const opposed = expected > most || Math.abs(state.helm.off) > KICK.shortFrom;
  hand.throttle = 0;
  if (idle && !against) {
    hand.looks = 0;
    kick(state, world, side, gear, 0, opposed);
    return true;
  }
  const answer = Math.min(KICK.most, KICK.answer + hand.looks * KICK.more);
  hand.looks += 1;
  kick(state, world, side, gear, throttleFor(craft, waterDensity, gear, answer), opposed);
  return true;
}
