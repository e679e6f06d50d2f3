/** Supplies brought in: looked over by mouse, letters cut from a sheet, and a whole cupboard carried to another browser. */
import { readFileSync } from 'node:fs';
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
type Files = { name: string; mimeType: string; buffer: Buffer }[];
const give = (page: Page, files: Files | string) => page.getByTestId('supply-input').setInputFiles(files);
async function intoNewKit(page: Page, name: string): Promise<void> {
  await review(page).getByRole('combobox', { name: 'Put into' }).press('Enter');
  await page.getByRole('option', { name: 'A new kit' }).click();
  await review(page).getByLabel('The kit’s name').fill(name);
}
const plain = async (name: string, side: number, background: string, more = {}): Promise<Files[number]> => ({
  name,
  mimeType: 'image/png',
  buffer: await sharp({ create: { width: side, height: side, channels: 3, background, ...more } })
    .png()
    .toBuffer(),
});

test('what came in is put right by mouse: a run dragged to a kind, letters typed along, one left out, sizes set', async ({
  page,
}) => {
  await toCupboard(page);
  const letters = await Promise.all(
    ['F', 'L', 'Y'].map(async (character, i) => ({
      name: `scan ${i + 1}.png`,
      mimeType: 'image/png',
      buffer: await sharp(letter(character)).png().toBuffer(),
    })),
  );
  await give(page, [...letters, await plain('odd.png', 80, '#7a3')]);
  const option = (name: RegExp) => review(page).getByRole('option', { name });
  await option(/^scan 1/).click();
  await option(/^scan 3/).click({ modifiers: ['Shift'] });
  await option(/^scan 2/).dragTo(review(page).getByRole('button', { name: /^letters/ }));
  await expect(review(page).getByRole('group', { name: 'Letters' }).getByRole('option')).toHaveCount(3);
  await review(page).getByLabel('Type the letters in their order').fill('FLY');
  await expect(option(/^Y scan 3/)).toBeVisible();
  await review(page).getByLabel('Pixels to the inch').fill('150');
  await review(page).getByLabel('Pixels to the inch').press('Enter');
  await option(/^odd/).click();
  await review(page).getByRole('button', { name: 'Leave out' }).click();
  await expect(review(page).getByRole('combobox', { name: 'Put into' })).toHaveText('Loose supplies');
  await intoNewKit(page, '');
  await expect(review(page).getByText('A kit needs a name.')).toBeVisible();
  await review(page).getByLabel('The kit’s name').fill('Fly');
  await review(page).getByRole('button', { name: 'Put 3 away' }).click();
  await expect(notice(page)).toContainText('3 supplies put away in Fly.');
  await page.getByRole('button', { name: 'Fly', exact: true }).click();
  await expect(page.getByRole('option', { name: /^scan 2, letter/ })).toBeVisible();
  await page.getByRole('option', { name: /^scan 2, letter/ }).click();
  await expect(page.getByLabel('Stands for')).toHaveValue('L');
  await expect(page.getByText(/150 to the inch/)).toBeVisible();

  // All of it can stay outside, and can then be brought in anew.
  await give(page, [await plain('odd.png', 80, '#7a3')]);
  await review(page).getByRole('button', { name: 'Leave them all' }).click();
  await expect(review(page)).toBeHidden();
  await search(page).fill('odd');
  await expect(page.getByText('Nothing is called that here')).toBeVisible();
});

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
  await give(page, [{ name: 'Deck alphabet.png', mimeType: 'image/png', buffer: sheet }]);
  await expect(review(page).getByRole('group').first()).toHaveAccessibleName('Letters');
  await expect(review(page).getByRole('option')).toHaveAttribute('title', /a sheet of 18 letters/);
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

test('a backup of the cupboard goes to another browser: kits, pictures, tags, and favourites among the shipped ones', async ({
  page,
  browser,
}, info) => {
  await toCupboard(page);
  await give(page, [await plain('cliff.png', 1200, '#b08a5a'), await plain('foam.png', 1200, '#dfe8ea')]);
  await intoNewKit(page, 'Cliff walk');
  await review(page).getByLabel('Tags for all').fill('chalk');
  await review(page).getByRole('button', { name: 'Put 2 away' }).click();
  await search(page).fill('porthole');
  await expect(found(page)).toHaveCount(1);
  await found(page).first().focus();
  await page.keyboard.press('f');
  await expect(found(page).first()).toHaveAccessibleName(/favourite/);
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Back up the cupboard' }).click();
  const backup = info.outputPath('cupboard.zip');
  await (await download).saveAs(backup);
  expect(readFileSync(backup).subarray(0, 2).toString()).toBe('PK');

  const there = await (await browser.newContext()).newPage();
  await toCupboard(there);
  await give(there, backup);
  await expect(notice(there)).toContainText('Cliff walk: 2 supplies put away.');
  await search(there).fill('chalk');
  await expect(found(there)).toHaveCount(2);
  await expect(found(there).first()).toHaveAccessibleName(/cardstock/);
  await search(there).fill('');
  await there.getByRole('button', { name: 'Favourites', exact: true }).click();
  await expect(found(there)).toHaveCount(1);
  await expect(found(there)).toHaveAccessibleName(/[Pp]orthole/);
  // Once more brings nothing twice.
  const chooser = there.waitForEvent('filechooser');
  await there.getByRole('button', { name: 'Bring in supplies' }).click();
  await (await chooser).setFiles(backup);
  await expect(notice(there)).toContainText('2 were in the cupboard already.');
  await there.context().close();
});
