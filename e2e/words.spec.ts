/** Words: written in several styles, and left by keys. */
import { expect, warm as test, type Page } from './test';
import { execFileSync } from 'node:child_process';
import { axe } from './axe';
import { field, leave, newPage, openRow, slabs } from './table';

const sheet = (page: Page, name: string) => page.getByRole('dialog', { name, exact: true });
const words = (page: Page) => page.getByRole('textbox', { name: /^(Title|Journaling|Caption) words$/ });

async function title(page: Page, text: string): Promise<void> {
  await page.getByTestId('stage').focus();
  await page.keyboard.press('t');
  await page.keyboard.type(text);
  await expect(words(page)).toHaveValue(text);
}

test('a stretch is bold and italic in the family’s own letters; what a family lacks is named; the PDF holds its faces', async ({
  page,
}) => {
  await newPage(page);
  await page.keyboard.press('j');
  // What no key types goes to the field alone.
  await expect(words(page)).toBeFocused();
  await page.keyboard.type('Wind ★ 漢 from the west');
  await page.getByRole('button', { name: /^Letters: Caveat/ }).click();
  await sheet(page, 'Letters').getByRole('button', { name: 'Lora', exact: true }).first().click();
  await page.keyboard.press('Escape');
  await expect(page.getByText('No font here has 漢: an empty box stands in its place.')).toBeVisible();
  await expect(page.getByText('Lora has no ★: Noto Sans Symbols writes it.')).toBeVisible();
  await words(page).focus();
  for (let i = 0; i < 4; i++) await page.keyboard.press('Shift+ArrowLeft');
  await page.keyboard.press('Control+b');
  await page.keyboard.press('Control+i');
  const faces = page.getByRole('group', { name: 'Faces of the family' });
  await expect(faces.getByRole('button', { name: 'Bold' })).toHaveAttribute('aria-pressed', 'true');
  await expect(faces.getByRole('button', { name: 'Italic' })).toHaveAttribute('aria-pressed', 'true');
  await page.keyboard.press('Home');
  await expect(faces.getByRole('button', { name: 'Bold' })).toHaveAttribute('aria-pressed', 'false');
  expect(await axe(page)).toEqual([]);
  await leave(page);
  await title(page, 'Bay');
  await expect(faces.getByRole('button', { name: 'Bold: Great Vibes has no bold letters' })).toBeDisabled();
  await leave(page);
  await page.getByRole('button', { name: 'Make', exact: true }).click();
  const make = page.getByRole('dialog');
  await expect(make.getByText('No font here has 漢')).toBeVisible();
  const download = page.waitForEvent('download');
  await make.getByRole('button', { name: /^Make/ }).click();
  const fonts = execFileSync('pdffonts', [await (await download).path()], { encoding: 'utf8' });
  expect(fonts).toContain('loralatin700italic');
});

test('Tab leaves the page with a piece in hand, F6 goes from part to part, Escape comes back to it', async ({
  page,
}) => {
  await newPage(page);
  await title(page, 'Bay');
  await page.keyboard.press('Escape');
  await expect(page.getByTestId('stage')).toBeFocused();
  await page.keyboard.press('Tab');
  await expect(page.getByRole('toolbar').getByRole('button', { name: 'Write' })).toBeFocused();
  await page.keyboard.press('Shift+Tab');
  await page.keyboard.press('F6');
  await expect(page.getByLabel('Name of this piece')).toBeFocused();
  await page.keyboard.press('F6');
  await expect(slabs(page).first()).toBeFocused();
  await page.keyboard.press('F6');
  await expect(page.getByRole('button', { name: 'Cupboard', exact: true })).toBeFocused();
  await field(page, 'Letter size').fill('500');
  await page.keyboard.press('Escape');
  await expect(page.getByTestId('stage')).toBeFocused();
  await expect(field(page, 'Letter size')).toHaveValue('78');
  // A button that is gone with what it did leaves the focus in the panel.
  await openRow(page, 'Material');
  await page.getByRole('button', { name: 'Fill it with words' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.locator('button[aria-expanded=true]').filter({ hasText: /^Material / })).toBeFocused();
});
