/** Unit tests run as native ES modules, as HarfBuzz is one. See `npm run unit`. */
export default {
  testEnvironment: 'node',
  // Jest would leave one core idle: of two that is half.
  maxWorkers: '100%',
  // No test is about speed; a busy machine must not fail one.
  testTimeout: 120_000,
  roots: ['<rootDir>/src', '<rootDir>/scripts'],
  setupFiles: ['<rootDir>/scripts/testing/indexeddb.ts'],
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1' },
  transform: {
    '^.+\\.tsx?$': [
      '@swc/jest',
      {
        jsc: {
          parser: { syntax: 'typescript', tsx: true },
          target: 'es2022',
          transform: { react: { runtime: 'automatic' } },
        },
        module: { type: 'es6' },
      },
    ],
  },
};
