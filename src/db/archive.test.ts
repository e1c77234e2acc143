import {
  copyFileSync,
  cpSync,
  mkdtempSync,
  readFileSync,
  rmSync,
  writeFileSync,
  readdirSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { drizzle } from 'drizzle-orm/better-sqlite3';
import { migrate } from 'drizzle-orm/better-sqlite3/migrator';
import JSZip from 'jszip';
import { readArchive, writeArchive } from '@/io/archive';
import { toFile, type LibraryContents } from '@/document';
import {
  backUp,
  contentsOf,
  keepTake,
  keptBoats,
  keptPlaces,
  listBackups,
  listManoeuvres,
  mergeArchive,
  openLibrary,
  openManoeuvre,
  replaceAll,
  restoreBackup,
  saveManoeuvre,
  seedDemo,
  setAside,
  standingOf,
  type Library,
} from '.';
import { spent } from './backup';

const DEMO = join(process.cwd(), 'demo');
const TAKE = '7b0f2a54-3f0e-4a0c-9f37-2f8f6f3a1c55';
let directory: string;
let db: Library;
const open: Library[] = [];

function fresh(): Library {
  const one = openLibrary(mkdtempSync(join(directory, 'lib-')));
  open.push(one);
  return one;
}

beforeEach(() => {
  directory = mkdtempSync(join(tmpdir(), 'yawtrope-archive-'));
  db = fresh();
  seedDemo(db, DEMO, 1);
  const opened = openManoeuvre(db, 'alongside-wind-off');
  if (!opened?.ok) throw new Error('demo');
  const { manoeuvre, boat, place } = opened.value;
  const recording = { inputs: [], steps: 40, end: 'done' as const, surprises: [], skips: [] };
  keepTake(
    db,
    {
      id: TAKE,
      manoeuvreId: manoeuvre.id,
      manoeuvre: toFile(manoeuvre, boat, place),
      recording,
      startedAt: 5,
    },
    6,
  );
});

afterEach(() => {
  for (const one of open.splice(0)) one.$client.close();
  rmSync(directory, { recursive: true, force: true });
});

async function through(contents: LibraryContents): Promise<LibraryContents> {
  const read = await readArchive(await writeArchive(contents, new Date(0)));
  if (!read.ok) throw new Error(read.problems[0]!.message);
  return read.value.contents;
}

const counts = (contents: LibraryContents) =>
  Object.fromEntries(Object.entries(contents).map(([part, all]) => [part, all.length]));

const SHIPPED = readdirSync(join(DEMO, 'manoeuvres')).length;

it('everything comes back from its archive as it was, into an empty library and in place of another', async () => {
  const contents = contentsOf(db);
  expect(counts(contents)).toMatchObject({ manoeuvres: SHIPPED, takes: 1 });
  const read = await through(contents);
  expect(read).toEqual(contents);
  const other = fresh();
  mergeArchive(other, read, 9, () => TAKE);
  expect(contentsOf(other)).toEqual(contents);
  const third = fresh();
  seedDemo(third, DEMO, 1);
  keptBoats.setAside(third, 'quince', 2);
  setAside(third, 'off-the-wall', 2);
  replaceAll(third, read, 9);
  expect(contentsOf(third)).toEqual(contents);
});

it('beside what is kept: alike is left, otherwise comes beside it with what goes with it', async () => {
  const read = await through(contentsOf(db));
  const same = standingOf(db, read);
  expect(Object.values(same).every(({ fresh: n, different }) => n === 0 && different === 0)).toBe(
    true,
  );
  const before = contentsOf(db);
  mergeArchive(db, read, 9, () => 'never');
  expect(contentsOf(db)).toEqual(before);

  const opened = keptBoats.open(db, 'quince');
  if (!opened?.ok) throw new Error('quince');
  keptBoats.save(db, { ...opened.value.document, note: 'another propeller' }, 1, 10);
  const manoeuvre = openManoeuvre(db, 'alongside-wind-off');
  if (!manoeuvre?.ok) throw new Error('manoeuvre');
  saveManoeuvre(db, { ...manoeuvre.value.manoeuvre, title: 'Mine' }, 1, 10);
  const standing = mergeArchive(db, read, 11, () => 'never');
  expect(standing.boats).toMatchObject({ different: 1, fresh: 0 });
  const beside = openManoeuvre(db, 'alongside-wind-off-2');
  expect(beside?.ok && beside.value.manoeuvre).toMatchObject({ boatId: 'quince-2' });
  expect(beside?.ok && beside.value.boat.note).not.toBe('another propeller');
  const mine = openManoeuvre(db, 'alongside-wind-off');
  expect(mine?.ok && [mine.value.manoeuvre.title, mine.value.boat.note]).toEqual([
    'Mine',
    'another propeller',
  ]);
});

it('brings back what was put aside and comes again', async () => {
  const read = await through(contentsOf(db));
  setAside(db, 'off-the-wall', 7);
  keptPlaces.setAside(db, 'fullers-wall', 7);
  expect(listManoeuvres(db).map(({ id }) => id)).not.toContain('off-the-wall');
  mergeArchive(db, read, 8, () => 'never');
  expect(listManoeuvres(db).map(({ id }) => id)).toContain('off-the-wall');
  expect(keptPlaces.open(db, 'fullers-wall')).not.toBeNull();
});

it('keeps with a manoeuvre the boat and place it is sailed in, put aside or not', async () => {
  keptBoats.setAside(db, 'quince', 7);
  const read = await through(contentsOf(db));
  expect(read.boats.map(({ id }) => id)).toContain('quince');
});

describe('an archive that is wrong', () => {
  const problem = async (bytes: Uint8Array) => {
    const read = await readArchive(bytes);
    return read.ok ? 'read' : `${read.problems[0]!.path}: ${read.problems[0]!.message}`;
  };
  const changed = async (change: (zip: JSZip) => void | Promise<void>) => {
    const zip = await JSZip.loadAsync(await writeArchive(contentsOf(db), new Date(0)));
    await change(zip);
    return problem(await zip.generateAsync({ type: 'uint8array', compression: 'DEFLATE' }));
  };
  const manifest = async (zip: JSZip) =>
    JSON.parse(await zip.file('manifest.json')!.async('string')) as {
      files: { path: string; bytes: number; sha256: string }[];
    };

  it('is told from a sound one by what is wrong', async () => {
    expect(await problem(new Uint8Array([1, 2, 3]))).toMatch(/not a ZIP/);
    expect(
      await problem(await new JSZip().file('a', 'b').generateAsync({ type: 'uint8array' })),
    ).toMatch(/no manifest/);
    const half = (await writeArchive(contentsOf(db), new Date(0))).slice(0, 5000);
    expect(await problem(half)).toMatch(/not a ZIP/);
    expect(await changed((zip) => void zip.remove('boats/quince.json'))).toBe(
      'boats/quince.json: is listed and not there',
    );
    const boat = readFileSync(join(DEMO, 'boats', 'pebble.json'), 'utf8');
    expect(await changed((zip) => void zip.file('boats/quince.json', boat))).toMatch(
      /not as long|checksum/,
    );
    expect(
      await changed(async (zip) => {
        const text = await zip.file('boats/quince.json')!.async('string');
        zip.file('boats/quince.json', text.replace('Quince', 'Quinze'));
      }),
    ).toMatch(/checksum/);
    expect(
      await changed(async (zip) => {
        const list = await manifest(zip);
        list.files.push(list.files[0]!);
        zip.file('manifest.json', JSON.stringify(list));
      }),
    ).toMatch(/names a file twice/);
    expect(
      await changed(async (zip) => {
        const list = await manifest(zip);
        list.files[0]!.path = '../../etc/passwd.json';
        zip.file('manifest.json', JSON.stringify(list));
      }),
    ).toMatch(/no path of an archive/);
    expect(
      await changed(async (zip) => {
        const list = await manifest(zip);
        list.files = list.files.filter(({ path }) => path !== 'boats/quince.json');
        zip.file('manifest.json', JSON.stringify(list));
      }),
    ).toMatch(/names the boat 'quince', which the archive does not hold/);
  });

  it('that holds far more than it says is not unpacked', async () => {
    const answer = await changed(
      (zip) => void zip.file('boats/quince.json', ' '.repeat(40_000_000)),
    );
    expect(answer).toBe('boats/quince.json: is not as long as listed');
  });
});

describe('copies of the database', () => {
  it('are let go by age: the newest six, then one a day for a fortnight', () => {
    const day = 86_400_000;
    const now = 100 * day;
    const each = Array.from({ length: 24 * 20 }, (_, i) => ({
      name: `${i}`,
      at: now - i * 3_600_000,
      bytes: 1,
    }));
    const gone = new Set(spent(each, now).map(({ name }) => name));
    const kept = each.filter(({ name }) => !gone.has(name));
    expect(kept.slice(0, 6).map(({ name }) => name)).toEqual(['0', '1', '2', '3', '4', '5']);
    expect(kept.length).toBeLessThanOrEqual(6 + 15);
    expect(kept.every(({ at }) => now - at <= 14 * day)).toBe(true);
    const days = kept.slice(6).map(({ at }) => Math.floor(at / day));
    expect(new Set(days).size).toBe(days.length);
  });

  it('restored, everything is as it was then; what was there is copied first, and the copy is not touched', () => {
    const at = Date.parse('2026-03-01T10:00:00Z');
    const then = contentsOf(db);
    const name = backUp(db, at, false, directory);
    const bytes = readFileSync(join(directory, 'backups', name));
    setAside(db, 'off-the-wall', 3);
    keptBoats.insert(db, { ...then.boats[0]!, id: 'one-more' }, 4);
    expect(restoreBackup(db, name, at + 60_000, directory)).toBe(true);
    expect(contentsOf(db)).toEqual(then);
    expect(listBackups(directory).map((one) => one.name)).toEqual([
      '2026-03-01T10-01-00-000-before.sqlite',
      '2026-03-01T10-00-00-000.sqlite',
    ]);
    expect(readFileSync(join(directory, 'backups', name)).equals(bytes)).toBe(true);
    expect(readdirSync(directory).filter((file) => file.startsWith('reading'))).toEqual([]);
    expect(restoreBackup(db, '../../x.sqlite', at, directory)).toBe(false);
  });

  it('made in one moment are each kept, the later one above, and each holds what there was', () => {
    const at = Date.parse('2026-03-01T10:00:00.250Z');
    const whole = contentsOf(db);
    const before = backUp(db, at, true, directory);
    setAside(db, 'off-the-wall', 3);
    const without = contentsOf(db);
    const after = backUp(db, at, false, directory);
    expect(listBackups(directory).map(({ name }) => name)).toEqual([after, before]);
    restoreBackup(db, before, at, directory);
    expect(contentsOf(db)).toEqual(whole);
    restoreBackup(db, after, at, directory);
    expect(contentsOf(db)).toEqual(without);
  });

  it('named to the second by an earlier version are listed by their time and can be restored', () => {
    const at = Date.parse('2026-03-01T10:00:00Z');
    const name = backUp(db, at, false, directory);
    const old = '2026-03-01T09-59-59-before.sqlite';
    copyFileSync(join(directory, 'backups', name), join(directory, 'backups', old));
    expect(listBackups(directory)[1]).toMatchObject({ name: old, at: at - 1000 });
    expect(restoreBackup(db, old, at, directory)).toBe(true);
  });
});

describe('a database of an earlier version', () => {
  const journal = JSON.parse(
    readFileSync(join(process.cwd(), 'drizzle', 'meta', '_journal.json'), 'utf8'),
  ) as { entries: unknown[] };

  it.each(journal.entries.slice(0, -1).map((_, i) => i + 1))(
    'after %i migrations is brought up to date with all it held',
    (steps) => {
      const folder = join(directory, 'old-migrations');
      cpSync(join(process.cwd(), 'drizzle'), folder, { recursive: true });
      const cut = { ...journal, entries: journal.entries.slice(0, steps) };
      writeFileSync(join(folder, 'meta', '_journal.json'), JSON.stringify(cut));
      const where = mkdtempSync(join(directory, 'old-'));
      const sqlite = new Database(join(where, 'yawtrope.sqlite'));
      migrate(drizzle(sqlite), { migrationsFolder: folder });
      const boat = readFileSync(join(DEMO, 'boats', 'quince.json'), 'utf8');
      const place = readFileSync(join(DEMO, 'places', 'stilt-pontoon.json'), 'utf8');
      const manoeuvre = readFileSync(join(DEMO, 'manoeuvres', 'alongside-wind-off.json'), 'utf8');
      sqlite
        .prepare('insert into boats (id, document, updated_at) values (?, ?, 1)')
        .run('quince', boat);
      sqlite
        .prepare('insert into places (id, document, updated_at) values (?, ?, 1)')
        .run('stilt-pontoon', place);
      sqlite
        .prepare(
          'insert into manoeuvres (id, title, boat_id, place_id, document, revision, created_at, updated_at) values (?, ?, ?, ?, ?, 3, 1, 1)',
        )
        .run('alongside-wind-off', 'Alongside', 'quince', 'stilt-pontoon', manoeuvre);
      sqlite.close();
      const now = openLibrary(where);
      open.push(now);
      const opened = openManoeuvre(now, 'alongside-wind-off');
      expect(opened?.ok && opened.value.revision).toBe(3);
      const found = keptPlaces.open(now, 'stilt-pontoon');
      expect(found?.ok && found.value).toMatchObject({ revision: 1, uses: 1 });
      expect(keptBoats.open(now, 'quince')).toMatchObject({ ok: true });
    },
  );
});
