/** Browser tests against a production build; every file has a server, a data directory and a browser of its own. */
export default {
  testEnvironment: 'node',
  roots: ['<rootDir>/e2e'],
  testMatch: ['**/*.test.ts'],
  // Whole files of the sweep, see e2e/support/sweep.ts.
  testPathIgnorePatterns: process.env.YAWTROPE_SWEEP === '1' ? [] : ['\\.sweep\\.test\\.ts$'],
  maxWorkers: 2,
  testTimeout: 120000,
  // As with the unit tests: one script a file.
  transform: { '\\.test\\.ts$': '<rootDir>/scripts/jest-bundle.mjs' },
  globalSetup: '<rootDir>/scripts/jest-prepare-browser.mjs',
};
