export type { TakeEvent } from './events';
export { checkGoal, type Goal, type GoalCheck } from './goal';
export { armGate, type Gate } from './gates';
export { runTake, runTillHard, worldOf, type RunInput, type RunWatch } from './run';
export type { BeatMark, Outcome, Take } from './take';
export type {
  Beat,
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
