import { z } from 'zod';
import { oneOf, shortText } from './fields';

/** Locks that are worked in a manoeuvre, and how each stands when it begins; others are left as they are drawn. */
export const lockingSchema = z
  .array(
    z.strictObject({
      lock: shortText,
      /** The water its chamber is level with. */
      set: oneOf(['upper', 'lower']),
      /** How its gates at that end stand. */
      gates: oneOf(['open', 'shut']).default('shut'),
    }),
  )
  .max(2, { error: 'at most two locks are worked in one manoeuvre' })
  .superRefine((locks, context) =>
    locks.forEach(({ lock }, i) => {
      if (locks.findIndex((other) => other.lock === lock) === i) return;
      const message = `'${lock}' is given twice; leave one out`;
      context.addIssue({ code: 'custom', path: [i, 'lock'], message });
    }),
  )
  .default([]);
export type Locking = z.infer<typeof lockingSchema>[number];
