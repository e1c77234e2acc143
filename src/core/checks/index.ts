import type { RunInput, Run } from '../plan';
import { stepsAtOnce, noWayOut, orderOvertaken } from './steps';
import { turnedTooSoon } from './berth';
import type { Finding, Rule } from './check';
import { handsNotThere } from './crew';
import { againstWay, leftInGear, muchThrottle, noPause, steeringLate, thrusterLong } from './gears';

import { unseenFromHelm } from './sight';

export { NOT_THERE } from './crew';
export { hiddenBeyond } from './sight';
export { RULE_NAMES, type Finding, type RuleName } from './check';

const RULES: readonly Rule[] = [
  steeringLate,
  noPause,
  againstWay,
  leftInGear,
  muchThrottle,
  thrusterLong,
  stepsAtOnce,
  orderOvertaken,
  handsNotThere,
  turnedTooSoon,
  unseenFromHelm,
];

/**
 * What is worth a second look in a plan as it plays, in the order of time.
 *
 * @param said for each step whether its way out is said in words
 */
export function checkPlan(input: RunInput, run: Run, said: readonly boolean[]): readonly Finding[] {
  return [...RULES, noWayOut(said)]
    .flatMap((rule) => rule(input, run))
    .sort((a, b) => a.time - b.time);
}
