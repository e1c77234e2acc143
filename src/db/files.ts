import {
  chmodSync,
  closeSync,
  existsSync,
  fdatasyncSync,
  fsyncSync,
  mkdirSync,
  openSync,
  readSync,
  rmSync,
  statfsSync,
  writeSync,
} from 'node:fs';
import { dirname, join } from 'node:path';

/** Of everything else the data directory holds only what this program wrote, for whoever runs it. */
const DIRECTORY_MODE = 0o700;
const FILE_MODE = 0o600;

/** The files one SQLite database is made of, beside the database itself. */
export const TAILS = ['', '-wal', '-shm'] as const;

/** Makes a directory (not its parents: that never ends on file systems that refuse it, such as /proc), closed to others. */
export function privateDirectory(directory: string): string {
  if (!existsSync(directory)) mkdirSync(directory, { mode: DIRECTORY_MODE });
  chmodSync(directory, DIRECTORY_MODE);
  return directory;
}

/** Closes a database's files to others. */
export function makePrivate(file: string): void {
  for (const tail of TAILS) if (existsSync(file + tail)) chmodSync(file + tail, FILE_MODE);
}

export function removeDatabase(file: string): void {
  for (const tail of TAILS) rmSync(file + tail, { force: true });
}

/** Has what was written to a file, and its name, on the disk before it returns. */
export function settle(file: string): void {
  for (const path of [file, dirname(file)]) {
    const open = openSync(path, 'r');
    try {
      fsyncSync(open);
    } finally {
      closeSync(open);
    }
  }
}

const COPIED_AT_ONCE = 4_000_000;

/**
 * Copies a file, a part at a time on the disk: were all of it left to the end, a save of somebody else would wait for
 * the disk to take it in.
 */
export function copySettled(from: string, to: string): void {
  const part = Buffer.alloc(COPIED_AT_ONCE);
  const source = openSync(from, 'r');
  try {
    const target = openSync(to, 'wx', 0o600);
    try {
      for (let length; (length = readSync(source, part, 0, part.length, null)) > 0;) {
        for (let at = 0; at < length;) at += writeSync(target, part, at, length - at);
        fdatasyncSync(target);
      }
    } finally {
      closeSync(target);
    }
  } finally {
    closeSync(source);
  }
}

/** Bytes that can still be written where a directory is. */
export function freeBytes(directory: string): number {
  const { bavail, bsize } = statfsSync(directory);
  return bavail * bsize;
}

export const databaseIn = (directory: string) => join(directory, 'yawtrope.sqlite');
export const backupsIn = (directory: string) => join(directory, 'backups');
/** Where files are that only pass through: an archive on its way in or out. */
export const PASSING = 'passing';
