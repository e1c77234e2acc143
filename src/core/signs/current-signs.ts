import { bisected } from '../math';
import type { Craft } from '../boat';
import { resistance, WORK, WORK_COLUMNS } from '../forces';
import { GRAVITY_MPS2 } from '../units';
import type { Reading } from './pooled';

/** A stride of pacing along a pontoon, and a thumb on a watch: shares and seconds either way. */
const PACED = 0.08;
const TIMED_S = 0.7;

/**
 * Current by something that floats low and is timed over a distance (m, s): v = d/t, m/s. Wind takes what floats high along;
 * something nearly sunk is meant.
 */
export function currentByDrift(distance: number, seconds: number): Reading {
  const value = distance / seconds;
  const late = TIMED_S / seconds;
  return { value, spread: value * Math.sqrt(PACED * PACED + late * late) };
}

/** The eye tells a height of water to so much, m; a round pile's run-up falls short of the whole head by about so much. */
const SEEN_M = 0.01;
const RUN_UP = 0.85;

/**
 * Current by how high water stands up before a pile, m: the head is v²/2g and a pile sees most of it, v = √(2 g h/0.85), m/s. Good
 * from about 0.5 m/s; beneath, there is next to nothing to see.
 */
export function currentByRunUp(height: number): Reading {
  const speed = (h: number) => Math.sqrt((2 * GRAVITY_MPS2 * Math.max(0, h)) / RUN_UP);
  const value = speed(height);
  const spread = (speed(height + SEEN_M) - speed(height - SEEN_M)) / 2;
  return { value, spread: Math.max(spread, 0.1 * value) };
}

/** Resistance of a moored hull at a speed is known to about this share. */
const HULL = 0.3;

/** What a hull resists going straight ahead, N, at a speed through the water, m/s. Fins and rudders are left out: a tenth or so. */
export function aheadResistance({ hull, friction }: Craft, density: number, speed: number): number {
  const work = new Float64Array(WORK_COLUMNS);
  work[WORK.DENSITY] = density;
  work[WORK.SURGE] = speed;
  resistance(hull, friction, work);
  return -work[WORK.FORCE]!;
}

/**
 * Current by what a boat lying head to it pulls on its line, N: the speed at which it resists so much. `resists` gives N at
 * m/s and rises with it. Engine, wind and a second line have to be out of it.
 */
export function currentByLine(pull: number, resists: (speed: number) => number): Reading {
  const value = bisected((speed) => resists(speed) < pull, 0, 8, 60);
  // Resistance goes with about the square: half its error is the speed's.
  return { value, spread: (HULL / 2) * value };
}
