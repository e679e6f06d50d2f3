/** The program with the network off, newer versions of it, and two of them at once. */
import { alone as base, expect, type Page } from './test';
import { readFileSync } from 'node:fs';
import { axe } from './axe';
import {
  bringIn,
  cupboard,
  cupboardSearch,
  found,
  idOf,
  kept,
  leave,
  layByEnter,
  layFromCupboard,
  newPage,
  notice,
  onTable,
  openCupboard,
  photo,
  photosInBox,
  slabs,
  title,
} from './table';
import { openWire, type Wire } from './wire';

const test = base.extend<{ kit: string; wire: Wire }>({
  kit: ['windward', { option: true }],
  wire: async ({ baseURL, kit }, lend) => {
    const wire = await openWire(baseURL!, kit);
    await lend(wire);
    await wire.close();
  },
});
test.use({ serviceWorkers: 'allow' });

const ready = (page: Page) =>
  expect(page.getByText(/It works without a network, too\./)).toBeVisible({ timeout: 120_000 });

test('cut off after the first visit, every room works, what cannot be is said in words; kits are kept when that is wished', async ({
  page,
  wire,
}) => {
  await page.goto(wire.at);
  await ready(page);
  wire.cut();
  // 1: Home, loaded anew. 2: a page begun.
  await page.reload();
  await newPage(page, '12 x 12 in', wire.at);
  await title(page).fill('Cut off');
  await title(page).press('Enter');
  // 3: a photo read, and laid.
  await bringIn(page, photo('lantern-night'));
  await layByEnter(photosInBox(page).first());
  await expect(slabs(page)).toHaveCount(1);
  // 4: words in a typeface that nobody used before.
  await page.getByTestId('stage').focus();
  await page.keyboard.press('Escape');
  await page.keyboard.press('t');
  await page.keyboard.type('Tide out');
  await page.keyboard.press('Control+a');
  await page.getByRole('button', { name: /^Letters: / }).click();
  const letters = page.getByRole('dialog', { name: 'Letters' });
  await letters.getByRole('button', { name: 'Limelight', exact: true }).first().click();
  await expect(page.getByRole('button', { name: /^Letters: Limelight/ })).toBeVisible();
  await leave(page);
  await expect(slabs(page)).toHaveCount(2);
  await expect(notice(page)).toHaveCount(0);
  // 5: a kit's supply whose file was never fetched.
  await openCupboard(page);
  await cupboardSearch(page).fill('Card kite');
  await found(page).filter({ hasText: 'Card kite' }).first().click();
  await page.getByRole('button', { name: 'Lay it' }).click();
  await expect(notice(page)).toContainText('Card kite was never fetched, and there is no network just now');
  await notice(page).getByRole('button', { name: 'Close' }).click();
  if (await cupboard(page).isVisible()) await page.keyboard.press('Escape');
  // 6: the proof, with a press's profile.
  await page.getByRole('button', { name: 'Proof', exact: true }).click();
  await expect(page.getByTestId('proof-page')).toHaveAttribute('data-printed', '');
  await expect(page.getByText(/^Every photo prints at \d+ ppi or more/)).toBeVisible();
  // 7: a file for a press.
  await page.getByRole('button', { name: 'Make …' }).click();
  const make = page.getByRole('dialog', { name: /^Make/ });
  const download = page.waitForEvent('download');
  await make.getByRole('button', { name: 'Make the PDF' }).click();
  await expect(make.getByTestId('made')).toContainText('all of 13 points hold');
  expect(
    readFileSync(await (await download).path())
      .subarray(0, 5)
      .toString(),
  ).toBe('%PDF-');
  // 8: what is elsewhere cannot be reached.
  await make.getByRole('button', { name: /^Prints to order/ }).click();
  await expect(make.getByText('The print shop cannot be reached.')).toBeVisible();
  await page.keyboard.press('Escape');
  // 9: the table, loaded anew: all of it is there.
  await kept(page);
  await page.reload();
  await onTable(page);
  await expect(slabs(page)).toHaveCount(2);
  await expect(title(page)).toHaveValue('Cut off');
  // 10: the cupboard's own room, by way of Home.
  await page
    .getByRole('link', { name: /^All projects|Bellagraph/ })
    .first()
    .click();
  await expect(page.getByRole('button', { name: /^Open Cut off/ })).toBeVisible();
  await page.getByRole('link', { name: 'The cupboard of supplies' }).click();
  await expect(found(page).first()).toBeVisible();
  // Whole again, all of it goes on.
  wire.mend();
  await page.goto(wire.at);
  await page.getByRole('button', { name: /^Open Cut off/ }).click();
  await onTable(page);
  await openCupboard(page);
  await cupboardSearch(page).fill('Card kite');
  await found(page).filter({ hasText: 'Card kite' }).first().click();
  await page.getByRole('button', { name: 'Lay it' }).click();
  await expect(slabs(page)).toHaveCount(3);
  // All kits are kept when that is wished, with the room they take: what nobody used before lies on a page, too.
  await page.goto(`${wire.at}/cupboard`);
  const keep = page.getByRole('button', { name: /^Kits for offline \(\d MB\)/ });
  await expect(keep).toBeVisible();
  expect(await axe(page)).toEqual([]);
  await keep.press('Enter');
  await expect(page.getByText(/^All kits are kept for offline: \d MB\.$/)).toBeVisible();
  wire.cut();
  await page.goto(wire.at);
  await page.getByRole('button', { name: /^Open Cut off/ }).click();
  await onTable(page);
  await layFromCupboard(page, 'Boathouse frame');
  await expect(slabs(page)).toHaveCount(4);
  wire.mend();
  await page.goto(`${wire.at}/cupboard`);
  await page.getByRole('button', { name: 'Let them go' }).press('Enter');
  await expect(keep).toBeVisible();
});

test.describe('without a kit', () => {
  test.use({ kit: 'none' });
  test('a newer version is offered, and waits while another page is open', async ({
    page,
    context,
    wire,
  }) => {
    await page.goto(wire.at);
    await ready(page);
    await newPage(page, '8 x 8 in', wire.at);
    const id = idOf(page);
    await kept(page);
    wire.newer();
    const home = await context.newPage();
    await home.goto(wire.at);
    const offered = home.getByRole('alert').filter({ hasText: 'A newer Bellagraph is here.' });
    await expect(offered).toBeVisible({ timeout: 60_000 });
    expect(await axe(home)).toEqual([]);
    // Nothing happens to the page that is worked on.
    await offered.getByRole('button', { name: 'Begin it' }).press('Enter');
    await expect(notice(home)).toContainText('Close the other tabs of Bellagraph first');
    await expect(page.getByTestId('stage')).toBeVisible();
    expect(
      await home.evaluate(async () => (await navigator.serviceWorker.getRegistration())?.waiting !== null),
    ).toBe(true);
    await page.close();
    const again = home.waitForEvent('load');
    await offered.getByRole('button', { name: 'Begin it' }).press('Enter');
    await again;
    await expect(offered).toHaveCount(0);
    expect(
      await home.evaluate(async () => (await navigator.serviceWorker.getRegistration())?.waiting ?? null),
    ).toBeNull();
    await home.goto(`${wire.at}/table?project=${id}`);
    await onTable(home);
  });
});

test('two versions never have one store: the later one waits until the other is closed, and goes on by itself', async ({
  page,
  context,
  baseURL,
}) => {
  const other = await context.newPage();
  await other.goto(`${baseURL}/icon.svg`);
  await other.evaluate(
    () =>
      new Promise<void>((got) => {
        void navigator.locks.request('bellagraph program of another day', { mode: 'shared' }, () => {
          got();
          return new Promise(() => {});
        });
      }),
  );
  await page.goto('/cupboard');
  const waits = page.getByRole('alertdialog', { name: 'Another version of Bellagraph is open' });
  await expect(waits).toBeVisible();
  expect(await axe(page)).toEqual([]);
  // Nothing is written: the kits that ship are not even stocked.
  const stocked = () =>
    page.evaluate(
      () =>
        new Promise<number>((done) => {
          const open = indexedDB.open('bellagraph');
          open.onsuccess = () => {
            const { result } = open;
            const counted = result.transaction('kits').objectStore('kits').count();
            counted.onsuccess = () => (result.close(), done(counted.result));
          };
        }),
    );
  await page.waitForTimeout(1500);
  expect(await stocked()).toBe(0);
  await other.close();
  await expect(waits).toBeHidden();
  await expect(found(page).first()).toBeVisible();
  await expect.poll(stocked).toBeGreaterThan(0);
});
