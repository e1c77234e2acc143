import { z } from 'zod';
import { boatSchema, type Boat } from './boat';
import { drivenFileSchema } from './driven';
import { ownTechniqueSchema, type OwnTechnique } from './technique';
import { manoeuvreSchema, type Manoeuvre } from './manoeuvre';
import { placeSchema, type Place } from './place';
import { recordSchema, type RecordDocument } from './record';

/** A driven run with what it was kept under. */
export const libraryRunSchema = z.strictObject({
  id: z.uuid({ error: 'must be a UUID' }),
  manoeuvreId: z.string().min(1).max(64),
  /** Milliseconds since 1970. */
  startedAt: z.number().int().min(0).max(8.64e15),
  file: drivenFileSchema,
});
export type LibraryRun = z.infer<typeof libraryRunSchema>;

/** All that a user keeps. */
export interface LibraryContents {
  readonly boats: readonly Boat[];
  readonly places: readonly Place[];
  readonly techniques: readonly OwnTechnique[];
  readonly manoeuvres: readonly Manoeuvre[];
  readonly runs: readonly LibraryRun[];
  readonly records: readonly RecordDocument[];
}

export type LibraryPart = keyof LibraryContents;

/** In the order in which one needs the other. */
export const LIBRARY_PARTS = [
  'boats',
  'places',
  'techniques',
  'manoeuvres',
  'runs',
  'records',
] as const;

export const LIBRARY_SCHEMAS = {
  boats: boatSchema,
  places: placeSchema,
  techniques: ownTechniqueSchema,
  manoeuvres: manoeuvreSchema,
  runs: libraryRunSchema,
  records: recordSchema,
} as const;

const count = z.number().int().min(0);

/** What a backup of the library holds, what was removed left out. */
export const backupContentsSchema = z.object({
  counts: z.object({
    boats: count,
    places: count,
    manoeuvres: count,
    runs: count,
    records: count,
  }),
  /** When anything in it last changed, ms since 1970; null for an empty one. */
  changedAt: z.number().nullable(),
  /** Whether it is brought up to date when it is restored. */
  state: z.enum(['current', 'older']),
});
export type BackupContents = z.infer<typeof backupContentsSchema>;

const standing = z.object({
  fresh: count,
  same: count,
  different: count,
  /** Of all these, what cannot be read and is carried as it is. */
  unreadable: count,
});

/** How what an archive holds stands to what is kept, counted by part. */
export const archiveStandingSchema = z.object({
  boats: standing,
  places: standing,
  techniques: standing,
  manoeuvres: standing,
  runs: standing,
  records: standing,
});
export type ArchiveStanding = z.infer<typeof archiveStandingSchema>;

/** How far long work of the server has come. */
export const progressSchema = z.object({
  doing: z.enum(['receiving', 'checking', 'backing up', 'taking in', 'writing']),
  /** Of what is being done, from 0 to 1; null where that is not known. */
  share: z.number().min(0).max(1).nullable(),
});
export type Progress = z.infer<typeof progressSchema>;
