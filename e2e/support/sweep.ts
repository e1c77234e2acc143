import { SWEEPING } from '../../src/core/testing/sweep';

/**
 * A browser test of the sweep: run by `npm run sweep`, not by `npm test`. docs/notes/sweep.md says for each what holds in
 * `npm test` instead.
 */
export const sweep = (name: string, run: () => Promise<void>, timeout?: number): void => {
  if (SWEEPING) it(name, run, timeout);
};
