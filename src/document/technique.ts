import { z } from 'zod';
import { compass, id, longText, shortText, SIDES, within } from './fields';
import { planSchema } from './plan';
import { migrateTechnique, TECHNIQUE_SCHEMA, TECHNIQUE_VERSION } from './technique-migrations';

/** A user's own steps kept as a technique, with what they were written for, so that they can be laid elsewhere. */
const currentTechnique = z.strictObject({
  $schema: z.literal(TECHNIQUE_SCHEMA),
  version: z.literal(TECHNIQUE_VERSION, { error: 'this program reads versions 1 and 2' }),
  id,
  name: shortText,
  note: longText.default(''),
  basis: z.strictObject({
    goal: z.enum(['clear', 'through', 'lie']),
    length_m: within(1, 500, 'm'),
    /** Of the berth, or where the boat lay. */
    heading_deg: compass,
    /** On which the berth was; null in open water. */
    side: z.enum(SIDES).nullable(),
    mark: z.string().min(1).max(80).nullable(),
    engines: z.array(z.string().max(80)).max(8),
    thrusters: z.array(z.string().max(80)).max(8),
  }),
  plan: planSchema,
});
export type OwnTechnique = z.infer<typeof currentTechnique>;

/** Of any version. */
export const ownTechniqueSchema = z.preprocess(migrateTechnique, currentTechnique);
