import { and, count, eq, isNull } from 'drizzle-orm';
import { boatSchema, failure, success, type Boat, type Problem, type Result } from '@/document';
import { read } from './manoeuvres';
import type { Library } from './open';
import { boats, manoeuvres } from './schema';

export interface OpenedBoat {
  readonly boat: Boat;
  readonly revision: number;
  readonly updatedAt: number;
  /** Manoeuvres that use her. */
  readonly uses: number;
}

/** A boat as listed; one that cannot be read is listed with what is wrong. */
export interface ListedBoat {
  readonly id: string;
  readonly boat: Boat | null;
  readonly problems: readonly Problem[];
}

export type SavedBoat =
  | { readonly is: 'saved'; readonly revision: number; readonly updatedAt: number }
  | { readonly is: 'conflict'; readonly revision: number }
  | { readonly is: 'missing' };

const kept = (id: string) => and(eq(boats.id, id), isNull(boats.removedAt));

/** Boats not put aside, by name. */
export function listBoats(db: Library): ListedBoat[] {
  const rows = db.select().from(boats).where(isNull(boats.removedAt)).all();
  return rows
    .map(({ id, document }): ListedBoat => {
      const boat = read<Boat>(boatSchema, document, `boat '${id}'`);
      return boat.ok
        ? { id, boat: boat.value, problems: [] }
        : { id, boat: null, problems: boat.problems };
    })
    .sort((a, b) => (a.boat?.name ?? a.id).localeCompare(b.boat?.name ?? b.id));
}

/** Null when there is none of that id. */
export function openBoat(db: Library, id: string): Result<OpenedBoat> | null {
  const row = db.select().from(boats).where(kept(id)).get();
  if (!row) return null;
  const boat = read<Boat>(boatSchema, row.document, `boat '${id}'`);
  if (!boat.ok) return failure(...boat.problems);
  const uses = db
    .select({ n: count() })
    .from(manoeuvres)
    .where(and(eq(manoeuvres.boatId, id), isNull(manoeuvres.removedAt)))
    .get();
  const { revision, updatedAt } = row;
  return success({ boat: boat.value, revision, updatedAt, uses: uses?.n ?? 0 });
}

/** Puts a new boat in under her id, or a free one made from it. Returns the id. */
export function insertBoat(db: Library, boat: Boat, now: number): string {
  return db.transaction(() => {
    for (let n = 1; ; n++) {
      const id = n === 1 ? boat.id : `${boat.id.slice(0, 58)}-${n}`;
      if (db.select({ id: boats.id }).from(boats).where(eq(boats.id, id)).get()) continue;
      const document = JSON.stringify({ ...boat, id });
      db.insert(boats).values({ id, document, updatedAt: now }).run();
      return id;
    }
  });
}

/** Saves over the revision it started from; over any other it changes nothing. */
export function saveBoat(db: Library, boat: Boat, fromRevision: number, now: number): SavedBoat {
  const revision = fromRevision + 1;
  const done = db
    .update(boats)
    .set({ document: JSON.stringify(boat), revision, updatedAt: now })
    .where(and(kept(boat.id), eq(boats.revision, fromRevision)))
    .run();
  if (done.changes === 1) return { is: 'saved', revision, updatedAt: now };
  const row = db.select({ revision: boats.revision }).from(boats).where(kept(boat.id)).get();
  return row ? { is: 'conflict', revision: row.revision } : { is: 'missing' };
}

/** Puts a boat aside, or brings her back; manoeuvres that use her keep her. False if there is none. */
export function setBoatAside(db: Library, id: string, at: number | null): boolean {
  return db.update(boats).set({ removedAt: at }).where(eq(boats.id, id)).run().changes === 1;
}
