/** Photos among themselves: arranged by proposal, swapped, put into places; by mouse and by keyboard. */
import { expect, test as fresh, warm as test } from './test';
import { axe } from './axe';
import {
  bringIn,
  field,
  kept,
  layByEnter,
  newPage,
  notice,
  openRow,
  pageOnScreen,
  photo,
  photosInBox,
  slabs,
  shot,
} from './table';

const SIX = [
  'fly-in-all-up',
  'fly-in-first-launch',
  'fly-in-high',
  'fly-in-horizon',
  'fly-in-plum-kite',
  'tide-pools',
];

test('a photo is levelled along its horizon; what one photo wears is given to all, on every page', async ({
  page,
}) => {
  await newPage(page);
  await bringIn(page, SIX.slice(3, 5).map(photo));
  await expect(photosInBox(page)).toHaveCount(2);
  for (const i of [0, 1]) await layByEnter(photosInBox(page).nth(i));
  await expect(slabs(page)).toHaveCount(2);
  await page.getByRole('button', { name: 'Slide' }).click();
  await page.getByRole('button', { name: 'Level it' }).click();
  await expect(page.getByTestId('horizon')).toBeAttached();
  const { x, y, inch } = await pageOnScreen(page);
  await page.mouse.move(x - 2 * inch, y);
  await page.mouse.down();
  await page.mouse.move(x + 2 * inch, y + 0.35 * inch, { steps: 4 });
  await page.mouse.up();
  await expect(page.getByRole('button', { name: 'Undo level photo' })).toBeVisible();
  await openRow(page, 'Material');
  // A twelfth down over a whole across: 5 degrees.
  await expect(page.getByRole('slider', { name: 'Straighten' })).toHaveAttribute('aria-valuenow', '-5');
  await page.getByRole('button', { name: 'Done' }).click();
  await openRow(page, 'Finish');
  await page.getByRole('combobox', { name: 'Stroke along the edge' }).click();
  await page.getByRole('option', { name: 'A line' }).click();
  await page.getByRole('button', { name: 'of this page' }).press('Enter');
  await expect(page.getByRole('button', { name: 'Undo finish all photos alike' })).toBeVisible();
  await slabs(page).nth(1).click();
  await expect(page.getByRole('button', { name: /^Finish photo, stroke/ })).toBeVisible();
});

test('light and tone: seen on the page at once, by mouse and keys; taken back; given to another photo', async ({
  page,
}) => {
  await newPage(page);
  await bringIn(page, ['fly-in-last-light', 'fly-in-plum-kite'].map(photo));
  await expect(photosInBox(page)).toHaveCount(2);
  for (const name of ['plum-kite', 'last-light'])
    await layByEnter(photosInBox(page).and(page.getByRole('button', { name: new RegExp(name) })));
  await expect(slabs(page)).toHaveCount(2);
  await openRow(page, 'Material');
  await page.getByRole('button', { name: 'Light and tone' }).click();
  const sheet = page.getByRole('dialog', { name: 'Light and tone' });
  await expect(sheet.getByText(/nothing is lost|plain black|in the white/)).toBeVisible();
  const colour = async () => {
    const { default: sharp } = await import('sharp');
    // The page stands beside the sheet while that is open.
    const { x, y } = await pageOnScreen(page);
    const shot = await page.screenshot({ clip: { x, y: y + 20, width: 2, height: 2 } });
    return [...(await sharp(shot).removeAlpha().raw().toBuffer())].slice(0, 3);
  };
  await page.keyboard.press('Escape');
  const before = await colour();
  expect(Math.max(...before) - Math.min(...before)).toBeGreaterThan(30);
  await page.keyboard.press('Shift+T');
  await sheet.getByRole('button', { name: 'Old print' }).click();
  await sheet.getByRole('button', { name: 'black and white' }).press('Enter');
  await expect(page.getByRole('button', { name: 'Undo change light and tone of photo' })).toBeVisible();
  await sheet
    .getByRole('group', { name: 'Its sky and lips' })
    .getByRole('button', { name: 'dark sky' })
    .click();
  await sheet.getByRole('button', { name: 'Light', exact: true }).click();
  const light = sheet.getByRole('group', { name: 'All of it' });
  await light.getByRole('button', { name: 'lighter' }).click();
  await light.getByRole('button', { name: /Exact number/ }).press('Enter');
  await light.getByRole('slider', { name: 'Exactly' }).press('ArrowRight');
  await expect(light.getByRole('slider', { name: 'Exactly' })).toHaveAttribute(
    'aria-valuetext',
    '0.4, lighter',
  );
  await shot(page, 'tone');
  expect(await axe(page)).toEqual([]);
  await expect
    .poll(async () => {
      const [r = 0, g = 0, b = 0] = await colour();
      return Math.max(r, g, b) - Math.min(r, g, b);
    })
    .toBeLessThan(4);
  await sheet.getByRole('slider', { name: 'How much of it' }).fill('0');
  await expect.poll(colour).toEqual(before);
  await sheet.getByRole('button', { name: 'As it was' }).click();
  await expect(sheet.getByRole('button', { name: 'As it was' })).toBeDisabled();
  await sheet.getByRole('button', { name: 'By itself' }).click();
  await expect(sheet.getByRole('button', { name: 'As it was' })).toBeEnabled();
  await sheet.getByRole('button', { name: 'Old print' }).click();
  await sheet.getByRole('group', { name: 'Browned' }).getByRole('button', { name: 'more' }).click();
  await page.keyboard.press('Escape');
  await page.getByTestId('stage').focus();
  await page.keyboard.press('k');
  const match = page.getByRole('dialog');
  await match.getByRole('checkbox', { name: 'angle' }).uncheck();
  await match.getByRole('checkbox', { name: 'light and tone' }).check();
  await match.getByRole('button', { name: 'Press the others' }).click();
  await page.keyboard.press('Escape');
  await kept(page);
});

// What it keeps goes into the first kit of one's own: there may be none yet.
fresh(
  'a photo is dragged onto another and they change places; a photo says how sharp it prints while it grows; places are kept as a sketch',
  async ({ page }) => {
    await newPage(page);
    await bringIn(page, ['fly-in-horizon', 'from-olus-old-phone'].map(photo));
    await expect(photosInBox(page)).toHaveCount(2);
    await layByEnter(photosInBox(page).and(page.getByRole('button', { name: /horizon/ })));
    await layByEnter(photosInBox(page).and(page.getByRole('button', { name: /old-phone/ })));
    await expect(slabs(page)).toHaveCount(2);
    // The one on top goes to the left lower part of the page.
    await openRow(page, 'Place');
    for (const [name, value] of [
      ['From left', '0.5'],
      ['From top', '8.5'],
    ] as const) {
      await field(page, name).fill(value);
      await field(page, name).press('Enter');
    }
    const { x, y, inch } = await pageOnScreen(page);
    const spot = async () => ({
      x:
        Number(await field(page, 'From left').inputValue()) +
        Number(await field(page, 'Width').inputValue()) / 2,
      y:
        Number(await field(page, 'From top').inputValue()) +
        Number(await field(page, 'Height').inputValue()) / 2,
    });
    const onScreen = (at: { x: number; y: number }) => ({
      x: x + (at.x - 6) * inch,
      y: y + (at.y - 6) * inch,
    });
    const small = onScreen(await spot());
    await slabs(page).filter({ hasText: 'horizon' }).click();
    await expect(field(page, 'Name of this piece')).toHaveValue(/horizon/);
    const place = await spot();
    const large = onScreen(place);
    await page.mouse.move(large.x + 40, large.y + 30);
    await page.mouse.down();
    await page.mouse.move(large.x + 80, large.y + 40, { steps: 3 });
    await expect(page.getByTestId('swap-pads')).toBeVisible();
    await page.mouse.move(small.x, small.y, { steps: 6 });
    await expect(page.getByTestId('swap-pads').getByText('change places')).toBeVisible();
    await shot(page, 'swap-pads');
    await page.mouse.up();
    await expect(page.getByTestId('swap-pads')).toHaveCount(0);
    await expect(page.getByRole('button', { name: 'Undo swap 2 photos' })).toBeVisible();
    // The pile says a little later which is which now.
    await expect(async () => {
      await slabs(page).filter({ hasText: 'old-phone' }).click();
      await expect(field(page, 'Name of this piece')).toHaveValue(/old-phone/, { timeout: 2000 });
    }).toPass();
    await expect.poll(spot).toEqual(place);

    // The small picture in the large place is soft; while a corner is drawn it says how soft.
    const corner = page.locator('[data-grip="1,1"]');
    const box = (await corner.boundingBox())!;
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x + 50, box.y + 40, { steps: 4 });
    await expect(page.getByTestId('size-tag')).toContainText(/\d in, \d+ ppi: soft/);
    await shot(page, 'size-tag');
    await page.mouse.up();
    await expect(page.getByTestId('size-tag')).toHaveCount(0);

    await page.getByTestId('stage').press('Escape');
    await page.getByRole('button', { name: 'Keep its 2 places as a sketch' }).click();
    const dialog = page.getByRole('dialog');
    await dialog.getByLabel('Its name').fill('Large and small');
    await dialog.getByRole('button', { name: 'Keep it' }).click();
    await expect(notice(page)).toContainText('Large and small lies in My kit now.');
    await page.getByTestId('stage').focus();
    await page.keyboard.press('Control+k');
    await page.getByRole('combobox', { name: 'What shall be done?' }).fill('add a page');
    await page.keyboard.press('Enter');
    await expect(slabs(page)).toHaveCount(0);
    await page.keyboard.press('c');
    await page.getByRole('searchbox', { name: 'Search the cupboard' }).fill('large and small');
    await page.getByRole('option', { name: /^Large and small/ }).press('Enter');
    await expect(slabs(page)).toHaveText([/Place/, /Place/]);
  },
);
