import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { eq } from 'drizzle-orm';
import { FLEET_IDS, fleetRecord } from '@/document/testing/fleet';
import { keptBoats } from './boats';
import { openLibrary, seedDemo, type Library } from './';
import { openManoeuvre } from './manoeuvres';
import { boats } from './schema';

let directory: string;
let db: Library;

beforeEach(() => {
  directory = mkdtempSync(join(tmpdir(), 'yawtrope-boats-'));
  db = openLibrary(directory);
  seedDemo(db, join(process.cwd(), 'demo'), 1);
});

afterEach(() => rmSync(directory, { recursive: true, force: true }));

function opened(id: string) {
  const result = keptBoats.open(db, id);
  if (!result?.ok) throw new Error(`cannot open ${id}`);
  return result.value;
}

it('lists the whole fleet by name, and opens each as it was shipped', () => {
  const names = keptBoats.list(db).map((b) => b.document!.name);
  expect(names).toHaveLength(FLEET_IDS.length);
  expect(names).toEqual([...names].sort((a, b) => a.localeCompare(b)));
  for (const id of FLEET_IDS) expect(opened(id).document).toEqual(fleetRecord(id));
});

it('counts the manoeuvres that use a boat', () => {
  expect(opened('quince').uses).toBe(10);
  expect(opened('fennick').uses).toBe(2);
  expect(opened('corvina').uses).toBe(0);
});

it('gives a new boat an address of her own', () => {
  const boat = fleetRecord('pebble');
  expect(keptBoats.insert(db, boat, 5)).toBe('pebble-2');
  expect(keptBoats.insert(db, boat, 5)).toBe('pebble-3');
  expect(opened('pebble-3').document.id).toBe('pebble-3');
  const long = { ...boat, id: 'b'.repeat(60) };
  expect(keptBoats.insert(db, long, 5)).toBe(long.id);
  const second = keptBoats.insert(db, long, 5);
  expect(second).toHaveLength(60);
  expect(second.endsWith('-2')).toBe(true);
});

it('saves over the revision it began from, and refuses over any other', () => {
  const { document: boat, revision } = opened('pebble');
  const saved = keptBoats.save(db, { ...boat, name: 'Pebble the Second' }, revision, 7);
  expect(saved).toEqual({ is: 'saved', revision: revision + 1, updatedAt: 7 });
  const late = keptBoats.save(db, { ...boat, name: 'Late' }, revision, 8);
  expect(late).toEqual({ is: 'conflict', revision: revision + 1 });
  expect(opened('pebble').document.name).toBe('Pebble the Second');
  expect(keptBoats.save(db, { ...boat, id: 'gone' }, 1, 9)).toEqual({ is: 'missing' });
});

it('puts a boat aside and brings her back; what uses her keeps her', () => {
  expect(keptBoats.setAside(db, 'quince', 10)).toBe(true);
  expect(keptBoats.open(db, 'quince')).toBeNull();
  expect(keptBoats.list(db).map((b) => b.id)).not.toContain('quince');
  expect(openManoeuvre(db, 'off-stilt-pontoon')).toMatchObject({
    ok: true,
    value: { boat: { id: 'quince' } },
  });
  const saved = keptBoats.save(db, fleetRecord('quince'), 1, 11);
  expect(saved).toEqual({ is: 'missing' });
  expect(keptBoats.setAside(db, 'quince', null)).toBe(true);
  expect(opened('quince').uses).toBe(10);
  expect(keptBoats.setAside(db, 'gone', 1)).toBe(false);
});

it.each([
  ['half a record', '{"half', /cannot be read/],
  ['another kind of record', '{"$schema":"yawtrope:place"}', /./],
  ['a negative mass', null, /mass|kg/],
])('lists a boat that cannot be read with what is wrong: %s', (_, document, message) => {
  const record = fleetRecord('pebble');
  const bad = document ?? JSON.stringify({ ...record, hull: { ...record.hull, mass_kg: -4 } });
  db.update(boats).set({ document: bad }).where(eq(boats.id, 'pebble')).run();
  const listed = keptBoats.list(db).find((b) => b.id === 'pebble')!;
  expect(listed.document).toBeNull();
  expect(JSON.stringify(listed.problems)).toMatch(message);
  expect(keptBoats.open(db, 'pebble')).toMatchObject({ ok: false });
  expect(keptBoats.list(db).filter((b) => b.document)).toHaveLength(FLEET_IDS.length - 1);
});
