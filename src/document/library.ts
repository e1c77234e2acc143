import { z } from 'zod';
import { boatSchema, type Boat } from './boat';
import { drivenFileSchema } from './driven';
import { ownFigureSchema, type OwnFigure } from './figures';
import { manoeuvreSchema, type Manoeuvre } from './manoeuvre';
import { placeSchema, type Place } from './place';
import { recordSchema, type RecordDocument } from './record';

/** A driven take with what it was kept under. */
export const libraryTakeSchema = z.strictObject({
  id: z.uuid({ error: 'must be a UUID' }),
  manoeuvreId: z.string().min(1).max(64),
  /** Milliseconds since 1970. */
  startedAt: z.number().int().min(0).max(8.64e15),
  file: drivenFileSchema,
});
export type LibraryTake = z.infer<typeof libraryTakeSchema>;

/** All that a user keeps. */
export interface LibraryContents {
  readonly boats: readonly Boat[];
  readonly places: readonly Place[];
  readonly figures: readonly OwnFigure[];
  readonly manoeuvres: readonly Manoeuvre[];
  readonly takes: readonly LibraryTake[];
  readonly records: readonly RecordDocument[];
}

export type LibraryPart = keyof LibraryContents;

/** In the order in which one needs the other. */
export const LIBRARY_PARTS = [
  'boats',
  'places',
  'figures',
  'manoeuvres',
  'takes',
  'records',
] as const;

export const LIBRARY_SCHEMAS = {
  boats: boatSchema,
  places: placeSchema,
  figures: ownFigureSchema,
  manoeuvres: manoeuvreSchema,
  takes: libraryTakeSchema,
  records: recordSchema,
} as const;
