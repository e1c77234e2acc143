import type { Review } from '../context';
import { asternEarly } from './astern-early';
import { asternHard } from './astern-hard';
import { grippedInLock, lineFastInLock, overTheCill, paddleWithoutSign } from './at-locks';
import { didNotLookAstern } from './did-not-look-astern';
import { didNotWait } from './did-not-wait';
import { gearBeforeSteering } from './gear-before-steering';
import { leftInGear } from './left-in-gear';
import { lineNotWatched } from './line-not-watched';
import { lineSlack } from './line-slack';
import { inForbiddenWater, wash } from './in-zones';
import { lostTheBow } from './lost-the-bow';
import { neutralLate } from './neutral-late';
import { noPause } from './no-pause';
import { pastTheWayOut } from './past-the-way-out';
import { personInDanger } from './person-in-danger';
import { steeringReversed } from './steering-reversed';
import { thrusterLeanedOn } from './thruster-leaned-on';
import { tooFast } from './too-fast';
import { turnedEarly } from './turned-early';
import type { Fault, FaultRule } from './types';
import { watchedOneEnd } from './watched-one-end';

export type { Fault, FaultFigures, FaultId, FaultOf, FaultRule } from './types';

type AnyRule = Pick<FaultRule, 'id'> & { find(review: Review): readonly Fault[] };

/** Every rule: what hurts people first, then what hurts boats, then what will one day. */
export const FAULT_RULES: readonly AnyRule[] = [
  personInDanger,
  lineFastInLock,
  overTheCill,
  grippedInLock,
  paddleWithoutSign,
  didNotWait,
  pastTheWayOut,
  tooFast,
  didNotLookAstern,
  watchedOneEnd,
  lineNotWatched,
  lineSlack,
  inForbiddenWater,
  neutralLate,
  leftInGear,
  lostTheBow,
  turnedEarly,
  steeringReversed,
  gearBeforeSteering,
  asternEarly,
  asternHard,
  noPause,
  wash,
  thrusterLeanedOn,
];

/** All faults of a run, in the order of their weight. */
export function faultsOf(review: Review): readonly Fault[] {
  return FAULT_RULES.flatMap((rule) => rule.find(review));
}
