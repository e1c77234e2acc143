import Database from 'better-sqlite3';
import { drizzle } from 'drizzle-orm/better-sqlite3';
import { migrate } from 'drizzle-orm/better-sqlite3/migrator';
import {
  copyFileSync,
  cpSync,
  existsSync,
  readdirSync,
  readFileSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { join } from 'node:path';
import {
  databaseIn,
  keepRun,
  keptBoats,
  keptPlaces,
  listBackups,
  listManoeuvres,
  openLibrary,
  openManoeuvre,
  openRun,
  saveManoeuvre,
  saveNotes,
  saveRecording,
  seedDemo,
  setAside,
  setRunAside,
  type Library,
} from './';
import { Shelf, shipped, RUN, runOf } from './testing/small-library';
import { backUp, inspectBackup, isDue, restoreBackup, spent, type Backup } from './upkeep';

const HOUR = 3_600_000;
const DAY = 24 * HOUR;
const AT = Date.parse('2026-03-01T10:00:00Z');

let shelf: Shelf;
let directory: string;
let db: Library;

beforeEach(() => {
  shelf = new Shelf();
  directory = shelf.place();
  db = shelf.library(directory, true);
});
afterEach(() => shelf.close());

const folder = () => join(directory, 'backups');
const titles = () => listManoeuvres(db).map(({ id, title }) => [id, title]);

describe('which backups are kept', () => {
  const copy = (at: number, before = false): Backup => ({
    name: `${at}${before ? '-before' : ''}`,
    at,
    bytes: 1,
    before,
  });
  const now = 1000 * DAY + 5 * HOUR;
  const left = (copies: readonly Backup[]) => {
    const gone = new Set(spent(copies, now));
    return copies.filter((one) => !gone.has(one));
  };

  it('the last of each of 24 hours, 14 days and 8 weeks, whatever is made in between', () => {
    const hourly = Array.from({ length: 24 * 100 }, (_, i) => copy(now - i * HOUR));
    const kept = left(hourly);
    expect(kept.slice(0, 24)).toEqual(hourly.slice(0, 24));
    const days = new Set(kept.map(({ at }) => Math.floor(at / DAY)));
    expect(days.size).toBeGreaterThanOrEqual(14);
    const weeks = new Set(kept.map(({ at }) => Math.floor(at / (7 * DAY))));
    expect(weeks.size).toBe(8);
    expect(kept.length).toBeLessThanOrEqual(24 + 14 + 8);
    // Six in one minute push nothing out.
    const minute = Array.from({ length: 6 }, (_, i) => copy(now + i));
    expect(left([...minute, ...hourly]).length).toBeGreaterThanOrEqual(kept.length);
  });

  it('those made before something was replaced are counted apart', () => {
    const before = Array.from({ length: 30 }, (_, i) => copy(now - i * 60_000, true));
    const regular = [copy(now - 2 * DAY), copy(now - 9 * DAY)];
    expect(left([...before, ...regular])).toEqual([...before.slice(0, 12), ...regular]);
  });

  it('a clock that was set back stops none, and one that was ahead pushes none out', () => {
    const ahead = Array.from({ length: 40 }, (_, i) => copy(now + (i + 1) * DAY));
    const regular = [copy(now - 2 * HOUR), copy(now - 3 * HOUR)];
    expect(isDue([...ahead, ...regular], now)).toBe(true);
    expect(isDue([...ahead, copy(now - HOUR / 2)], now)).toBe(false);
    expect(left([...ahead, ...regular]).filter(({ at }) => at <= now)).toEqual(regular);
    expect(left(ahead)).toHaveLength(4);
  });
});

describe('a backup', () => {
  it('restored, every row is as it was then; what was there is backed up first, and the backup is not touched', async () => {
    setAside(db, 'off-the-wall', 3);
    const then = titles();
    const name = await backUp(directory, AT);
    const bytes = readFileSync(join(folder(), name));
    setAside(db, 'off-the-wall', null);
    keptBoats.setAside(db, 'quince', 4);
    await restoreBackup(db, directory, name, AT + 60_000);
    expect(titles()).toEqual(then);
    expect(keptBoats.open(db, 'quince')).not.toBeNull();
    // What was removed then is removed again, not gone.
    expect(setAside(db, 'off-the-wall', null)).toBe(true);
    expect(openRun(db, RUN)).toMatchObject({ ok: true });
    expect(listBackups(directory).map((one) => one.name)).toEqual([
      '2026-03-01T10-01-00-000-before.sqlite',
      '2026-03-01T10-00-00-000.sqlite',
    ]);
    expect(readFileSync(join(folder(), name)).equals(bytes)).toBe(true);
    expect(readdirSync(directory).filter((file) => file.startsWith('reading'))).toEqual([]);
    expect(db.$client.prepare('select count(*) from texts').pluck().get()).toBe(2);
  });

  it('restored, runs that are here alike stay where they are, and all others are as in the backup', async () => {
    const [alike, aside, driven, noted, fresh] = Array.from({ length: 5 }, () =>
      crypto.randomUUID(),
    );
    for (const id of [alike!, aside!, driven!, noted!]) keepRun(db, runOf(db, id), 6);
    const rows = () =>
      db.$client
        .prepare(
          `select t.id, m.text as manoeuvre, r.text as recording, notes, removed_at from runs t
           join texts m on m.id = manoeuvre_text join texts r on r.id = recording_text order by t.id`,
        )
        .all();
    const under = (id: string) =>
      db.$client.prepare('select recording_text from runs where id = ?').pluck().get(id);
    const texts = () => db.$client.prepare('select count(*) from texts').pluck().get();
    const [before, of, count] = [rows(), under(alike!), texts()];
    const name = await backUp(directory, AT);
    setRunAside(db, aside!, 7);
    saveRecording(db, driven!, { ...runOf(db).recording, timesteps: 90 }, 8);
    saveNotes(db, noted!, [{ at_s: 1, by: 'student', text: 'later' }], 8);
    keepRun(db, runOf(db, fresh), 8);
    await restoreBackup(db, directory, name, AT + HOUR);
    expect(rows()).toEqual(before);
    expect(under(alike!)).toBe(of);
    expect(texts()).toBe(count);
  });

  it('restored, revisions only go up: a window opened before overwrites nothing', async () => {
    const opened = openManoeuvre(db, 'alongside-wind-off');
    if (!opened?.ok) throw new Error('gone');
    const name = await backUp(directory, AT);
    const { manoeuvre } = opened.value;
    let { revision } = opened.value;
    for (let i = 0; i < 3; i++) {
      const saved = saveManoeuvre(db, { ...manoeuvre, note: String(i) }, revision, 2);
      if (saved.is === 'saved') ({ revision } = saved);
    }
    await restoreBackup(db, directory, name, AT + 1);
    for (let old = 1; old <= revision; old++)
      expect(saveManoeuvre(db, { ...manoeuvre, note: 'old tab' }, old, 3).is).toBe('conflict');
    const now = openManoeuvre(db, 'alongside-wind-off');
    if (!now?.ok) throw new Error('gone');
    expect(saveManoeuvre(db, manoeuvre, now.value.revision, 3).is).toBe('saved');
  });

  it('restored, an edited demo stays edited when the demo is shipped anew', async () => {
    const opened = openManoeuvre(db, 'alongside-wind-off');
    if (!opened?.ok) throw new Error('gone');
    saveManoeuvre(db, { ...opened.value.manoeuvre, title: 'Mine' }, opened.value.revision, 2);
    const name = await backUp(directory, AT);
    await restoreBackup(db, directory, name, AT + 1);
    const file = (id: string) => join(shelf.demo, 'manoeuvres', `${id}.json`);
    for (const id of ['alongside-wind-off', 'off-stilt-pontoon']) {
      const next = {
        ...(JSON.parse(shipped('manoeuvres', id)) as object),
        title: `Shipped anew: ${id}`,
      };
      writeFileSync(file(id), JSON.stringify(next));
    }
    seedDemo(db, shelf.demo, 9);
    expect(Object.fromEntries(titles())).toMatchObject({
      'alongside-wind-off': 'Mine',
      'off-stilt-pontoon': 'Shipped anew: off-stilt-pontoon',
    });
    const again = titles();
    seedDemo(db, shelf.demo, 10);
    expect(titles()).toEqual(again);
  });

  it('made in one moment with another is kept beside it, the later one above', async () => {
    const before = await backUp(directory, AT, 'before restore');
    setAside(db, 'off-the-wall', 3);
    const after = await backUp(directory, AT);
    expect(listBackups(directory).map(({ name }) => name)).toEqual([after, before]);
    expect([before, after].map((name) => inspectBackup(directory, name).counts.manoeuvres)).toEqual(
      [3, 2],
    );
  });

  it('named to the second by an earlier version is listed by its time and can be restored', async () => {
    const name = await backUp(directory, AT);
    const old = '2026-03-01T09-59-59-before.sqlite';
    copyFileSync(join(folder(), name), join(folder(), old));
    expect(listBackups(directory)[1]).toMatchObject({ name: old, at: AT - 1000, before: true });
    await restoreBackup(db, directory, old, AT);
  });

  it('says what is in it, and is closed to others', async () => {
    const name = await backUp(directory, AT);
    expect(inspectBackup(directory, name)).toEqual({
      counts: { boats: 2, places: 2, manoeuvres: 3, runs: 1, records: 0 },
      changedAt: 6,
      state: 'current',
    });
    const mode = (path: string) => statSync(path).mode & 0o777;
    expect([folder(), join(folder(), name), directory, databaseIn(directory)].map(mode)).toEqual([
      0o700, 0o600, 0o700, 0o600,
    ]);
  });

  it('is refused with nothing changed where it is none of ours, empty, damaged, newer or not there', async () => {
    const name = await backUp(directory, AT);
    const sound = join(folder(), name);
    const spoilt = (as: string, change: (file: string) => void) => {
      const file = join(folder(), as);
      copyFileSync(sound, file);
      change(file);
      return as;
    };
    const other = (file: string) => {
      writeFileSync(file, '');
      const sqlite = new Database(file);
      sqlite.exec('create table recipes (id)');
      sqlite.close();
    };
    const newer = (file: string) => {
      const sqlite = new Database(file);
      sqlite.exec(`insert into __drizzle_migrations (hash, created_at) values ('later', 9e15)`);
      sqlite.close();
    };
    const garbled = (file: string) => {
      const bytes = readFileSync(file);
      bytes.fill(0xaa, 4096, bytes.length);
      writeFileSync(file, bytes);
    };
    const cases: [string, RegExp][] = [
      [spoilt('2026-03-02T10-00-00-000.sqlite', (file) => writeFileSync(file, '')), /no SQLite/],
      [spoilt('2026-03-02T10-00-01-000.sqlite', other), /no database of this program/],
      [spoilt('2026-03-02T10-00-02-000.sqlite', newer), /newer version/],
      [spoilt('2026-03-02T10-00-03-000.sqlite', garbled), /damaged/],
      ['2026-03-02T10-00-04-000.sqlite', /there is no backup/],
      ['../../x.sqlite', /there is no backup/],
    ];
    const before = titles();
    const copies = listBackups(directory).length;
    for (const [bad, why] of cases) {
      expect(() => inspectBackup(directory, bad)).toThrow(why);
      await expect(restoreBackup(db, directory, bad, AT)).rejects.toThrow(why);
    }
    expect(titles()).toEqual(before);
    expect(listBackups(directory)).toHaveLength(copies);
  });

  it('that cannot be finished leaves none behind', async () => {
    // What SQLite copies is not sound.
    const bytes = readFileSync(databaseIn(directory));
    db.$client.pragma('wal_checkpoint(TRUNCATE)');
    const broken = shelf.place();
    bytes.fill(0xaa, 8192, bytes.length);
    writeFileSync(databaseIn(broken), bytes);
    await expect(backUp(broken, AT)).rejects.toThrow();
    expect(listBackups(broken)).toEqual([]);
    expect(readdirSync(join(broken, 'backups'))).toEqual([]);
  });
});

describe('a database of an earlier version', () => {
  const journal = JSON.parse(
    readFileSync(join(process.cwd(), 'drizzle', 'meta', '_journal.json'), 'utf8'),
  ) as { entries: unknown[] };

  /** A library after so many migrations, with a manoeuvre and, where there are runs, one of them. */
  function old(steps: number): string {
    const migrations = join(shelf.directory, `migrations-${steps}`);
    cpSync(join(process.cwd(), 'drizzle'), migrations, { recursive: true });
    const cut = { ...journal, entries: journal.entries.slice(0, steps) };
    writeFileSync(join(migrations, 'meta', '_journal.json'), JSON.stringify(cut));
    const where = shelf.place();
    const sqlite = new Database(databaseIn(where));
    migrate(drizzle(sqlite), { migrationsFolder: migrations });
    const insert = (table: string, id: string, text: string) =>
      sqlite
        .prepare(`insert into ${table} (id, document, updated_at) values (?, ?, 1)`)
        .run(id, text);
    insert('boats', 'quince', shipped('boats', 'quince'));
    insert('places', 'stilt-pontoon', shipped('places', 'stilt-pontoon'));
    sqlite
      .prepare(
        'insert into manoeuvres (id, title, boat_id, place_id, document, revision, created_at, updated_at) values (?, ?, ?, ?, ?, 3, 1, 1)',
      )
      .run(
        'alongside-wind-off',
        'Alongside',
        'quince',
        'stilt-pontoon',
        shipped('manoeuvres', 'alongside-wind-off'),
      );
    if (steps >= 4) {
      const opened = openRun(db, RUN);
      if (!opened?.ok) throw new Error('no run');
      const { manoeuvre, recording } = opened.value.file;
      const texts = [JSON.stringify(manoeuvre), JSON.stringify(recording)];
      // From the seventh on the long texts stand apart.
      const ids = steps < 7 ? texts : ['m', 'r'];
      if (steps >= 7)
        ids.forEach((id, i) =>
          sqlite.prepare('insert into texts values (?, ?)').run(id, texts[i]!),
        );
      sqlite
        // From the eighth on they go by another name.
        .prepare(
          `insert into ${steps < 8 ? 'takes' : 'runs'} values (?, 'alongside-wind-off', ?, ?, '[]', null, 5, 6, null)`,
        )
        .run(RUN, ...ids);
    }
    sqlite.close();
    return where;
  }

  it.each(journal.entries.slice(0, -1).map((_, i) => i + 1))(
    'after %i migrations is backed up, then brought up to date with all it held',
    (steps) => {
      const where = old(steps);
      const now = shelf.library(where);
      const opened = openManoeuvre(now, 'alongside-wind-off');
      expect(opened?.ok && opened.value.revision).toBe(3);
      const found = keptPlaces.open(now, 'stilt-pontoon');
      expect(found?.ok && found.value).toMatchObject({ revision: 1, uses: 1 });
      expect(keptBoats.open(now, 'quince')).toMatchObject({ ok: true });
      const run = openRun(now, RUN);
      expect(steps >= 4 ? run?.ok && run.value.file : run).toEqual(
        steps >= 4 ? (openRun(db, RUN) as { value: { file: unknown } }).value.file : null,
      );
      const [copy] = listBackups(where);
      expect(copy!.before).toBe(true);
      expect(inspectBackup(where, copy!.name)).toMatchObject({
        state: 'older',
        counts: { manoeuvres: 1 },
      });
    },
  );

  it('a backup of one is restored, brought up to date on the way', async () => {
    const where = old(4);
    const name = '2026-03-01T10-00-00-000.sqlite';
    await backUp(directory, AT + HOUR);
    copyFileSync(databaseIn(where), join(folder(), name));
    await restoreBackup(db, directory, name, AT);
    expect(titles()).toEqual([['alongside-wind-off', 'Alongside']]);
    expect(openRun(db, RUN)).toMatchObject({ ok: true });
  });

  it('of a later version is refused in words and left alone', () => {
    db.$client.exec(`insert into __drizzle_migrations (hash, created_at) values ('later', 9e15)`);
    db.$client.pragma('wal_checkpoint(TRUNCATE)');
    const bytes = readFileSync(databaseIn(directory));
    expect(() => openLibrary(directory)).toThrow(/newer version/);
    expect(readFileSync(databaseIn(directory)).equals(bytes)).toBe(true);
    expect(existsSync(folder())).toBe(false);
  });
});
