import { changed, each, isRecord, migrated, renamed, type Json, type Migration } from './migrate';
import { order1to2 } from './plan-migrations';

const input1to2 = (input: Json): Json =>
  changed(renamed(input, { step: 'timestep' }), 'order', (order) =>
    isRecord(order) ? order1to2(order) : order,
  );

/**
 * A recording has no version of its own: it stands in files of several kinds, and by itself in a browser that has not
 * reached the server yet. The first version counted `steps`.
 */
export function migrateRecording(value: unknown): unknown {
  if (!isRecord(value) || !('steps' in value)) return value;
  const now = renamed(value, { steps: 'timesteps' });
  const surprises = changed(now, 'surprises', (list) =>
    each(list, (one) => (one.is === 'stream' ? { ...one, is: 'current' } : one)),
  );
  return changed(surprises, 'inputs', (inputs) => each(inputs, input1to2));
}

/** The version of a driven run's file this program writes. */
export const DRIVEN_VERSION = 2;

/** One for each version of a driven run's file. What it holds is brought up to date by itself. */
export const DRIVEN_MIGRATIONS: readonly Migration[] = [{ name: 'timesteps', up: (file) => file }];

export const migrateDriven = (value: unknown): unknown => migrated(value, DRIVEN_MIGRATIONS);
