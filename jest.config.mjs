/** Unit tests: the core, documents, database and scripts in Node; components (.test.tsx) in jsdom, as each says itself. */
export default {
  // In one process long suites slow one another down; by default Jest takes one worker of two cores.
  maxWorkers: 2,
  workerIdleMemoryLimit: '1500MB',
  // Machines are shared: a test that takes a second alone may take ten beside others.
  testTimeout: 30_000,
  testEnvironment: 'node',
  roots: ['<rootDir>/src', '<rootDir>/scripts'],
  testMatch: ['**/*.test.{ts,tsx}'],
  setupFiles: ['<rootDir>/scripts/jest-setup.mjs'],
  globalSetup: '<rootDir>/scripts/jest-prepare.mjs',
  // Every test file is one script with all it imports; see there.
  transform: { '(\\.test\\.tsx?|/scripts/jest-\\w+\\.mjs)$': '<rootDir>/scripts/jest-bundle.mjs' },
};
