/** Arranging: getting hold of anything, and putting it exactly there, by mouse and by keyboard. */
import { expect, warm as test, type Locator, type Page } from './test';
import { axe } from './axe';
import {
  kept,
  laySquares,
  newPage,
  numberIn,
  openRow,
  pageOnScreen,
  slabs,
  undoOf,
  photosInBox,
} from './table';

const stage = (page: Page): Locator => page.getByTestId('stage');

test('copies go through the system’s clipboard: to another project as pieces, to other programs as a picture, and theirs come in', async ({
  page,
  context,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  await newPage(page);
  await laySquares(page, [['Red', 1, 2]]);
  await page.keyboard.press('Control+c');
  const onClipboard = () =>
    page.evaluate(async () => {
      const [item] = await navigator.clipboard.read();
      const png =
        item?.types.includes('image/png') && (await createImageBitmap(await item.getType('image/png')));
      return { types: item?.types ?? [], width: png ? png.width : 0 };
    });
  await expect.poll(async () => (await onClipboard()).types.length).toBeGreaterThanOrEqual(3);
  const { types, width } = await onClipboard();
  expect(types).toEqual(expect.arrayContaining(['image/png', 'web application/vnd.bellagraph+json']));
  // An inch at 300 to the inch, and its shadow.
  expect(width).toBeGreaterThan(300);
  expect(width).toBeLessThan(400);
  await kept(page);
  await newPage(page, '8 x 8 in');
  await stage(page).focus();
  await page.keyboard.press('Control+v');
  await expect(page.getByRole('button', { name: 'Undo paste photo' })).toBeVisible();
  await expect(slabs(page).filter({ hasText: 'Red' })).toHaveCount(1);
  await openRow(page, 'Place');
  expect(await numberIn(page, 'From left')).toBeCloseTo(1, 2);

  // A picture from another program.
  await page.evaluate(async () => {
    const canvas = new OffscreenCanvas(600, 300);
    const brush = canvas.getContext('2d')!;
    brush.fillStyle = '#2f6f68';
    brush.fillRect(0, 0, 600, 300);
    await navigator.clipboard.write([new ClipboardItem({ 'image/png': await canvas.convertToBlob() })]);
  });
  await stage(page).focus();
  await page.keyboard.press('Control+v');
  await expect(slabs(page)).toHaveCount(2);
  expect(await numberIn(page, 'Width')).toBeCloseTo(2, 1);

  // Words from another program are laid as journaling.
  await page.evaluate(() => navigator.clipboard.writeText('Dear diary,\r\nwe flew.'));
  await stage(page).focus();
  await page.keyboard.press('Control+v');
  await expect(page.getByRole('button', { name: 'Undo paste words' })).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('textbox', { name: 'Journaling words' })).toHaveValue('Dear diary,\nwe flew.');
});

test('looked at closely: the selection fills the table, the loupe follows, true size is told by a card', async ({
  page,
}) => {
  await newPage(page);
  await laySquares(page, [
    ['Red', 1, 2],
    ['Blue', 8, 8],
  ]);
  await page.keyboard.press('2');
  await expect(page.getByRole('button', { name: /^Zoom, now [3-7]\d\d %/ })).toBeVisible();
  await page.keyboard.press('n');
  await expect(page.getByLabel('Name of this piece')).toHaveValue('Red');
  await page.keyboard.press('0');
  await expect(page.getByRole('button', { name: /^Zoom, now \d\d %/ })).toBeVisible();
  await page.keyboard.press('e');
  // The view may still be on its way back: a hand goes to where the page is by then.
  await expect(async () => {
    const { x, y } = await pageOnScreen(page);
    await page.mouse.move(x + 1, y);
    await page.mouse.move(x, y);
    await expect(page.getByRole('img', { name: 'Loupe: 3 times as large' })).toBeVisible({ timeout: 2000 });
  }).toPass({ timeout: 40_000 });
  await page.keyboard.press('e');
  const zoom = page.getByRole('button', { name: /^Zoom, now/ });
  const whole = await zoom.innerText();
  await page.keyboard.down('Control');
  await page.mouse.wheel(0, -300);
  await page.keyboard.up('Control');
  await expect(zoom).not.toHaveText(whole);
  await zoom.click();
  await page.getByRole('menuitem', { name: 'True size' }).click();
  const card = page.getByRole('dialog', { name: 'How large is your screen?' });
  await card.getByRole('slider').fill('2');
  expect(await axe(page)).toEqual([]);
  await card.getByRole('button', { name: 'It is as large' }).click();
  // Two pixels a point: half as large again as the usual four thirds.
  await expect(page.getByRole('button', { name: 'Zoom, now 150 %' })).toBeVisible();
  await kept(page);
  await page.reload();
  await stage(page).focus();
  await page.keyboard.press('1');
  await expect(page.getByRole('button', { name: 'Zoom, now 150 %' })).toBeVisible();
});

test('by touch: a finger catches what it nearly points at and moves it, two fingers zoom', async ({
  browser,
}) => {
  const context = await browser.newContext({ hasTouch: true, viewport: { width: 1280, height: 800 } });
  const page = await context.newPage();
  await newPage(page);
  await laySquares(page, [['Cork', 5.5, 5.5]]);
  const touch = await context.newCDPSession(page);
  const fingers = (type: 'touchStart' | 'touchMove' | 'touchEnd', ...at: (readonly [number, number])[]) =>
    touch.send('Input.dispatchTouchEvent', { type, touchPoints: at.map(([x, y], id) => ({ x, y, id })) });
  const { x, y, inch } = await pageOnScreen(page);
  await page.touchscreen.tap(x + 3 * inch, y);
  await expect(page.getByLabel('Name of this piece')).toBeHidden();
  await page.touchscreen.tap(x + inch / 2 + 10, y);
  await expect(page.getByLabel('Name of this piece')).toHaveValue('Cork');

  await fingers('touchStart', [x, y]);
  for (let i = 1; i <= 6; i++) await fingers('touchMove', [x, y + (i * inch) / 3]);
  await fingers('touchEnd');
  await expect.poll(() => numberIn(page, 'From top')).toBeCloseTo(7.5, 0);

  // A second finger lets go of what the first took hold of; the page grows under both.
  await fingers('touchStart', [x, y + 2 * inch]);
  await fingers('touchStart', [x, y + 2 * inch], [x + 40, y + 2 * inch]);
  for (let i = 1; i <= 6; i++)
    await fingers('touchMove', [x - i * 10, y + 2 * inch], [x + 40 + i * 10, y + 2 * inch]);
  await fingers('touchEnd');
  await expect.poll(async () => (await pageOnScreen(page)).inch / inch).toBeCloseTo(4, 0);
  await openRow(page, 'Place');
  expect(await numberIn(page, 'From top')).toBeCloseTo(7.5, 0);
  await expect(undoOf(page, 'move photo')).toBeVisible();

  // What a mouse drags out of the workbox a finger taps: once for each.
  await photosInBox(page).first().tap();
  await expect(slabs(page)).toHaveCount(2);
  await page
    .getByRole('list', { name: 'Papers' })
    .getByRole('button', { name: /^Dune kraft/ })
    .tap();
  await page.getByRole('menuitem', { name: 'Cover the page with it' }).tap();
  await expect(slabs(page)).toHaveCount(3);
  await context.close();
});
