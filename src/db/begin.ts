import {
  beginManoeuvre,
  failure,
  placeSchema,
  success,
  type Begin,
  type Place,
  type Result,
} from '@/document';
import { eq } from 'drizzle-orm';
import { openBoat } from './boats';
import { freeId, insertManoeuvre, read } from './manoeuvres';
import type { Library } from './open';
import { places } from './schema';

/** Places that can be read, by name. */
export function listPlaces(db: Library): Place[] {
  return db
    .select()
    .from(places)
    .all()
    .flatMap(({ id, document }) => {
      const place = read<Place>(placeSchema, document, `place '${id}'`);
      return place.ok ? [place.value] : [];
    })
    .sort((a, b) => a.name.localeCompare(b.name));
}

const idOf = (title: string) =>
  title
    .toLowerCase()
    .normalize('NFKD')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 58) || 'manoeuvre';

/** Begins a manoeuvre for a berth, in a boat and place that are kept. Returns its id. */
export function beginIn(db: Library, wish: Begin, now: number): Result<string> {
  const boat = openBoat(db, wish.boatId);
  if (!boat) return failure({ path: 'boatId', message: `there is no boat '${wish.boatId}'` });
  if (!boat.ok) return boat;
  const row = db.select().from(places).where(eq(places.id, wish.placeId)).get();
  if (!row) return failure({ path: 'placeId', message: `there is no place '${wish.placeId}'` });
  const place = read<Place>(placeSchema, row.document, `place '${row.id}'`);
  if (!place.ok) return place;
  return db.transaction(() => {
    const id = freeId(db, idOf(wish.title));
    const begun = beginManoeuvre({ ...wish, id, boat: boat.value.boat, place: place.value });
    if (!begun.ok) return begun;
    const { boat: _boat, place: _place, ...rest } = begun.value;
    insertManoeuvre(db, { ...rest, boatId: wish.boatId, placeId: wish.placeId }, now);
    return success(id);
  });
}
