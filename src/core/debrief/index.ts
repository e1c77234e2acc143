export { sameBy, wayMade } from './along';
export {
  careOf,
  handlingOf,
  type Care,
  type CareGrade,
  type CareReason,
  type Handling,
  type SpeedAt,
} from './care';
export { reviewOf, type Given, type Review } from './context';
export {
  FAULT_RULES,
  faultsOf,
  type Fault,
  type FaultFigures,
  type FaultId,
  type FaultOf,
} from './faults';
export type { Channel } from './channels';
export {
  differencesBetween,
  type Cause,
  type Change,
  type Differences,
  type DrivenRun,
} from './differences';
