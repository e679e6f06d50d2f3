/** Lines drawn by mouse and pen, taken hold of again, rubbed out; what runs along edges, by keyboard too. */
import { expect, warm as test, type Locator, type Page } from './test';
import { axe } from './axe';
import {
  bringIn,
  cupboard,
  cupboardSearch,
  field,
  found,
  kept,
  layByEnter,
  newPage,
  openCupboard,
  openRow,
  pageOnScreen,
  photo,
  photosInBox,
  set,
  slabs,
  undoOf,
} from './table';

const sheet = (page: Page): Locator => page.getByRole('dialog', { name: 'Paint and thread' });
const lines = (page: Page): Locator =>
  sheet(page).getByRole('region', { name: 'Lines of this piece' }).locator('button[aria-pressed]');
const take = (page: Page, name: string): Promise<void> =>
  sheet(page)
    .getByRole('group', { name: 'What is drawn with' })
    .getByRole('button', { name, exact: true })
    .click();

/** A place on the page, inches from its top left, on the screen. */
async function spot(page: Page, x: number, y: number): Promise<[number, number]> {
  const middle = await pageOnScreen(page);
  return [middle.x + (x - 6) * middle.inch, middle.y + (y - 6) * middle.inch];
}
async function drag(page: Page, ...places: [number, number][]): Promise<void> {
  await page.mouse.move(...(await spot(page, ...places[0]!)));
  await page.mouse.down();
  for (const place of places.slice(1)) await page.mouse.move(...(await spot(page, ...place)), { steps: 8 });
  await page.mouse.up();
}

test('lines drawn one after another lie on one piece; one is held, inked anew, put down, rubbed out, taken away', async ({
  page,
}) => {
  await newPage(page);
  await page.keyboard.press('3');
  await expect(sheet(page)).toBeVisible();
  await drag(page, [6, 3], [8, 3.4], [10, 3]);
  await expect(slabs(page)).toHaveCount(1);
  await take(page, 'Thread');
  await sheet(page).getByRole('button', { name: 'Chain stitch' }).click();
  await drag(page, [6, 5], [8, 5.4], [10, 5]);
  // Nothing is drawn by a line that is straight until the hand lets go.
  await page.keyboard.down('Shift');
  await drag(page, [6, 7], [7, 8], [10, 7]);
  await page.keyboard.up('Shift');
  await expect(lines(page)).toHaveCount(3);
  await expect(slabs(page)).toHaveCount(1);
  await expect(undoOf(page, 'draw thread')).toBeVisible();
  expect(await axe(page)).toEqual([]);
  // The eraser is a line too: it is taken away like every other.
  await take(page, 'Eraser');
  await drag(page, [8, 2.4], [8, 3.8]);
  await expect(lines(page).first()).toHaveText(/Eraser/);
  // Held by a press on it.
  await take(page, 'Hold');
  await page.mouse.click(...(await spot(page, 6.02, 3.01)));
  await expect(page.getByTestId('held-line')).toBeVisible();
  await expect(sheet(page).getByText(/^Held: what you change/)).toBeVisible();
  await sheet(page).getByRole('textbox', { name: 'Width' }).fill('0.2');
  await sheet(page).getByRole('textbox', { name: 'Width' }).press('Enter');
  await expect(undoOf(page, 'change line')).toBeVisible();
  await page.getByTestId('stage').focus();
  await page.keyboard.press('Delete');
  await expect(lines(page)).toHaveCount(3);
  await page.keyboard.press('Control+z');
  await expect(lines(page)).toHaveCount(4);
  await lines(page).nth(1).click();
  await sheet(page).getByRole('button', { name: 'Up', exact: true }).click();
  await expect(lines(page).first()).toHaveAttribute('aria-pressed', 'true');
  // Another piece from here on.
  await sheet(page).getByRole('button', { name: 'Begin another piece' }).click();
  await take(page, 'Beads');
  await drag(page, [6, 9], [10, 9.5]);
  await expect(slabs(page)).toHaveCount(2);
  await kept(page);
  await page.reload();
  await expect(slabs(page)).toHaveCount(2);
});

test('a pen draws thick and thin; a mouse, and a pen that says nothing, evenly', async ({ page }) => {
  await newPage(page);
  await page.keyboard.press('3');
  await set(page, 'Width', '0.3');
  const pen = async (y: number, press: (t: number) => number) => {
    const steps: [number, number, number][] = [];
    for (let i = 0; i <= 30; i++) steps.push([...(await spot(page, 6 + i * 0.13, y)), press(i / 30)]);
    await page.evaluate((all) => {
      const target = document.elementFromPoint(all[0]![0], all[0]![1])!;
      const send = (type: string, [clientX, clientY, pressure]: readonly number[], buttons: number) =>
        target.dispatchEvent(
          new PointerEvent(type, {
            ...{
              bubbles: true,
              pointerId: 1,
              isPrimary: true,
              pointerType: 'pen',
              button: type === 'pointermove' ? -1 : 0,
            },
            ...{ clientX, clientY, pressure, buttons },
          }),
        );
      // A pointer that no device holds cannot be captured.
      Element.prototype.setPointerCapture = () => {};
      send('pointerdown', all[0]!, 1);
      for (const one of all) send('pointermove', one, 1);
      send('pointerup', all.at(-1)!, 0);
    }, steps);
  };
  await pen(4, (t) => 0.1 + 0.9 * t);
  await expect(slabs(page)).toHaveCount(1);
  const thick = Number(await field(page, 'Height').inputValue());
  await sheet(page).getByRole('button', { name: 'Begin another piece' }).click();
  await pen(8, () => 0);
  await expect(slabs(page)).toHaveCount(2);
  expect(thick).toBeGreaterThan(0.2);
  // What covers the page at the beginning and at the end of each, dark pixels from top to bottom.
  const dark = async (x: number, y: number): Promise<number> => {
    const [left, top] = await spot(page, x, y);
    const shot = await page.screenshot({ clip: { x: left, y: top - 20, width: 1, height: 40 } });
    return page.evaluate(async (data) => {
      const bitmap = await createImageBitmap(
        new Blob([Uint8Array.from(atob(data), (c) => c.charCodeAt(0))], { type: 'image/png' }),
      );
      const canvas = new OffscreenCanvas(bitmap.width, bitmap.height);
      const context = canvas.getContext('2d')!;
      context.drawImage(bitmap, 0, 0);
      const pixels = context.getImageData(0, 0, bitmap.width, bitmap.height).data;
      let count = 0;
      for (let i = 0; i < pixels.length; i += 4 * bitmap.width) if (pixels[i]! < 110) count++;
      return count;
    }, shot.toString('base64'));
  };
  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');
  await expect.poll(async () => (await dark(9.4, 4)) - (await dark(6.5, 4))).toBeGreaterThan(3);
  expect(Math.abs((await dark(9.4, 8)) - (await dark(6.5, 8)))).toBeLessThan(2);
});

test('a wreath round a photo in three presses; its stitches by keyboard alone; the same as a line in the hand', async ({
  page,
}) => {
  await newPage(page);
  await bringIn(page, photo('fly-in-first-launch'));
  await expect(photosInBox(page)).toHaveCount(1);
  await layByEnter(photosInBox(page).first());
  await openCupboard(page);
  await cupboardSearch(page).fill('wreath');
  await expect(found(page).first()).toHaveAccessibleName(/Garden wreath/);
  await found(page).first().dblclick();
  await expect(cupboard(page)).toBeHidden();
  await expect(undoOf(page, 'change garland along photo')).toBeVisible();
  await openRow(page, 'Finish');
  await expect(page.getByRole('group', { name: 'Garland 1' })).toBeVisible();
  // With the keyboard: sewn as well, on its edge.
  await page.getByRole('button', { name: 'Sew' }).press('Enter');
  const sewn = page.getByRole('group', { name: 'Thread 2' });
  await sewn.getByRole('button', { name: 'Blanket stitch' }).press('Enter');
  await expect(sewn.getByText(/^\d+ stitches, whole on each side\.$/)).toBeVisible();
  await sewn.getByRole('textbox', { name: 'Length of a stitch' }).fill('0.2');
  await sewn.getByRole('textbox', { name: 'Length of a stitch' }).press('Enter');
  await expect(undoOf(page, 'change thread along photo')).toBeVisible();
  expect(await axe(page)).toEqual([]);
  // With nothing selected it comes into the hand.
  await page.getByTestId('stage').focus();
  await page.keyboard.press('Escape');
  await openCupboard(page);
  await cupboardSearch(page).fill('harbour rope');
  await expect(found(page).first()).toHaveAccessibleName(/Harbour rope/);
  await found(page).first().press('Enter');
  await expect(sheet(page)).toBeVisible();
  await drag(page, [6, 10], [11, 10.5]);
  await expect(undoOf(page, 'draw twine')).toBeVisible();
  // What is in the hand is kept as a supply of one's own.
  await sheet(page).getByRole('button', { name: 'Keep it in the cupboard' }).click();
  const dialog = page.getByRole('dialog', { name: 'Keep this to draw with' });
  await dialog.getByRole('textbox', { name: 'Its name' }).fill('Our rope');
  await dialog.getByRole('button', { name: 'Keep it' }).click();
  await expect(dialog).toBeHidden();
});
