import { changed, each, isRecord, migrated, renamed, type Json, type Migration } from './migrate';

export const RUN_SCHEMA = 'yawtrope:run';
/** What the file of a run was called in its first version. */
const FIRST_SCHEMA = 'yawtrope:take';

const event1to2 = (event: Json): Json => {
  const now = renamed(event, { beat: 'step' });
  return now.is === 'beat' ? { ...now, is: 'step' } : now;
};

/** One for each version of a run's file: see `migrated`. The manoeuvre in it is brought up to date by itself. */
export const RUN_MIGRATIONS: readonly Migration[] = [
  {
    name: 'steps',
    up: (file) => {
      const now = file.$schema === FIRST_SCHEMA ? { ...file, $schema: RUN_SCHEMA } : file;
      return changed(now, 'summary', (summary) =>
        isRecord(summary)
          ? changed(renamed(summary, { beats: 'steps' }), 'events', (events) =>
              each(events, event1to2),
            )
          : summary,
      );
    },
  },
];

/** The version of a run's file this program writes. */
export const RUN_VERSION = 2;

export const migrateRun = (value: unknown): unknown => migrated(value, RUN_MIGRATIONS);
