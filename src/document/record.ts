import { z } from 'zod';
import type { Fix } from '@/core/monitors';
import { oneOf, compass, radians, shortText, within } from './fields';
import { instantSchema } from './tide';

export const RECORD_SCHEMA = 'yawtrope:record';
/** A manoeuvre takes minutes: two hours of a position a second are enough. */
export const MOST_FIXES = 8000;

const figure = (least: number, most: number, unit: string) => within(least, most, unit).nullable();

/** One position of a boat with what its instruments told beside it; null where they did not. */
const fixSchema = z.strictObject({
  t_s: within(0, 86_400, 's'),
  /** On the place: of the aerial. */
  x_m: within(-40_000, 40_000, 'm'),
  y_m: within(-40_000, 40_000, 'm'),
  heading_deg: compass.nullable(),
  sog_mps: figure(0, 70, 'm/s'),
  cog_deg: compass.nullable(),
  stw_mps: figure(-40, 70, 'm/s'),
  windAngle_deg: compass.nullable(),
  wind_mps: figure(0, 120, 'm/s'),
  depth_m: figure(0, 12_000, 'm'),
});
export type FixDocument = z.infer<typeof fixSchema>;

const counts = z.record(z.string().max(60), z.int().min(0));

/** What a boat's own instruments recorded, on the place of a manoeuvre. */
export const recordSchema = z.strictObject({
  $schema: z.literal(RECORD_SCHEMA),
  version: z.literal(1, { error: 'this program reads version 1' }),
  id: z.uuid({ error: 'must be a UUID' }),
  manoeuvreId: z.string().min(1).max(64),
  name: shortText,
  source: oneOf(['file', 'feed']),
  begins: instantSchema,
  /** Where the aerial stands aboard: forward of midships, and to starboard. */
  aerial: z.strictObject({ x_m: within(-200, 200, 'm'), y_m: within(-40, 40, 'm') }),
  fixes: z
    .array(fixSchema)
    .min(2, { error: 'give at least two positions' })
    .max(MOST_FIXES, { error: `at most ${MOST_FIXES} positions: cut out the manoeuvre` })
    .refine((list) => list.every((fix, i) => i === 0 || fix.t_s > list[i - 1]!.t_s), {
      error: 'put them in the order of time, no two at one moment',
    }),
  counts: z.strictObject({
    sentences: z.int().min(0),
    used: z.int().min(0),
    bad: counts,
    unused: counts,
  }),
});
export type RecordDocument = z.infer<typeof recordSchema>;

/** A record's positions as the core looks them over. */
export function toFixes({ fixes }: Pick<RecordDocument, 'fixes'>): Fix[] {
  const turned = (degrees: number | null) => (degrees === null ? null : radians(degrees));
  return fixes.map((fix) => ({
    time: fix.t_s,
    x: fix.x_m,
    y: fix.y_m,
    heading: turned(fix.heading_deg),
    course: turned(fix.cog_deg),
    overGround: fix.sog_mps,
    throughWater: fix.stw_mps,
    depth: fix.depth_m,
    wind: fix.wind_mps,
    windAngle: turned(fix.windAngle_deg),
  }));
}
