/** A power cut loses nothing. */
import { execFileSync } from 'node:child_process';
import { chromium, expect, test, type Page } from './test';
import { LIGHTEST } from '../playwright.config';
import { bringIn, layByEnter, newPage, onTable, photo, photosInBox, slabs } from './table';

// A trace would wait for the browser that was killed.
test.use({ trace: 'off' });

/** A browser with its profile on disk; `kill` ends all its processes at once, as a power cut does. */
async function openBrowser(profile: string): Promise<{ page: Page; kill: () => void }> {
  const context = await chromium.launchPersistentContext(profile, {
    ...LIGHTEST,
    viewport: { width: 1280, height: 800 },
  });
  const page = await context.newPage();
  return { page, kill: () => execFileSync('pkill', ['-9', '-f', `user-data-dir=${profile}`]) };
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
  await slabs(first.page).first().press('ArrowRight');
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
