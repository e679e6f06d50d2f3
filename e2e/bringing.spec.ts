/** A sheet of letters brought in and cut apart. */
import { join } from 'node:path';
import { expect, test, type Page } from './test';
import sharp from 'sharp';
import { axe } from './axe';
import { notice } from './table';

const KITS = join(import.meta.dirname, '..', 'public', 'house', 'kits');
const found = (page: Page) => page.getByRole('listbox', { name: 'Supplies' }).getByRole('option');
const search = (page: Page) => page.getByRole('searchbox', { name: 'Search the cupboard' });
const review = (page: Page) => page.getByRole('dialog', { name: /came in/ });
const letter = (character: string) =>
  join(KITS, 'windward', `alphabet-deckboard-${character.toLowerCase()}-${character.codePointAt(0)}.webp`);

async function toCupboard(page: Page): Promise<void> {
  await page.goto('/cupboard');
  await expect(found(page).first()).toBeVisible();
}
test('a sheet of letters is known for one and cut apart, each letter with its own edge', async ({ page }) => {
  const characters = [...'ABCDEFGHIJKLMNOPQR'];
  const tiles = await Promise.all(
    characters.map(async (character, i) => ({
      input: await sharp(letter(character))
        .resize({ height: 150, width: 170, fit: 'inside' })
        .png()
        .toBuffer(),
      left: 20 + (i % 6) * 200,
      top: 20 + Math.floor(i / 6) * 200,
    })),
  );
  const base = sharp({ create: { width: 1220, height: 620, channels: 4, background: '#ffffff00' } });
  const sheet = await base.composite(tiles).withMetadata({ density: 150 }).png().toBuffer();
  await toCupboard(page);
  await page
    .getByTestId('supply-input')
    .setInputFiles([{ name: 'Deck alphabet.png', mimeType: 'image/png', buffer: sheet }]);
  await expect(review(page).getByRole('group').first()).toHaveAccessibleName('Letters');
  await expect(review(page).getByRole('option')).toHaveAttribute('title', /a sheet of 18 letters/);
  expect(await axe(page)).toEqual([]);
  await review(page).getByRole('button', { name: 'Put 1 away' }).click();
  await search(page).fill('deck alphabet');
  // Not what lay first before the search was done.
  await found(page).filter({ hasText: 'Deck alphabet' }).first().click();
  await page.getByRole('button', { name: 'Cut apart' }).click();
  const dialog = page.getByRole('dialog', { name: 'Cut Deck alphabet apart' });
  await expect(dialog.getByText('18 parts lie apart.')).toBeVisible();
  // By keyboard: two put together, parted again.
  await dialog.getByRole('button', { name: /^Part 2,/ }).focus();
  await page.keyboard.press('Enter');
  await expect(dialog.getByText('17 parts lie apart.')).toBeVisible();
  await dialog.getByRole('button', { name: /^Part 1,/ }).press('Enter');
  await expect(dialog.getByText('18 parts lie apart.')).toBeVisible();
  await dialog.getByRole('button', { name: 'A to Z', exact: true }).click();
  await expect(dialog.getByRole('button', { name: 'Part 18, R' })).toBeVisible();
  await dialog.getByLabel('Type the characters in their order').fill('ABC EFGHIJKLMNOPQR');
  expect(await axe(page)).toEqual([]);
  await dialog.getByRole('button', { name: 'Cut 17 letters out' }).click();
  await expect(notice(page)).toContainText('17 letters lie in Loose supplies now');
  await page.getByRole('button', { name: 'Loose supplies', exact: true }).click();
  await search(page).fill('deck alphabet q');
  await found(page).first().click();
  await expect(page.getByLabel('Stands for')).toHaveValue('Q');
  // As large as on the sheet: 150 pixels at 150 to the inch.
  expect(Number(await page.getByLabel('True height').inputValue())).toBeCloseTo(1, 1);
  await expect(page.getByText(/^Its letters lack D S T U V W X Y Z/)).toBeVisible();
});
