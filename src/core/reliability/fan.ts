import type { Pose, Trial } from './trial';

/** What tries look like from above: where the boat was as steps began and at the end, and where it hit something hard. */
export interface Fan {
  readonly tries: number;
  readonly poses: readonly Pose[];
  readonly hits: readonly Pose[];
}

/** The first so many tries; of those that hit something the end is a hit. */
export function fanOf(trials: readonly Trial[], most: number): Fan {
  const some = trials.slice(0, most);
  return {
    tries: some.length,
    poses: some.flatMap(({ outcome, poses }) => (hit(outcome) ? poses.slice(0, -1) : poses)),
    hits: some.flatMap(({ outcome, touch }) => (hit(outcome) && touch ? [touch] : [])),
  };
}

const hit = (outcome: Trial['outcome']): boolean => outcome === 'hard touch';
