import { existsSync } from 'node:fs';
import { defineConfig } from '@playwright/test';

/** The app as a person uses it, in Debian's Chromium, on the production build. `PORT` chooses where it is served. */
const port = Number(process.env.PORT ?? 3211);
/** Where the same build is served with the demo's pages. */
export const DEMO_PORT = port + 1;

export const CHROMIUM = {
  executablePath: '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
};

/** The same engine without the parts that draw windows: a fifth less work for the processor. */
const SHELL = '/usr/bin/chromium-headless-shell';
export const LIGHTEST = existsSync(SHELL) ? { ...CHROMIUM, executablePath: SHELL } : CHROMIUM;

export default defineConfig({
  testDir: 'e2e',
  // What a slow machine needs for what is quick; nothing that passes waits for it.
  timeout: 240_000,
  expect: { timeout: 40_000 },
  workers: 2,
  fullyParallel: true,
  retries: process.env.CI ? 1 : 0,
  reporter: [['list'], ['json', { outputFile: 'test-results/e2e.json' }]],
  use: {
    baseURL: `http://localhost:${port}`,
    viewport: { width: 1280, height: 800 },
    acceptDownloads: true,
    // What is kept for offline is fetched by the tests of that alone.
    serviceWorkers: 'block',
    launchOptions: LIGHTEST,
    // Recording costs more than the test itself: only what failed once is recorded.
    trace: 'on-first-retry',
  },
  webServer: [
    { port, demo: '' },
    { port: DEMO_PORT, demo: '1' },
  ].map(({ port, demo }) => ({
    command: `node_modules/.bin/next start --port ${port}`,
    url: `http://localhost:${port}`,
    env: { BELLAGRAPH_DEMO: demo },
    reuseExistingServer: false,
    timeout: 60_000,
  })),
});
