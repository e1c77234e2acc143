import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { keepAsTechnique, type Begin } from '@/planner';
import { demoFile } from '@/document/testing/demo';
import {
  beginIn,
  beginPassageIn,
  insertTechnique,
  listTechniques,
  keptPlaces,
  openLibrary,
  openManoeuvre,
  removeTechnique,
  seedDemo,
  type Library,
} from './';

let directory: string;
let db: Library;

beforeEach(() => {
  directory = mkdtempSync(join(tmpdir(), 'yawtrope-db-'));
  db = openLibrary(directory);
  seedDemo(db, join(process.cwd(), 'demo'), 1);
});

afterEach(() => rmSync(directory, { recursive: true, force: true }));

const wish: Begin = {
  title: 'Über den Rand, “zu Hause”',
  boatId: 'quince',
  placeId: 'stilt-pontoon',
  berthId: 'west-gap',
  side: 'port',
  going: 'in',
  conditions: {
    wind: { from_deg: 200, speed_mps: 3 },
    current: { set_deg: 0, speed_mps: 0 },
    water: 'sea',
  },
};

it('begins a manoeuvre under an id made from its title, and a second beside it', () => {
  const first = beginIn(db, wish, 5);
  const second = beginIn(db, wish, 6);
  expect(first).toEqual({ ok: true, value: 'u-ber-den-rand-zu-hause' });
  expect(second).toEqual({ ok: true, value: 'u-ber-den-rand-zu-hause-2' });
  const opened = openManoeuvre(db, 'u-ber-den-rand-zu-hause');
  if (!opened?.ok) throw new Error('not kept');
  expect(opened.value.manoeuvre).toMatchObject({
    title: wish.title,
    boatId: 'quince',
    berth: ['stilt-pontoon'],
  });
});

it('refuses what is not there, or does not fit, and keeps nothing', () => {
  const refused = (change: Partial<Begin>) => {
    const begun = beginIn(db, { ...wish, ...change }, 5);
    return begun.ok ? 'begun' : begun.problems[0]!.path;
  };
  expect(refused({ boatId: 'gone' })).toBe('boatId');
  expect(refused({ placeId: 'gone' })).toBe('placeId');
  expect(refused({ berthId: 'gone' })).toBe('berthId');
  expect(refused({ boatId: 'corvina' })).toBe('boat');
  expect(openManoeuvre(db, 'u-ber-den-rand-zu-hause')).toBeNull();
});

it('lists the places that have berths or locks, and brings the demo ones up to date', () => {
  const names = keptPlaces.list(db).map(({ document }) => document!.name);
  expect(names).toHaveLength(11);
  expect([...names].sort((a, b) => a.localeCompare(b))).toEqual(names);
});

it('keeps a technique, a second of the same name beside it, and takes one out', () => {
  const file = demoFile('tug-by-her-gears');
  const technique = keepAsTechnique(file, 'gears', 'Gears');
  if (!technique.ok) throw new Error('not made');
  expect(insertTechnique(db, technique.value, 5)).toBe('gears');
  expect(insertTechnique(db, technique.value, 6)).toBe('gears-2');
  expect(listTechniques(db).map(({ id }) => id)).toEqual(['gears-2', 'gears']);
  expect(removeTechnique(db, 'gears')).toBe(true);
  expect(removeTechnique(db, 'gears')).toBe(false);
  expect(listTechniques(db)).toHaveLength(1);
});

it('begins a passage at a lock that is kept, and keeps nothing of one that does not go', () => {
  const passage = {
    title: 'Up to the basin',
    boatId: 'quince',
    placeId: 'withen-lock',
    lockId: keptLock(),
    going: 'up' as const,
    conditions: wish.conditions,
  };
  expect(beginPassageIn(db, passage, 5)).toEqual({ ok: true, value: 'up-to-the-basin' });
  const opened = openManoeuvre(db, 'up-to-the-basin');
  if (!opened?.ok) throw new Error('not kept');
  expect(opened.value.manoeuvre).toMatchObject({
    boatId: 'quince',
    placeId: 'withen-lock',
    goal: { is: 'through', lock: 'Withen Lock', by: 'upper' },
  });
  const refused = (change: Partial<typeof passage>) => {
    const begun = beginPassageIn(db, { ...passage, title: 'Not to be', ...change }, 6);
    return begun.ok ? 'begun' : begun.problems[0]!.path;
  };
  expect(refused({ boatId: 'nobody' })).toBe('boatId');
  expect(refused({ placeId: 'nowhere' })).toBe('placeId');
  expect(refused({ lockId: 'no-lock' })).toBe('lockId');
  expect(refused({ boatId: 'corvina' })).toBe('boat');
  expect(openManoeuvre(db, 'not-to-be')).toBeNull();
});

/** Id of the lock of Withen Lock. */
function keptLock(): string {
  const found = keptPlaces.open(db, 'withen-lock');
  if (!found?.ok) throw new Error('not there');
  return found.value.document.areas.find(({ kind }) => kind === 'lock')!.id;
}
