import { changed, isRecord, migrated, renamed, type Json, type Migration } from './migrate';
import { plan1to2 } from './plan-migrations';

/** Checks set aside go by the name of their rule, which was another for one of them. */
const dismissed1to2 = (dismissed: unknown): unknown =>
  Array.isArray(dismissed)
    ? dismissed.map((one: unknown) =>
        typeof one === 'string' ? one.replace(/^beats at once\//, 'steps at once/') : one,
      )
    : dismissed;

function planned(document: Json): Json {
  return changed(renamed(document, { score: 'plan' }), 'plan', plan1to2);
}

/** One for each version of a manoeuvre: see `migrated`. */
export const MANOEUVRE_MIGRATIONS: readonly Migration[] = [
  {
    name: 'a plan of steps, and current',
    up: (manoeuvre) => {
      const now = changed(planned(manoeuvre), 'conditions', (conditions) =>
        isRecord(conditions) ? renamed(conditions, { stream: 'current' }) : conditions,
      );
      const tempted = changed(now, 'tempting', (tempting) =>
        isRecord(tempting) ? planned(tempting) : tempting,
      );
      return changed(tempted, 'dismissed', dismissed1to2);
    },
  },
];

/** The version of a manoeuvre this program writes. */
export const MANOEUVRE_VERSION = 2;

export const migrateManoeuvre = (value: unknown): unknown => migrated(value, MANOEUVRE_MIGRATIONS);
