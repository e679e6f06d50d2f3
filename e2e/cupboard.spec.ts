/** Supplies on the page: frames take photos, stamps arrive as ink. */
import { expect, warm as test, type Page } from './test';
import sharp from 'sharp';
import { axe } from './axe';
import {
  bringIn,
  cupboard,
  cupboardSearch as search,
  found,
  layFromCupboard as lay,
  newPage,
  openCupboard,
  openRow,
  numberIn,
  pageOnScreen,
  photo,
  photosInBox,
  slabs,
} from './table';

const colourOf = async (page: Page, x: number, y: number): Promise<number[]> => {
  const shot = await page.screenshot({ clip: { x, y, width: 2, height: 2 } });
  return [...(await sharp(shot).removeAlpha().raw().toBuffer())].slice(0, 3);
};

test('a frame takes a photo dropped into its opening; a stamp arrives as ink, and takes an ink by name', async ({
  page,
}) => {
  await newPage(page);
  await lay(page, 'Boathouse frame');
  await expect(slabs(page)).toHaveCount(1);
  await bringIn(page, photo('fly-in-first-launch'));
  await photosInBox(page)
    .first()
    .dragTo(page.getByTestId('stage'), { targetPosition: { x: 483, y: 296 } });
  await expect(page.getByRole('button', { name: 'Undo frame photo' })).toBeVisible();
  await expect(slabs(page).first()).toContainText('Boathouse frame');
  await expect(slabs(page).last()).toContainText('fly-in-first-launch');
  await page.getByTestId('stage').press('Escape');
  await openCupboard(page);
  // Whoever opens it can type at once.
  await expect(search(page)).toBeFocused();
  await page.keyboard.type('boathouse frame');
  await expect(found(page).first()).toHaveAccessibleName(/, used /);
  expect(await axe(page)).toEqual([]);
  await found(page).first().click();
  await page.getByRole('button', { name: 'In other colours' }).click();
  await expect(page.getByRole('group', { name: 'Inks for the versions' })).toBeVisible();
  expect(await axe(page)).toEqual([]);
  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');
  await expect(cupboard(page)).toBeHidden();
  await lay(page, 'Lighthouse, tone');
  await page.getByRole('button', { name: /^Material / }).click();
  await page.getByRole('button', { name: 'Ink: choose an ink' }).click();
  await page.getByRole('button', { name: 'Kite red', exact: true }).click();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: /^Material Stamped in #c5503f/ })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Undo ink stamp' })).toBeVisible();
  const { x, y, inch } = await pageOnScreen(page);
  await openRow(page, 'Place');
  const middle = {
    x: x + ((await numberIn(page, 'From left')) + (await numberIn(page, 'Width')) / 2 - 6) * inch,
    y: y + ((await numberIn(page, 'From top')) + (await numberIn(page, 'Height')) / 2 - 6) * inch,
  };
  await page.getByTestId('stage').press('Escape');
  await page.waitForTimeout(400);
  const [r, g, b] = await colourOf(page, middle.x, middle.y - 4);
  expect(Math.hypot(r! - 0xc5, g! - 0x50, b! - 0x3f)).toBeLessThan(12);
});
