import { FAN_TRIES, TRIES_FIRST } from '@/core/policy';
import { certificateOf, fanOf, type Certificate, type Fan, type Trial } from '@/core/reliability';
import type { TriedPart } from './analyses';

/** How sure a plan is with something made otherwise, and how sure as it is told by the same tries: null until these are in. */
export interface HowSure {
  readonly certificate: Certificate;
  /** Once all the tries are in. */
  readonly fan: Fan | null;
  readonly asTold: Certificate | null;
}

/** Tries that several workers have made of one plan, in the order of their numbers. */
export interface Tries {
  readonly trials: readonly Trial[];
  readonly asTold: readonly Trial[];
  /** Parts all of whose tries are in, and those whose tries as told are. */
  readonly through: readonly number[];
  readonly told: readonly number[];
  readonly of: number;
}

export const NO_TRIES: Tries = { trials: [], asTold: [], through: [], told: [], of: 1 };

/** A worker that was begun again makes its tries anew: each counts once. */
function merged(before: readonly Trial[], more: readonly Trial[]): readonly Trial[] {
  if (more.length === 0) return before;
  const by = new Map([...before, ...more].map((trial) => [trial.run, trial]));
  return [...by.values()].sort((a, b) => a.run - b.run);
}

const noted = (parts: readonly number[], at: number, is: boolean) =>
  is && !parts.includes(at) ? [...parts, at] : parts;

/** The tries with what one worker has told of its part. */
export function joinTries(so: Tries, { part, trials, asTold, through, told }: TriedPart): Tries {
  return {
    trials: merged(so.trials, trials),
    asTold: merged(so.asTold, asTold),
    through: noted(so.through, part.at, through),
    told: noted(so.told, part.at, told),
    of: part.of,
  };
}

/** What the tries come to; null while there are too few to tell anything by. */
export function howSure({ trials, asTold, through, told, of }: Tries): HowSure | null {
  if (trials.length < TRIES_FIRST && through.length < of) return null;
  return {
    certificate: certificateOf(trials),
    fan: through.length === of ? fanOf(trials, FAN_TRIES) : null,
    asTold: told.length === of ? certificateOf(asTold) : null,
  };
}
