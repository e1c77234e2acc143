import type { RunInput } from '../plan';
import { ROSE_FAILS, ROSE_HOLDS, ROSE_RISK } from '../policy';
import type { Spread } from '../uncertainty';
import { MPS_PER_KNOT } from '../units';
import { SequentialTest } from './sequential';
import { holds, trialOf } from './trial';

const DIRECTIONS = 16;
/** Winds that are tried lie so far apart, and the strongest, m/s. */
const APART_MPS = 2 * MPS_PER_KNOT;
const STRONGEST_MPS = 40 * MPS_PER_KNOT;

/** From one direction: the mean winds in which a manoeuvre holds in 90 of 100, m/s; null where it does in none that was tried. */
export interface RoseRange {
  /** Where the wind comes from, rad. */
  readonly from: number;
  readonly least: number | null;
  readonly most: number | null;
}

/** Does it hold in 90 of 100? Told as soon as the tries say so; of `runs` that do not, by their share. */
function holdsIn(
  input: RunInput,
  spread: Spread,
  seed: number,
  runs: number,
  from: number,
  speed: number,
): boolean {
  const there = { ...input, weather: { ...input.weather, windFrom: from, windSpeed: speed } };
  const test = new SequentialTest(ROSE_HOLDS, ROSE_FAILS, ROSE_RISK);
  let held = 0;
  for (let k = 0; k < runs; k++) {
    const success = holds(trialOf(there, spread, seed, k));
    if (success) held += 1;
    const answer = test.add(success);
    if (answer) return answer === 'holds';
  }
  return held >= ROSE_HOLDS * runs - 1e-9;
}

/**
 * From one of 16 directions, the range of mean winds about the one told in which the manoeuvre holds in 90 of 100: from that wind, or the
 * nearest it holds in, on to the first on either side in which it does not. The wind it was written for is that of the day.
 */
export function roseRange(
  input: RunInput,
  spread: Spread,
  seed: number,
  runs: number,
  direction: number,
): RoseRange {
  const from = (direction * 2 * Math.PI) / DIRECTIONS;
  const count = Math.round(STRONGEST_MPS / APART_MPS);
  const known = new Map<number, boolean>();
  const at = (i: number): boolean => {
    const found = known.get(i);
    if (found !== undefined) return found;
    const now = holdsIn(input, spread, seed, runs, from, i * APART_MPS);
    known.set(i, now);
    return now;
  };
  const told = Math.min(count, Math.round(input.weather.windSpeed / APART_MPS));
  const first = [0, -1, 1, -2, 2].map((by) => told + by).find((i) => i >= 0 && i <= count && at(i));
  if (first === undefined) return { from, least: null, most: null };
  let [least, most] = [first, first];
  while (least > 0 && at(least - 1)) least -= 1;
  while (most < count && at(most + 1)) most += 1;
  return { from, least: least * APART_MPS, most: most * APART_MPS };
}

export const ROSE_DIRECTIONS = DIRECTIONS;
