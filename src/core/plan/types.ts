import type { Cue } from './cues';
import type { Expectation } from './expectations';
import type { Order } from './orders';

/** A plan in SI units and radians, as the interpreter plays it. */
export interface Plan {
  readonly steps: readonly PlanStep[];
  /** When the manoeuvre is over, counted as the cue after the last step. */
  readonly end: PlanEnd;
}

export interface PlanEnd {
  readonly cue: Cue;
  /** Longest wait for the cue, s. */
  readonly within: number;
}

export interface PlanStep {
  readonly id: string;
  readonly cue: Cue;
  /** Longest wait for the cue after the step before, s. */
  readonly within: number;
  readonly orders: readonly TimedOrder[];
  readonly expect: readonly Expectation[];
  readonly wayOut: WayOut;
}

export interface WayOut {
  /** Taken by itself when an expectation fails or the next cue does not come. */
  readonly automatic: boolean;
  readonly orders: readonly TimedOrder[];
  /** Round again: which step the plan goes on from, and when; if not given, the way out is the end of it. */
  readonly again?: Again;
}

export interface Again {
  /** Number of the step it goes on with. */
  readonly step: number;
  readonly cue: Cue;
  /** Longest wait for the cue, s. */
  readonly within: number;
  /** Rounds in all, at most. */
  readonly times: number;
}

export interface TimedOrder {
  /** Seconds after the cue. */
  readonly after: number;
  /** So much of that whoever gives it is late by, s; not at all if not given. */
  readonly late?: number;
  readonly order: Order;
}
