import Database from 'better-sqlite3';
import { existsSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { basename, join } from 'node:path';
import type { BackupContents } from '@/document';
import {
  backupsIn,
  databaseIn,
  freeBytes,
  makePrivate,
  privateDirectory,
  removeDatabase,
  settle,
} from './files';
import { inspect } from './inspect';
import { spent, type Backup } from './rotation';
import { Trouble } from './trouble';

const NAME = /^(\d{4}-\d{2}-\d{2})T(\d{2})-(\d{2})-(\d{2})(?:-(\d{3}))?(-before)?\.sqlite$/;
const PART = '.part';
/**
 * So many pages are copied before what is written is put on the disk. Were all of it left to the end, a save of somebody
 * else would wait for the disk to take it in, seconds where the library is large.
 */
const PAGES_AT_ONCE = 1000;
/** Left free on the disk by a copy, so that saving goes on. */
const ROOM_BYTES = 16_000_000;

/** Why a copy is made. */
export type CopyReason = 'regular' | 'before restore' | 'before import' | 'before upgrade';

/** When a copy was made, by its name; older copies say it to the second. */
const timeOf = (name: string) => {
  const [, day, hour, minute, second, thousandth = '000'] = NAME.exec(name)!;
  return Date.parse(`${day}T${hour}:${minute}:${second}.${thousandth}Z`);
};

/** Copies of the database, the newest first. One that was cut off is none. */
export function listBackups(directory: string): Backup[] {
  const folder = backupsIn(directory);
  if (!existsSync(folder)) return [];
  return readdirSync(folder)
    .filter((name) => NAME.test(name))
    .map((name) => ({
      name,
      at: timeOf(name),
      bytes: statSync(join(folder, name)).size,
      before: name.endsWith('-before.sqlite'),
    }))
    .sort((a, b) => b.at - a.at);
}

/** Where a copy of that name is; null if there is none. */
export function backupFile(directory: string, name: string): string | null {
  if (!NAME.test(name)) return null;
  const file = join(backupsIn(directory), name);
  return existsSync(file) ? file : null;
}

/** What is in a copy. Throws a Trouble where it cannot be restored. */
export function inspectBackup(directory: string, name: string): BackupContents {
  const file = backupFile(directory, name);
  if (!file) throw new Trouble('missing', `there is no backup '${name}'`);
  try {
    return inspect(file);
  } catch (error) {
    // The library itself is sound: it is the choice that is not.
    throw error instanceof Trouble ? new Trouble('not restorable', error.message) : error;
  }
}

/** Takes away what a copy that was cut off left behind. */
export function sweepParts(directory: string): void {
  const folder = backupsIn(directory);
  if (!existsSync(folder)) return;
  for (const name of readdirSync(folder))
    if (name.includes(PART)) rmSync(join(folder, name), { force: true });
}

function bytesOf(directory: string): number {
  return ['', '-wal'].reduce((sum, tail) => {
    const file = databaseIn(directory) + tail;
    return sum + (existsSync(file) ? statSync(file).size : 0);
  }, 0);
}

/** Where the next copy is written first, and where it goes once it is whole. */
function nextCopy(directory: string, now: number, reason: CopyReason) {
  const folder = privateDirectory(backupsIn(directory));
  const wanted = bytesOf(directory) + ROOM_BYTES;
  const free = freeBytes(folder);
  if (free < wanted)
    throw new Trouble(
      'disk full',
      `the disk is too full for a backup: it wants ${Math.ceil(wanted / 1e6)} MB, and ${Math.floor(free / 1e6)} MB are free; free some space, then try again`,
    );
  // No two copies bear one time: they would be one file, or nobody could say which is the newer.
  const taken = new Set(listBackups(directory).map(({ at }) => at));
  let at = now;
  while (taken.has(at)) at += 1;
  const clock = new Date(at).toISOString().slice(0, 23).replace(/[:.]/g, '-');
  const file = join(folder, `${clock}${reason === 'regular' ? '' : '-before'}.sqlite`);
  return { file, part: `${file}${PART}-${process.pid}` };
}

/** A part that is sound becomes the copy; then the oldest copies go. Returns the copy's name. */
function finish(directory: string, part: string, file: string, now: number): string {
  // One file, with no write-ahead log to look for beside it.
  const made = new Database(part, { fileMustExist: true });
  made.pragma('journal_mode = DELETE');
  made.close();
  inspect(part);
  makePrivate(part);
  settle(part);
  renameSync(part, file);
  settle(file);
  for (const { name } of spent(listBackups(directory), now))
    rmSync(join(backupsIn(directory), name), { force: true });
  return basename(file);
}

/**
 * Copies the database of a directory as it stands, whole, by SQLite's online backup, while others read and write it.
 * What is not whole and sound never gets a copy's name. Returns the name. Throws a Trouble, or what SQLite throws.
 */
export async function backUp(
  directory: string,
  now: number,
  reason: CopyReason = 'regular',
): Promise<string> {
  const { file, part } = nextCopy(directory, now, reason);
  const source = new Database(databaseIn(directory), { fileMustExist: true, readonly: true });
  try {
    // One moment for all of it: in a write-ahead log a reader keeps nobody from writing, and is not begun again by it.
    source.exec('begin');
    source.prepare('select 1 from sqlite_master').get();
    await source.backup(part, {
      progress: () => {
        settle(part);
        return PAGES_AT_ONCE;
      },
    });
    source.exec('commit');
    return finish(directory, part, file, now);
  } finally {
    source.close();
    removeDatabase(part);
  }
}

/** The same without waiting for anything, for a database nobody else has open yet. */
export function copyDatabase(directory: string, now: number, reason: CopyReason): string {
  const { file, part } = nextCopy(directory, now, reason);
  const source = new Database(databaseIn(directory), { fileMustExist: true });
  try {
    source.prepare('vacuum into ?').run(part);
    return finish(directory, part, file, now);
  } finally {
    source.close();
    removeDatabase(part);
  }
}
