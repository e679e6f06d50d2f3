/** Unit tests run as native ES modules, as HarfBuzz is one. See `npm run unit`. */
// On a screen React runs as it is built for its users, in half the time.
process.env.NODE_ENV = 'production';

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
