export { roomAbout, sweptAcross, type RoomAbout } from './room-about';
export { roomAlong, roomAt, type Room } from './room';
export { Rollout, openWaterOf, Surroundings, type Nearest } from './rollout';
export { ESCAPES, type EscapeName } from './escapes';
export { windGrid, type GridCell } from './grid';
export { engines, letGo, wheel } from './hands';
export { inHandFrom, LONGEST_IN_HAND_S, type InHand } from './in-hand';
export { seekWindLimit, windLimit, type WindLimit } from './limits';
export { cost, robustCost, WORKING_LOAD } from './cost';
export { patternSearch, type Tunable, type PatternState } from './pattern';
export { surveyed, surveyRun, waysOut, waysOutFrom, type Moment, type Surveyed } from './survey';
export { NO_VARIATION, vary, type Variation } from './vary';
export {
  lastWayOut,
  REACTION_S,
  spareWanted,
  wayOutAt,
  type WayOutAt,
  type WayOutGrade,
} from './way-out';
