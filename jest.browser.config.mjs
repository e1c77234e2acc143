/**
 * Browser tests against a production build; every file has a server, a data directory and a browser of its own. Starting
 * these takes as long as a test: parts that change nothing of one another's go together in a group. In the sweep, where
 * every part does more, each is a file of its own.
 */
const sweeping = process.env.YAWTROPE_SWEEP === '1';

export default {
  testEnvironment: 'node',
  roots: ['<rootDir>/e2e'],
  testMatch: sweeping ? ['**/*.{test,part}.ts'] : ['**/*.test.ts'],
  // Whole files of the sweep, see e2e/support/sweep.ts.
  testPathIgnorePatterns: [sweeping ? '\\.group\\.test\\.ts$' : '\\.sweep\\.test\\.ts$'],
  maxWorkers: 2,
  testSequencer: '<rootDir>/scripts/jest-longest-first.mjs',
  testTimeout: 120000,
  // As with the unit tests: one script a file.
  transform: { '\\.(test|part)\\.ts$': '<rootDir>/scripts/jest-bundle.mjs' },
  globalSetup: '<rootDir>/scripts/jest-prepare-browser.mjs',
};
