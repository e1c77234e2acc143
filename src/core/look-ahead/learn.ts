import { G, type Weathering } from './guess';

/** What somebody learns of a boat as they work it: accelerations it shows besides, m/s² and rad/s², and how it is set over the ground, m/s east and north. */
export const LEARNT = 5;
const SET = 3;

/** Of what came otherwise than expected so much is taken as going on, each look. */
const BELIEVED = 0.4;
/** Of accelerations that much is still thought of at the next: gusts pass, a current stays. */
const REMEMBERED = 0.9;
/** No more than so much is put down to that, m/s² and rad/s², m/s. */
const MOST = [0.08, 0.08, 0.05] as const;
const MOST_SET = 0.4;

const within = (value: number, most: number) => Math.max(-most, Math.min(most, value));

/**
 * Takes in what came otherwise than expected.
 *
 * @param learnt LEARNT figures, changed
 * @param seen what is seen, columns G
 * @param expected what was expected of it
 * @param since seconds since it was
 */
export function learn(
  learnt: Float64Array,
  seen: Float64Array,
  expected: Float64Array,
  since: number,
): void {
  for (let j = 0; j < 3; j++) {
    const wrong = (seen[G.U + j]! - expected[G.U + j]!) / since;
    learnt[j] = within(REMEMBERED * (learnt[j]! + BELIEVED * wrong), MOST[j]!);
  }
  for (let j = 0; j < 2; j++) {
    const wrong = (seen[G.X + j]! - expected[G.X + j]!) / since;
    learnt[SET + j] = within(learnt[SET + j]! + BELIEVED * wrong, MOST_SET);
  }
}

/** Wind and current as they are told, and what was learnt besides. */
export const felt = (told: Weathering, learnt: Float64Array): Weathering => ({
  windFrom: told.windFrom,
  east: told.east + learnt[SET]!,
  north: told.north + learnt[SET + 1]!,
  besides: learnt,
});
