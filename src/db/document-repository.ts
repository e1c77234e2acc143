import { and, count, eq, isNull } from 'drizzle-orm';
import { failure, success, type Problem, type Result } from '@/document';
import type { z } from 'zod';
import { firstRevision } from './counters';
import { read } from './manoeuvres';
import type { Library } from './open';
import { writing } from './writing';
import { type boats, manoeuvres, type places } from './schema';

/** What is kept whole under an id of its own, and used by manoeuvres. */
interface Document {
  readonly id: string;
  readonly name: string;
}

export interface OpenedDocument<T> {
  readonly document: T;
  readonly revision: number;
  readonly updatedAt: number;
  /** Manoeuvres that use it. */
  readonly uses: number;
}

/** As listed; one that cannot be read is listed with what is wrong. */
export interface ListedDocument<T> {
  readonly id: string;
  readonly document: T | null;
  readonly problems: readonly Problem[];
}

export type SavedDocument =
  | { readonly is: 'saved'; readonly revision: number; readonly updatedAt: number }
  | { readonly is: 'conflict'; readonly revision: number }
  | { readonly is: 'missing' };

/** Boats or places of a library: listed, opened, saved over the revision they came from, put aside. */
export class DocumentRepository<T extends Document> {
  constructor(
    private readonly table: typeof boats | typeof places,
    private readonly schema: z.ZodType<T>,
    private readonly what: 'boat' | 'place',
  ) {}

  private one(id: string) {
    return and(eq(this.table.id, id), isNull(this.table.removedAt));
  }

  /** Those not put aside, by name. */
  list(db: Library): ListedDocument<T>[] {
    const rows = db.select().from(this.table).where(isNull(this.table.removedAt)).all();
    return rows
      .map(({ id, document }): ListedDocument<T> => {
        const found = read<T>(this.schema, document, `${this.what} '${id}'`);
        return found.ok
          ? { id, document: found.value, problems: [] }
          : { id, document: null, problems: found.problems };
      })
      .sort((a, b) => (a.document?.name ?? a.id).localeCompare(b.document?.name ?? b.id));
  }

  /** Null when there is none of that id. */
  open(db: Library, id: string): Result<OpenedDocument<T>> | null {
    const row = db.select().from(this.table).where(this.one(id)).get();
    if (!row) return null;
    const found = read<T>(this.schema, row.document, `${this.what} '${id}'`);
    if (!found.ok) return failure(...found.problems);
    const column = this.what === 'boat' ? manoeuvres.boatId : manoeuvres.placeId;
    const uses = db
      .select({ n: count() })
      .from(manoeuvres)
      .where(and(eq(column, id), isNull(manoeuvres.removedAt)))
      .get();
    const { revision, updatedAt } = row;
    return success({ document: found.value, revision, updatedAt, uses: uses?.n ?? 0 });
  }

  /** Puts a new one in under its id, or a free one made from it. Returns the id. */
  insert(db: Library, document: T, now: number): string {
    return writing(db, () => {
      for (let n = 1; ; n++) {
        const id = n === 1 ? document.id : `${document.id.slice(0, 58)}-${n}`;
        const taken = db
          .select({ id: this.table.id })
          .from(this.table)
          .where(eq(this.table.id, id))
          .get();
        if (taken) continue;
        const text = JSON.stringify({ ...document, id });
        const revision = firstRevision(db);
        db.insert(this.table).values({ id, document: text, revision, updatedAt: now }).run();
        return id;
      }
    });
  }

  /** Saves over the revision it started from; over any other it changes nothing. */
  save(db: Library, document: T, fromRevision: number, now: number): SavedDocument {
    const revision = fromRevision + 1;
    const done = db
      .update(this.table)
      .set({ document: JSON.stringify(document), revision, updatedAt: now })
      .where(and(this.one(document.id), eq(this.table.revision, fromRevision)))
      .run();
    if (done.changes === 1) return { is: 'saved', revision, updatedAt: now };
    const row = db
      .select({ revision: this.table.revision })
      .from(this.table)
      .where(this.one(document.id))
      .get();
    return row ? { is: 'conflict', revision: row.revision } : { is: 'missing' };
  }

  /** Puts one aside, or brings it back; manoeuvres that use it keep it. False if there is none. */
  setAside(db: Library, id: string, at: number | null): boolean {
    const done = db.update(this.table).set({ removedAt: at }).where(eq(this.table.id, id)).run();
    return done.changes === 1;
  }
}
