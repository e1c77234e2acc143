import type { Review } from '../context';

/** A moment a rule found: where the playhead goes, until when it lasted, and what shows it, in SI and radians. */
export interface Finding<F> {
  readonly time: number;
  readonly until: number;
  readonly figures: F;
}

/** Finds one kind of fault in a run. */
export interface FaultRule<K extends string = string, F = unknown> {
  readonly id: K;
  /** Does a careful hand not make it, harm or no harm? */
  readonly grave?: true;
  find(review: Review): readonly Finding<F>[];
}
