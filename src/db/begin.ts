import { beginManoeuvre, failure, idFrom, success, type Begin, type Result } from '@/document';
import { keptBoats } from './boats';
import { keptPlaces } from './places';
import { freeId, insertManoeuvre } from './manoeuvres';
import type { Library } from './open';

/** Begins a manoeuvre for a berth, in a boat and place that are kept. Returns its id. */
export function beginIn(db: Library, wish: Begin, now: number): Result<string> {
  const boat = keptBoats.open(db, wish.boatId);
  if (!boat) return failure({ path: 'boatId', message: `there is no boat '${wish.boatId}'` });
  if (!boat.ok) return boat;
  const place = keptPlaces.open(db, wish.placeId);
  if (!place) return failure({ path: 'placeId', message: `there is no place '${wish.placeId}'` });
  if (!place.ok) return place;
  return db.transaction(() => {
    const id = freeId(db, idFrom(wish.title, 'manoeuvre'));
    const begun = beginManoeuvre({
      ...wish,
      id,
      boat: boat.value.document,
      place: place.value.document,
    });
    if (!begun.ok) return begun;
    const { boat: _boat, place: _place, ...rest } = begun.value;
    insertManoeuvre(db, { ...rest, boatId: wish.boatId, placeId: wish.placeId }, now);
    return success(id);
  });
}
