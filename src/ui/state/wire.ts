import { z } from 'zod';
import {
  boatSchema,
  manoeuvreSchema,
  placeSchema,
  type Boat,
  type Manoeuvre,
  type Place,
} from '@/document';
import type { Wire } from '../hooks/use-autosave';

const openedSchema = z.object({
  manoeuvre: manoeuvreSchema,
  boat: boatSchema,
  place: placeSchema,
  revision: z.number(),
  updatedAt: z.number(),
});

export const MANOEUVRE_WIRE: Wire<
  Manoeuvre,
  { readonly manoeuvre: Manoeuvre; readonly boat: Boat }
> = {
  address: ({ id }) => `/api/manoeuvres/${id}`,
  body: (manoeuvre, revision) => ({ revision, manoeuvre }),
  theirs: (answer) => {
    const theirs = openedSchema.parse(answer);
    return { theirs, revision: theirs.revision };
  },
  documentOf: ({ manoeuvre }) => manoeuvre,
  schema: manoeuvreSchema,
};

const placeConflictSchema = z.object({ place: placeSchema, revision: z.number() });

export const PLACE_WIRE: Wire<Place, Place> = {
  address: ({ id }) => `/api/places/${id}`,
  body: (place, revision) => ({ revision, place }),
  theirs: (answer) => {
    const { place, revision } = placeConflictSchema.parse(answer);
    return { theirs: place, revision };
  },
  documentOf: (place) => place,
  schema: placeSchema,
};

const openedBoatSchema = z.object({ boat: boatSchema });

/** A kept boat; null where it cannot be had. */
export async function boatCalled(id: string): Promise<Boat | null> {
  try {
    const answer = await fetch(`/api/boats/${id}`);
    return openedBoatSchema.parse(await answer.json()).boat;
  } catch {
    return null;
  }
}
