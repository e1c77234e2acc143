import { z } from 'zod';
import { OUTCOMES, type Run } from '@/core/plan';
import { degrees, within } from './fields';

/** Where the boat was: metres east and north, and the way it headed, degrees. Rounded to centimetres and tenths. */
const pose = z.tuple([
  within(-1e5, 1e5, 'm'),
  within(-1e5, 1e5, 'm'),
  within(-1e6, 1e6, 'degrees'),
]);

const MOST_POSES = 160;

/** What a manoeuvre came to when it was last worked out: shown at once, and drawn in lists, until it is worked out anew. */
export const lastResultSchema = z.strictObject({
  outcome: z.enum(OUTCOMES),
  duration_s: within(0, 1e5, 's'),
  track: z
    .array(pose)
    .min(1)
    .max(MOST_POSES, { error: `give at most ${MOST_POSES} poses` }),
  /** Where each step began. */
  steps: z.array(pose).max(100, { error: 'give at most 100 steps' }),
  clearance: z
    .strictObject({ distance_m: within(-1e5, 1e5, 'm'), from: z.string().max(200) })
    .nullable(),
  touches: z.int().min(0).max(1e5),
  /** Of so many tries how many held; null where none were made yet. */
  tries: z
    .strictObject({ held: z.int().min(0).max(1e5), of: z.int().min(1).max(1e5) })
    .refine(({ held, of }) => held <= of, { error: 'no more can hold than were tried' })
    .nullable(),
});
export type LastResult = z.infer<typeof lastResultSchema>;

const rounded = (figure: number, to: number) => Math.round(figure * to) / to + 0;
const poseOf = (x: number, y: number, heading: number): z.infer<typeof pose> => [
  rounded(x, 100),
  rounded(y, 100),
  rounded(degrees(heading), 10),
];

/**
 * What is kept of a run, with how many of its tries held. The track is thinned to samples evenly spaced in time; first and last
 * are among them.
 */
export function lastResultOf(run: Run, tries: LastResult['tries']): LastResult {
  const { trace, margins } = run;
  const { length } = trace.time;
  const poses = Math.min(MOST_POSES, length);
  const sample = (k: number) => Math.round((k * (length - 1)) / Math.max(1, poses - 1));
  const { clearance } = margins;
  return {
    outcome: run.outcome,
    duration_s: rounded(run.duration, 10),
    track: Array.from({ length: poses }, (_, k) => {
      const i = sample(k);
      return poseOf(trace.x[i]!, trace.y[i]!, trace.heading[i]!);
    }),
    steps: run.steps.slice(0, 100).map(({ x, y, heading }) => poseOf(x, y, heading)),
    clearance:
      clearance && Number.isFinite(clearance.distance)
        ? { distance_m: rounded(clearance.distance, 100), from: clearance.name.slice(0, 200) }
        : null,
    touches: margins.touchCount,
    tries,
  };
}
