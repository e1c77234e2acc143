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
};
