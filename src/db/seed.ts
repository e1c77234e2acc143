import { eq } from 'drizzle-orm';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import {
  boatSchema,
  check,
  manoeuvreSchema,
  placeSchema,
  problemLines,
  type Boat,
  type Manoeuvre,
  type Place,
} from '@/document';
import type { Library } from './open';
import { insertManoeuvre } from './manoeuvres';
import { boats, places } from './schema';

function readAll<T>(directory: string, schema: Parameters<typeof check<T>>[0]): T[] {
  return readdirSync(directory)
    .filter((name) => name.endsWith('.json'))
    .sort()
    .map((name) => {
      const checked = check(schema, JSON.parse(readFileSync(join(directory, name), 'utf8')));
      if (!checked.ok) throw new Error(`demo ${name}:\n${problemLines(checked.problems)}`);
      return checked.value;
    });
}

/** The demo boats, places and manoeuvres as shipped under `directory`. Throws if one is not sound. */
export function readDemo(directory: string): {
  boats: Boat[];
  places: Place[];
  manoeuvres: Manoeuvre[];
} {
  return {
    boats: readAll(join(directory, 'boats'), boatSchema),
    places: readAll(join(directory, 'places'), placeSchema),
    manoeuvres: readAll(join(directory, 'manoeuvres'), manoeuvreSchema),
  };
}

/** Puts in whatever demo data is not there yet; what a user has changed or put aside stays as it is. */
export function seedDemo(db: Library, directory: string, now: number): void {
  const demo = readDemo(directory);
  db.transaction(() => {
    for (const boat of demo.boats) {
      const values = { id: boat.id, document: JSON.stringify(boat), updatedAt: now };
      db.insert(boats).values(values).onConflictDoNothing().run();
    }
    for (const place of demo.places) {
      const values = { id: place.id, document: JSON.stringify(place), updatedAt: now };
      // One nobody has changed comes up to date; another of the same id was taken in under one of its own.
      const set = { document: values.document };
      db.insert(places)
        .values(values)
        .onConflictDoUpdate({ target: places.id, set, setWhere: eq(places.revision, 1) })
        .run();
    }
    for (const manoeuvre of demo.manoeuvres) insertManoeuvre(db, manoeuvre, now);
  });
}
