export { type CarryHere, type StopHere, type TurnHere } from './capabilities';
export { abreastOf, type Abreast } from './abreast';
export { approachSpeeds, type SpeedAt } from './approach';
export type { Capabilities, PushedWhere } from './able';
export { briefOf, type Brief } from './brief';
export type { BriefRanges } from './ranges';
export { ferryGlide, firstOrderTurn, rateOnCircle, wheelOver, type FerryGlide } from './kinematics';
export type { Leg, LeeSide } from './legs';
export {
  letGoAt,
  pushAt,
  sizeOf,
  type DriftFrom,
  type OnHer,
  type EnvironmentForce,
} from './environment-force';
export { sidesOf, type ForSide } from './which-side';
export { fenderHeight, type FenderHeight } from './fenders';
export { FIRST_LINES, firstLines, type FirstLine, type HeldBy } from './first-line';
export {
  holdingOf,
  IN_NEUTRAL,
  type Carried,
  type MooringHold,
  type Motored,
  type Without,
} from './mooring-hold';
export { cautionsFor, READY_ITEMS, readyFor, type Caution, type ReadyItem } from './ready';
export { throughLock, type ThroughLock } from './through-lock';
export { throughGates, type Through } from './through-gates';
export { STEP_PLACES, steppingOf, type StepFrom, type StepPlace, type Stepping } from './stepping';
export {
  LOCK_CHECKS,
  LOCK_SHEETS,
  lockSheets,
  type LockCheck,
  type LockItem,
  type LockSheet,
  type Sheet,
} from './lock-sheets';
export { lockWater, type LockWater } from './lock-water';
export { lockFigures, locksAhead, type LockAhead, type LockFigures } from './locks-ahead';
