import type { Fault } from '@/core/review';
import type { Trace } from '@/core/sim';
import type { Boat, TakeNote } from '@/document';
import type { OpenReview } from './use-takes';
import type { OpenRecord } from './use-records';

/** A track laid over the one that is looked at. */
export interface Laid {
  readonly id: string;
  readonly trace: Trace;
  /** Drawn with her outline at the playhead: what instruments recorded, not a rehearsal. */
  readonly recorded: boolean;
}

/** What is looked at: a driven take, or a record where nothing was driven. */
export interface Shown {
  readonly id: string;
  readonly trace: Trace;
  readonly duration: number;
  readonly faults: readonly Fault[];
  readonly notes: readonly TakeNote[];
  readonly boat: Boat;
}

export const laidTake = ({ id, reviewed }: OpenReview): Laid => ({
  id,
  trace: reviewed.take.trace,
  recorded: false,
});

export const laidRecord = ({ record, trace }: OpenRecord): Laid => ({
  id: record.id,
  trace,
  recorded: true,
});

export const shownTake = ({ id, reviewed, file }: OpenReview): Shown => ({
  id,
  trace: reviewed.take.trace,
  duration: reviewed.take.duration,
  faults: reviewed.faults,
  notes: file.notes,
  boat: file.manoeuvre.boat,
});

export const shownRecord = ({ record, trace, margins }: OpenRecord, boat: Boat): Shown => ({
  id: record.id,
  trace,
  duration: margins.duration,
  faults: [],
  notes: [],
  boat,
});
