import type { Ahead, DriveNow, Traffic } from '@/core/drive';
import type { HeldBack, Run } from '@/core/plan';
import type { GradedHandling, Differences, Fault, Handling } from '@/core/debrief';
import type { WayOutAt } from '@/core/search';
import type { Pivots, Sheet, SheetRanges } from '@/core/trials';
import type { Problem, RecordingDocument, Result } from '@/document';
import type { AnalysisName, AnalysisUpdate } from './analyses';

/** What the run worker offers, through comlink. */
export interface RunWorker {
  /** Checks a manoeuvre file and plays it, varied if that is asked. Traces are transferred, not copied. */
  play(file: unknown, variation?: unknown): Result<Run>;
  /** How it goes on while a step is held back; null if it is never come to. */
  holdBack(file: unknown, variation: unknown, step: unknown): Result<HeldBack | null>;
}

/** How an analysis ended: all of it, or given up for a newer one. */
export type AnalysisEnd = 'done' | 'overtaken';

/**
 * What the analysis worker offers, through comlink. An analysis tells what it finds as it goes, and gives up as soon as another
 * comes in.
 */
export interface AnalysisWorker {
  run<K extends AnalysisName>(
    name: K,
    given: unknown,
    tell: (told: AnalysisUpdate<K>) => void,
  ): Promise<Result<AnalysisEnd>>;
  /** Gives up whatever is going on. */
  stop(): void;
}

/** What the sheet worker offers, through comlink. */
export interface SheetWorker {
  /** Checks a boat and runs the trials of its sheet; `progress` is told the share done. */
  compute(boat: unknown, progress: (share: number) => void): Result<Sheet>;
  /** Where the figures of its sheet lie in 90 of 100; many times the work. */
  ranges(boat: unknown, progress: (share: number) => void): Result<SheetRanges>;
  /** Where the boat pivots, by three trials only. */
  pivots(boat: unknown): Result<Pivots>;
}

/** How a drive stands after what was asked: the boat now, and which of the orders given could not be obeyed. */
export interface DriveUpdate {
  readonly now: DriveNow;
  readonly problems: readonly Problem[];
  /** Everybody else who is or will be under way. */
  readonly traffic: readonly Traffic[];
}

/** What the drive worker offers, through comlink. It holds one drive, with its state; the page holds the clock. */
export interface DriveWorker {
  /** Begins a manoeuvre anew, or goes on from where a recording of it stands. */
  open(file: unknown, recording: unknown): Result<DriveUpdate>;
  /** Gives orders, then goes on by so many timesteps. */
  advance(orders: unknown, timesteps: unknown): Result<DriveUpdate>;
  /** On to the next step of the plan, its cue come or not. */
  passOn(): Result<DriveUpdate>;
  close(end: unknown): Result<DriveUpdate>;
  recording(): Result<RecordingDocument>;
  /** Where the boat comes if nothing is changed. */
  ahead(): Result<Ahead>;
  /** The run as it stands, played again from its record. */
  soFar(): Result<Run>;
  /** A kept run, played again. */
  replay(file: unknown, recording: unknown): Result<Run>;
  /** A kept run looked over: played again, and what is to be said of it. */
  review(file: unknown, recording: unknown): Result<Reviewed>;
  /** What was different in a kept run from one it is held against, each a file of its own. */
  differences(reference: unknown, other: unknown): Result<Differences>;
}

/** A driven run looked over. */
export interface Reviewed {
  readonly run: Run;
  readonly faults: readonly Fault[];
  readonly graded: GradedHandling;
  readonly handling: Handling;
  readonly ways: readonly WayOutAt[];
  readonly traffic: readonly Traffic[];
}
