/**
 * Playwright's tests, in which no page may break what its policy says (that would be a part that does not work, or is not ours),
 * and nothing leaves for anywhere: all that is asked for lies here, and only the stand-ins are sent anything.
 */
import { expect, test as base } from '@playwright/test';

export * from '@playwright/test';

const BROKEN = /Content Security Policy|Permissions[- ]Policy/;
const STANDIN = /^\/api\/(shop|printer)\//;

export const test = base.extend<{ watched: void }>({
  watched: [
    async ({ context, baseURL }, use) => {
      const wrong: string[] = [];
      context.on('console', (message) => {
        if (BROKEN.test(message.text())) wrong.push(message.text());
      });
      context.on('request', (request) => {
        const { protocol, hostname, pathname } = new URL(request.url());
        if (/^(blob|data|about):$/.test(protocol)) return;
        if (hostname !== new URL(baseURL!).hostname) wrong.push(`asked for ${request.url()}`);
        else if (request.method() !== 'GET' && !STANDIN.test(pathname))
          wrong.push(`sent something to ${pathname}`);
      });
      await use();
      expect(wrong).toEqual([]);
    },
    { auto: true },
  ],
});
