export { sameBy, wayMade } from './along';
export {
  gradeHandling,
  handlingOf,
  type GradedHandling,
  type HandlingGrade,
  type GradeReason,
  type Handling,
  type SpeedAt,
} from './handling-grade';
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
