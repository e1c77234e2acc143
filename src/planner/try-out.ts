import { AT_ONCE, ROSE_TRIES } from '@/core/policy';
import {
  holds,
  ROSE_DIRECTIONS,
  roseRange,
  trialOf,
  type RoseRange,
  type Trial,
} from '@/core/reliability';
import { referenceOutlook, referenceRun } from '@/core/reference';
import { drawOf, spreadFor, varied, type Spread } from '@/core/uncertainty';
import type { ManoeuvreFile } from '@/document/manoeuvre';
import type { Result } from '@/document/result';
import { toRunInput } from '@/document/run-input';
import type { Unless } from './refusals';
import { workedPlan, type WorkedPlan, type WorkedWay } from './worked';

/** Something to be played of one of the manoeuvres at hand: a way of working it laid out, or some tries with its plan, or as the reference helm handles it. */
export type Tries =
  | { readonly of: 'way'; readonly file: ManoeuvreFile; readonly way: WorkedWay }
  | {
      readonly of: 'plan' | 'reference helm';
      readonly file: ManoeuvreFile;
      readonly seed: number;
      readonly from: number;
      readonly to: number;
    }
  | {
      readonly of: 'rose';
      readonly file: ManoeuvreFile;
      readonly seed: number;
      readonly direction: number;
    };

/** What became of it: of a way its plan, of a plan the trials, of the reference helm which of them it held in, of a direction the winds from there it holds in. */
export type Tried =
  | { readonly of: 'way'; readonly laid: Result<Unless<WorkedPlan>> }
  | { readonly of: 'plan'; readonly trials: readonly Trial[] }
  | { readonly of: 'reference helm'; readonly held: readonly boolean[] }
  | { readonly of: 'rose'; readonly range: RoseRange };

/** Plays them: in a worker of its own, where there are several. */
export function tryOut(tries: Tries, spread: Spread): Tried {
  if (tries.of === 'way') return { of: 'way', laid: workedPlan(tries.file, tries.way) };
  const input = toRunInput(tries.file);
  if (!input.ok) throw new Error('a manoeuvre that was looked through can be run');
  if (tries.of === 'rose') {
    const { seed, direction } = tries;
    return { of: 'rose', range: roseRange(input.value, spread, seed, ROSE_TRIES, direction) };
  }
  const { of, seed, from, to } = tries;
  const runs = Array.from({ length: to - from }, (_, i) => from + i);
  if (of === 'plan') return { of, trials: runs.map((k) => trialOf(input.value, spread, seed, k)) };
  const about = referenceOutlook(input.value);
  const known = spreadFor(spread, input.value.known);
  const held = runs.map(
    (k) =>
      referenceRun(about, varied(input.value, drawOf(known, seed, k))).run.outcome === 'reached',
  );
  return { of, held };
}

/** Tries from a number on, in handfuls. */
export const handfuls = (
  tries: Pick<Extract<Tries, { readonly from: number }>, 'of' | 'file' | 'seed'>,
  from: number,
  count: number,
): Tries[] =>
  Array.from({ length: Math.ceil(count / AT_ONCE) }, (_, i) => ({
    ...tries,
    from: from + i * AT_ONCE,
    to: from + Math.min(count, (i + 1) * AT_ONCE),
  }));

/** A wind rose of a manoeuvre, direction by direction. */
export const roseTries = (file: ManoeuvreFile, seed: number): Tries[] =>
  Array.from({ length: ROSE_DIRECTIONS }, (_, direction) => ({
    of: 'rose',
    file,
    seed,
    direction,
  }));

/** What came of it, from north on. */
export const roseOf = (tried: readonly Tried[]): RoseRange[] =>
  tried
    .flatMap((one) => (one.of === 'rose' ? [one.range] : []))
    .toSorted((a, b) => a.from - b.from);

/** Trials that came of a plan's tries, by their numbers. */
export const trialsOf = (tried: readonly Tried[]): Trial[] =>
  tried.flatMap((one) => (one.of === 'plan' ? one.trials : [])).toSorted((a, b) => a.run - b.run);

/** The plan that came of a way. */
export const laidBy = (tried: Tried): Result<Unless<WorkedPlan>> => {
  if (tried.of !== 'way') throw new Error('a way that was to be laid out comes back as a plan');
  return tried.laid;
};

/** Share of some trials that hold. */
export const shareHeld = (trials: readonly Trial[]) => trials.filter(holds).length / trials.length;
