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
import type { FaultRule, Finding } from './rule';
import { watchedOneEnd } from './watched-one-end';

/** Every rule: what hurts people first, then what hurts boats, then what will one day. */
export const FAULT_RULES = [
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
] as const;

type Rule = (typeof FAULT_RULES)[number];
export type FaultId = Rule['id'];

/** What each rule tells with a fault it has found: SI, radians. */
export type FaultFigures = {
  [R in Rule as R['id']]: R extends FaultRule<string, infer F> ? F : never;
};

/** A fault with its moment. */
export type FaultOf<K extends FaultId> = { readonly rule: K } & Finding<FaultFigures[K]>;
export type Fault = { [K in FaultId]: FaultOf<K> }[FaultId];

/** Faults that a careful hand does not make. */
export const GRAVE_FAULTS: ReadonlySet<FaultId> = new Set(
  FAULT_RULES.flatMap((rule: FaultRule) => (rule.grave ? [rule.id as FaultId] : [])),
);

/** All faults of a run, in the order of their weight. */
export const faultsOf = (review: Review): readonly Fault[] =>
  FAULT_RULES.flatMap(({ id, find }: FaultRule) =>
    find(review).map((found) => ({ rule: id, ...found }) as Fault),
  );
