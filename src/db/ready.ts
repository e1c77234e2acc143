import {
  existsSync,
  mkdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { join } from 'node:path';
import { z } from 'zod';
import { listBackups, sweepParts } from './copying';
import { databaseIn, PASSING, privateDirectory, settle, TAILS } from './files';
import { inspect } from './inspect';
import { openLibrary } from './open';
import { restoreInto, sweepReadings } from './restore';
import { seedDemo } from './seed';
import { sweepTexts } from './texts';
import { Trouble } from './trouble';

const MARKER = 'damaged.json';

const damageSchema = z.object({
  /** When it was found, ms since 1970. */
  at: z.number(),
  why: z.string(),
  /** The folder in the data directory the damaged files were moved to, untouched; null where there were none. */
  movedTo: z.string().nullable(),
});
/** A database that could not be opened, and where it is now. */
export type Damage = z.infer<typeof damageSchema>;

/** The damage nobody has decided upon yet; null where there is none. */
export function standingDamage(directory: string): Damage | null {
  const file = join(directory, MARKER);
  if (!existsSync(file)) return null;
  try {
    const read = damageSchema.safeParse(JSON.parse(readFileSync(file, 'utf8')));
    if (read.success) return read.data;
  } catch {
    // Cut off while it was written: that something was wrong is known all the same.
  }
  return { at: statSync(file).mtimeMs, why: 'could not be opened', movedTo: null };
}

/** Moves a database aside as it is, every file of it, and notes that. */
function moveAside(directory: string, why: string, now: number): Damage {
  const file = databaseIn(directory);
  let movedTo: string | null = null;
  if (TAILS.some((tail) => existsSync(file + tail))) {
    movedTo = `damaged-${new Date(now).toISOString().slice(0, 19).replace(/:/g, '-')}`;
    for (let n = 2; existsSync(join(directory, movedTo)); n++)
      movedTo = `${movedTo.replace(/_\d+$/, '')}_${n}`;
    mkdirSync(join(directory, movedTo), { mode: 0o700 });
    // The log first: a database without its log is older, a log without its database is nothing.
    for (const tail of TAILS.toReversed())
      if (existsSync(file + tail))
        renameSync(file + tail, join(directory, movedTo, `yawtrope.sqlite${tail}`));
  }
  const damage: Damage = { at: now, why, movedTo };
  writeFileSync(join(directory, MARKER), JSON.stringify(damage), { mode: 0o600 });
  settle(join(directory, MARKER));
  return damage;
}

/** Why the database of a directory cannot be used; null where it can, or where there never was one. */
function whyUnusable(directory: string): string | null {
  const file = databaseIn(directory);
  const known = listBackups(directory).length > 0;
  if (!existsSync(file)) return known ? 'is gone, though there are backups of it' : null;
  if (statSync(file).size === 0)
    return known || existsSync(`${file}-wal`) ? 'is empty, though it held something' : null;
  try {
    inspect(file);
    return null;
  } catch (error) {
    if (!(error instanceof Trouble)) throw error;
    if (error.code !== 'damaged' && error.code !== 'not ours') throw error;
    return error.message;
  }
}

function openAndSeed(directory: string, demo: string, now: number): void {
  const db = openLibrary(directory);
  try {
    seedDemo(db, demo, now);
    // What an import that was cut off left behind.
    sweepTexts(db);
  } finally {
    db.$client.close();
  }
}

/**
 * Before a server answers: checks the database, brings it up to date and puts in what is shipped. A damaged one is
 * moved aside untouched, and told: then there is no library until somebody chooses. Throws a Trouble where the
 * directory cannot be written, or holds a database of a newer version.
 *
 * @param demo the directory of the demo data
 */
export function makeReady(directory: string, demo: string, now: number): Damage | null {
  privateDirectory(directory);
  sweepParts(directory);
  sweepReadings(directory);
  // Archives that were on their way when the server ended.
  rmSync(join(directory, PASSING), { recursive: true, force: true });
  const why = whyUnusable(directory);
  if (why !== null) {
    const standing = standingDamage(directory);
    // Found once already, and nobody has chosen since.
    if (standing && !existsSync(databaseIn(directory))) return standing;
    return moveAside(directory, why, now);
  }
  const standing = standingDamage(directory);
  if (standing && !existsSync(databaseIn(directory))) return standing;
  openAndSeed(directory, demo, now);
  rmSync(join(directory, MARKER), { force: true });
  return null;
}

/**
 * Ends a damage: by a backup put in the database's place, or by beginning anew. What was moved aside stays where it is.
 * Throws a Trouble where the backup cannot be restored.
 *
 * @param name of a backup; null begins anew
 */
export async function recover(
  directory: string,
  name: string | null,
  demo: string,
  now: number,
): Promise<void> {
  if (existsSync(databaseIn(directory)))
    throw new Trouble('not ours', 'there is a library already; nothing was changed');
  if (name !== null) await restoreInto(directory, name, now);
  openAndSeed(directory, demo, now);
  rmSync(join(directory, MARKER), { force: true });
}
