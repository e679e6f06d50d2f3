/** Unit tests: suites by themselves (`.test.ts`) and suites with a screen (`.test.tsx`). See `scripts/testing/runner.mjs`. */
import { availableParallelism } from 'node:os';

// On a screen React runs as it is built for its users, in half the time.
process.env.NODE_ENV = 'production';

const suites = (displayName, ending, setup) => ({
  displayName,
  runner: './scripts/testing/runner.mjs',
  globalSetup: './scripts/testing/bundle.mjs',
  roots: ['<rootDir>/src', '<rootDir>/scripts'],
  testRegex: `\\.test\\.${ending}$`,
  setupFiles: setup.map((name) => `<rootDir>/scripts/testing/${name}.mjs`),
  setupFilesAfterEnv: ['<rootDir>/scripts/testing/expect.mjs'],
});

export default {
  // Jest would leave one core idle: of two that is half.
  maxWorkers: Math.max(2, availableParallelism()),
  projects: [suites('plain', 'ts', ['seed', 'store']), suites('screen', 'tsx', ['seed', 'store', 'screen'])],
};
