/**
 * Playwright's tests, in which no page may break what its policy says (that would be a part that does not work, or is not ours),
 * and nothing leaves for anywhere: all that is asked for lies here, and only the stand-ins are sent anything.
 */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import {
  type BrowserContext,
  chromium,
  type ConsoleMessage,
  expect,
  type Page,
  type Request,
  test as base,
} from '@playwright/test';
import { DEMO_PORT } from '../playwright.config';

export * from '@playwright/test';

const BROKEN = /Content Security Policy|Permissions[- ]Policy/;
const STANDIN = /^\/api\/(shop|printer)\//;

/** All that an origin can keep, but what the browser remembers of files it was served. */
const KEPT = 'cookies,file_systems,indexeddb,local_storage,cache_storage,service_workers,websql';

/** Each test in windows of its own, as what a service worker keeps outlives all else. */
export const alone = base.extend<{ watched: void }>({
  watched: [
    async ({ context, baseURL }, use) => {
      const wrong: string[] = [];
      const heard = (message: ConsoleMessage) => {
        if (BROKEN.test(message.text())) wrong.push(message.text());
      };
      const asked = (request: Request) => {
        const { protocol, hostname, pathname } = new URL(request.url());
        if (/^(blob|data|about):$/.test(protocol)) return;
        if (hostname !== new URL(baseURL!).hostname) wrong.push(`asked for ${request.url()}`);
        else if (request.method() !== 'GET' && !STANDIN.test(pathname))
          wrong.push(`sent something to ${pathname}`);
      };
      context.on('console', heard).on('request', asked);
      await use();
      context.off('console', heard).off('request', asked);
      expect(wrong).toEqual([]);
    },
    { auto: true },
  ],
});

/** One browser a worker, so that the program is fetched and read once; each test finds nothing kept in it. */
export const test = alone.extend<object, { room: BrowserContext }>({
  room: [
    async ({}, use, { project }) => {
      const profile = mkdtempSync(join(tmpdir(), 'bellagraph-e2e-'));
      const room = await chromium.launchPersistentContext(profile, {
        ...project.use,
        ...project.use.launchOptions,
        // Nothing waits for what fades in.
        reducedMotion: 'reduce',
      });
      await use(room);
      await room.close();
      rmSync(profile, { recursive: true, force: true });
    },
    { scope: 'worker' },
  ],
  context: async ({ room, baseURL }, use) => {
    const [blank, ...left] = room.pages();
    for (const page of left) await page.close();
    const session = await room.newCDPSession(blank!);
    for (const origin of [baseURL!, `http://localhost:${DEMO_PORT}`])
      await session.send('Storage.clearDataForOrigin', { origin, storageTypes: KEPT });
    await session.detach();
    await use(room);
    await room.clearPermissions();
  },
});

/**
 * As `test`, but in a window that stays open from one test to the next, and with what was kept before: the program is warm in
 * it, which halves what a test costs. For what begins with a project of its own and asks nothing of others.
 */
export const warm = test.extend<object, { window: { page: Page | null } }>({
  window: [async ({}, use) => use({ page: null }), { scope: 'worker' }],
  context: async ({ room }, use) => {
    await use(room);
    await room.clearPermissions();
  },
  page: async ({ context, window }, use, info) => {
    const page = window.page?.isClosed() === false ? window.page : await context.newPage();
    // Whatever comes between leaves no window behind that is not as it should be.
    window.page = null;
    for (const other of context.pages().slice(1)) if (other !== page) await other.close();
    if (page.url().startsWith('http')) await page.evaluate(() => localStorage.clear());
    await use(page);
    await page.unrouteAll({ behavior: 'ignoreErrors' });
    if (info.status === info.expectedStatus) window.page = page;
    else await page.close();
  },
});
