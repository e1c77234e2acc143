import { z } from 'zod';
import { shortText, within } from './fields';

/** What is done at a lock; by the keeper, or whoever is at hand, if nobody is named. */
export function lockOrders<A extends z.ZodType, N extends z.ZodType>(after_s: A, named: N) {
  return [
    z.strictObject({
      do: z.literal('paddle'),
      after_s,
      lock: named,
      paddle: named,
      /** Share it is to be open: 0 down, 1 all the way up. */
      to: within(0, 1),
      by: named.optional(),
    }),
    z.strictObject({
      do: z.literal('gates'),
      after_s,
      lock: named,
      end: z.enum(['upper', 'lower'], { error: "say 'upper' or 'lower'" }),
      leaf: z
        .enum(['both', 'left', 'right'], { error: "say 'both', 'left' or 'right'" })
        .default('both'),
      to: z.enum(['open', 'shut'], { error: "say 'open' or 'shut'" }),
      by: named.optional(),
    }),
  ] as const;
}

/** Locks that are worked in a manoeuvre, and how each stands when it begins; others are left as they are drawn. */
export const lockingSchema = z
  .array(
    z.strictObject({
      lock: shortText,
      /** The water its chamber is level with. */
      set: z.enum(['upper', 'lower'], { error: "say 'upper' or 'lower'" }),
      /** How its gates at that end stand. */
      gates: z.enum(['open', 'shut'], { error: "say 'open' or 'shut'" }).default('shut'),
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
