/** Out on paper: what the printer is given, and what the browser's own print shows. Which sheets there are: `src/app/whole-way.test.tsx`. */
import { expect, test, type Page } from './test';
import { axe } from './axe';
import { bringIn, layByEnter, newPage, photo, photosInBox } from './table';

const make = (page: Page) => page.getByRole('dialog', { name: /^Make/ });
const purpose = (page: Page, name: RegExp) => make(page).getByRole('button', { name });

test('at home: a page is tried out on the printer that ships, and printed by the browser', async ({
  page,
}) => {
  // What a browser would print, without its own window.
  await page.addInitScript(() => {
    window.print = () => (parent.document.body.dataset.printed = document.documentElement.outerHTML);
  });
  await newPage(page);
  await bringIn(page, photo('fly-in-plum-kite'));
  await layByEnter(photosInBox(page).first());
  await page.getByRole('button', { name: 'Make', exact: true }).click();
  await purpose(page, /^Your own printer/).click();
  await make(page).getByRole('combobox', { name: 'Paper' }).press('Enter');
  await page.getByRole('option', { name: /^Letter/ }).click();
  await make(page).getByRole('combobox', { name: 'How it lies on the paper' }).press('Enter');
  await page.getByRole('option', { name: 'Smaller, on one sheet' }).click();
  await expect(make(page).getByText(/^One sheet of .* at \d\d % of its size/)).toBeVisible();
  await make(page).getByRole('button', { name: 'Try it out' }).click();
  const tray = page.getByRole('dialog', { name: 'Out of the printer' });
  const sheet = tray.getByTestId('printed-sheet');
  await expect(sheet).toHaveJSProperty('complete', true);
  await expect
    .poll(() => sheet.evaluate((image: HTMLImageElement) => image.naturalWidth))
    .toBeGreaterThan(700);
  expect(await axe(page)).toEqual([]);
  await tray.getByRole('button', { name: 'Done' }).click();
  await make(page).getByRole('button', { name: 'Print …' }).click();
  await expect(page.locator('body')).toHaveAttribute(
    'data-printed',
    /@page s6120x7920 { size: 612pt 792pt; margin: 0 }/,
  );
  const shown = page.frameLocator('[data-testid=print-frame]').locator('img');
  await expect(shown).toHaveCount(1);
  expect(
    await shown.evaluate((image: HTMLImageElement) => [image.naturalWidth, image.naturalHeight]),
  ).toEqual([2550, 3300]);
});
