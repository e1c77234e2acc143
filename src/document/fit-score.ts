import { patternSearch, robustMerit, type Dial } from '@/core/search';
import type { ManoeuvreFile } from './manoeuvre';
import { success, type Result } from './result';
import { toRunInput } from './run-input';
import { MOST_RUDDER_DEG, type CueDocument, type OrderDocument, type ScoreDocument } from './score';

/** A number of a score that may be fitted: how it is read and written, and its dial in the document's own unit. */
interface FitNumber extends Dial {
  write(score: ScoreDocument, value: number): ScoreDocument;
}

const round = (value: number, decimals: number) => Number(value.toFixed(decimals));

function cueDial(cue: CueDocument): { key: string; decimals: number; dial: Dial } | null {
  switch (cue.is) {
    case 'after':
      // A pause of a second or less is there for the gear or the hands, not to be fitted.
      if (cue.seconds <= 1) return null;
      return {
        key: 'seconds',
        decimals: 1,
        dial: { value: cue.seconds, step: Math.max(1, 0.2 * cue.seconds), least: 0.5, most: 600 },
      };
    case 'heading':
      return {
        key: 'heading_deg',
        decimals: 0,
        dial: { value: cue.heading_deg, step: 8, least: 0, most: 359 },
      };
    case 'turned':
      return {
        key: 'by_deg',
        decimals: 0,
        dial: {
          value: cue.by_deg,
          step: 8,
          least: cue.by_deg > 0 ? 2 : -360,
          most: cue.by_deg > 0 ? 360 : -2,
        },
      };
    case 'speed':
      return {
        key: 'speed_mps',
        decimals: 3,
        dial: { value: cue.speed_mps, step: 0.2, least: 0.05, most: 6 },
      };
    case 'within':
      return {
        key: 'distance_m',
        decimals: 1,
        dial: {
          value: cue.distance_m,
          step: Math.max(0.5, 0.2 * cue.distance_m),
          least: 0.3,
          most: 2000,
        },
      };
    default:
      return null;
  }
}

function orderDial(order: OrderDocument): { key: string; decimals: number; dial: Dial } | null {
  if (order.do === 'wheel' && order.angle_deg !== 0)
    return {
      key: 'angle_deg',
      decimals: 0,
      dial: {
        value: order.angle_deg,
        step: 6,
        // It stays on its side.
        least: order.angle_deg > 0 ? 1 : -MOST_RUDDER_DEG,
        most: order.angle_deg > 0 ? MOST_RUDDER_DEG : -1,
      },
    };
  if (order.do === 'steer')
    return {
      key: 'heading_deg',
      decimals: 0,
      dial: { value: order.heading_deg, step: 6, least: 0, most: 359 },
    };
  if (order.do === 'engine' && order.gear !== 'neutral')
    return {
      key: 'throttle',
      decimals: 2,
      // Bursts are fitted, not racing.
      dial: { value: order.throttle, step: 0.1, least: 0, most: Math.max(order.throttle, 0.6) },
    };
  return null;
}

/** Every number of a score that may be fitted: those of cues, wheel angles and throttles. Gears, sides and names stay. */
export function scoreNumbers(score: ScoreDocument): FitNumber[] {
  const numbers: FitNumber[] = [];
  const parts = (cue: CueDocument) => (cue.is === 'any' || cue.is === 'all' ? cue.of : [cue]);
  score.beats.forEach(({ cue, orders }, b) => {
    parts(cue).forEach((part, c) => {
      const found = cueDial(part);
      if (!found) return;
      const { key, decimals, dial } = found;
      numbers.push({
        ...dial,
        write: (s, value) =>
          withBeat(s, b, (beat) => {
            const put = (old: object) => ({ ...old, [key]: round(value, decimals) });
            const next =
              beat.cue.is === 'any' || beat.cue.is === 'all'
                ? { ...beat.cue, of: beat.cue.of.map((p, i) => (i === c ? put(p) : p)) }
                : put(beat.cue);
            return { ...beat, cue: next as CueDocument };
          }),
      });
    });
    orders.forEach((order, o) => {
      const found = orderDial(order);
      if (!found) return;
      const { key, decimals, dial } = found;
      numbers.push({
        ...dial,
        write: (s, value) =>
          withBeat(s, b, (beat) => ({
            ...beat,
            orders: beat.orders.map((old, i) =>
              i === o ? ({ ...old, [key]: round(value, decimals) } as OrderDocument) : old,
            ),
          })),
      });
    });
  });
  return numbers;
}

type Beat = ScoreDocument['beats'][number];

function withBeat(score: ScoreDocument, at: number, change: (beat: Beat) => Beat): ScoreDocument {
  return { ...score, beats: score.beats.map((beat, i) => (i === at ? change(beat) : beat)) };
}

export interface Fitted {
  readonly score: ScoreDocument;
  readonly tries: number;
  readonly of: number;
  /** Merit before and now; less is better. */
  readonly before: number;
  readonly now: number;
}

const MOST_TRIES = 400;

/**
 * Fits the numbers of a manoeuvre's score by trying: what it costs in this wind, and in a weaker and a stronger one,
 * is brought down as far as small steps will. What cannot be played as it is given is refused.
 *
 * @param most tries, each of three runs
 */
export function* fitScore(file: ManoeuvreFile, most = MOST_TRIES): Generator<Result<Fitted>> {
  const first = toRunInput(file);
  if (!first.ok) {
    yield first;
    return;
  }
  const numbers = scoreNumbers(file.score);
  const written = (values: readonly number[]) =>
    numbers.reduce((score, { write }, i) => write(score, values[i]!), file.score);
  const cost = (values: readonly number[]) => {
    const input = toRunInput({ ...file, score: written(values) });
    return input.ok ? robustMerit(input.value) : Infinity;
  };
  const before = robustMerit(first.value);
  for (const { values, cost: now, tries } of patternSearch(numbers, cost, most)) {
    const better = now < before;
    yield success({
      score: better ? written(values) : file.score,
      tries,
      of: most,
      before,
      now: Math.min(before, now),
    });
  }
}
