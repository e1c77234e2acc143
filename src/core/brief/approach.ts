import { cos, sin, wrapHalfTurn } from '../math';
import { markAtStart, type RunInput, type Run } from '../plan';

/** Speed over ground so many lengths from the berth, m/s; null where the run does not come from so far. */
export interface SpeedAt {
  readonly lengths: number;
  readonly speed: number | null;
  readonly time: number | null;
  /** The boat's heading then less the one it is to lie on, rad, starboard positive. */
  readonly angle: number | null;
}

const LENGTHS = [3, 2, 1] as const;

/** Speeds three, two and one of the boat's lengths from where it is to lie, counted along the last approach. */
export function approachSpeeds(
  run: Run,
  { goal, ...input }: Pick<RunInput, 'goal' | 'others'>,
  length: number,
): readonly SpeedAt[] {
  if (goal.is !== 'lie') return [];
  const { time, x, y, heading, groundSpeed } = run.trace;
  const { point } = goal;
  const mark = markAtStart(goal.mark, input);
  const off = (i: number) => {
    const s = sin(heading[i]!);
    const c = cos(heading[i]!);
    const dx = x[i]! + point.x * s + point.y * c - mark.x;
    const dy = y[i]! + point.x * c - point.y * s - mark.y;
    return Math.sqrt(dx * dx + dy * dy);
  };
  return LENGTHS.map((lengths) => {
    // The last time the boat comes nearer than that: it may have been there before, or go by.
    for (let i = time.length - 2; i >= 0; i--) {
      const edge = lengths * length;
      if (off(i) >= edge && off(i + 1) < edge)
        return {
          lengths,
          speed: groundSpeed[i]!,
          time: time[i]!,
          angle: wrapHalfTurn(heading[i]! - goal.heading),
        };
    }
    return { lengths, speed: null, time: null, angle: null };
  });
}
