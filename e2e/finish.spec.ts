import { expect, test } from '@playwright/test';
import {
  bringIn,
  field,
  layByEnter,
  newPage,
  openRow,
  pageOnScreen,
  photo,
  photosInBox,
  slabs,
} from './table';

test('a photo is cut to a shape, given a stroke and a lift, faded; each is undone by name', async ({
  page,
}) => {
  await newPage(page);
  await bringIn(page, photo('fly-in-plum-kite'));
  await layByEnter(photosInBox(page).first());
  await openRow(page, 'Cut');
  await page.getByRole('button', { name: 'Heart' }).click();
  await expect(page.getByRole('button', { name: 'Undo cut photo' })).toBeVisible();
  await page.getByRole('button', { name: 'Rectangle' }).click();
  await field(page, 'Corner radius').fill('1/4');
  await field(page, 'Corner radius').press('Enter');
  await expect(page.getByRole('button', { name: /^Cut Rectangle, corners 0.25 in/ })).toBeVisible();

  await openRow(page, 'Finish');
  await page.getByRole('combobox', { name: 'Lies like' }).click();
  await page.getByRole('option', { name: 'Chipboard' }).click();
  await expect(field(page, 'Lift')).toHaveValue('1.5');
  await page.getByRole('switch', { name: 'Stroke along the edge' }).check();
  await field(page, 'Width').fill('2mm');
  await field(page, 'Width').press('Enter');
  await expect(field(page, 'Width')).toHaveValue('0.08');
  await field(page, 'Stroke ink').fill('9e2b');
  await field(page, 'Stroke ink').press('Enter');
  await expect(page.getByText('Six digits, such as #9e2b45.')).toBeVisible();
  await field(page, 'Stroke ink').fill('9E2B45');
  await field(page, 'Stroke ink').press('Enter');
  await page.getByRole('slider', { name: /^Opacity/ }).fill('60');
  await expect(page.getByRole('button', { name: /^Finish chipboard, stroke 0.08 in, 60 %/ })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Undo change opacity of photo' })).toBeVisible();
});

/** The colour of one pixel of the page as it is shown, by a share of its width and height. */
async function colourAt(page: import('@playwright/test').Page, x: number, y: number): Promise<number[]> {
  const { default: sharp } = await import('sharp');
  const box = (await page.locator('[data-testid=stage] > div').first().boundingBox())!;
  const shot = await page.screenshot({
    clip: { x: box.x + x * box.width, y: box.y + y * box.height, width: 2, height: 2 },
  });
  return [...(await sharp(shot).removeAlpha().raw().toBuffer())].slice(0, 3);
}

test('the page light moves every shadow; without strength there is none', async ({ page }) => {
  await newPage(page);
  await bringIn(page, photo('fly-in-plum-kite'));
  await layByEnter(photosInBox(page).first());
  await openRow(page, 'Place');
  for (const [name, value] of [
    ['From left', '4'],
    ['From top', '4'],
    ['Width', '4'],
  ] as const) {
    await field(page, name).fill(value);
    await field(page, name).press('Enter');
  }
  await openRow(page, 'Finish');
  await field(page, 'Lift').fill('20');
  await field(page, 'Lift').press('Enter');
  await page.getByTestId('stage').press('Escape');
  await page.waitForTimeout(400);
  const below = await colourAt(page, 0.5, 8.15 / 12);
  expect(below[0]).toBeLessThan(235);
  expect(await colourAt(page, 0.5, 3.85 / 12)).toEqual([255, 255, 255]);
  const dial = page.getByRole('slider', { name: 'Page light: direction' });
  for (let i = 0; i < 36; i++) await dial.press('ArrowRight');
  await page.waitForTimeout(400);
  expect((await colourAt(page, 0.5, 3.85 / 12))[0]).toBeLessThan(235);
  await expect(page.getByRole('button', { name: 'Undo move page light' })).toBeVisible();
  await page.getByRole('slider', { name: 'Page light: strength' }).fill('0');
  await page.waitForTimeout(400);
  expect(await colourAt(page, 0.5, 3.85 / 12)).toEqual([255, 255, 255]);
});

test('locked and hidden pieces are left in peace; peek reaches past them', async ({ page }) => {
  await newPage(page);
  await bringIn(page, [photo('fly-in-first-launch'), photo('fly-in-plum-kite')]);
  await layByEnter(photosInBox(page).first());
  await layByEnter(photosInBox(page).nth(1));
  const name = page.getByRole('textbox', { name: 'Name of this piece' });
  const top = await name.inputValue();
  await page.getByRole('toolbar').getByRole('button', { name: 'Lock' }).click();
  await expect(page.getByRole('toolbar').getByRole('button', { name: 'Delete' })).toBeHidden();
  await page.getByTestId('stage').press('Delete');
  await expect(slabs(page)).toHaveCount(2);
  const { x, y } = await pageOnScreen(page);
  await page.getByTestId('stage').press('Escape');
  await page.mouse.click(x, y);
  await expect(name).not.toHaveValue(top);
  await page.getByRole('button', { name: `Hide ${top}` }).click();
  await expect(page.getByRole('button', { name: `Undo hide photo` })).toBeVisible();
  await page.getByRole('button', { name: `Show ${top}` }).click();
  await expect(page.getByRole('button', { name: `Undo show photo` })).toBeVisible();
});

test('inches or millimetres, for the whole project, in every field and on the rulers', async ({ page }) => {
  await newPage(page, 'A4');
  await expect(page.getByText('A4, 2480 x 3508 pixels at 300 ppi, bleed 3 mm')).toBeVisible();
  await page.getByRole('button', { name: 'in', exact: true }).click();
  await expect(page.getByText(/bleed 0.12 in/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Undo measure in inches' })).toBeVisible();
  await page.getByTestId('stage').press('Control+z');
  await expect(page.getByText(/bleed 3 mm/)).toBeVisible();
});
