import { copyFileSync, existsSync, mkdirSync, readdirSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { sql } from 'drizzle-orm';
import { dataDirectory, openLibrary, type Library } from './open';
import { contentsOf, replaceAll } from './archive';

const FOLDER = 'backups';
const NAME = /^(\d{4}-\d{2}-\d{2})T(\d{2})-(\d{2})-(\d{2})(?:-(\d{3}))?(-before)?\.sqlite$/;
const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;
/** The newest so many are kept, then one a day for so many days. */
const KEPT_NEWEST = 6;
const KEPT_DAYS = 14;

export interface Backup {
  readonly name: string;
  readonly at: number;
  readonly bytes: number;
}

/** When a copy was made, by its name; older copies say it to the second. */
const timeOf = (name: string) => {
  const [, day, hour, minute, second, thousandth = '000'] = NAME.exec(name)!;
  return Date.parse(`${day}T${hour}:${minute}:${second}.${thousandth}Z`);
};

/** Copies of the database, the newest first. */
export function listBackups(directory = dataDirectory()): Backup[] {
  const folder = join(directory, FOLDER);
  if (!existsSync(folder)) return [];
  return readdirSync(folder)
    .filter((name) => NAME.test(name))
    .map((name) => ({ name, at: timeOf(name), bytes: statSync(join(folder, name)).size }))
    .sort((a, b) => b.at - a.at);
}

/** Copies the database as it stands, whole; and lets the oldest copies go. Returns the copy's name. */
export function backUp(
  db: Library,
  now: number,
  before = false,
  directory = dataDirectory(),
): string {
  const folder = join(directory, FOLDER);
  if (!existsSync(folder)) mkdirSync(folder);
  // No two copies bear one time: they would be one file, or nobody could say which is the newer.
  const taken = new Set(listBackups(directory).map(({ at }) => at));
  let at = now;
  while (taken.has(at)) at += 1;
  const clock = new Date(at).toISOString().slice(0, 23).replace(/[:.]/g, '-');
  const name = `${clock}${before ? '-before' : ''}.sqlite`;
  db.run(sql`VACUUM INTO ${join(folder, name)}`);
  for (const { name: old } of spent(listBackups(directory), now)) rmSync(join(folder, old));
  return name;
}

/** Copies that are not kept any longer: beyond the newest, all but the last of each day, and those too old. */
export function spent(backups: readonly Backup[], now: number): Backup[] {
  const days = new Set<number>();
  return backups.slice(KEPT_NEWEST).filter(({ at }) => {
    const day = Math.floor(at / DAY_MS);
    const first = !days.has(day);
    days.add(day);
    return !first || now - at > KEPT_DAYS * DAY_MS;
  });
}

/** Makes a copy if the last one is an hour old, or there is none. */
export function backUpHourly(db: Library, now: number, directory = dataDirectory()): void {
  const last = listBackups(directory)[0];
  if (!last || now - last.at >= HOUR_MS) backUp(db, now, false, directory);
}

/** Puts a copy in place of what is kept, which is copied first. False if there is no such copy. */
export function restoreBackup(
  db: Library,
  name: string,
  now: number,
  directory = dataDirectory(),
): boolean {
  if (!listBackups(directory).some((one) => one.name === name)) return false;
  // Opening brings a database up to date: the copy itself stays as it was. And it is read before one more copy could
  // let it go.
  const reading = `reading-${now}.sqlite`;
  copyFileSync(join(directory, FOLDER, name), join(directory, reading));
  const copy = openLibrary(directory, reading);
  const contents = contentsOf(copy);
  copy.$client.close();
  for (const tail of ['', '-wal', '-shm'])
    rmSync(join(directory, `${reading}${tail}`), { force: true });
  backUp(db, now, true, directory);
  replaceAll(db, contents, now);
  return true;
}

/** Copies the database now, if it is time, and looks again every few minutes as long as the server runs. */
export function keepBackups(db: Library, clock: () => number): void {
  backUpHourly(db, clock());
  setInterval(() => backUpHourly(db, clock()), HOUR_MS / 6).unref();
}
