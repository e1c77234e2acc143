import { eq } from 'drizzle-orm';
import type { Library } from './open';
import { counters } from './schema';

/** Revisions only go up: what is put back, or made anew under an old id, begins above this. */
const REVISION_FLOOR = 'revision floor';

function read(db: Library, name: string): number {
  return db.select().from(counters).where(eq(counters.name, name)).get()?.value ?? 0;
}

/** The revision of what is put in for the first time. */
export function firstRevision(db: Library): number {
  return read(db, REVISION_FLOOR) + 1;
}

/**
 * Raises the floor above every revision in use, and gives the revision of whatever comes in place of what is there: a
 * window that was opened before cannot save over it without being asked.
 *
 * @param atLeast a floor known otherwise
 */
export function raiseRevisions(db: Library, atLeast = 0): number {
  const highest = db.$client
    .prepare(
      `select max(r) from (
         select max(revision) r from main.boats union all
         select max(revision) from main.places union all
         select max(revision) from main.manoeuvres)`,
    )
    .pluck()
    .get() as number | null;
  const value = Math.max(read(db, REVISION_FLOOR), highest ?? 0, atLeast);
  db.insert(counters)
    .values({ name: REVISION_FLOOR, value })
    .onConflictDoUpdate({ target: counters.name, set: { value } })
    .run();
  return value + 1;
}
