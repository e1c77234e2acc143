import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { createWriteStream } from 'node:fs';
import JSZip from 'jszip';
import { openArchive, writeArchive, type ArchiveItem } from '@/io/archive';
import {
  keptBoats,
  keptPlaces,
  listManoeuvres,
  listRuns,
  openManoeuvre,
  openRun,
  saveManoeuvre,
  setAside,
  type Library,
} from './';
import { Shelf, SMALL, shipped, RUN } from './testing/small-library';
import { archiveEntries, Incomings, sweepTexts } from './upkeep';

let shelf: Shelf;
let db: Library;
let count = 0;

beforeEach(() => {
  shelf = new Shelf();
  db = shelf.library(undefined, true);
});
afterEach(() => shelf.close());

/** The archive of a library, on the disk. */
async function packed(from: Library): Promise<string> {
  const file = join(shelf.directory, `archive-${(count += 1)}.zip`);
  await pipeline(writeArchive(archiveEntries(from), new Date(0)), createWriteStream(file));
  return file;
}

async function itemsOf(file: string): Promise<ArchiveItem[]> {
  const opened = await openArchive(file);
  if (!opened.ok) throw new Error(opened.problems[0]!.message);
  const items: ArchiveItem[] = [];
  for await (const item of opened.value.items()) {
    if (!item.ok) throw new Error(`${item.problems[0]!.path}: ${item.problems[0]!.message}`);
    items.push(item.value);
  }
  opened.value.close();
  return items;
}

async function takeIn(
  into: Library,
  file: string,
  how: 'look' | 'merge' | 'replace',
  id = 'never',
) {
  const incomings = new Incomings(into, how, () => id);
  for (const item of await itemsOf(file)) incomings.add(item);
  if (how !== 'look') await incomings.finish(9);
  return incomings.standing;
}

/** All that a library holds, as its archive's items say it. */
const contents = async (of: Library) => itemsOf(await packed(of));
const textCount = (of: Library) => of.$client.prepare('select count(*) from texts').pluck().get();

it('everything comes back from its archive as it was, into an empty library and in place of another', async () => {
  keptBoats.setAside(db, 'quince', 7);
  const all = await contents(db);
  expect(all.filter(({ part }) => part === 'manoeuvres')).toHaveLength(SMALL.length);
  expect(all.filter(({ part }) => part === 'runs')).toHaveLength(1);
  expect(all.find(({ id }) => id === 'quince')!.removedAt).toBe(7);
  const file = await packed(db);
  const other = shelf.library();
  await takeIn(other, file, 'merge');
  expect(await contents(other)).toEqual(all);
  const third = shelf.library(undefined, true);
  setAside(third, 'off-the-wall', 2);
  const before = openManoeuvre(third, 'alongside-wind-off');
  await takeIn(third, file, 'replace');
  expect(await contents(third)).toEqual(all);
  // A window that was opened before cannot save over what came in.
  const after = openManoeuvre(third, 'alongside-wind-off');
  if (!before?.ok || !after?.ok) throw new Error('gone');
  expect(after.value.revision).toBeGreaterThan(before.value.revision);
  expect(textCount(third)).toBe(2);
});

it('looked at, it changes nothing and counts', async () => {
  const standing = await takeIn(shelf.library(), await packed(db), 'look');
  expect(standing.manoeuvres).toEqual({ fresh: 3, same: 0, different: 0, unreadable: 0 });
  const same = await takeIn(db, await packed(db), 'look');
  expect(Object.values(same).every(({ fresh, different }) => fresh + different === 0)).toBe(true);
});

it('beside what is kept: alike is left, otherwise comes beside it with what goes with it', async () => {
  const file = await packed(db);
  const before = await contents(db);
  await takeIn(db, file, 'merge');
  expect(await contents(db)).toEqual(before);

  const opened = keptBoats.open(db, 'quince');
  const manoeuvre = openManoeuvre(db, 'alongside-wind-off');
  if (!opened?.ok || !manoeuvre?.ok) throw new Error('not there');
  keptBoats.save(db, { ...opened.value.document, note: 'another propeller' }, 1, 10);
  saveManoeuvre(db, { ...manoeuvre.value.manoeuvre, title: 'Mine' }, 1, 10);
  const standing = await takeIn(db, file, 'merge');
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

it('brings back what was put aside here and is not there; puts nothing aside', async () => {
  const file = await packed(db);
  setAside(db, 'off-the-wall', 7);
  keptPlaces.setAside(db, 'tolver-wall', 7);
  const aside = await packed(db);
  await takeIn(db, file, 'merge');
  expect(listManoeuvres(db).map(({ id }) => id)).toContain('off-the-wall');
  expect(keptPlaces.open(db, 'tolver-wall')).not.toBeNull();
  await takeIn(db, aside, 'merge');
  expect(listManoeuvres(db).map(({ id }) => id)).toContain('off-the-wall');
});

it('carries what cannot be read as it is, says so, and lists it where it comes in', async () => {
  const spoil = db.$client.prepare('update manoeuvres set document = ? where id = ?');
  spoil.run('{"half":', 'off-the-wall');
  db.$client
    .prepare(`update texts set text = '{}' where id in (select manoeuvre_text from runs)`)
    .run();
  expect(listManoeuvres(db).find(({ id }) => id === 'off-the-wall')!.unreadable).toBe(true);
  expect(listManoeuvres(db)).toHaveLength(3);
  const file = await packed(db);
  const other = shelf.library();
  const standing = await takeIn(other, file, 'merge');
  expect([standing.manoeuvres.unreadable, standing.runs.unreadable]).toEqual([1, 1]);
  const rawOf = (of: Library) =>
    of.$client.prepare(`select document from manoeuvres where id = 'off-the-wall'`).pluck().get();
  expect(rawOf(other)).toBe('{"half":');
  expect(listManoeuvres(other).find(({ id }) => id === 'off-the-wall')!.unreadable).toBe(true);
  expect(openRun(other, RUN)).toMatchObject({ ok: false });
  expect(await contents(other)).toEqual(await contents(db));
});

it('given up half way it leaves nothing behind', async () => {
  const other = shelf.library();
  const incomings = new Incomings(other, 'merge');
  for (const item of await itemsOf(await packed(db))) incomings.add(item);
  expect(listRuns(other, 'alongside-wind-off').runs).toEqual([]);
  await incomings.drop();
  expect(textCount(other)).toBe(0);
  // A killed server sweeps at its next start.
  other.$client.exec(`insert into texts values ('of nobody', '{}')`);
  expect(sweepTexts(other)).toBe(1);
});

describe('an archive that is wrong', () => {
  async function problem(bytes: Uint8Array): Promise<string> {
    const file = join(shelf.directory, 'wrong.zip');
    writeFileSync(file, bytes);
    const opened = await openArchive(file);
    const words = (problems: readonly { path: string; message: string }[]) =>
      `${problems[0]!.path}: ${problems[0]!.message}`;
    if (!opened.ok) return words(opened.problems);
    for await (const item of opened.value.items()) if (!item.ok) return words(item.problems);
    return 'read';
  }
  const sound = async () => readFileSync(await packed(db));
  const changed = async (change: (zip: JSZip) => void | Promise<void>) => {
    const zip = await JSZip.loadAsync(await sound());
    await change(zip);
    return problem(await zip.generateAsync({ type: 'uint8array', compression: 'DEFLATE' }));
  };
  const listed = (change: (files: { path: string; bytes: number }[]) => unknown) =>
    changed(async (zip) => {
      const list = JSON.parse(await zip.file('manifest.json')!.async('string')) as {
        files: { path: string; bytes: number }[];
      };
      list.files = (change(list.files) as typeof list.files | undefined) ?? list.files;
      zip.file('manifest.json', JSON.stringify(list));
    });

  it('is told from a sound one by what is wrong', async () => {
    expect(await problem(await sound())).toBe('read');
    expect(await problem(new Uint8Array([1, 2, 3]))).toMatch(/not a ZIP/);
    const empty = await new JSZip().file('a', 'b').generateAsync({ type: 'uint8array' });
    expect(await problem(empty)).toMatch(/no manifest/);
    expect(await problem((await sound()).subarray(0, 5000))).toMatch(/not a ZIP/);
    expect(await changed((zip) => void zip.remove('boats/quince.json'))).toBe(
      'boats/quince.json: is listed and not there',
    );
    const boat = shipped('boats', 'pebble');
    expect(await changed((zip) => void zip.file('boats/quince.json', boat))).toMatch(
      /not as long|checksum/,
    );
    expect(
      await changed(async (zip) => {
        const text = await zip.file('boats/quince.json')!.async('string');
        zip.file('boats/quince.json', text.replace('Quince', 'Quinze'));
      }),
    ).toMatch(/checksum/);
    expect(await listed((files) => [...files, files[0]!])).toMatch(/names a file twice/);
    expect(
      await listed((files) => {
        files[0]!.path = '../../etc/passwd.json';
      }),
    ).toMatch(/no path of an archive/);
    expect(
      await listed((files) => files.filter(({ path }) => path !== 'boats/quince.json')),
    ).toMatch(/names the boat 'quince', which the archive does not hold/);
  });

  it('that holds far more than it says is not unpacked', async () => {
    const most = ' '.repeat(4_000_000);
    expect(await changed((zip) => void zip.file('boats/quince.json', most))).toBe(
      'boats/quince.json: is not as long as listed',
    );
  });

  it('of version 1 is read as it always was', async () => {
    const file = await packed(db);
    const zip = await JSZip.loadAsync(readFileSync(file));
    const list = JSON.parse(await zip.file('manifest.json')!.async('string')) as object;
    zip.file('manifest.json', JSON.stringify({ ...list, version: 1 }));
    expect(await problem(await zip.generateAsync({ type: 'uint8array' }))).toBe('read');
  });
});
