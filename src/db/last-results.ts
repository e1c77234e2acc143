import { eq, sql } from 'drizzle-orm';
import { check, lastResultSchema, type LastResult } from '@/document';
import type { Library } from './open';
import { boats, lastResults, manoeuvres, places } from './schema';

/** A last result, and whether manoeuvre, boat or place was changed since. */
export interface KeptResult {
  readonly result: LastResult;
  readonly older: boolean;
}

/** True where a manoeuvre, its boat or its place is another than its last result was worked out from. */
export const OLDER = sql<number>`${lastResults.manoeuvreRevision} <> ${manoeuvres.revision}
  or ${lastResults.boatRevision} <> ${boats.revision} or ${lastResults.placeRevision} <> ${places.revision}`;

/**
 * Keeps what a manoeuvre came to, in place of what it came to before. 'missing' if there is no such manoeuvre, 'overtaken' if it has
 * another revision by now: then nothing is written.
 */
export function keepLastResult(
  db: Library,
  id: string,
  revision: number,
  result: LastResult,
  now: number,
): 'kept' | 'missing' | 'overtaken' {
  const row = db
    .select({
      revision: manoeuvres.revision,
      boatRevision: boats.revision,
      placeRevision: places.revision,
    })
    .from(manoeuvres)
    .innerJoin(boats, eq(boats.id, manoeuvres.boatId))
    .innerJoin(places, eq(places.id, manoeuvres.placeId))
    .where(eq(manoeuvres.id, id))
    .get();
  if (!row) return 'missing';
  if (row.revision !== revision) return 'overtaken';
  const { boatRevision, placeRevision } = row;
  // Tries come later than the run, and are not made again for one that is only looked at.
  const before = result.tries ? null : lastResultKept(db, id);
  const tries = before && !before.older ? before.result.tries : result.tries;
  const values = {
    manoeuvreRevision: revision,
    boatRevision,
    placeRevision,
    document: JSON.stringify({ ...result, tries }),
    updatedAt: now,
  };
  db.insert(lastResults)
    .values({ manoeuvreId: id, ...values })
    .onConflictDoUpdate({ target: lastResults.manoeuvreId, set: values })
    .run();
  return 'kept';
}

/** What a manoeuvre came to last; null where that is not known or cannot be read. */
export function lastResultKept(db: Library, id: string): KeptResult | null {
  const row = db
    .select({ document: lastResults.document, older: OLDER })
    .from(lastResults)
    .innerJoin(manoeuvres, eq(manoeuvres.id, lastResults.manoeuvreId))
    .innerJoin(boats, eq(boats.id, manoeuvres.boatId))
    .innerJoin(places, eq(places.id, manoeuvres.placeId))
    .where(eq(lastResults.manoeuvreId, id))
    .get();
  if (!row) return null;
  try {
    const read = check(lastResultSchema, JSON.parse(row.document));
    return read.ok ? { result: read.value, older: row.older === 1 } : null;
  } catch {
    // It is only a convenience: what cannot be read is worked out anew.
    return null;
  }
}
