import Database from 'better-sqlite3';
import { closeSync, existsSync, openSync, readSync } from 'node:fs';
import type { BackupContents } from '@/document';
import { migrationState } from './migrations';
import { Trouble, troubleOf } from './trouble';

type Counts = BackupContents['counts'];

const MAGIC = Buffer.from('SQLite format 3\0', 'latin1');

function beginsLikeSqlite(file: string): boolean {
  const head = Buffer.alloc(MAGIC.length);
  const open = openSync(file, 'r');
  try {
    return readSync(open, head, 0, head.length, 0) === head.length && head.equals(MAGIC);
  } finally {
    closeSync(open);
  }
}

/** What SQLite's check says first of what is wrong, without the heading it stands under. */
const firstFinding = (found: string) =>
  found.split('\n').find((line) => !line.startsWith('***')) ?? 'its pages do not fit together';

/** Which tables a database of one of our versions has, by name. */
function tablesOf(sqlite: Database.Database): ReadonlySet<string> {
  return new Set(
    sqlite.prepare("select name from sqlite_master where type = 'table'").pluck().all() as string[],
  );
}

/** Whether a column is there: older versions lack some. */
function hasColumn(sqlite: Database.Database, table: string, column: string): boolean {
  return (
    sqlite
      .prepare('select 1 from pragma_table_info(?) where name = ?')
      .pluck()
      .get(table, column) !== undefined
  );
}

/** What the table of runs was called in a version that had one. */
const runsIn = (tables: ReadonlySet<string>) => (tables.has('takes') ? 'takes' : 'runs');

function countsOf(sqlite: Database.Database): Counts {
  const tables = tablesOf(sqlite);
  const count = (table: string) => {
    if (!tables.has(table)) return 0;
    const where = hasColumn(sqlite, table, 'removed_at') ? 'where removed_at is null' : '';
    return sqlite.prepare(`select count(*) from ${table} ${where}`).pluck().get() as number;
  };
  return {
    boats: count('boats'),
    places: count('places'),
    manoeuvres: count('manoeuvres'),
    runs: count(runsIn(tables)),
    records: count('records'),
  };
}

function changedAtOf(sqlite: Database.Database): number | null {
  const tables = tablesOf(sqlite);
  const times = ['boats', 'places', 'manoeuvres', runsIn(tables)]
    .filter((table) => tables.has(table))
    .map((table) => sqlite.prepare(`select max(updated_at) from ${table}`).pluck().get());
  const known = times.filter((time): time is number => typeof time === 'number');
  return known.length > 0 ? Math.max(...known) : null;
}

/**
 * Looks a database file over without changing it: whole by SQLite's own check, ours, and of a version we know.
 * Throws a Trouble that says what is wrong with it.
 */
export function inspect(file: string): BackupContents {
  if (!existsSync(file)) throw new Trouble('missing');
  if (!beginsLikeSqlite(file)) throw new Trouble('damaged', 'is no SQLite database');
  let sqlite: Database.Database | null = null;
  try {
    sqlite = new Database(file, { readonly: true, fileMustExist: true });
    const found = sqlite.prepare('pragma quick_check(1)').pluck().get();
    if (found !== 'ok') throw new Trouble('damaged', `is damaged (${firstFinding(String(found))})`);
    const state = migrationState(sqlite);
    if (state === 'newer') throw new Trouble('newer');
    if (state === 'new' || state === 'not ours') throw new Trouble('not ours');
    return { counts: countsOf(sqlite), changedAt: changedAtOf(sqlite), state };
  } catch (error) {
    throw troubleOf(error) ?? error;
  } finally {
    sqlite?.close();
  }
}
