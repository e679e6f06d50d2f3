/** Words written, and left by keys. */
import { expect, warm as test, type Page } from './test';
import { field, newPage, openRow, slabs } from './table';

const words = (page: Page) => page.getByRole('textbox', { name: /^(Title|Journaling|Caption) words$/ });

async function title(page: Page, text: string): Promise<void> {
  await page.getByTestId('stage').focus();
  await page.keyboard.press('t');
  await page.keyboard.type(text);
  await expect(words(page)).toHaveValue(text);
}

test('Tab leaves the page with a piece in hand, F6 goes from part to part, Escape comes back to it', async ({
  page,
}) => {
  await newPage(page);
  await title(page, 'Bay');
  await expect(slabs(page)).toHaveCount(1);
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
