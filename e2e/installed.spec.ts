/** Installed as a program: in the whole browser, as what installs programs is no part of the other one. */
import { CHROMIUM } from '../playwright.config';
import { alone as test, expect } from './test';

test.use({ serviceWorkers: 'allow', launchOptions: CHROMIUM });

test('it is installed from its manifest: name, start, icons that are what they say', async ({
  page,
  request,
}) => {
  await page.goto('/');
  const link = page.locator('link[rel=manifest]');
  const address = (await link.getAttribute('href'))!;
  const manifest = (await (await request.get(address)).json()) as {
    name: string;
    start_url: string;
    display: string;
    icons: { src: string; sizes: string; type: string }[];
  };
  expect([manifest.name, manifest.start_url, manifest.display]).toEqual(['Bellagraph', '/', 'standalone']);
  for (const { src, sizes, type } of manifest.icons) {
    const answer = await request.get(src);
    expect(answer.headers()['content-type']).toBe(type);
    if (sizes === 'any') continue;
    // Width and height of a PNG (ISO/IEC 15948, 11.2.2).
    const png = await answer.body();
    expect(`${png.readUInt32BE(16)}x${png.readUInt32BE(20)}`).toBe(sizes);
  }
  // The browser itself finds nothing that keeps it from being installed, but that tests run in private windows.
  const session = await page.context().newCDPSession(page);
  const { installabilityErrors } = await session.send('Page.getInstallabilityErrors');
  expect(installabilityErrors.map(({ errorId }) => errorId)).toEqual(['in-incognito']);
});
