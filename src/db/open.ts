import Database from 'better-sqlite3';
import { accessSync, constants, existsSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { drizzle, type BetterSQLite3Database } from 'drizzle-orm/better-sqlite3';
import { migrate } from 'drizzle-orm/better-sqlite3/migrator';
import { copyDatabase } from './copying';
import { databaseIn, makePrivate, privateDirectory } from './files';
import { migrationsConfig, migrationState } from './migrations';
import * as schema from './schema';
import { Trouble } from './trouble';

export type Library = BetterSQLite3Database<typeof schema> & {
  readonly $client: Database.Database;
};

/** Where data is kept: YAWTROPE_DATA_DIR, or .yawtrope under the project. */
export function dataDirectory(): string {
  return process.env.YAWTROPE_DATA_DIR || join(process.cwd(), '.yawtrope');
}

/**
 * Opens a database, brought up to the newest migration; where there is something to bring up, a copy of it is made
 * first. What is acknowledged is on the disk. Throws a Trouble for one of a newer version or not ours, and what SQLite
 * or the file system throws.
 */
export function openDatabase(file: string, beforeMigrating?: () => void): Library {
  const sqlite = new Database(file);
  try {
    sqlite.pragma('journal_mode = WAL');
    // About a millisecond a save; NORMAL may lose what was acknowledged when the power goes.
    sqlite.pragma('synchronous = FULL');
    sqlite.pragma('busy_timeout = 5000');
    sqlite.pragma('foreign_keys = ON');
    const state = migrationState(sqlite);
    if (state === 'newer' || state === 'not ours') throw new Trouble(state);
    const library = drizzle(sqlite, { schema });
    if (state !== 'current') {
      if (state === 'older') beforeMigrating?.();
      migrate(library, migrationsConfig());
    }
    makePrivate(file);
    return library;
  } catch (error) {
    sqlite.close();
    throw error;
  }
}

/** Opens the database of a data directory, which is made if it is not there. */
export function openLibrary(directory: string): Library {
  privateDirectory(directory);
  accessSync(directory, constants.W_OK);
  const file = databaseIn(directory);
  // An empty file is what a first start that was cut off left behind.
  const fresh = !existsSync(file) || statSync(file).size === 0;
  return openDatabase(file, () => {
    if (!fresh) copyDatabase(directory, Date.now(), 'before upgrade');
  });
}

const KEPT = Symbol.for('yawtrope.library');
type Keeper = typeof globalThis & { [KEPT]?: Library };

/** The server's one connection; kept on globalThis so that a development reload does not open another. */
export function library(): Library {
  const keeper = globalThis as Keeper;
  keeper[KEPT] ??= openLibrary(dataDirectory());
  return keeper[KEPT];
}
