import { changed, isRecord, migrated, renamed, type Migration } from './migrate';

/** One for each version of a place: see `migrated`. */
export const PLACE_MIGRATIONS: readonly Migration[] = [
  {
    name: 'current',
    up: (place) =>
      changed(place, 'tide', (tide) =>
        isRecord(tide) ? renamed(tide, { stream: 'current' }) : tide,
      ),
  },
];

/** The version of a place this program writes. */
export const PLACE_VERSION = 2;

export const migratePlace = (value: unknown): unknown => migrated(value, PLACE_MIGRATIONS);
