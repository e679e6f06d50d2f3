/** Lines drawn by a mouse on the page, taken hold of again, and there the next time. How strokes are led: `tasks/lines/drawing.test.tsx`. */
import { expect, warm as test, type Locator, type Page } from './test';
import { axe } from './axe';
import { kept, newPage, pageOnScreen, slabs, undoOf } from './table';

const sheet = (page: Page): Locator => page.getByRole('dialog', { name: 'Paint and thread' });
const lines = (page: Page): Locator =>
  sheet(page).getByRole('region', { name: 'Lines of this piece' }).locator('button[aria-pressed]');
const take = (page: Page, name: string): Promise<void> =>
  sheet(page)
    .getByRole('group', { name: 'What is drawn with' })
    .getByRole('button', { name, exact: true })
    .click();

/** A place on the page, inches from its top left, on the screen. */
async function spot(page: Page, x: number, y: number): Promise<[number, number]> {
  const middle = await pageOnScreen(page);
  return [middle.x + (x - 6) * middle.inch, middle.y + (y - 6) * middle.inch];
}
async function drag(page: Page, ...places: [number, number][]): Promise<void> {
  await page.mouse.move(...(await spot(page, ...places[0]!)));
  await page.mouse.down();
  for (const place of places.slice(1)) await page.mouse.move(...(await spot(page, ...place)), { steps: 8 });
  await page.mouse.up();
}

test('lines drawn one after another lie on one piece; one is held, made wider, taken away and put back; they are kept', async ({
  page,
}) => {
  await newPage(page);
  await page.keyboard.press('3');
  await expect(sheet(page)).toBeVisible();
  await drag(page, [6, 3], [8, 3.4], [10, 3]);
  await expect(slabs(page)).toHaveCount(1);
  await take(page, 'Thread');
  await drag(page, [6, 5], [8, 5.4], [10, 5]);
  await expect(lines(page)).toHaveCount(2);
  await expect(slabs(page)).toHaveCount(1);
  await expect(undoOf(page, 'draw thread')).toBeVisible();
  expect(await axe(page)).toEqual([]);
  // Held by a press on it.
  await take(page, 'Hold');
  await page.mouse.click(...(await spot(page, 6.02, 3.01)));
  await expect(page.getByTestId('held-line')).toBeVisible();
  await sheet(page).getByRole('textbox', { name: 'Width' }).fill('0.2');
  await sheet(page).getByRole('textbox', { name: 'Width' }).press('Enter');
  await expect(undoOf(page, 'change line')).toBeVisible();
  await page.getByTestId('stage').focus();
  await page.keyboard.press('Delete');
  await expect(lines(page)).toHaveCount(1);
  await page.keyboard.press('Control+z');
  await expect(lines(page)).toHaveCount(2);
  await kept(page);
  await page.reload();
  await expect(slabs(page)).toHaveCount(1);
});
