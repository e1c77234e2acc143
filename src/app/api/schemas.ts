import { z } from 'zod';
import { idSchema } from '@/document';

/** Shapes that several routes take or give. */

/** Which manoeuvre is meant. */
export const ofManoeuvre = z.strictObject({
  manoeuvre: idSchema.describe('id of a manoeuvre'),
});
/** Brings back what was removed. */
export const bringBack = z.strictObject({ aside: z.literal(false) });
export const made = z.object({ id: z.string() });
export const savedAnswer = z.object({ revision: z.number(), updatedAt: z.number() });
/** An id the asker makes up to watch work by, and to stop it, at /api/work/{id}. */
export const watchSchema = z.strictObject({
  watch: z.uuid({ error: 'must be a UUID' }).optional(),
});
