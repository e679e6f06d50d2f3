/** Photos among themselves: arranged by proposal, swapped, put into places; by mouse and by keyboard. */
import { expect, test } from './test';
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

test('six photos become a page by proposal; a cut photo, a strip and a title stay where they are', async ({
  page,
}) => {
  await newPage(page);
  await bringIn(page, SIX.map(photo));
  await expect(photosInBox(page)).toHaveCount(6);
  await layByEnter(page.getByRole('button', { name: /^Sailcloth linen/ }));
  await page.getByRole('menuitem', { name: 'Cover the page with it' }).click();
  await page.getByRole('button', { name: 'Arrange', exact: true }).click();
  const sheet = page.getByRole('dialog', { name: 'Arrange photos' });
  const proposals = sheet.getByRole('option');
  await expect(proposals).toHaveCount(12);
  await sheet.getByRole('button', { name: 'fly-in-plum-kite matters most' }).click();
  await expect(proposals.first()).toHaveAccessibleName(
    /^Proposal 1: .*fly-in-plum-kite is [23]\.\d times as large as the others, \d+ % of the area stays bare/,
  );
  await expect(sheet.getByText('The starred one 3 times as large')).toBeVisible();
  await page.waitForTimeout(600);
  await shot(page, 'proposals');
  expect(await axe(page)).toEqual([]);
  await proposals.nth(2).click();
  await sheet.getByRole('button', { name: 'Lay them so' }).click();
  await expect(page.getByRole('button', { name: 'Undo arrange 6 photos' })).toBeVisible();
  await expect(slabs(page)).toHaveCount(7);
  await shot(page, 'arranged');

  // One is cut to a shape: an arrangement of the others leaves it alone, and says so by picture.
  await slabs(page).first().click();
  const name = await page.getByRole('textbox', { name: 'Name of this piece' }).inputValue();
  await openRow(page, 'Cut');
  await page.getByRole('button', { name: 'Heart' }).click();
  await openRow(page, 'Place');
  const place = () =>
    Promise.all(['From left', 'From top', 'Width', 'Height'].map((each) => field(page, each).inputValue()));
  const before = await place();
  // By keyboard from here on.
  await page.getByTestId('stage').focus();
  await page.keyboard.press('Shift+A');
  await expect(sheet.getByText(/One stays as it is: cut to a shape/)).toBeVisible();
  await expect(sheet.getByRole('img', { name })).toBeVisible();
  await expect(sheet.getByText('5 of 5 photos')).toBeVisible();
  await field(page, 'Gap').fill('6');
  await field(page, 'Gap').press('Enter');
  await expect(sheet.getByRole('status').last()).toContainText('The gaps leave no room');
  await field(page, 'Gap').fill('0.25');
  await field(page, 'Gap').press('Enter');
  await proposals.first().focus();
  await page.keyboard.press('ArrowRight');
  await expect(proposals.nth(1)).toHaveAttribute('aria-selected', 'true');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'Undo arrange 5 photos' })).toBeVisible();
  await expect(page.getByRole('heading', { name: '5 pieces' })).toBeVisible();
  await slabs(page).filter({ hasText: name }).click();
  expect(await place()).toEqual(before);
  await kept(page);
});

test('places are made of what lies there and filled at once, what finds none is shown; two photos change places', async ({
  page,
}) => {
  await newPage(page);
  await bringIn(page, SIX.slice(0, 5).map(photo));
  await expect(photosInBox(page)).toHaveCount(5);
  await layByEnter(
    photosInBox(page)
      .and(page.getByRole('button', { name: /tide-pools|plum-kite/ }))
      .first(),
  );
  await layByEnter(photosInBox(page).and(page.getByRole('button', { name: /first-launch/ })));
  await expect(slabs(page)).toHaveCount(2);
  await page.getByTestId('stage').focus();
  await page.keyboard.press('Control+a');
  await page.keyboard.press('Control+k');
  await page.getByRole('combobox', { name: 'What shall be done?' }).fill('make places');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'Undo make 2 places for photos' })).toBeVisible();
  await page.getByRole('button', { name: 'Arrange', exact: true }).click();
  const sheet = page.getByRole('dialog', { name: 'Arrange photos' });
  await expect(sheet.getByRole('combobox', { name: 'Where' })).toHaveText('Into the 2 empty places');
  await expect(sheet.getByText('3 photos find no place and wait in the workbox:')).toBeVisible();
  await expect(sheet.getByRole('option')).toHaveCount(2);
  // Not this one.
  await sheet.getByRole('button', { name: 'fly-in-high' }).click();
  await expect(sheet.getByText('2 photos find no place and wait in the workbox:')).toBeVisible();
  await sheet.getByRole('option', { name: /Where the least is cropped: nothing is cropped/ }).click();
  await page.waitForTimeout(500);
  await shot(page, 'places');
  await sheet.getByRole('button', { name: 'Lay them so' }).click();
  await expect(page.getByRole('button', { name: 'Undo fill 2 places' })).toBeVisible();
  await expect(slabs(page).filter({ hasText: /^Place/ })).toHaveCount(0);
  const names = await slabs(page).allTextContents();
  expect(names.join()).not.toContain('fly-in-high');
  await page.getByRole('button', { name: 'Swap' }).click();
  await expect(page.getByRole('button', { name: 'Undo swap 2 photos' })).toBeVisible();
  await expect(slabs(page)).toHaveText([...names].reverse());
  await page.getByTestId('stage').focus();
  await page.keyboard.press('n');
  await page.keyboard.press('Shift+S');
  await expect(notice(page)).toContainText('Select two photos to let them change places.');
});

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

test('a mosaic: photos matched to a picture that is seen over them, on as many pages as they need, each cell adjustable', async ({
  page,
}) => {
  await newPage(page);
  await bringIn(
    page,
    [...SIX, 'fly-in-ines-and-olu', 'fly-in-last-light', 'lantern-night', 'workshop-table'].map(photo),
  );
  await expect(photosInBox(page)).toHaveCount(10);
  await page.getByRole('button', { name: 'Arrange', exact: true }).click();
  await page.getByRole('button', { name: 'A mosaic instead' }).click();
  const sheet = page.getByRole('dialog', { name: 'Photo mosaic' });
  await expect(sheet.getByText(/^100 cells, 10 photos\. They begin again when all are used\./)).toBeVisible();
  await field(page, 'Columns').fill('2');
  await field(page, 'Columns').press('Enter');
  await field(page, 'Rows').fill('4');
  await field(page, 'Rows').press('Enter');
  await expect(
    sheet.getByText(/They fill 2 pages, 8 and 2 photos on them: the further ones come after this one\./),
  ).toBeVisible();
  await field(page, 'Rows').fill('100');
  await field(page, 'Rows').press('Enter');
  await expect(sheet.getByText('From 1 to 40.')).toBeVisible();
  await field(page, 'Columns').fill('12');
  await field(page, 'Columns').press('Enter');
  await field(page, 'Rows').fill('12');
  await field(page, 'Rows').press('Enter');
  await sheet.getByRole('button', { name: 'fly-in-plum-kite is seen over all of it' }).press('Enter');
  await sheet.getByRole('combobox', { name: 'Order' }).press('ArrowDown');
  await page.getByRole('option', { name: 'Matched to the picture over them' }).press('Enter');
  await expect(
    sheet.getByText(
      /There are too few: each is used up to 16 times\. The picture (suits|will be hard to see): \d+ % of it is dark/,
    ),
  ).toBeVisible();
  await page.waitForTimeout(800);
  await shot(page, 'mosaic');
  expect(await axe(page)).toEqual([]);
  await sheet.getByRole('button', { name: 'Lay the mosaic' }).click();
  await expect(page.getByRole('button', { name: 'Undo lay mosaic of 9 photos' })).toBeVisible();
  await expect(page.getByRole('heading', { name: '145 pieces' })).toBeVisible();
  await shot(page, 'mosaic-laid');
  await kept(page);
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

test('contact sheets of all photos, with names and dates, as pages after this one', async ({ page }) => {
  await newPage(page, '8.5 x 11 in').catch(() => newPage(page));
  await bringIn(page, SIX.map(photo));
  await expect(photosInBox(page)).toHaveCount(6);
  await page.getByRole('button', { name: 'What to do with this page' }).click();
  await page.getByRole('menuitem', { name: 'Contact sheets of all photos' }).click();
  const sheet = page.getByRole('dialog', { name: 'Contact sheets' });
  await expect(
    sheet.getByText('6 photos, whole, by the time they were taken, on one page after this one.'),
  ).toBeVisible();
  await field(page, 'Rows').fill('1');
  await field(page, 'Rows').press('Enter');
  await expect(sheet.getByText(/on 2 pages after this one/)).toBeVisible();
  await field(page, 'Rows').fill('3');
  await field(page, 'Rows').press('Enter');
  await field(page, 'Columns').fill('2');
  await field(page, 'Columns').press('Enter');
  await page.waitForTimeout(500);
  await shot(page, 'contact');
  expect(await axe(page)).toEqual([]);
  await sheet.getByRole('button', { name: 'Make them' }).press('Enter');
  await expect(page.getByRole('button', { name: 'Undo make contact sheets' })).toBeVisible();
  await expect(slabs(page)).toHaveCount(12);
  await page.waitForTimeout(700);
  await shot(page, 'contact-made');
});

test('a photo is dragged onto another and they change places; a photo says how sharp it prints while it grows; places are kept as a sketch', async ({
  page,
}) => {
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
  const onScreen = (at: { x: number; y: number }) => ({ x: x + (at.x - 6) * inch, y: y + (at.y - 6) * inch });
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
  await slabs(page).filter({ hasText: 'old-phone' }).click();
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
});
