/** Unit tests run as native ES modules, as HarfBuzz is one. See `npm run unit`. */
export default {
  testEnvironment: 'node',
  // Jest would leave one core idle: of two that is half.
  maxWorkers: '100%',
  // No test is about speed; a busy machine must not fail one.
  testTimeout: 120_000,
  roots: ['<rootDir>/src', '<rootDir>/scripts'],
  setupFiles: ['<rootDir>/scripts/testing/before.mjs'],
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  globalSetup: './scripts/testing/bundle.mjs',
  transform: { '\\.test\\.tsx?$|/\\.cache/tests/': './scripts/testing/bundled.mjs' },
};
