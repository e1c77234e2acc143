import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { eq } from 'drizzle-orm';
import { DEMO_MANOEUVRES, demoFile } from '@/document/testing/demo';
import {
  copyManoeuvre,
  importManoeuvre,
  listManoeuvres,
  noteOpened,
  openLibrary,
  openManoeuvre,
  saveManoeuvre,
  seedDemo,
  setAside,
  type Library,
  type Opened,
} from './';
import { manoeuvres } from './schema';

const ID = 'off-stilt-pontoon';
let directory: string;
let db: Library;

beforeEach(() => {
  directory = mkdtempSync(join(tmpdir(), 'yawtrope-db-'));
  db = openLibrary(directory);
  seedDemo(db, join(process.cwd(), 'demo'), 1);
});

afterEach(() => rmSync(directory, { recursive: true, force: true }));

function opened(id = ID): Opened {
  const result = openManoeuvre(db, id);
  if (!result?.ok) throw new Error(`cannot open ${id}`);
  return result.value;
}

it('keeps what was saved over a new start, and seeding again changes nothing of it', () => {
  const { manoeuvre, revision } = opened();
  const saved = saveManoeuvre(db, { ...manoeuvre, title: 'mine' }, revision, 5);
  expect(saved).toEqual({ is: 'saved', revision: 2, updatedAt: 5 });
  db = openLibrary(directory);
  seedDemo(db, join(process.cwd(), 'demo'), 9);
  expect(opened().manoeuvre.title).toBe('mine');
});

it('refuses a save over somebody else’s and says what is there', () => {
  const { manoeuvre, revision } = opened();
  saveManoeuvre(db, { ...manoeuvre, title: 'first' }, revision, 5);
  const late = saveManoeuvre(db, { ...manoeuvre, title: 'second' }, revision, 6);
  expect(late).toMatchObject({ is: 'conflict', current: { manoeuvre: { title: 'first' } } });
  expect(opened().manoeuvre.title).toBe('first');
  expect(saveManoeuvre(db, { ...manoeuvre, id: 'gone' }, 1, 7)).toEqual({ is: 'missing' });
});

it('refuses a boat or place that is not kept, and changes nothing', () => {
  const { manoeuvre, revision } = opened();
  for (const path of ['boatId', 'placeId'] as const) {
    const refused = saveManoeuvre(db, { ...manoeuvre, [path]: 'nowhere' }, revision, 5);
    expect(refused).toEqual({ is: 'unknown', path, id: 'nowhere' });
  }
  expect(opened()).toMatchObject({ manoeuvre, revision });
  const other = saveManoeuvre(db, { ...manoeuvre, boatId: 'wicket' }, revision, 6);
  expect(other).toMatchObject({ is: 'saved' });
  expect(opened().boat.id).toBe('wicket');
});

it('lists the last opened first and leaves out what is put aside, until it is brought back', () => {
  noteOpened(db, ID, 100);
  const all = listManoeuvres(db).length;
  expect(all).toBe(DEMO_MANOEUVRES.length);
  expect(listManoeuvres(db)[0]!.id).toBe(ID);
  noteOpened(db, 'alongside-wind-off', 200);
  expect(listManoeuvres(db)[0]).toMatchObject({ id: 'alongside-wind-off', boat: 'Quince' });
  expect(setAside(db, ID, 300)).toBe(true);
  expect(listManoeuvres(db)).toHaveLength(all - 1);
  expect(openManoeuvre(db, ID)).toBeNull();
  expect(setAside(db, ID, null)).toBe(true);
  expect(listManoeuvres(db)).toHaveLength(all);
  expect(setAside(db, 'gone', 1)).toBe(false);
});

it('copies under an id and title of its own', () => {
  const id = copyManoeuvre(db, ID, 5);
  expect(id).toBe(`${ID}-2`);
  expect(opened(id!).manoeuvre).toMatchObject({ id, title: expect.stringMatching(/, copy$/) });
  expect(copyManoeuvre(db, 'gone', 5)).toBeNull();
});

it('takes in a file beside what is there, sharing a boat that is the same and keeping one that is not', () => {
  const file = demoFile(ID);
  const same = importManoeuvre(db, file, 5);
  expect(opened(same).manoeuvre.boatId).toBe('quince');
  const heavier = { ...file, boat: { ...file.boat, hull: { ...file.boat.hull, mass_kg: 7000 } } };
  const other = importManoeuvre(db, heavier, 6);
  expect(opened(other).boat).toMatchObject({ id: 'quince-2', hull: { mass_kg: 7000 } });
  expect(opened(ID).boat.hull.mass_kg).toBe(file.boat.hull.mass_kg);
  expect(importManoeuvre(db, heavier, 7)).not.toBe(other);
  expect(listManoeuvres(db)).toHaveLength(DEMO_MANOEUVRES.length + 3);
});

it('says what is wrong with a stored manoeuvre instead of showing it', () => {
  db.update(manoeuvres).set({ document: '{"half' }).where(eq(manoeuvres.id, ID)).run();
  expect(openManoeuvre(db, ID)).toMatchObject({
    ok: false,
    problems: [{ path: `manoeuvre '${ID}'`, message: expect.stringMatching(/cannot be read/) }],
  });
});
