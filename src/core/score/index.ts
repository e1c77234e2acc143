export type { CrewEvent, LineEvent, TakeEvent } from './events';
export { checkGoal, type Goal, type GoalCheck } from './goal';
export { armGate, type Gate } from './gates';
export { runTake, runTillHard, worldOf, type RunInput, type RunWatch } from './run';
export type { BeatMark, Outcome, Take } from './take';
export {
  LINE_STATES,
  NO_RIGGING,
  TAUT_N,
  type LineState,
  type Person,
  type RiggedLine,
  type Rigging,
  type Whereabouts,
} from './rigging';
export { isForHands } from './obey';
export { PASS_HOW, TEND_HOW } from './types';
export type {
  Beat,
  ControlOrder,
  HandsOrder,
  LineEnd,
  PassHow,
  TendHow,
  Cue,
  Ending,
  ExpectAt,
  Expectation,
  MarkOnPlace,
  Order,
  PointOnBoat,
  Score,
  SpeedOver,
  TimedOrder,
  WayOut,
} from './types';
