import { z } from 'zod';
import type { Windbreak } from '@/core/air';
import type { Zone } from '@/core/plan';
import type { Bridge } from '@/core/simulation';
import { extra, id, shortText } from '../fields';
import { outline } from '../outline';

/**
 * What of the water, or over it, has an outline but cannot be touched, one file a kind: what it has of its own, and what the
 * core makes of it. How it looks is ui/places/areas.
 */

const common = { id, name: shortText, extra, outline_m: outline };

type Own = Readonly<Record<string, z.ZodType>>;

const schemaOf = <K extends string, O extends Own>(kind: K, own: O) =>
  z.strictObject({ kind: z.literal(kind), ...common, ...own });

/** What others make of an area; each may be left out. */
export interface AreaUses<A> {
  /** Water of one depth at level nought, m. */
  depth?(area: A): number;
  /** The same where the water stands so much higher than the place's nought, m. */
  stands?(area: A, over_m: number): A;
  /** Room to pass under, and a way over for people. */
  bridge?(area: A): Omit<Bridge, 'name' | 'outline'>;
  /** A rule for who goes through it. */
  zone?(area: A): Omit<Zone, 'name' | 'outline'>;
  /** What it keeps off of the wind: its height, m, and the share that gets through. */
  windbreak?(area: A): Omit<Windbreak, 'outline'>;
}

/** A kind of area: its schema, the keys of its own that a file of another format carries too, and what others make of it. */
export function areaKind<K extends string, O extends Own>(
  kind: K,
  own: O,
  uses: AreaUses<z.infer<ReturnType<typeof schemaOf<K, O>>>> = {},
) {
  return { kind, keys: Object.keys(own), schema: schemaOf(kind, own), ...uses };
}
