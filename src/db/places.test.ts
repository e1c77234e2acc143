import { createHash } from 'node:crypto';
import { eq } from 'drizzle-orm';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Place } from '@/document';
import { keptPlaces, openLibrary, openManoeuvre, seedDemo, type Library } from './';
import { places } from './schema';

let directory: string;
let db: Library;
const DEMO = join(process.cwd(), 'demo');

beforeEach(() => {
  directory = mkdtempSync(join(tmpdir(), 'yawtrope-places-'));
  db = openLibrary(directory);
  seedDemo(db, DEMO, 1);
});
afterEach(() => {
  db.$client.close();
  rmSync(directory, { recursive: true, force: true });
});

function opened(id: string) {
  const found = keptPlaces.open(db, id);
  if (!found?.ok) throw new Error(id);
  return found.value;
}

const shifted = (place: Place): Place => ({ ...place, note: `${place.note} drawn anew` });

it('counts who sails there, and saves over the revision it began from only', () => {
  const { document, revision, uses } = opened('stilt-pontoon');
  expect(uses).toBeGreaterThan(3);
  expect(keptPlaces.save(db, shifted(document), revision, 5)).toMatchObject({
    is: 'saved',
    revision: 2,
  });
  expect(keptPlaces.save(db, document, revision, 6)).toEqual({ is: 'conflict', revision: 2 });
  expect(opened('stilt-pontoon').document.note).toMatch(/drawn anew$/);
  const sailed = openManoeuvre(db, 'alongside-wind-off');
  expect(sailed?.ok && sailed.value.place.note).toMatch(/drawn anew$/);
});

it('put aside, it is listed no more, and manoeuvres keep it; brought back it is as it was', () => {
  const before = opened('stilt-pontoon');
  expect(keptPlaces.setAside(db, 'stilt-pontoon', 5)).toBe(true);
  expect(keptPlaces.list(db).map(({ id }) => id)).not.toContain('stilt-pontoon');
  expect(keptPlaces.save(db, before.document, 1, 6)).toEqual({ is: 'missing' });
  expect(openManoeuvre(db, 'alongside-wind-off')).toMatchObject({ ok: true });
  // Its address stays its own.
  expect(keptPlaces.insert(db, before.document, 7)).toBe('stilt-pontoon-2');
  keptPlaces.setAside(db, 'stilt-pontoon', null);
  expect(opened('stilt-pontoon')).toEqual(before);
});

it('a demo place nobody has changed follows the program; one that was changed stays', () => {
  const stale = JSON.stringify({ ...opened('tolver-wall').document, note: 'of an older version' });
  // As an older version shipped it, and noted that it did.
  const older = { document: stale, shipped: createHash('sha256').update(stale).digest('hex') };
  db.update(places).set(older).where(eq(places.id, 'tolver-wall')).run();
  const mine = opened('tallow-quay');
  keptPlaces.save(db, { ...mine.document, note: 'mine' }, mine.revision, 3);
  seedDemo(db, DEMO, 9);
  expect(opened('tolver-wall').document.note).not.toBe('of an older version');
  expect(opened('tallow-quay').document.note).toBe('mine');
});

it('lists one that cannot be read with what is wrong, and opens the rest', () => {
  db.insert(places)
    .values({ id: 'broken', document: '{"$schema":"yawtrope:place"', updatedAt: 1 })
    .run();
  const listed = keptPlaces.list(db);
  expect(listed.find(({ id }) => id === 'broken')).toMatchObject({ document: null });
  expect(listed.filter(({ document }) => document)).toHaveLength(11);
  expect(keptPlaces.open(db, 'broken')).toMatchObject({ ok: false });
  expect(keptPlaces.open(db, 'nowhere')).toBeNull();
});
