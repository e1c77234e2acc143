import { z } from 'zod';
import { LOCK_CHECKS, READY_ITEMS } from '@/core/brief';
import { boatSchema } from './boat';
import { conditionsSchema } from './conditions';
import { oneOf, compass, id, longText, shortText, within } from './fields';
import { lockingSchema } from './locking';
import { MANOEUVRE_VERSION, migrateManoeuvre } from './manoeuvre-migrations';
import { othersSchema } from './others';
import { placeSchema } from './place';
import { planSchema } from './plan';

/** What can be ticked off before and on the way. */
const TICKED = [...READY_ITEMS, ...LOCK_CHECKS] as const;
export type Ticked = (typeof TICKED)[number];

/** A check that was set aside goes by the name of its rule, which was another for one of them. */
const renamedRule = (dismissed: string) =>
  dismissed.replace(/^hands not there\//, 'crew not there/');

export const MANOEUVRE_SCHEMA = 'yawtrope:manoeuvre';

const goalSchema = z.discriminatedUnion(
  'is',
  [
    z.strictObject({ is: z.literal('clear'), distance_m: within(0, 500, 'm') }),
    /** All of the boat past the gates of an end of a lock that is worked. */
    z.strictObject({
      is: z.literal('through'),
      lock: shortText,
      by: oneOf(['upper', 'lower']),
    }),
    z.strictObject({
      is: z.literal('lie'),
      point: z.string().min(1).max(80),
      mark: z.string().min(1).max(80),
      within_m: within(0.05, 500, 'm'),
      heading_deg: compass,
      headingWithin_deg: within(0.5, 180, 'degrees'),
      speedBelow_mps: within(0.01, 10, 'm/s'),
    }),
  ],
  { error: "goal.is is 'clear', 'through' or 'lie'" },
);
export type GoalDocument = z.infer<typeof goalSchema>;

const startSchema = z.strictObject({
  x_m: within(-20000, 20000, 'm'),
  y_m: within(-20000, 20000, 'm'),
  heading_deg: compass,
  /** Ahead through the water; negative for sternway. */
  speed_mps: within(-5, 10, 'm/s').default(0),
});

/** No manoeuvre lasts longer, s: two locks with a wait before each. */
export const MOST_LIMIT_S = 3600;

const currentManoeuvre = z.strictObject({
  $schema: z.literal(MANOEUVRE_SCHEMA),
  version: z.literal(MANOEUVRE_VERSION, { error: 'this program reads versions 1 and 2' }),
  id,
  title: shortText,
  note: longText.default(''),
  boatId: id,
  placeId: id,
  conditions: conditionsSchema,
  start: startSchema,
  goal: goalSchema,
  /** Ids of features that are the boat's berth: touched by intent, left out of clearances. */
  berth: z.array(id).max(12, { error: 'at most 12' }).default([]),
  plan: planSchema,
  /** Boats that lie about on lines of their own and give way. */
  others: othersSchema,
  /** Locks that are worked. */
  locks: lockingSchema,
  /** Checks of the plan its writer has looked at and set aside, as `rule/step id/engine`. */
  dismissed: z
    .array(z.string().overwrite(renamedRule).min(1).max(200))
    .max(200, { error: 'at most 200' })
    .default([]),
  /** What of the getting ready, and of what is checked at a lock, has been ticked off. */
  ready: z.array(z.enum(TICKED)).max(TICKED.length).default([]),
  /** A way that looks as good and fails, kept beside the plan, and why it does. */
  tempting: z.strictObject({ title: shortText, why: longText, plan: planSchema }).optional(),
  limit_s: within(1, MOST_LIMIT_S, 's').default(300),
});
export type Manoeuvre = z.infer<typeof currentManoeuvre>;

/** What a user edits: everything but boat and place, which it names by id. Of any version, brought up to date as it is read. */
export const manoeuvreSchema = z.preprocess(migrateManoeuvre, currentManoeuvre);

const currentFile = currentManoeuvre
  .omit({ boatId: true, placeId: true })
  .extend({ boat: boatSchema, place: placeSchema });
export type ManoeuvreFile = z.infer<typeof currentFile>;

/** A manoeuvre that stands alone, boat and place with it: what a file holds and what is run. Of any version. */
export const manoeuvreFileSchema = z.preprocess(migrateManoeuvre, currentFile);

export function toFile(
  manoeuvre: Manoeuvre,
  boat: ManoeuvreFile['boat'],
  place: ManoeuvreFile['place'],
): ManoeuvreFile {
  const { boatId: _boat, placeId: _place, ...rest } = manoeuvre;
  return { ...rest, boat, place };
}
