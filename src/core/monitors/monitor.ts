import type { Simulation } from '../simulation';

/**
 * Watches a simulation and says what it saw. It is shown every sample; a step that is taken back (Simulation.rewind) never
 * reached one, so that only what looks on within a step (TouchLog) has to come back with it.
 */
export interface Monitor<Result> {
  observe(now: Simulation): void;
  result(): Result;
}
