export { apparentWind } from './apparent-wind';
export {
  measureClearance,
  measuredTrace,
  type Aerial,
  type Fix,
  type MeasuredMargins,
} from './measured';
export { ClearanceMonitor } from './clearance';
export type { Monitor } from './monitor';
export {
  caughtUnder,
  roomUnderNow,
  SoundingMonitor,
  type LeastOver,
  type LeastUnder,
} from './soundings';
export { compareRuns, type Difference } from './compare';
export { hullPart, type HullPart } from './hull-part';
export { described, Lookout, nameOfThing, numbersOf } from './lookout';
export { lineLoads, marginsOf, type LeastClearance, type LineLoad, type Margins } from './margins';
export { gradeTouch, severity, TouchLog, type Touch, type TouchGrade } from './touches';
