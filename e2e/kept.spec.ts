/** What was kept always opens: deleted in another tab, faults, late fonts. What needs no browser for it: TableRoom.test. */
import { expect, test, type Page } from './test';
import { kept, leave, newPage, onTable, openRow, set, slabs, title } from './table';

test.setTimeout(90_000);

/** Two hearts of cardstock, one beside the other, the second selected. */
async function twoHearts(page: Page): Promise<void> {
  for (const x of ['2', '8']) {
    await leave(page);
    await page.keyboard.press('d');
    const punches = page.getByRole('dialog', { name: 'Punches' });
    await punches.getByLabel('Find a punch').fill('Heart');
    await punches.getByRole('button', { name: 'Heart', exact: true }).press('Enter');
    await page.getByTestId('stage').focus();
    await set(page, 'From left', x);
  }
  await expect(slabs(page)).toHaveCount(2);
  await page.getByTestId('stage').focus();
}

test('deleted in one tab while it lies open in another: the table says so, goes on keeping, and puts it back', async ({
  page,
  context,
}) => {
  await newPage(page);
  await title(page).fill('Lantern night');
  await kept(page);
  const home = await context.newPage();
  await home.goto('/');
  await home.getByRole('button', { name: 'More to do with Lantern night' }).click();
  await home.getByRole('menuitem', { name: 'Delete' }).click();
  await expect(page.getByText('This project was deleted elsewhere.')).toBeVisible();
  await expect(page.getByTestId('kept')).toContainText('Deleted elsewhere');
  await title(page).fill('Lantern night, all of it');
  await page.waitForTimeout(400);
  // Loaded again it is not lost either, and at Home it is seen for seven days.
  await home.reload();
  const lately = home.getByRole('region', { name: 'Deleted lately' });
  await expect(lately).toContainText('Lantern night, all of it');
  await page.reload();
  await expect(page.getByText('“Lantern night, all of it” was deleted. It can be put back.')).toBeVisible();
  await page.getByRole('button', { name: 'Put it back' }).click();
  await onTable(page);
  await expect(title(page)).toHaveValue('Lantern night, all of it');
});

test('a part that cannot be fetched, and a fault of the program, take nothing else with them', async ({
  page,
}) => {
  await newPage(page);
  await twoHearts(page);
  await title(page).fill('Sound');
  await kept(page);
  // Every piece of code that is not there yet is out of reach.
  await page.route('**/_next/static/chunks/**', (route) => route.abort());
  await page.getByTestId('stage').focus();
  await page.keyboard.press('y');
  // The bar of notices is one of those pieces: its words come bare.
  const told = page.getByRole('alert').filter({ hasText: 'Steps could not be fetched' });
  await told.getByRole('button', { name: 'Close' }).click();
  await page.unroute('**/_next/static/chunks/**');
  await page.getByTestId('stage').focus();
  await page.keyboard.press('ArrowRight');
  await kept(page);
  await page.keyboard.press('y');
  await expect(page.getByRole('heading', { name: 'Steps' })).toBeVisible();
  // A fault while the table is drawn.
  await page.evaluate(() => {
    Object.defineProperty(Intl.DateTimeFormat.prototype, 'format', {
      get() {
        throw new Error('A cog broke');
      },
    });
  });
  await page.getByTestId('stage').focus();
  await page.keyboard.press('ArrowRight');
  const fallen = page.getByRole('alert').filter({ hasText: 'Something went wrong here' });
  await expect(fallen).toContainText('It said: A cog broke');
  const download = page.waitForEvent('download');
  await fallen.getByRole('button', { name: 'Save the project as a file' }).click();
  expect((await download).suggestedFilename()).toBe('Sound.bellagraph');
  await page.reload();
  await onTable(page);
  await expect(slabs(page)).toHaveCount(2);
});

test('letters are painted again when their font arrives, with nothing else touched', async ({ page }) => {
  await newPage(page);
  await page.getByRole('button', { name: 'Write journaling' }).click();
  await page.keyboard.type('Kites over the bay ا');
  await leave(page);
  await page.waitForTimeout(1500);
  let arrive = () => {};
  const held = new Promise<void>((done) => (arrive = done));
  await page.route('**/house/fonts/**', async (route) => {
    await held;
    await route.continue();
  });
  await slabs(page).first().click();
  await openRow(page, 'Words');
  await page.getByRole('button', { name: /^Bold/ }).first().click();
  const seen = () =>
    page.getByTestId('below').evaluate((canvas: HTMLCanvasElement) => {
      const { data } = canvas.getContext('2d')!.getImageData(0, 0, canvas.width, canvas.height);
      let sum = 0;
      for (let i = 3; i < data.length; i += 4) sum = (sum * 31 + data[i]!) % 1e9;
      return sum;
    });
  await page.waitForTimeout(700);
  const before = await seen();
  arrive();
  await expect.poll(seen).not.toBe(before);
});
