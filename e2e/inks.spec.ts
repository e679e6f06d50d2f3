/** Inks: found in the sets, by partners, from the page, mixed; the page's inks changed at once, and taken from a photo. */
import { expect, test, type Page } from './test';
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

test('an ink is found by name, by what goes with it, on the page, and mixed; nonsense is refused', async ({
  page,
}) => {
  await newPage(page);
  await page.getByTestId('stage').focus();
  await lay(page, 'Heart', 'rgb(36 80 107)');
  await expect(field(page, 'Ink')).toHaveValue('#24506b');
  await field(page, 'Ink').fill('expression(1)');
  await field(page, 'Ink').press('Enter');
  await expect(page.getByText('A colour, such as #9e2b45, rgb(158 43 69) or teal.')).toBeVisible();
  await field(page, 'Ink').press('Escape');
  // However low it is opened from, all of it is seen.
  await page.setViewportSize({ width: 1280, height: 620 });
  await page.getByRole('button', { name: 'Ink: choose an ink' }).click();
  await expect(picker(page)).toBeInViewport({ ratio: 1 });
  await page.keyboard.press('Escape');
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.getByRole('button', { name: 'Ink: choose an ink' }).click();
  await picker(page).getByRole('textbox', { name: 'Find an ink' }).fill('kit');
  await expect(picker(page).getByRole('button', { name: 'Kite red', exact: true })).toBeVisible();
  await page.waitForTimeout(300);
  await shot(page, 'picker-sets');
  await picker(page).getByRole('button', { name: 'Kite red', exact: true }).click();
  await expect(page.getByLabel('Ink', { exact: true })).toHaveValue('#c5503f');
  // By keyboard from here on: partners, the page, a mix.
  await picker(page).getByRole('tab', { name: 'Sets' }).focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Enter');
  const opposite = picker(page).getByRole('group', { name: 'Opposite', exact: true }).getByRole('button');
  await expect(opposite).toHaveCount(1);
  await shot(page, 'picker-partners');
  expect(await axe(page)).toEqual([]);
  const name = await opposite.getAttribute('aria-label');
  await opposite.press('Enter');
  await expect(picker(page).getByText(name!, { exact: true }).first()).toBeVisible();
  await picker(page).getByRole('tab', { name: 'Page' }).press('Enter');
  await expect(picker(page).getByRole('group', { name: 'On this page' }).getByRole('button')).toHaveCount(2);
  await picker(page)
    .getByRole('group', { name: 'Chosen last' })
    .getByRole('button', { name: 'Kite red' })
    .press('Enter');
  await expect(page.getByLabel('Ink', { exact: true })).toHaveValue('#c5503f');
  await picker(page).getByRole('tab', { name: 'Mix' }).press('Enter');
  await picker(page).getByRole('button', { name: 'RGB' }).press('Enter');
  await picker(page).getByRole('slider', { name: 'Red' }).press('Home');
  await expect(page.getByLabel('Ink', { exact: true })).toHaveValue('#00503f');
  await expect(picker(page).getByText(/On the bare page \d+\.\d to 1: good for words\./)).toBeVisible();
  await picker(page).getByRole('textbox', { name: 'Any CSS colour' }).fill('oklch(0.9 0.05 90)');
  await page.keyboard.press('Enter');
  await expect(picker(page).getByText(/too faint for words/)).toBeVisible();
  await shot(page, 'picker-mix');
  // A slider keeps the focus, and the way of mixing stays.
  await picker(page).getByRole('slider', { name: 'Green' }).press('ArrowUp');
  await expect(picker(page).getByRole('slider', { name: 'Green' })).toBeFocused();

  // Taken from the page: by mouse, then by keys.
  await picker(page).getByRole('button', { name: 'Take a colour from the page' }).click();
  const dropper = page.getByTestId('dropper');
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
