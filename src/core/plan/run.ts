import type { LeastClearance, Margins, Touch } from '../monitors';
import type { Trace } from '../simulation';
import type { RunEvent } from './events';
import type { GoalCheck } from './goal';

/** How a run can end. What each is called and why it came about stands in ui/words/outcomes. */
export const OUTCOMES = [
  'reached',
  'missed',
  'hard touch',
  /** Somebody stepped with a propeller turning near them. */
  'unsafe',
  /** A line got into the propeller. */
  'fouled',
  /** Somebody else under way was run into. */
  'struck',
  /** The boat took the ground. */
  'aground',
  /** The boat hangs in a lock. */
  'hung up',
  /** The boat did not fit under a bridge. */
  'caught overhead',
  'broke off',
  'cue never came',
  'out of time',
] as const;
export type Outcome = (typeof OUTCOMES)[number];

/** Where and when a step began. Radians, m, s. */
export interface StepMark {
  readonly step: number;
  readonly time: number;
  readonly x: number;
  readonly y: number;
  readonly heading: number;
}

/** One run of a manoeuvre. */
export interface Run {
  readonly outcome: Outcome;
  readonly duration: number;
  readonly trace: Trace;
  readonly steps: readonly StepMark[];
  readonly events: readonly RunEvent[];
  readonly touches: readonly Touch[];
  readonly margins: Margins;
  readonly goal: readonly GoalCheck[];
  readonly clearance: LeastClearance | null;
}
