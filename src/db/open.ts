import Database from 'better-sqlite3';
import { accessSync, constants, existsSync, mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { drizzle, type BetterSQLite3Database } from 'drizzle-orm/better-sqlite3';
import { migrate } from 'drizzle-orm/better-sqlite3/migrator';
import * as schema from './schema';

export type Library = BetterSQLite3Database<typeof schema> & {
  readonly $client: Database.Database;
};

const FILE = 'yawtrope.sqlite';

/** Where data is kept: YAWTROPE_DATA_DIR, or .yawtrope under the project. */
export function dataDirectory(): string {
  return process.env.YAWTROPE_DATA_DIR || join(process.cwd(), '.yawtrope');
}

/** Opens the database in a directory, brought up to the newest migration. Throws if it cannot be written. */
export function openLibrary(directory: string, file = FILE): Library {
  // Not recursive: that never ends on file systems that refuse it, such as /proc.
  if (!existsSync(directory)) mkdirSync(directory);
  accessSync(directory, constants.W_OK);
  const sqlite = new Database(join(directory, file));
  sqlite.pragma('journal_mode = WAL');
  sqlite.pragma('busy_timeout = 5000');
  sqlite.pragma('foreign_keys = ON');
  const library = drizzle(sqlite, { schema });
  migrate(library, { migrationsFolder: join(process.cwd(), 'drizzle') });
  return library;
}

const KEPT = Symbol.for('yawtrope.library');
type Keeper = typeof globalThis & { [KEPT]?: Library };

/** The server's one connection; kept on globalThis so that a development reload does not open another. */
export function library(): Library {
  const keeper = globalThis as Keeper;
  keeper[KEPT] ??= openLibrary(dataDirectory());
  return keeper[KEPT];
}
