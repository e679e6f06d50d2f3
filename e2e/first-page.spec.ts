import { execFileSync } from 'node:child_process';
import { expect, test, warm } from './test';
import {
  bringIn,
  field,
  kept,
  layByEnter,
  newPage,
  onTable,
  openRow,
  pageOnScreen,
  photo,
  photosInBox,
  slabs,
  soundPdf,
} from './table';

test('a first page: three photos, a paper, a title; closed without thinking, found again, printed', async ({
  page,
  context,
}, info) => {
  await newPage(page);
  await expect(page.getByText('Photos for this page wait here.')).toBeVisible();
  await bringIn(page, [photo('fly-in-first-launch'), photo('fly-in-high'), photo('fly-in-plum-kite')]);
  await expect(photosInBox(page)).toHaveCount(3);

  await layByEnter(page.getByRole('button', { name: /^Sailcloth linen/ }));
  await page.getByRole('menuitem', { name: 'Cover the page with it' }).click();
  await expect(slabs(page)).toHaveCount(1);

  await photosInBox(page)
    .first()
    .dragTo(page.getByTestId('stage'), { targetPosition: { x: 420, y: 200 } });
  await expect(slabs(page)).toHaveCount(2);
  await layByEnter(photosInBox(page).nth(1));
  await layByEnter(photosInBox(page).nth(2));
  await expect(slabs(page)).toHaveCount(4);
  await layByEnter(page.getByRole('button', { name: /^Picnic gingham/ }));
  await page.getByRole('menuitem', { name: 'Lay a strip of it' }).click();
  await expect(slabs(page)).toHaveCount(5);

  await page.getByRole('button', { name: 'Write title' }).click();
  await page.keyboard.type('First off the beach');
  await page.keyboard.press('Escape');
  await expect(slabs(page).first()).toContainText('First off the beach');
  await page.getByRole('textbox', { name: 'Project title' }).fill('Our first page');
  await kept(page);
  await page.close();

  const again = await context.newPage();
  await again.goto('/');
  await again.getByRole('button', { name: 'Open Our first page' }).click();
  await onTable(again);
  await expect(slabs(again)).toHaveCount(6);
  await expect(again.getByRole('button', { name: /^Undo change title/ })).toBeEnabled();

  await again.getByRole('button', { name: 'Make', exact: true }).click();
  const download = again.waitForEvent('download');
  await again.getByRole('button', { name: 'Make the PDF' }).click();
  await expect(again.getByTestId('made')).toContainText('Our first page.pdf');
  const path = info.outputPath('page.pdf');
  await (await download).saveAs(path);
  const run = (name: string, ...args: string[]) => execFileSync(name, args, { encoding: 'utf8' });
  soundPdf(path);
  expect(run('pdfinfo', '-box', path)).toMatch(/TrimBox:\s+36.00\s+36.00\s+900.00\s+900.00/);
  expect(run('pdftotext', path, '-')).toContain('First off the beach');
  expect(run('pdfimages', '-list', path).match(/ jpeg /g)).toHaveLength(5);
});

warm(
  'a photo slides in its place and is never squashed; its sharpness is told in numbers',
  async ({ page }) => {
    await newPage(page);
    await bringIn(page, photo('from-olus-old-phone'));
    await layByEnter(photosInBox(page).first());
    await openRow(page, 'Place');
    await field(page, 'Width').fill('8');
    await field(page, 'Width').press('Enter');
    await openRow(page, 'Material');
    await expect(page.getByTestId('sharpness')).toHaveText(
      'Prints at 100 ppi: soft at this size. Good up to 2.67 x 2 in.',
    );
    const middle = await pageOnScreen(page);
    await page.mouse.dblclick(middle.x, middle.y);
    await expect(page.getByRole('button', { name: 'Done' })).toBeVisible();
    await page.getByRole('slider', { name: /^Closer/ }).fill('0.7');
    await page.mouse.move(middle.x, middle.y);
    await page.mouse.down();
    await page.mouse.move(middle.x + 60, middle.y + 20, { steps: 4 });
    await page.mouse.up();
    await expect(page.getByRole('button', { name: 'Undo slide photo in its place' })).toBeVisible();
    // The wheel and the keys act on the photo while it slides, not on the table or the piece.
    const closer = page.getByRole('slider', { name: /^Closer/ });
    const before = Number(await closer.inputValue());
    const table = await pageOnScreen(page);
    await page.mouse.wheel(0, -200);
    await expect.poll(async () => Number(await closer.inputValue())).toBeGreaterThan(before);
    await page.getByTestId('stage').focus();
    const wheeled = Number(await closer.inputValue());
    await page.keyboard.press('-');
    await expect.poll(async () => Number(await closer.inputValue())).toBeLessThan(wheeled);
    await page.keyboard.press('Shift+ArrowLeft');
    expect(await pageOnScreen(page)).toEqual(table);
    await page.keyboard.press('Enter');
    await expect(page.getByRole('button', { name: 'Done' })).toBeHidden();
    await expect(page.getByRole('button', { name: 'Undo slide photo in its place' })).toBeVisible();
    await page.getByRole('button', { name: 'Make', exact: true }).click();
    await expect(page.getByText('Warning: from-olus-old-phone').first()).toBeVisible();
    await expect(page.getByRole('dialog').getByText(/Prints at \d\d ppi: soft/)).toBeVisible();
    await page.getByRole('button', { name: 'Show', exact: true }).last().click();
    await expect(page.getByRole('textbox', { name: 'Name of this piece' })).toHaveValue(
      'from-olus-old-phone',
    );
  },
);
