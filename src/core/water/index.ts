export { bottomOf, DEEP_M, depthOver, type Bottom, type DepthArea, type Sounding } from './bottom';
export { limitFroude, limitSpeed, returnFlow, squat, type ReturnFlow } from './confined';
export { bridgeClearance, cosineTide, twelfths, underKeel } from './level';
export {
  setStrength,
  CURRENT,
  CURRENT_COLUMNS,
  currentAt,
  currentField,
  type CurrentField,
  type CurrentPattern,
} from './current';
export {
  tidalCurrent,
  tideLevel,
  turnsBetween,
  type Harmonic,
  type HourCurrent,
  type Current,
  type Tide,
  type Turn,
} from './tide';
export { CONSTITUENT_NAMES, type ConstituentName } from './constituents';
