/** What a project goes out as, by what it is for. */
import { expect, test, type Page } from './test';
import { readFileSync } from 'node:fs';
import { unzipSync } from 'fflate';
import sharp from 'sharp';
import { axe } from './axe';
import { bringIn, layByEnter, newPage, photo, photosInBox, title } from './table';

const make = (page: Page) => page.getByRole('dialog', { name: /^Make/ });
const purpose = (page: Page, name: RegExp) => make(page).getByRole('button', { name });

test('at home: a printer is measured, a page is tried out on it, true to size and smaller, and printed', async ({
  page,
}) => {
  // What a browser would print, without its own window.
  await page.addInitScript(() => {
    window.print = () => (parent.document.body.dataset.printed = document.documentElement.outerHTML);
  });
  await newPage(page);
  await bringIn(page, photo('fly-in-plum-kite'));
  await layByEnter(photosInBox(page).first());
  await page.getByRole('button', { name: 'Make', exact: true }).click();
  await purpose(page, /^Your own printer/).click();
  await make(page).getByRole('combobox', { name: 'Paper' }).press('Enter');
  await page.getByRole('option', { name: /^Letter/ }).click();
  await expect(make(page).getByText(/^4 sheets of 8.5 x 11 in, true to size/)).toBeVisible();
  await make(page).getByRole('button', { name: 'Measure it …' }).click();
  const printer = page.getByRole('dialog', { name: 'Your printer' });
  const test = page.waitForEvent('download');
  await printer.getByRole('button', { name: 'Test sheet' }).click();
  expect((await test).suggestedFilename()).toBe('Test sheet.pdf');
  await printer.getByRole('button', { name: 'Another printer' }).click();
  await printer.getByRole('textbox', { name: 'Name of the printer' }).fill('In the hall');
  const left = printer.getByRole('textbox', { name: 'At the left' });
  await left.fill('5 in');
  await left.press('Enter');
  await expect(printer.getByText('At most 3 in.')).toBeVisible();
  await left.fill('3 in');
  await left.press('Enter');
  expect(await axe(page)).toEqual([]);
  await printer.getByRole('button', { name: 'Done' }).click();
  await expect(make(page).getByRole('combobox', { name: 'Printer' })).toHaveText('In the hall');
  await expect(make(page).getByText(/^6 sheets of 8.5 x 11 in/)).toBeVisible();
  await make(page).getByRole('combobox', { name: 'How it lies on the paper' }).press('Enter');
  await page.getByRole('option', { name: 'Smaller, on one sheet' }).click();
  await expect(make(page).getByText(/^One sheet of .* at \d\d % of its size/)).toBeVisible();
  await make(page).getByRole('button', { name: 'Try it out' }).click();
  const tray = page.getByRole('dialog', { name: 'Out of the printer' });
  const sheet = tray.getByTestId('printed-sheet');
  await expect(sheet).toHaveJSProperty('complete', true);
  await expect
    .poll(() => sheet.evaluate((image: HTMLImageElement) => image.naturalWidth))
    .toBeGreaterThan(700);
  expect(await axe(page)).toEqual([]);
  await tray.getByRole('button', { name: 'Done' }).click();
  await make(page).getByRole('button', { name: 'Print …' }).click();
  await expect(page.locator('body')).toHaveAttribute(
    'data-printed',
    /@page s6120x7920 { size: 612pt 792pt; margin: 0 }/,
  );
  const shown = page.frameLocator('[data-testid=print-frame]').locator('img');
  await expect(shown).toHaveCount(1);
  expect(
    await shown.evaluate((image: HTMLImageElement) => [image.naturalWidth, image.naturalHeight]),
  ).toEqual([2550, 3300]);
});

test('chosen pages as JPEG files with names of one’s own; as one picture that turns them; in layers', async ({
  page,
}, info) => {
  // A folder as a person would choose it, in the browser's own file system.
  await page.addInitScript(() => {
    const prints = async () =>
      (await navigator.storage.getDirectory()).getDirectoryHandle('Prints', { create: true });
    Object.assign(window, { showDirectoryPicker: prints });
  });
  await newPage(page, '6 x 8 in');
  await title(page).fill('Kites');
  await bringIn(page, photo('fly-in-plum-kite'));
  await layByEnter(photosInBox(page).first());
  for (let i = 0; i < 2; i++) {
    await page.getByRole('button', { name: 'What to do with this page' }).click();
    await page.getByRole('menuitem', { name: /^Copy/ }).click();
  }
  await page.getByRole('button', { name: 'Make', exact: true }).click();
  const saved = async (button: string, name: string) => {
    const download = page.waitForEvent('download');
    await make(page).getByRole('button', { name: button, exact: true }).click();
    const file = info.outputPath(name);
    await (await download).saveAs(file);
    return file;
  };
  const all = async () => {
    await make(page).getByRole('combobox', { name: 'What is made' }).press('Enter');
    await page.getByRole('option', { name: 'All 3 pages' }).click();
  };
  await all();
  await make(page).getByRole('radio', { name: 'JPEG' }).check();
  await make(page).getByRole('switch', { name: 'In Adobe RGB (1998), as some labs ask' }).check();
  const pages = make(page).getByRole('textbox', { name: 'Pages' });
  await pages.fill('2-4');
  await pages.press('Enter');
  await expect(make(page).getByText('There are pages 1 to 3.')).toBeVisible();
  await pages.fill('1, 3');
  await pages.press('Enter');
  const names = make(page).getByRole('textbox', { name: 'Their files are called' });
  await names.fill('{title} {number}');
  await names.press('Enter');
  const zip = unzipSync(readFileSync(await saved('Make the JPEG files', 'kites.zip')));
  expect(Object.keys(zip)).toEqual(['Kites 1.jpg', 'Kites 2.jpg']);
  const { icc } = await sharp(Buffer.from(zip['Kites 1.jpg']!)).metadata();
  expect(icc?.toString('latin1')).toContain('A\0d\0o\0b\0e\0 \0R\0G\0B');
  expect(await axe(page)).toEqual([]);
  await make(page).getByRole('button', { name: 'Into a folder …' }).click();
  await expect(make(page).getByTestId('made')).toContainText('2 files are in Prints');
  const written = await page.evaluate(async () => {
    const prints = await (await navigator.storage.getDirectory()).getDirectoryHandle('Prints');
    const all: [string, number][] = [];
    for await (const [name, handle] of (
      prints as unknown as { entries(): AsyncIterable<[string, FileSystemFileHandle]> }
    ).entries())
      all.push([name, (await handle.getFile()).size]);
    return Object.fromEntries(all);
  });
  expect(written).toEqual(
    Object.fromEntries(Object.entries(zip).map(([name, bytes]) => [name, bytes.length])),
  );

  await purpose(page, /^A picture to share/).click();
  await all();
  await make(page).getByRole('radio', { name: 'WebP' }).check();
  const side = make(page).getByRole('textbox', { name: 'Its longer side' });
  await side.fill('400');
  await side.press('Enter');
  const flip = await sharp(await saved('Make the WebP', 'kites.webp'), { animated: true }).metadata();
  expect([flip.pages, flip.width, flip.pageHeight]).toEqual([18, 300, 400]);

  await purpose(page, /^To work on/).click();
  await make(page).getByRole('radio', { name: 'OpenRaster' }).check();
  const layers = unzipSync(readFileSync(await saved('Make the OpenRaster', 'kites.ora')));
  expect(Buffer.from(layers['stack.xml']!).toString()).toContain('name="fly-in-plum-kite"');
});
