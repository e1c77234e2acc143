import type { Library } from './open';

/**
 * One transaction that writes: all of it or nothing. It waits for its turn at its beginning: one that read first and
 * wrote afterwards would be refused whenever a job's thread has written in between.
 */
export const writing = <T>(db: Library, act: () => T): T =>
  db.transaction(act, { behavior: 'immediate' });
