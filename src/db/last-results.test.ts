import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { LastResult } from '@/document';
import {
  keepLastResult,
  lastResultKept,
  lastUsed,
  listManoeuvres,
  noteOpened,
  openManoeuvre,
  saveManoeuvre,
  seedDemo,
  type Library,
} from '.';
import { Shelf, SMALL } from './testing/small-library';

let shelf: Shelf;
beforeEach(() => (shelf = new Shelf()));
afterEach(() => shelf.close());

const ID = 'off-the-wall';
const result: LastResult = {
  outcome: 'reached',
  duration_s: 40,
  track: [[0, 0, 90]],
  steps: [],
  clearance: null,
  touches: 0,
  tries: { held: 9, of: 10 },
};

const opened = (db: Library) => {
  const found = openManoeuvre(db, ID);
  if (!found?.ok) throw new Error(ID);
  return found.value;
};
const listed = (db: Library) => listManoeuvres(db).find(({ id }) => id === ID)!;

describe('what a manoeuvre came to', () => {
  it('is kept for the revision it is of, and listed', () => {
    const db = shelf.library(undefined, true);
    expect(listed(db).last).toBeNull();
    const { revision } = opened(db);
    expect(keepLastResult(db, ID, revision + 1, result, 5)).toBe('overtaken');
    expect(lastResultKept(db, ID)).toBeNull();
    expect(keepLastResult(db, ID, revision, result, 5)).toBe('kept');
    expect(lastResultKept(db, ID)).toEqual({ result, older: false });
    expect(listed(db).last).toEqual({ outcome: 'reached', held: 9, of: 10, older: false });
    expect(keepLastResult(db, 'no-such', 1, result, 5)).toBe('missing');
  });

  it('is older once the manoeuvre, its boat or its place is another', () => {
    const db = shelf.library(undefined, true);
    for (const table of ['boats', 'places']) {
      keepLastResult(db, ID, opened(db).revision, result, 5);
      expect(lastResultKept(db, ID)?.older).toBe(false);
      db.$client.prepare(`update ${table} set revision = revision + 1`).run();
      expect(lastResultKept(db, ID)?.older).toBe(true);
      expect(listed(db).last?.older).toBe(true);
    }
    const { manoeuvre, revision } = opened(db);
    keepLastResult(db, ID, revision, result, 5);
    saveManoeuvre(db, { ...manoeuvre, title: 'Another' }, revision, 6);
    expect(lastResultKept(db, ID)?.older).toBe(true);
  });

  it('keeps its tries when only the run comes again, and loses them with a change', () => {
    const db = shelf.library(undefined, true);
    const { manoeuvre, revision } = opened(db);
    keepLastResult(db, ID, revision, result, 5);
    keepLastResult(db, ID, revision, { ...result, tries: null }, 6);
    expect(lastResultKept(db, ID)?.result.tries).toEqual({ held: 9, of: 10 });
    saveManoeuvre(db, { ...manoeuvre, title: 'Another' }, revision, 7);
    keepLastResult(db, ID, revision + 1, { ...result, tries: null }, 8);
    expect(lastResultKept(db, ID)?.result.tries).toBeNull();
  });

  it('is nothing where it cannot be read, and goes with its manoeuvre', () => {
    const db = shelf.library(undefined, true);
    keepLastResult(db, ID, opened(db).revision, result, 5);
    db.$client.prepare("update last_results set document = '{'").run();
    expect(lastResultKept(db, ID)).toBeNull();
    expect(listed(db).last).toBeNull();
    db.$client.prepare('delete from runs').run();
    db.$client.prepare('delete from manoeuvres where id = ?').run(ID);
    expect(db.$client.prepare('select count(*) from last_results').pluck().get()).toBe(0);
  });

  it('of a demo comes with it, but not over what is newer, nor where anything was changed', () => {
    writeFileSync(join(shelf.demo, 'results.json'), JSON.stringify({ [ID]: result }));
    const db = shelf.library(undefined, true);
    expect(lastResultKept(db, ID)).toEqual({ result, older: false });
    const newer = { ...result, touches: 3 };
    const { manoeuvre, revision } = opened(db);
    keepLastResult(db, ID, revision, newer, 5);
    seedDemo(db, shelf.demo, 9);
    expect(lastResultKept(db, ID)?.result.touches).toBe(3);
    saveManoeuvre(db, { ...manoeuvre, title: 'Another' }, revision, 6);
    seedDemo(db, shelf.demo, 9);
    expect(lastResultKept(db, ID)).toEqual({ result: newer, older: true });
  });

  it('of a demo whose boat was changed is not told', () => {
    const db = shelf.library(undefined, true);
    db.$client.prepare("update boats set document = document || ' '").run();
    writeFileSync(join(shelf.demo, 'results.json'), JSON.stringify({ [ID]: result }));
    seedDemo(db, shelf.demo, 9);
    expect(lastResultKept(db, ID)).toBeNull();
  });
});

it('a new manoeuvre begins in the boat and place used last; the commonest where none was yet', () => {
  const db = shelf.library(undefined, true);
  // Two of the three are in Quince.
  expect(SMALL).toHaveLength(3);
  expect(lastUsed(db)?.boatId).toBe('quince');
  noteOpened(db, ID, 77);
  expect(lastUsed(db)).toMatchObject({ boatId: opened(db).boat.id, placeId: opened(db).place.id });
  expect(lastUsed(shelf.library())).toBeNull();
});
