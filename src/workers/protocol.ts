import type { Take } from '@/core/score';
import type { Result } from '@/document';

/** What the take worker offers, through comlink. */
export interface TakeWorker {
  /** Checks a manoeuvre file and plays it. Traces are transferred, not copied. */
  play(file: unknown): Result<Take>;
}
