import {
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  rmSync,
  truncateSync,
  writeFileSync,
} from 'node:fs';
import { join } from 'node:path';
import { databaseIn, listBackups, listManoeuvres, openManoeuvre, saveManoeuvre } from './';
import { Shelf, SMALL } from './testing/small-library';
import { backUp, makeReady, recover, standingDamage } from './upkeep';

const AT = Date.parse('2026-03-01T10:00:00Z');

let shelf: Shelf;
let directory: string;

beforeEach(() => {
  shelf = new Shelf();
  directory = shelf.place();
});
afterEach(() => shelf.close());

const ready = () => makeReady(directory, shelf.demo, AT);

/** A library that was used and backed up, its files at rest. */
async function used(): Promise<void> {
  expect(ready()).toBeNull();
  const db = shelf.library(directory);
  const opened = openManoeuvre(db, 'alongside-wind-off');
  if (!opened?.ok) throw new Error('gone');
  saveManoeuvre(db, { ...opened.value.manoeuvre, title: 'Mine' }, opened.value.revision, 2);
  await backUp(directory, AT - 60_000);
  db.$client.pragma('wal_checkpoint(TRUNCATE)');
  db.$client.close();
}

const titleNow = () => {
  const db = shelf.library(directory);
  return listManoeuvres(db).find(({ id }) => id === 'alongside-wind-off')?.title;
};

it('a first start puts in what is shipped; the next changes nothing', () => {
  expect(ready()).toBeNull();
  expect(listManoeuvres(shelf.library(directory))).toHaveLength(SMALL.length);
  expect(ready()).toBeNull();
  expect(listBackups(directory)).toEqual([]);
});

describe('a database that is damaged', () => {
  const spoil: [string, (file: string) => void][] = [
    [
      'with pages overwritten',
      (file) => {
        const bytes = readFileSync(file);
        bytes.fill(0xaa, 4096, bytes.length);
        writeFileSync(file, bytes);
      },
    ],
    [
      'that is something else',
      (file) => writeFileSync(file, 'not a database at all, but long enough'),
    ],
    ['cut off', (file) => truncateSync(file, 20_000)],
    ['emptied', (file) => truncateSync(file, 0)],
    ['gone', (file) => rmSync(file)],
  ];

  it.each(spoil)(
    '%s is moved aside untouched, and a backup put in its place',
    async (name, act) => {
      await used();
      act(databaseIn(directory));
      const left = existsSync(databaseIn(directory)) ? readFileSync(databaseIn(directory)) : null;
      const damage = ready();
      expect(damage!.why).not.toBe('');
      expect(existsSync(databaseIn(directory))).toBe(false);
      if (left) {
        const moved = join(directory, damage!.movedTo!, 'yawtrope.sqlite');
        expect(readFileSync(moved).equals(left)).toBe(true);
      } else expect([name, damage!.movedTo]).toEqual(['gone', null]);
      // Asked again at the next start, until somebody chooses.
      expect(ready()).toEqual(damage);
      await recover(directory, listBackups(directory)[0]!.name, shelf.demo, AT);
      expect(titleNow()).toBe('Mine');
      expect(standingDamage(directory)).toBeNull();
      expect(ready()).toBeNull();
    },
  );

  it('can be left for a new beginning; a backup that is no good changes nothing', async () => {
    await used();
    writeFileSync(databaseIn(directory), 'x');
    const damage = ready();
    const bad = '2026-02-01T10-00-00-000.sqlite';
    writeFileSync(join(directory, 'backups', bad), '');
    await expect(recover(directory, bad, shelf.demo, AT)).rejects.toThrow(/no SQLite/);
    expect(ready()).toEqual(damage);
    await recover(directory, null, shelf.demo, AT);
    expect(titleNow()).not.toBe('Mine');
    await expect(recover(directory, null, shelf.demo, AT)).rejects.toThrow(/library already/);
    expect(existsSync(join(directory, damage!.movedTo!, 'yawtrope.sqlite'))).toBe(true);
  });

  it('restored, a window opened before it was damaged overwrites nothing', async () => {
    await used();
    writeFileSync(databaseIn(directory), 'x');
    ready();
    await recover(directory, listBackups(directory)[0]!.name, shelf.demo, AT);
    const opened = openManoeuvre(shelf.library(directory), 'alongside-wind-off');
    expect(opened?.ok && opened.value.revision).toBeGreaterThan(1_000_000);
  });
});

it('what a killed server left goes: parts of backups, readings, archives on their way, texts of no run', async () => {
  await used();
  const parts = [
    join('backups', '2026-03-01T11-00-00-000.sqlite.part-77'),
    'reading-1234.sqlite',
    'reading-1234.sqlite-wal',
    join('passing', 'some.zip'),
  ];
  mkdirSync(join(directory, 'passing'));
  for (const part of parts) writeFileSync(join(directory, part), 'half');
  shelf.library(directory).$client.exec(`insert into texts values ('of nobody', '{}')`);
  expect(ready()).toBeNull();
  for (const part of parts)
    expect([part, existsSync(join(directory, part))]).toEqual([part, false]);
  const texts = shelf
    .library(directory)
    .$client.prepare('select count(*) from texts')
    .pluck()
    .get();
  expect(texts).toBe(0);
  expect(readdirSync(join(directory, 'backups'))).toHaveLength(1);
});
