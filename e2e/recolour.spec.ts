/** A part of a picture marked by a mouse takes another colour, and a day later another again. What strokes come to: `tasks/colour/marking.test.tsx`. */
import { expect, warm as test, type Page } from './test';
import sharp from 'sharp';
import { boat } from '../scripts/testing/boat';
import { axe } from './axe';
import {
  bringIn,
  field,
  kept,
  layByEnter,
  newPage,
  onTable,
  openRow,
  pageOnScreen,
  photosInBox,
  slabs,
} from './table';

const sheet = (page: Page) => page.getByRole('dialog', { name: 'Recolour', exact: true });

/** What the page shows at a spot of the piece that fills its middle: shares of the piece. */
async function seen(page: Page, x: number, y: number): Promise<[number, number, number]> {
  await page.waitForTimeout(150);
  const box = await pieceBox(page);
  const clip = { x: box.x + x * box.size - 2, y: box.y + y * box.size - 2, width: 4, height: 4 };
  const { data } = await sharp(await page.screenshot({ clip }))
    .removeAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  return [0, 1, 2].map((c) =>
    Math.round(data.filter((_, i) => i % 3 === c).reduce((a, b) => a + b, 0) / (data.length / 3)),
  ) as [number, number, number];
}

/** The same but for what drawing a picture smaller does. */
const near = (found: readonly number[], wanted: readonly number[]): void =>
  found.forEach((value, c) => expect(Math.abs(value - wanted[c]!)).toBeLessThanOrEqual(5));

/** A square piece of 6 inches in the middle of the page. */
async function pieceBox(page: Page): Promise<{ x: number; y: number; size: number }> {
  const { x, y, inch } = await pageOnScreen(page);
  return { x: x - 3 * inch, y: y - 3 * inch, size: 6 * inch };
}

async function stroke(page: Page, points: readonly (readonly [number, number])[]): Promise<void> {
  const box = await pieceBox(page);
  for (const [i, [x, y]] of points.entries()) {
    await page.mouse.move(box.x + x * box.size, box.y + y * box.size, { steps: 4 });
    if (i === 0) await page.mouse.down();
  }
  await page.mouse.up();
}

async function sixInches(page: Page): Promise<void> {
  await openRow(page, 'Place');
  for (const [name, value] of [
    ['Width', '6'],
    ['From left', '3'],
    ['From top', '3'],
  ] as const) {
    await field(page, name).fill(value);
    await field(page, name).press('Enter');
  }
  await page.getByTestId('stage').focus();
}

async function ink(page: Page, value: string): Promise<void> {
  await sheet(page).getByRole('textbox', { name: 'Ink', exact: true }).fill(value);
  await sheet(page).getByRole('textbox', { name: 'Ink', exact: true }).press('Enter');
}

test('a boat gets a red hull, the sky as it is; a day later the red is changed', async ({ page }) => {
  await newPage(page);
  await bringIn(page, {
    name: 'boat.png',
    mimeType: 'image/png',
    buffer: await sharp(boat(1200)).png().toBuffer(),
  });
  await expect(photosInBox(page)).toHaveCount(1);
  await layByEnter(photosInBox(page).first());
  await sixInches(page);
  const sky = await seen(page, 0.2, 0.2);
  await page.keyboard.press('Shift+R');
  await sheet(page).getByRole('button', { name: 'Mark a part' }).click();
  await expect(page.getByTestId('marking')).toBeFocused();
  await stroke(page, [
    [0.3, 0.68],
    [0.5, 0.7],
    [0.7, 0.68],
  ]);
  await expect(sheet(page).getByText('1 stroke.')).toBeVisible();
  await ink(page, '#b3262e');
  expect(await axe(page)).toEqual([]);
  await page.getByTestId('marking').focus();
  await page.keyboard.press('Escape');
  const [r, g, b] = await seen(page, 0.5, 0.7);
  expect(r).toBeGreaterThan(Math.max(g, b) + 60);
  near(await seen(page, 0.2, 0.2), sky);
  await kept(page);
  await page.reload();
  await onTable(page);
  await slabs(page).first().click();
  await page.getByTestId('stage').focus();
  await page.keyboard.press('Shift+R');
  await sheet(page).getByRole('button', { name: 'Part 1', exact: true }).press('Enter');
  await ink(page, '#1f5f7a');
  const blue = await seen(page, 0.5, 0.7);
  expect(blue[2]).toBeGreaterThan(blue[0] + 20);
});
