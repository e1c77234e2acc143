import type { RunInput, Take } from '../score';
import { beatsAtOnce, noWayOut, orderOvertaken } from './beats';
import { turnedTooSoon } from './berth';
import type { Finding, Rule } from './check';
import { handsNotThere } from './hands';
import { againstWay, leftInGear, muchThrottle, noPause, steeringLate, thrusterLong } from './gears';

import { unseenFromHelm } from './sight';

export { NOT_THERE } from './hands';
export { EYE_OVER_DECK_M, hiddenBeyond } from './sight';
export { RULE_NAMES, type Finding, type RuleName } from './check';

const RULES: readonly Rule[] = [
  steeringLate,
  noPause,
  againstWay,
  leftInGear,
  muchThrottle,
  thrusterLong,
  beatsAtOnce,
  orderOvertaken,
  handsNotThere,
  turnedTooSoon,
  unseenFromHelm,
];

/**
 * What is worth a second look in a score as it plays, in the order of time.
 *
 * @param said for each beat whether its way out is said in words
 */
export function checkScore(
  input: RunInput,
  take: Take,
  said: readonly boolean[],
): readonly Finding[] {
  return [...RULES, noWayOut(said)]
    .flatMap((rule) => rule(input, take))
    .sort((a, b) => a.time - b.time);
}
