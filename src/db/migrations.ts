import type Database from 'better-sqlite3';
import { readMigrationFiles } from 'drizzle-orm/migrator';
import { join } from 'node:path';

const FOLDER = () => join(process.cwd(), 'drizzle');

/** For drizzle's own migrate. */
export const migrationsConfig = () => ({ migrationsFolder: FOLDER() });

/** How a database stands to the migrations of this program. */
export type MigrationState = 'new' | 'current' | 'older' | 'newer' | 'not ours';

/** Compares the migrations noted in a database with those shipped. Reads only. Throws what SQLite throws. */
export function migrationState(sqlite: Database.Database): MigrationState {
  const tables = sqlite
    .prepare("select name from sqlite_master where type = 'table' and name not like 'sqlite_%'")
    .pluck()
    .all() as string[];
  if (tables.length === 0) return 'new';
  if (!tables.includes('__drizzle_migrations') || !tables.includes('manoeuvres')) return 'not ours';
  const done = sqlite
    .prepare('select hash from __drizzle_migrations order by created_at')
    .pluck()
    .all() as string[];
  const shipped = readMigrationFiles(migrationsConfig()).map(({ hash }) => hash);
  if (done.length === 0) return 'not ours';
  if (done[0] !== shipped[0]) return 'not ours';
  if (done.some((hash) => !shipped.includes(hash))) return 'newer';
  return done.length === shipped.length ? 'current' : 'older';
}
