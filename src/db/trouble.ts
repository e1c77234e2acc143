/** What can be wrong with the disk or the database, each with what to do about it. */
export type TroubleCode =
  | 'disk full'
  | 'not writable'
  | 'damaged'
  | 'newer'
  | 'not ours'
  | 'not restorable'
  | 'busy'
  | 'missing';

const CODES: Readonly<Record<string, TroubleCode>> = {
  SQLITE_FULL: 'disk full',
  ENOSPC: 'disk full',
  EDQUOT: 'disk full',
  SQLITE_READONLY: 'not writable',
  SQLITE_CANTOPEN: 'not writable',
  EACCES: 'not writable',
  EPERM: 'not writable',
  EROFS: 'not writable',
  ENOTDIR: 'not writable',
  SQLITE_CORRUPT: 'damaged',
  SQLITE_NOTADB: 'damaged',
  SQLITE_BUSY: 'busy',
  SQLITE_LOCKED: 'busy',
};

const WORDS: Readonly<Record<TroubleCode, string>> = {
  'disk full': 'the disk is full; free some space, then try again',
  'not writable':
    'the data directory cannot be written; see that it is there and that this program may write to it',
  damaged: 'the database is damaged; restart the server, which then offers the backups',
  newer: 'the database was written by a newer version of this program; start that version',
  'not ours': 'is no database of this program',
  'not restorable': 'cannot be restored; choose another backup',
  busy: 'the database is busy; try again in a moment',
  missing: 'is not there',
};

/** A trouble with the disk or the database that its user can do something about. */
export class Trouble extends Error {
  constructor(
    readonly code: TroubleCode,
    message: string = WORDS[code],
  ) {
    super(message);
    this.name = 'Trouble';
  }
}

/** Which trouble an error of SQLite or of the file system is; null where it is none of them. */
export function troubleOf(error: unknown): Trouble | null {
  if (error instanceof Trouble) return error;
  if (typeof error !== 'object' || error === null || !('code' in error)) return null;
  const code = String(error.code);
  // SQLite tells a full disk as an I/O error where it is the write-ahead log that does not fit.
  if (code.startsWith('SQLITE_IOERR'))
    return new Trouble(
      'disk full',
      'the disk is full or cannot be written; free some space, then try again',
    );
  // SQLite's longer codes begin with the shorter: SQLITE_READONLY_DIRECTORY.
  const known = Object.keys(CODES).find((one) => code === one || code.startsWith(`${one}_`));
  return known ? new Trouble(CODES[known]!) : null;
}
