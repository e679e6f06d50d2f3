import { expect, warm as test, type Page } from './test';
import { bringIn, field, layByEnter, newPage, openRow, photo, photosInBox } from './table';

/** The colour of one pixel of the page as it is shown, by a share of its width and height. */
async function colourAt(page: Page, x: number, y: number): Promise<number[]> {
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
  // On the page itself the lamp is dragged back to above the photo, and low.
  await page.getByRole('button', { name: 'Lamp on the page' }).click();
  const lamp = (await page.getByTestId('lamp').locator('circle').last().boundingBox())!;
  const whole = (await page.locator('[data-testid=stage] > div').first().boundingBox())!;
  await page.mouse.move(lamp.x + lamp.width / 2, lamp.y + lamp.height / 2);
  await page.mouse.down();
  await page.mouse.move(whole.x + 0.5 * whole.width, whole.y + 0.1 * whole.height, { steps: 6 });
  await page.mouse.up();
  await page.waitForTimeout(400);
  // Beside the lamp's own line.
  expect(await colourAt(page, 0.46, 3.85 / 12)).toEqual([255, 255, 255]);
  expect((await colourAt(page, 0.5, 8.15 / 12))[0]).toBeLessThan(235);
  await page.getByRole('button', { name: 'Lamp on the page' }).click();
  await page.getByRole('slider', { name: 'Page light: strength' }).fill('0');
  await page.waitForTimeout(400);
  expect(await colourAt(page, 0.5, 3.85 / 12)).toEqual([255, 255, 255]);
});
