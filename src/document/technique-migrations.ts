import { changed, migrated, renamed, type Migration } from './migrate';
import { plan1to2 } from './plan-migrations';

export const TECHNIQUE_SCHEMA = 'yawtrope:technique';
/** What it was called in its first version. */
const FIRST_SCHEMA = 'yawtrope:figure';

/** One for each version of a technique of one's own: see `migrated`. */
export const TECHNIQUE_MIGRATIONS: readonly Migration[] = [
  {
    name: 'a plan of steps',
    up: (figure) => {
      const now =
        figure.$schema === FIRST_SCHEMA ? { ...figure, $schema: TECHNIQUE_SCHEMA } : figure;
      return changed(renamed(now, { score: 'plan' }), 'plan', plan1to2);
    },
  },
];

/** The version of a technique this program writes. */
export const TECHNIQUE_VERSION = 2;

export const migrateTechnique = (value: unknown): unknown => migrated(value, TECHNIQUE_MIGRATIONS);
