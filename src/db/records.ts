import { and, asc, eq, isNull } from 'drizzle-orm';
import { recordSchema, type RecordDocument, type Result } from '@/document';
import { read } from './manoeuvres';
import type { Library } from './open';
import { writing } from './writing';
import { manoeuvres, records } from './schema';

/** An instrument record as a list shows it. */
export interface ListedRecord {
  readonly id: string;
  readonly name: string;
  readonly begins: string;
}

/** Keeps a record. False if its manoeuvre is not kept here. */
export function keepRecord(db: Library, record: RecordDocument, now: number): boolean {
  return writing(db, () => {
    const known = db
      .select({ id: manoeuvres.id })
      .from(manoeuvres)
      .where(eq(manoeuvres.id, record.manoeuvreId))
      .get();
    if (!known) return false;
    const { id, manoeuvreId } = record;
    const document = JSON.stringify(record);
    db.insert(records).values({ id, manoeuvreId, document, createdAt: now }).run();
    return true;
  });
}

/** Records of a manoeuvre not put aside, in the order they were kept. */
export function listRecords(db: Library, manoeuvreId: string): ListedRecord[] {
  return db
    .select()
    .from(records)
    .where(and(eq(records.manoeuvreId, manoeuvreId), isNull(records.removedAt)))
    .orderBy(asc(records.createdAt))
    .all()
    .flatMap((row) => {
      const found = read<RecordDocument>(recordSchema, row.document, `record '${row.id}'`);
      if (!found.ok) return [];
      const { id, name, begins } = found.value;
      return [{ id, name, begins }];
    });
}

/** Null when there is none of that id. */
export function openRecord(db: Library, id: string): Result<RecordDocument> | null {
  const row = db
    .select()
    .from(records)
    .where(and(eq(records.id, id), isNull(records.removedAt)))
    .get();
  return row ? read<RecordDocument>(recordSchema, row.document, `record '${id}'`) : null;
}

/** Puts a record aside, or brings it back. False if there is none. */
export function setRecordAside(db: Library, id: string, at: number | null): boolean {
  const done = db.update(records).set({ removedAt: at }).where(eq(records.id, id)).run();
  return done.changes === 1;
}
