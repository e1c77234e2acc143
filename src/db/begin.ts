import {
  failure,
  idFrom,
  success,
  type Boat,
  type ManoeuvreFile,
  type Place,
  type Result,
} from '@/document';
import { beginManoeuvre, beginPassage, type Begin, type BeginPassage } from '@/planner';
import { keptBoats } from './boats';
import { keptPlaces } from './places';
import { freeId, insertManoeuvre } from './manoeuvres';
import type { Library } from './open';
import { writing } from './writing';

interface Named {
  readonly title: string;
  readonly boatId: string;
  readonly placeId: string;
}

/** Begins something in a boat and place that are kept, under an id of its own, which is returned. */
function begunIn(
  db: Library,
  { title, boatId, placeId }: Named,
  now: number,
  begin: (with_: { boat: Boat; place: Place; id: string }) => Result<ManoeuvreFile>,
): Result<string> {
  const boat = keptBoats.open(db, boatId);
  if (!boat) return failure({ path: 'boatId', message: `there is no boat '${boatId}'` });
  if (!boat.ok) return boat;
  const place = keptPlaces.open(db, placeId);
  if (!place) return failure({ path: 'placeId', message: `there is no place '${placeId}'` });
  if (!place.ok) return place;
  // Laid out before anything is written: that takes its time, and nobody else is to wait for it.
  const wish = idFrom(title, 'manoeuvre');
  const begun = begin({ id: wish, boat: boat.value.document, place: place.value.document });
  if (!begun.ok) return begun;
  const { boat: _boat, place: _place, ...rest } = begun.value;
  return writing(db, () => {
    const id = freeId(db, wish);
    insertManoeuvre(db, { ...rest, id, boatId, placeId }, now);
    return success(id);
  });
}

/** Begins a manoeuvre for a berth, in a boat and place that are kept. Returns its id. */
export const beginIn = (db: Library, wish: Begin, now: number): Result<string> =>
  begunIn(db, wish, now, (there) => beginManoeuvre({ ...wish, ...there }));

/** Begins a passage through a lock, in a boat and place that are kept. Returns its id. */
export const beginPassageIn = (db: Library, wish: BeginPassage, now: number): Result<string> =>
  begunIn(db, wish, now, (there) => beginPassage({ ...wish, ...there }));
