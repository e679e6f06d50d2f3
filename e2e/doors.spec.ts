/** What would get in, or never end: scripts that are not ours, frames around, addresses outside, files that come to too much. */
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
// Not the tests in which no policy is broken: here it is, and holds.
import { expect, test } from '@playwright/test';

test('a script that is put into the page does not run, and nothing is fetched from or sent to anywhere else', async ({
  page,
}) => {
  let asked = 0;
  const elsewhere = createServer((_, answer) => {
    asked += 1;
    answer.setHeader('access-control-allow-origin', '*').end('<svg xmlns="http://www.w3.org/2000/svg"/>');
  });
  await new Promise<void>((ready) => elsewhere.listen(0, '127.0.0.1', ready));
  const outside = `http://127.0.0.1:${(elsewhere.address() as AddressInfo).port}/`;
  try {
    // As if a name were written into the page as it is.
    await page.route('**/', async (route) => {
      const answer = await route.fetch();
      const markup = `<script>globalThis.ran = 1</script><script src="${outside}"></script><img src="x:" onerror="globalThis.ran = 2"><img src="${outside}"><iframe src="${outside}"></iframe><a id="bad" href="javascript:globalThis.ran = 3">x</a>`;
      await route.fulfill({
        response: answer,
        body: (await answer.text()).replace('<body>', `<body>${markup}`),
      });
    });
    await page.addInitScript(() => {
      const state = globalThis as { broken?: string[] };
      state.broken = [];
      document.addEventListener('securitypolicyviolation', ({ effectiveDirective }) =>
        state.broken!.push(effectiveDirective),
      );
    });
    await page.goto('/');
    await page.locator('#bad').dispatchEvent('click');
    const found = await page.evaluate(async (outside) => {
      const sent = await fetch(outside, { method: 'POST', body: 'a page' }).then(
        () => true,
        () => false,
      );
      // Later: what a debugger asks for at once may make code of words.
      const made = await new Promise((done) =>
        setTimeout(() => {
          try {
            done(Boolean(new Function('return true')()));
          } catch {
            done(false);
          }
        }, 300),
      );
      const { ran, broken } = globalThis as { ran?: number; broken?: string[] };
      return { ran, sent, made, broken: [...new Set(broken)] };
    }, outside);
    expect(found).toMatchObject({ sent: false, made: false });
    expect(found.ran).toBeUndefined();
    expect(found.broken).toEqual(
      expect.arrayContaining(['connect-src', 'img-src', 'script-src-elem', 'script-src-attr', 'frame-src']),
    );
    expect(asked).toBe(0);
  } finally {
    elsewhere.close();
  }
});

test('no other page has this one in a frame, or a hold on it', async ({ page, request, baseURL }) => {
  const around = createServer((_, answer) =>
    answer.setHeader('content-type', 'text/html').end(`<iframe src="${baseURL}/"></iframe>`),
  );
  await new Promise<void>((ready) => around.listen(0, '127.0.0.1', ready));
  try {
    await page.goto(`http://127.0.0.1:${(around.address() as AddressInfo).port}/`);
    await page.waitForTimeout(2000);
    const inside = page.frames()[1];
    expect(await inside?.locator('main, [data-testid]').count()).toBe(0);
  } finally {
    around.close();
  }
  for (const path of ['/', '/table', '/house/press/lcms.js', '/api/shop/']) {
    const headers = (await request.get(path)).headers();
    expect([path, headers['x-content-type-options'], headers['cross-origin-opener-policy']]).toEqual([
      ...[path, 'nosniff', 'same-origin'],
    ]);
    expect(headers['content-security-policy']).toContain("frame-ancestors 'none'");
    expect(headers['content-security-policy']).not.toMatch(/ 'unsafe-eval'|script-src[^;]*unsafe-inline/);
  }
  const nonce = async () =>
    /'nonce-([^']+)'/.exec((await request.get('/')).headers()['content-security-policy']!)?.[1];
  expect(await nonce()).not.toBe(await nonce());
});
