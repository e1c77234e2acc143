export type { CrewEvent, LineEvent, LockEvent, RunEvent } from './events';
export { energyAudit, type EnergyAudit } from './energy';
export { Fouling } from './fouling';
export { gripAt, type Grip } from './lock-grip';
export { checkGoal, type Goal, type GoalCheck } from './goal';
export { armGate, type Gate } from './gates';
export { markAtStart, markNow } from './marks';
export type { Conductor, Finish } from './conductor';
export { Crew } from './crew';
export { RunLoop, runPlan, runTillHard, type Conducted, type RunWatch } from './run-loop';
export { standsOver } from './on-foot';
export { worldOf, type OtherInput, type RunInput, type Zone } from './input';
export { holdBack, type HeldBack, type PartHeld } from './retime';
export type { StepMark, Outcome, Run } from './run';
export {
  AT_HAND_M,
  NO_RIGGING,
  PROPELLER_ROOM_M,
  STEP_GAP_M,
  STEP_UP_M,
  TAUT_N,
  WALKS_ABOARD_MPS,
  type Person,
  type RiggedLine,
  type Rigging,
  type Whereabouts,
} from './rigging';
export { isForHands, obey } from './obey';
export { LINE_STATES, LOCK_CUES, PASS_HOW, TEND_HOW } from './types';
export type {
  PlanStep,
  ControlOrder,
  HandsOrder,
  LineEnd,
  LineState,
  LockCue,
  PassHow,
  TendHow,
  Cue,
  Ending,
  ExpectAt,
  Expectation,
  MarkOnPlace,
  Order,
  PointOnBoat,
  Plan,
  SpeedOver,
  TimedOrder,
  WayOut,
} from './types';
