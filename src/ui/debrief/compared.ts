import type { Fault } from '@/core/debrief';
import type { Trace } from '@/core/simulation';
import type { Boat, RunNote } from '@/document';
import type { OpenReview } from './use-runs';
import type { LookedOver } from '@/workers';

/** A track laid over the one that is looked at. */
export interface ComparedTrack {
  readonly id: string;
  readonly trace: Trace;
  /** Drawn with the boat's outline at the playhead: what instruments recorded, not a rehearsal. */
  readonly recorded: boolean;
}

/** What is looked at: a driven run, or a record where nothing was driven. */
export interface LookedBackAt {
  readonly id: string;
  readonly trace: Trace;
  readonly duration: number;
  readonly faults: readonly Fault[];
  readonly notes: readonly RunNote[];
  readonly boat: Boat;
}

export const runToCompare = ({ id, reviewed }: OpenReview): ComparedTrack => ({
  id,
  trace: reviewed.run.trace,
  recorded: false,
});

export const recordToCompare = ({ record, trace }: LookedOver): ComparedTrack => ({
  id: record.id,
  trace,
  recorded: true,
});

export const shownRun = ({ id, reviewed, file }: OpenReview): LookedBackAt => ({
  id,
  trace: reviewed.run.trace,
  duration: reviewed.run.duration,
  faults: reviewed.faults,
  notes: file.notes,
  boat: file.manoeuvre.boat,
});

export const shownRecord = ({ record, trace, margins }: LookedOver, boat: Boat): LookedBackAt => ({
  id: record.id,
  trace,
  duration: margins.duration,
  faults: [],
  notes: [],
  boat,
});
