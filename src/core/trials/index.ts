export { Lane, shiftingWay } from './lane';
export { CALM, canSteer, firmThrottle, HALF, hasDrive, OpenWater } from './open-water';
export {
  aheadSteeringSpeed,
  asternSteeringSpeed,
  carryFrom,
  carrying,
  goesOn,
  propWalk,
  secondsToGo,
  steadySpeed,
  steeringRate,
  stopFrom,
  stopping,
  type Carry,
  type Stop,
  type Walk,
} from './way';
export {
  backAndFill,
  kickAhead,
  opposedEngines,
  turningCircle,
  type BackAndFill,
  type Circle,
  type Kick,
  type Opposed,
} from './turning';
export { DAMPING_PER_KG, holdsHer, springHolds, STIFFNESS_PER_KG, type HoldsHer } from './hold';
export {
  driftFrom,
  greatestWind,
  holdsBow,
  thrusterAgainstSpeed,
  type Drift,
  type HoldsBow,
  type ThrusterAt,
} from './wind';
export {
  computePivots,
  computeSheet,
  pivotsOf,
  SHEET_WINDS_KN,
  type Pivots,
  type Sheet,
} from './sheet';
export { sheetFigures, sheetRanges, type SheetFigures, type SheetRanges } from './sheet-ranges';
