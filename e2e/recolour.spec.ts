/** Pictures in other colours: parts marked by rough strokes and changed a day later; a stamp coloured in beneath its lines. */
import { expect, warm as test, type Page } from './test';
import sharp from 'sharp';
import { SEASIDE } from '../scripts/kits/icons/seaside';
import { byHand } from '../scripts/kits/icons/pen';
import { axe } from './axe';
import {
  bringIn,
  field,
  kept,
  layByEnter,
  layFromCupboard,
  newPage,
  onTable,
  openRow,
  pageOnScreen,
  photosInBox,
  shot,
  slabs,
} from './table';

/** A boat on the water: hull, sail and mast each with light and shade of its own. */
const BOAT = `<svg xmlns="http://www.w3.org/2000/svg" width="1200" height="1200">
  <defs>
    <linearGradient id="hull" x2="0" y2="1"><stop offset="0" stop-color="#8a6a48"/><stop offset="1" stop-color="#4e3722"/></linearGradient>
    <linearGradient id="sail"><stop offset="0" stop-color="#f4f6f8"/><stop offset="1" stop-color="#c3cbd4"/></linearGradient>
    <linearGradient id="sky" x2="0" y2="1"><stop offset="0" stop-color="#6fa3c8"/><stop offset="1" stop-color="#b9d4e2"/></linearGradient>
  </defs>
  <rect width="1200" height="1200" fill="url(#sky)"/>
  <rect y="900" width="1200" height="300" fill="#3d6f86"/>
  <rect x="585" y="160" width="26" height="620" fill="#c98f2d"/>
  <path d="M620 190 L980 740 L620 740Z" fill="url(#sail)"/>
  <path d="M240 780 H980 L860 960 H360Z" fill="url(#hull)"/>
</svg>`;

const sheet = (page: Page, name = 'Recolour') => page.getByRole('dialog', { name, exact: true });

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

async function ink(page: Page, value: string, dialog = sheet(page)): Promise<void> {
  await dialog.getByRole('textbox', { name: 'Ink', exact: true }).fill(value);
  await dialog.getByRole('textbox', { name: 'Ink', exact: true }).press('Enter');
}

test('a boat gets a red hull and a cream sail, the mast as it is; a day later the red is changed', async ({
  page,
}) => {
  await newPage(page);
  await bringIn(page, {
    name: 'boat.png',
    mimeType: 'image/png',
    buffer: await sharp(Buffer.from(BOAT)).png().toBuffer(),
  });
  await expect(photosInBox(page)).toHaveCount(1);
  await layByEnter(photosInBox(page).first());
  await sixInches(page);
  const [sky, mast] = [await seen(page, 0.2, 0.2), await seen(page, 0.498, 0.3)];
  await page.keyboard.press('Shift+R');
  await sheet(page).getByRole('button', { name: 'Mark a part' }).click();
  await expect(page.getByTestId('marking')).toBeVisible();
  await shot(page, 'recolour-begun');
  await stroke(page, [
    [0.3, 0.68],
    [0.5, 0.7],
    [0.7, 0.68],
  ]);
  await expect(sheet(page).getByText('1 stroke.')).toBeVisible();
  await ink(page, '#b3262e');
  await shot(page, 'recolour-hull');
  expect(await axe(page)).toEqual([]);
  await page.getByTestId('marking').focus();
  await page.keyboard.press('Escape');
  const [r, g, b] = await seen(page, 0.5, 0.7);
  expect(r).toBeGreaterThan(g + 60);
  expect(r).toBeGreaterThan(b + 60);
  near(await seen(page, 0.2, 0.2), sky);
  await field(page, 'Its name').fill('Hull');
  // The sail by keys alone: the spot is moved and pressed.
  await sheet(page).getByRole('button', { name: 'Mark a part' }).press('Enter');
  await expect(page.getByTestId('marking')).toBeFocused();
  for (let i = 0; i < 8; i++) await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Enter');
  await expect(sheet(page).getByText('1 stroke.')).toBeVisible();
  await page.keyboard.press('Escape');
  await ink(page, '#f2e2b8');
  const sail = await seen(page, 0.58, 0.5);
  expect(sail[0] - sail[2]).toBeGreaterThan(20);
  near(await seen(page, 0.498, 0.3), mast);
  await shot(page, 'recolour-done');
  await kept(page);
  await page.reload();
  await onTable(page);
  await slabs(page).first().click();
  await page.getByTestId('stage').focus();
  await page.keyboard.press('Shift+R');
  await sheet(page).getByRole('button', { name: 'Hull', exact: true }).press('Enter');
  await ink(page, '#1f5f7a');
  const blue = await seen(page, 0.5, 0.7);
  expect(blue[2]).toBeGreaterThan(blue[0] + 20);
  expect((await seen(page, 0.58, 0.5))[0] - (await seen(page, 0.58, 0.5))[2]).toBeGreaterThan(20);
  // What is protected keeps its colour from a dye of the whole.
  await sheet(page).getByRole('button', { name: 'As it was' }).click();
  await sheet(page).getByRole('button', { name: 'Protect a part' }).click();
  await stroke(page, [
    [0.498, 0.2],
    [0.498, 0.5],
  ]);
  await expect(sheet(page).getByText('1 stroke.')).toBeVisible();
  await sheet(page).getByRole('button', { name: 'All of it' }).press('Enter');
  await ink(page, '#1f5f7a');
  near(await seen(page, 0.498, 0.3), mast);
  expect((await seen(page, 0.5, 0.7))[2]).toBeGreaterThan((await seen(page, 0.5, 0.7))[0] + 20);
  await sheet(page).getByRole('button', { name: 'As it was' }).click();
  near(await seen(page, 0.498, 0.3), mast);
});

test('a stamp is coloured in, area by area and with a brush, and no line is touched', async ({ page }) => {
  await newPage(page);
  // A plain drawing: its lines close about their areas.
  await page.getByTestId('photo-input').setInputFiles({
    name: 'Sailboat stamp.svg',
    mimeType: 'image/svg+xml',
    buffer: Buffer.from(
      `<svg xmlns="http://www.w3.org/2000/svg" width="1.5in" height="1.5in" viewBox="-4 -4 108 108"><path d="${byHand(SEASIDE.find(({ name }) => name === 'Sailboat')!.line, 35)}" fill="none" stroke="#000000" stroke-width="2.6" stroke-linecap="round" stroke-linejoin="round"/></svg>`,
    ),
  });
  await page.getByRole('list', { name: 'Stamps' }).getByRole('button').first().dblclick();
  await expect(slabs(page)).toHaveCount(1);
  await sixInches(page);
  const line = await seen(page, 0.481, 0.4);
  expect(Math.max(...line)).toBeLessThan(60);
  await page.keyboard.press('Shift+C');
  const dialog = sheet(page, 'Colour in');
  await expect(dialog.getByText('3 areas between its lines.')).toBeVisible();
  await dialog.getByRole('group', { name: 'Inks at hand' }).getByRole('button').first().click();
  await ink(page, '#b3262e', dialog);
  await stroke(page, [[0.5, 0.8]]);
  await expect(page.getByRole('button', { name: 'Undo colour stamp in' })).toBeVisible();
  // No lines round the sea: it says so, and nothing is coloured.
  await stroke(page, [[0.1, 0.9]]);
  await expect(dialog.getByText(/No lines enclose this spot/)).toBeVisible();
  await dialog.getByRole('button', { name: 'Watercolour' }).click();
  await ink(page, '#e8c66a', dialog);
  // By keys, from where the pointer was last.
  const box = await pieceBox(page);
  await page.mouse.move(box.x + 0.57 * box.size, box.y + 0.53 * box.size);
  await page.getByTestId('marking').focus();
  for (let i = 0; i < 3; i++) for (const key of ['ArrowRight', 'ArrowUp']) await page.keyboard.press(key);
  await page.keyboard.press('Enter');
  await dialog.getByRole('button', { name: 'Pencil' }).click();
  await dialog.getByRole('button', { name: 'Brush' }).click();
  await ink(page, '#3f7f9f', dialog);
  // Over the mast and back: the brush does not leave the sail it began in.
  await stroke(page, [
    [0.4, 0.55],
    [0.6, 0.5],
    [0.42, 0.45],
    [0.6, 0.4],
    [0.45, 0.35],
  ]);
  await shot(page, 'colour-in');
  expect(await axe(page)).toEqual([]);
  const red = await seen(page, 0.5, 0.8);
  expect(red[0] - red[1]).toBeGreaterThan(60);
  const yellow = await seen(page, 0.6, 0.5);
  expect(yellow[0] - yellow[2]).toBeGreaterThan(40);
  const blue = await seen(page, 0.44, 0.54);
  expect(blue[2] - blue[0]).toBeGreaterThan(20);
  near(await seen(page, 0.481, 0.4), line);
  await kept(page);
  await page.reload();
  await onTable(page);
  near(await seen(page, 0.5, 0.8), red);
});

test('a drawn paper takes another ink on the parts that are pressed, by mouse and by keys', async ({
  page,
}) => {
  await newPage(page);
  await layFromCupboard(page, 'Deckchair stripe');
  await page.getByRole('menuitem').first().click();
  await expect(slabs(page)).toHaveCount(1);
  await page.getByTestId('stage').focus();
  // A little beside the middle, where a stripe begins.
  const spot = [0.51, 0.5] as const;
  const before = await seen(page, ...spot);
  await page.keyboard.press('Shift+R');
  await sheet(page).getByRole('button', { name: 'Mark a part' }).click();
  await stroke(page, [spot]);
  await expect(sheet(page).getByText(/[1-4] of 4 painted parts chosen/)).toBeVisible();
  await shot(page, 'recolour-drawing');
  await page.getByTestId('marking').focus();
  await page.keyboard.press('Escape');
  await ink(page, '#5a2a7a');
  const violet = await seen(page, ...spot);
  expect(violet[2] - violet[1]).toBeGreaterThan(20);
  // Pressed again it is left, and the paper is as it was.
  await sheet(page).getByRole('button', { name: 'Mark', exact: true }).press('Enter');
  await page.getByTestId('marking').press('ArrowRight');
  await page.getByTestId('marking').press('Enter');
  await expect(sheet(page).getByText(/^.*0 of 4 painted parts chosen/)).toBeVisible();
  await page.keyboard.press('Escape');
  near(await seen(page, ...spot), before);
});
