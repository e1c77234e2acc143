import { readdirSync, renameSync } from 'node:fs';
import { join } from 'node:path';
import { raiseRevisions } from './counters';
import { backUp, backupFile, inspectBackup } from './copying';
import { copySettled, databaseIn, removeDatabase, settle } from './files';
import { openDatabase, type Library } from './open';
import { writing } from './writing';
import { breath, sweepTextsGently } from './texts';

const READING = 'reading-';
/** So many texts come over in one transaction: who saves meanwhile waits a few milliseconds. */
const TEXTS_AT_ONCE = 60;

/** Takes away what a restore that was cut off left behind. */
export function sweepReadings(directory: string): void {
  for (const name of readdirSync(directory))
    if (name.startsWith(READING) && name.endsWith('.sqlite')) removeDatabase(join(directory, name));
}

/**
 * Reads a copy that can be restored from a file of its own: opening brings a database up to date, and the copy itself
 * stays as it was, even where one more copy lets it go. Throws a Trouble where it cannot be restored.
 */
async function reading<T>(
  directory: string,
  name: string,
  use: (file: string) => Promise<T> | T,
): Promise<T> {
  inspectBackup(directory, name);
  const copy = backupFile(directory, name)!;
  const file = join(directory, `${READING}${crypto.randomUUID()}.sqlite`);
  try {
    copySettled(copy, file);
    openDatabase(file).$client.close();
    return await use(file);
  } finally {
    removeDatabase(file);
  }
}

/** The two long texts of a copy's runs that do not stay, by the copy's ids. */
const WANTED = `select manoeuvre_text as id from copy.runs where id not in (select id from staying)
   union select recording_text from copy.runs where id not in (select id from staying)`;

/**
 * Runs that are here as they are in the copy: thousands of them stay where they are, which takes no time while others
 * wait. Which, is found before anything is written; what was changed since then is taken from the copy after all.
 */
function findStaying(sqlite: Library['$client']): void {
  const text = (of: string, column: string) =>
    `(select text from ${of}.texts where id = ${of === 'main' ? 't' : 'c'}.${column})`;
  sqlite.exec(`
    create temp table if not exists staying (id text primary key, updated_at integer);
    delete from staying;
    insert into staying
      select t.id, t.updated_at from main.runs t join copy.runs c on c.id = t.id
      where t.manoeuvre_id = c.manoeuvre_id and t.started_at = c.started_at and t.notes = c.notes
        and ${text('main', 'manoeuvre_text')} = ${text('copy', 'manoeuvre_text')}
        and ${text('main', 'recording_text')} = ${text('copy', 'recording_text')};`);
}

/**
 * Rows of a copy in place of all rows: what is removed stays removed, and revisions only go up. The long texts come
 * over a few at a time beforehand, where nothing names them yet; the rest is one short transaction.
 */
async function runRows(db: Library, copy: string): Promise<void> {
  const sqlite = db.$client;
  const tag = crypto.randomUUID();
  sqlite.prepare('attach ? as copy').run(copy);
  try {
    findStaying(sqlite);
    const last = sqlite.prepare('select max(rowid) from copy.texts').pluck().get() as number | null;
    sqlite.exec(`create temp table if not exists wanted (id text primary key);
      delete from wanted; insert into wanted ${WANTED};`);
    const bring = sqlite.prepare(
      `insert into main.texts (id, text)
       select ? || id, text from copy.texts
       where rowid > ? and rowid <= ? and id in (select id from wanted)`,
    );
    for (let from = 0; from < (last ?? 0); from += TEXTS_AT_ONCE) {
      const { changes } = bring.run(`${tag}-`, from, from + TEXTS_AT_ONCE);
      if (changes > 0) await breath();
    }
    sqlite
      .transaction(() => {
        // What stays belongs to rows that go and come again before the transaction ends.
        sqlite.pragma('defer_foreign_keys = ON');
        const revision = raiseRevisions(db);
        const { changes } = sqlite
          .prepare(
            `delete from staying where not exists
               (select 1 from main.runs t where t.id = staying.id and t.updated_at = staying.updated_at)`,
          )
          .run();
        if (changes > 0)
          sqlite
            .prepare(
              `insert or ignore into main.texts (id, text)
               select ? || id, text from copy.texts where id in (${WANTED})`,
            )
            .run(`${tag}-`);
        sqlite.exec('delete from main.runs where id not in (select id from staying)');
        for (const table of ['records', 'manoeuvres', 'techniques', 'places', 'boats'])
          sqlite.prepare(`delete from main.${table}`).run();
        for (const table of ['boats', 'places'])
          sqlite
            .prepare(
              `insert into main.${table} (id, document, revision, updated_at, removed_at, shipped)
               select id, document, ?, updated_at, removed_at, shipped from copy.${table}`,
            )
            .run(revision);
        sqlite.prepare('insert into main.techniques select * from copy.techniques').run();
        sqlite
          .prepare(
            `insert into main.manoeuvres
               (id, title, boat_id, place_id, document, revision, created_at, updated_at, opened_at, removed_at, shipped)
             select id, title, boat_id, place_id, document, ?, created_at, updated_at, opened_at, removed_at, shipped
             from copy.manoeuvres`,
          )
          .run(revision);
        sqlite
          .prepare(
            `update main.runs as t
             set removed_at = (select removed_at from copy.runs c where c.id = t.id)
             where removed_at is not (select removed_at from copy.runs c where c.id = t.id)`,
          )
          .run();
        sqlite
          .prepare(
            `insert into main.runs
               (id, manoeuvre_id, manoeuvre_text, recording_text, notes, summary, started_at, updated_at, removed_at)
             select id, manoeuvre_id, ? || manoeuvre_text, ? || recording_text, notes, summary, started_at, updated_at, removed_at
             from copy.runs where id not in (select id from staying)`,
          )
          .run(`${tag}-`, `${tag}-`);
        sqlite.prepare('insert into main.records select * from copy.records').run();
        // A copy is no older than the revisions it holds.
        raiseRevisions(db);
      })
      .immediate();
  } finally {
    sqlite.prepare('detach copy').run();
  }
  await sweepTextsGently(db);
}

/**
 * Puts a copy in place of what is kept, which is copied first; the copy stays as it is. Returns the name of the copy
 * made first. Throws a Trouble where the copy cannot be restored: then nothing has changed.
 */
export async function restoreBackup(
  db: Library,
  directory: string,
  name: string,
  now: number,
): Promise<string> {
  return reading(directory, name, async (copy) => {
    const before = await backUp(directory, now, 'before restore');
    await runRows(db, copy);
    return before;
  });
}

/**
 * Puts a copy where there is no database, one that was damaged having been moved aside; it appears whole or not at all.
 * Throws as restoring does.
 */
export function restoreInto(directory: string, name: string, now: number): Promise<void> {
  return reading(directory, name, (copy) => {
    const db = openDatabase(copy);
    writing(db, () => {
      // What was saved since the copy is not known: nobody saves more than once a second for fifty years.
      const revision = raiseRevisions(db, Math.floor(now / 1000));
      for (const table of ['boats', 'places', 'manoeuvres'])
        db.$client.prepare(`update ${table} set revision = ?`).run(revision);
      raiseRevisions(db);
    });
    // One file again: its log would not go along.
    db.$client.pragma('journal_mode = DELETE');
    db.$client.close();
    settle(copy);
    renameSync(copy, databaseIn(directory));
    settle(databaseIn(directory));
  });
}
