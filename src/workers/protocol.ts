import type { Take } from '@/core/score';
import type { Pivots, Sheet } from '@/core/trials';
import type { Result } from '@/document';

/** What the take worker offers, through comlink. */
export interface TakeWorker {
  /** Checks a manoeuvre file and plays it. Traces are transferred, not copied. */
  play(file: unknown): Result<Take>;
}

/** What the sheet worker offers, through comlink. */
export interface SheetWorker {
  /** Checks a boat and runs the trials of her sheet; `progress` is told the share done. */
  compute(boat: unknown, progress: (share: number) => void): Result<Sheet>;
  /** Where she pivots, by three trials only. */
  pivots(boat: unknown): Result<Pivots>;
}
