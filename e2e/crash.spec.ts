/** A power cut loses nothing. */
import { spawn } from 'node:child_process';
import { chromium, expect, test, type Page } from '@playwright/test';
import { CHROMIUM } from '../playwright.config';
import { bringIn, layByEnter, newPage, onTable, photo, photosInBox, slabs } from './table';

// A trace would wait for the browser that was killed.
test.use({ trace: 'off' });

/** A browser of its own with a profile on disk, that can be killed like a power cut. */
async function openBrowser(profile: string): Promise<{ page: Page; kill: () => void }> {
  const child = spawn(
    CHROMIUM.executablePath,
    [
      ...CHROMIUM.args,
      '--headless',
      '--window-size=1280,800',
      '--remote-debugging-port=0',
      `--user-data-dir=${profile}`,
    ],
    { detached: true, stdio: ['ignore', 'ignore', 'pipe'] },
  );
  const address = await new Promise<string>((resolve) => {
    child.stderr.on('data', (text: Buffer) => {
      const found = /ws:\/\/\S+/.exec(String(text));
      if (found) resolve(found[0]);
    });
  });
  const browser = await chromium.connectOverCDP(address);
  const page = await browser.contexts()[0]!.newPage();

  return { page, kill: () => process.kill(-child.pid!, 'SIGKILL') };
}

test('a killed browser comes back to the last edit, with everything that can be undone', async ({
  baseURL,
}, info) => {
  const profile = info.outputPath('profile');
  const first = await openBrowser(profile);
  await newPage(first.page, '8 x 8 in', baseURL);
  const address = first.page.url();
  await bringIn(first.page, photo('fly-in-plum-kite'));
  await layByEnter(photosInBox(first.page).first());
  await first.page.getByTestId('stage').press('ArrowRight');
  // Durable within 300 ms of the edit; no goodbye is said.
  await first.page.waitForTimeout(300);
  first.kill();

  const { page, kill } = await openBrowser(profile);
  await page.goto(address);
  await onTable(page);
  await expect(slabs(page)).toHaveCount(1);
  await page.getByRole('button', { name: 'Undo move photo' }).click();
  await page.getByRole('button', { name: 'Undo lay photo' }).click();
  await expect(slabs(page)).toHaveCount(0);
  await page.getByRole('button', { name: 'Redo lay photo' }).click();
  await expect(slabs(page)).toHaveCount(1);
  kill();
});
