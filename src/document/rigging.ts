import { z } from 'zod';
import { BOTTOMS, ROPES } from '@/core/holding';
import { MOST_LINES } from '@/core/simulation';
import { fenderSchema } from './boat';
import { shortText, within } from './fields';

const name = z.string().min(1, { error: 'choose one' }).max(80);

export const MOST_LINE_M = 300;
export const MOST_PULL_N = 200000;
export const MOST_TURNS = 6;

const line = z.strictObject({
  name: shortText,
  /** Another boat it leads from, whose hands see to it; the boat's if not given. */
  of: name.optional(),
  /** Point aboard it leads from. */
  from: name,
  /** All there is of it. */
  length_m: within(1, MOST_LINE_M, 'm').default(12),
  rope: z.enum(ROPES, { error: "say 'polyester', 'polyamide' or 'hmpe'" }).default('polyester'),
  /** The usual one for the boat's displacement if not given. */
  diameter_mm: within(4, 150, 'mm').optional(),
  /** Share of its strength when new that age, knots and splices have left. */
  strengthLeft: within(0.1, 1).default(0.6),
  /** Led round ashore and back aboard, to be let go from there. */
  doubled: z.boolean().default(false),
  /** Point aboard it is led to and handled at; where it leads from if not given. */
  ledTo: name.optional(),
  /** Pull of the winch it is led to. */
  winch_N: within(100, MOST_PULL_N, 'N').optional(),
  /** What it is fast to when the manoeuvre begins; aboard if not given. Just slack if no length is. */
  fast: z.strictObject({ to: name, length_m: within(0.3, MOST_LINE_M, 'm').optional() }).optional(),
  /** An anchor at the end of it: then it is chain, and `diameter_mm` that of its link. */
  anchor: z
    .strictObject({
      /** The usual ones for the boat's displacement if not given. */
      mass_kg: within(1, 30000, 'kg').optional(),
      depth_m: within(0.5, 60, 'm').default(4),
      bottom: z
        .enum(BOTTOMS, { error: "say 'sand', 'clay', 'mud', 'weed' or 'rock'" })
        .default('sand'),
    })
    .optional(),
});
export type LineDocument = z.infer<typeof line>;

function namedOnce<T extends { name: string }>(what: string) {
  return (things: T[], context: z.RefinementCtx) =>
    things.forEach((thing, i) => {
      if (things.findIndex((other) => other.name === thing.name) === i) return;
      const message = `'${thing.name}' is used twice; give each ${what} its own name`;
      context.addIssue({ code: 'custom', path: [i, 'name'], message });
    });
}

export const linesSchema = z
  .array(line)
  .max(MOST_LINES, { error: `at most ${MOST_LINES} lines` })
  .superRefine(namedOnce('line'))
  .default([]);

const person = z.strictObject({
  name: shortText,
  /** A point aboard, or a bollard, pile or mark ashore. */
  at: z.union([z.strictObject({ aboard: name }), z.strictObject({ ashore: name })], {
    error: "say { aboard: 'a point of the boat' } or { ashore: 'a mark' }",
  }),
  /** What they can hold, and how far they can throw a line in a calm. */
  pull_N: within(50, 1000, 'N').default(300),
  throws_m: within(1, 30, 'm').default(8),
});
export type PersonDocument = z.infer<typeof person>;

export const crewSchema = z
  .array(person)
  .max(6, { error: 'at most six people' })
  .superRefine(namedOnce('person'))
  .default([]);

/** Fenders hung for this manoeuvre, besides those the boat always has out. */
export const hungSchema = z
  .array(fenderSchema)
  .max(8, { error: 'at most eight fenders more' })
  .superRefine(namedOnce('fender'))
  .default([]);

/** How the boat is motored while lines hold it, as a page asks for it. */
export const motoredSchema = z.strictObject({
  gear: z.union([z.literal(-1), z.literal(0), z.literal(1)]),
  throttle: within(0, 1),
  wheel: within(-1, 1),
});
