/** Inks: found in the sets, by partners, from the page, mixed; the page's inks changed at once, and taken from a photo. */
import { expect, warm as test, type Page } from './test';
import { axe } from './axe';
import { field, newPage, openRow, pageOnScreen, shot } from './table';

const picker = (page: Page) => page.getByRole('dialog', { name: 'Inks', exact: true });

/** A punched shape in an ink, in the middle of the page. */
async function lay(page: Page, shape: string, ink: string): Promise<void> {
  await page.keyboard.press('Escape');
  await page.keyboard.press('d');
  const punches = page.getByRole('dialog', { name: 'Punches' });
  await punches.getByLabel('Find a punch').fill(shape);
  await punches.getByRole('button', { name: shape, exact: true }).press('Enter');
  await expect(page.getByLabel('Name of this piece')).toHaveValue(shape);
  await page.keyboard.press('Escape');
  await openRow(page, 'Material');
  await field(page, 'Ink').fill(ink);
  await field(page, 'Ink').press('Enter');
  await page.getByTestId('stage').focus();
}

test('however low it is opened from, all of the picker is seen; a colour is taken from the page by mouse and by keys', async ({
  page,
}) => {
  await newPage(page);
  await page.getByTestId('stage').focus();
  await lay(page, 'Heart', 'rgb(36 80 107)');
  // However low it is opened from, all of it is seen.
  await page.setViewportSize({ width: 1280, height: 620 });
  await page.getByRole('button', { name: 'Ink: choose an ink' }).click();
  await expect(picker(page)).toBeInViewport({ ratio: 1 });
  await page.keyboard.press('Escape');
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.getByRole('button', { name: 'Ink: choose an ink' }).click();
  // Taken from the page: by mouse, then by keys.
  await picker(page).getByRole('button', { name: 'Take a colour from the page' }).click();
  const dropper = page.getByTestId('dropper');
  // What moves before it looks is not seen.
  await expect(dropper.getByRole('status')).toContainText('#');
  const { x, y, inch } = await pageOnScreen(page);
  await page.mouse.move(x - 4 * inch, y - 4 * inch);
  await expect(dropper.getByRole('status')).toContainText('#ffffff');
  await page.mouse.move(x, y);
  await shot(page, 'dropper');
  expect(await axe(page)).toEqual([]);
  const taken = (await dropper.getByRole('status').textContent())!.slice(0, 7);
  await page.mouse.click(x, y);
  await expect(picker(page).getByText(taken).first()).toBeVisible();
  await picker(page).getByRole('button', { name: 'Take a colour from the page' }).press('Enter');
  await expect(dropper).toBeFocused();
  await page.keyboard.press('Escape');
  await expect(dropper).toHaveCount(0);
  await picker(page).getByRole('button', { name: 'Take a colour from the page' }).press('Enter');
  for (let i = 0; i < 20; i++) await page.keyboard.press('Shift+ArrowUp');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Ink', { exact: true })).toHaveValue('#ffffff');
  await page.keyboard.press('Escape');
  await expect(picker(page)).toBeHidden();
});
