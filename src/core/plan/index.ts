export type { CrewEvent, LineEvent, LockEvent } from './event-names';
export type { RunEvent } from './events';
export { energyAudit, type EnergyAudit } from './energy';
export { Fouling } from './fouling';
export { gripAt, type Grip } from './lock-grip';
export { checkGoal, type Goal, type GoalCheck } from './goal';
export { armTrigger, type Trigger } from './cues';
export { markAtStart, markNow } from './marks';
export type { Controller, Finish } from './controller';
export { Crew } from './crew';
export { RunLoop, runPlan, runTillHard, type MakeController, type RunWatch } from './run-loop';
export { standsOver } from './on-foot';
export { worldOf, type OtherInput, type RunInput, type Zone } from './input';
export { type Known } from './known';
export { holdBack, type HeldBack, type PartHeld } from './retime';
export { OUTCOMES, type Outcome, type Run, type StepMark } from './run';
export {
  NO_RIGGING,
  type Person,
  type RiggedLine,
  type Rigging,
  type Whereabouts,
} from './rigging';
export { mirroredMark, mirroredPlan, mirroredPoint } from './mirror';
export { applyOrder } from './apply-order';
export type { Channel } from './channel';
export { cueDefinition, CUES, isGroup, type Cue, type CueName, type SimpleCue } from './cues';
export {
  EXPECTATIONS,
  type ExpectAt,
  type Expectation,
  type ExpectationName,
} from './expectations';
export {
  isDoneBy,
  ORDERS,
  type ControlOrder,
  type CrewOrder,
  type Order,
  type OrderName,
} from './orders';
export type { Choice, Parameter, Parameters, Reference, Referred } from './parameters';
export {
  LINE_STATES,
  LOCK_CUES,
  PASS_HOW,
  TEND_HOW,
  type LineEnd,
  type LineState,
  type LockCue,
  type MarkOnPlace,
  type PassHow,
  type PointOnBoat,
  type SpeedOver,
  type TendHow,
} from './references';
export type { Again, PlanEnd, Plan, PlanStep, TimedOrder, WayOut } from './types';
