import { eq, sql } from 'drizzle-orm';
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { z } from 'zod';
import {
  boatSchema,
  check,
  lastResultSchema,
  manoeuvreSchema,
  placeSchema,
  problemLines,
  type Boat,
  type LastResult,
  type Manoeuvre,
  type Place,
} from '@/document';
import { firstRevision } from './counters';
import { keepLastResult } from './last-results';
import type { Library } from './open';
import { writing } from './writing';
import { boats, lastResults, manoeuvres, places } from './schema';

function readAll<T>(directory: string, schema: Parameters<typeof check<T>>[0]): T[] {
  return readdirSync(directory)
    .filter((name) => name.endsWith('.json'))
    .sort()
    .map((name) => {
      const checked = check(schema, JSON.parse(readFileSync(join(directory, name), 'utf8')));
      if (!checked.ok) throw new Error(`demo ${name}:\n${problemLines(checked.problems)}`);
      return checked.value;
    });
}

/** The demo boats, places and manoeuvres as shipped under `directory`. Throws if one is not sound. */
export function readDemo(directory: string): {
  boats: Boat[];
  places: Place[];
  manoeuvres: Manoeuvre[];
} {
  return {
    boats: readAll(join(directory, 'boats'), boatSchema),
    places: readAll(join(directory, 'places'), placeSchema),
    manoeuvres: readAll(join(directory, 'manoeuvres'), manoeuvreSchema),
  };
}

/** What each demo came to as it was shipped, by its id; nothing where that was not written down. Throws if it is not sound. */
export function readDemoResults(directory: string): Readonly<Record<string, LastResult>> {
  const file = join(directory, 'results.json');
  if (!existsSync(file)) return {};
  const read = check(
    z.record(z.string(), lastResultSchema),
    JSON.parse(readFileSync(file, 'utf8')),
  );
  if (!read.ok) throw new Error(`demo results:\n${problemLines(read.problems)}`);
  return read.value;
}

const sha256 = (text: string) => createHash('sha256').update(text).digest('hex');

type Seeded = typeof boats | typeof places | typeof manoeuvres;

/**
 * What is to be done with a shipped text: it is put in where there is none of its id, and in place of the text shipped
 * before as long as nobody has changed that. Whether somebody has goes by the text itself, not by its revision: a
 * restored library counts revisions of its own.
 */
function plan(db: Library, table: Seeded, id: string, text: string): 'insert' | 'update' | 'leave' {
  const row = db
    .select({ document: table.document, shipped: table.shipped })
    .from(table)
    .where(eq(table.id, id))
    .get();
  if (!row) return 'insert';
  const theirs = row.shipped === null || sha256(row.document) !== row.shipped;
  if (row.document === text) return row.shipped === null ? 'update' : 'leave';
  return theirs ? 'leave' : 'update';
}

function seed(
  db: Library,
  table: Seeded,
  document: { readonly id: string },
  now: number,
  insert: (text: string, shipped: string) => void,
  columns: Partial<typeof manoeuvres.$inferInsert> = {},
): void {
  const text = JSON.stringify(document);
  const shipped = sha256(text);
  const what = plan(db, table, document.id, text);
  if (what === 'insert') insert(text, shipped);
  if (what === 'update')
    db.update(table)
      .set({
        ...columns,
        document: text,
        shipped,
        revision: sql`${table.revision} + 1`,
        updatedAt: now,
      })
      .where(eq(table.id, document.id))
      .run();
}

/** Puts in demo data that is not there yet or was not changed since; what a user has changed or put aside stays. */
export function seedDemo(db: Library, directory: string, now: number): void {
  const demo = readDemo(directory);
  const results = readDemoResults(directory);
  writing(db, () => {
    const revision = firstRevision(db);
    for (const [table, documents] of [
      [boats, demo.boats],
      [places, demo.places],
    ] as const)
      for (const one of documents)
        seed(db, table, one, now, (document, shipped) =>
          db
            .insert(table)
            .values({ id: one.id, document, shipped, revision, updatedAt: now })
            .run(),
        );
    for (const one of demo.manoeuvres) {
      const { id, title, boatId, placeId } = one;
      const columns = { title, boatId, placeId };
      const insert = (document: string, shipped: string) =>
        db
          .insert(manoeuvres)
          .values({ id, ...columns, document, shipped, revision, createdAt: now, updatedAt: now })
          .run();
      seed(db, manoeuvres, one, now, insert, columns);
      const result = results[id];
      if (result) seedResult(db, id, result, now);
    }
  });
}

/** Puts in what a demo came to where nothing newer is known of it, and it, its boat and its place are as they are shipped. */
function seedResult(db: Library, id: string, result: LastResult, now: number): void {
  const row = db
    .select()
    .from(manoeuvres)
    .innerJoin(boats, eq(boats.id, manoeuvres.boatId))
    .innerJoin(places, eq(places.id, manoeuvres.placeId))
    .leftJoin(lastResults, eq(lastResults.manoeuvreId, manoeuvres.id))
    .where(eq(manoeuvres.id, id))
    .get();
  if (!row || row.last_results?.manoeuvreRevision === row.manoeuvres.revision) return;
  const asShipped = [row.manoeuvres, row.boats, row.places].every(
    ({ document, shipped }) => sha256(document) === shipped,
  );
  if (asShipped) keepLastResult(db, id, row.manoeuvres.revision, result, now);
}
