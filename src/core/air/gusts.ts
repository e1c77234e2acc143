import { exp, Random, type Series } from '../math';

/** A gusty wind about its mean. */
export interface Gusts {
  /** Standard deviation of speed over mean: 0.1 open water, 0.2 among buildings. */
  readonly intensity: number;
  /** Time over which a gust is forgotten, s. */
  readonly timeScale: number;
  readonly seed: number;
}

export const GUST_STEP_S = 0.5;
/** Swings of direction, radians of deviation per unit of intensity. */
const SWING = 0.6;

export interface GustSeries {
  /** Share of the mean speed, and swing from the mean direction in radians. */
  readonly strength: Series;
  readonly swing: Series;
}

/**
 * Ornstein–Uhlenbeck process sampled exactly every GUST_STEP_S:
 *
 *   x(t + h) = x(t) e^(−h/τ) + σ √(1 − e^(−2h/τ)) N(0, 1)
 *
 * once for speed (1 + x, held to 0.2…2.5) and once for direction. Stationary: the first value is drawn
 * from the process too. The same seed gives the same wind to the bit. One gust blows over the whole
 * place at once: right for a berth, wrong for a fairway.
 */
export function gustSeries(gusts: Gusts, duration: number): GustSeries {
  const { intensity, timeScale } = gusts;
  const count = Math.ceil(duration / GUST_STEP_S) + 2;
  const keep = exp(-GUST_STEP_S / timeScale);
  const kick = Math.sqrt(1 - keep * keep);
  const random = new Random(gusts.seed);
  const times = new Float64Array(count);
  const strength = new Float64Array(count);
  const swing = new Float64Array(count);
  let speed = random.normal();
  let angle = random.normal();
  for (let i = 0; i < count; i++) {
    times[i] = i * GUST_STEP_S;
    strength[i] = Math.max(0.2, Math.min(2.5, 1 + intensity * speed));
    swing[i] = SWING * intensity * angle;
    speed = speed * keep + kick * random.normal();
    angle = angle * keep + kick * random.normal();
  }
  return { strength: { times, values: strength }, swing: { times, values: swing } };
}
