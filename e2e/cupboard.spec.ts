/** Supplies on the page: frames take photos, stamps arrive as ink, openings are cut, papers are turned over. */
import { expect, test, type Page } from './test';
import sharp from 'sharp';
import { axe } from './axe';
import {
  bringIn,
  cupboard,
  cupboardSearch as search,
  found,
  layByEnter,
  layFromCupboard as lay,
  newPage,
  openCupboard,
  openRow,
  notice,
  numberIn,
  pageOnScreen,
  photo,
  photosInBox,
  slabs,
} from './table';

const colourOf = async (page: Page, x: number, y: number): Promise<number[]> => {
  const shot = await page.screenshot({ clip: { x, y, width: 2, height: 2 } });
  return [...(await sharp(shot).removeAlpha().raw().toBuffer())].slice(0, 3);
};

test('a frame takes a photo dropped into its opening; a stamp arrives as ink, and takes an ink by name', async ({
  page,
}) => {
  await newPage(page);
  await lay(page, 'Boathouse frame');
  await expect(slabs(page)).toHaveCount(1);
  await bringIn(page, photo('fly-in-first-launch'));
  await photosInBox(page)
    .first()
    .dragTo(page.getByTestId('stage'), { targetPosition: { x: 483, y: 296 } });
  await expect(page.getByRole('button', { name: 'Undo frame photo' })).toBeVisible();
  await expect(slabs(page).first()).toContainText('Boathouse frame');
  await expect(slabs(page).last()).toContainText('fly-in-first-launch');
  await page.getByTestId('stage').press('Escape');
  await openCupboard(page);
  // Whoever opens it can type at once.
  await expect(search(page)).toBeFocused();
  await page.keyboard.type('boathouse frame');
  await expect(found(page).first()).toHaveAccessibleName(/used once/);
  expect(await axe(page)).toEqual([]);
  await found(page).first().click();
  await page.getByRole('button', { name: 'In other colours' }).click();
  await expect(page.getByRole('group', { name: 'Inks for the versions' })).toBeVisible();
  expect(await axe(page)).toEqual([]);
  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');
  await expect(cupboard(page)).toBeHidden();
  await lay(page, 'Lighthouse, tone');
  await page.getByRole('button', { name: /^Material / }).click();
  await page.getByRole('button', { name: 'Ink: choose an ink' }).click();
  await page.getByRole('button', { name: 'Kite red', exact: true }).click();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: /^Material Stamped in #c5503f/ })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Undo ink stamp' })).toBeVisible();
  const { x, y, inch } = await pageOnScreen(page);
  await openRow(page, 'Place');
  const middle = {
    x: x + ((await numberIn(page, 'From left')) + (await numberIn(page, 'Width')) / 2 - 6) * inch,
    y: y + ((await numberIn(page, 'From top')) + (await numberIn(page, 'Height')) / 2 - 6) * inch,
  };
  await page.getByTestId('stage').press('Escape');
  await page.waitForTimeout(400);
  const [r, g, b] = await colourOf(page, middle.x, middle.y - 4);
  expect(Math.hypot(r! - 0xc5, g! - 0x50, b! - 0x3f)).toBeLessThan(12);
});

test('a frame that came filled gets its opening; it says so and takes a photo', async ({ page }, info) => {
  const filled = info.outputPath('filled frame.png');
  await sharp(
    Buffer.from(
      '<svg xmlns="http://www.w3.org/2000/svg" width="600" height="450"><rect width="600" height="450" rx="30" fill="#24506b"/><rect x="80" y="80" width="440" height="290" fill="#f6f0e0"/></svg>',
    ),
  )
    .png()
    .toFile(filled);
  await newPage(page);
  await openCupboard(page);
  await page.getByTestId('supply-input').setInputFiles(filled);
  await page.getByRole('button', { name: 'Put 1 away' }).click();
  await search(page).fill('filled');
  await found(page).filter({ hasText: 'filled' }).first().click();
  await page.getByRole('button', { name: 'Cut an opening' }).click();
  const canvas = page.getByTestId('cut-canvas');
  await canvas.click({ position: { x: 230, y: 170 } });
  await expect(page.getByText(/^4[67] % of the picture will be open.$/)).toBeVisible();
  await page.getByRole('button', { name: 'Cut it out' }).click();
  await expect(notice(page)).toContainText('filled frame has its opening');
  await found(page).first().click();
  await page.getByRole('button', { name: 'Lay it' }).click();
  await bringIn(page, photo('fly-in-plum-kite'));
  await photosInBox(page).first().focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'Undo frame photo' })).toBeVisible();
});

test('a paper is printed on both sides: its back is seen in the cupboard, and shown when it is turned over on the page', async ({
  page,
}) => {
  await newPage(page);
  await openCupboard(page);
  await search(page).fill('rain on leaves');
  await expect(found(page).first()).toHaveAccessibleName(/Rain on leaves/);
  await found(page).first().click();
  const back = page.getByRole('button', { name: /^On its back: / });
  const name = (await back.innerText()).replace(/^On its back:\s*/, '');
  // Pressed, that one is chosen among its kit, and the first is its back.
  await back.click();
  await expect(page.getByRole('button', { name: 'On its back: Rain on leaves' })).toBeVisible();
  await page.getByRole('button', { name: 'On its back: Rain on leaves' }).click();
  await page.getByRole('button', { name: 'Lay it', exact: true }).click();
  await page.getByRole('menuitem', { name: 'Lay a strip of it' }).click();
  await expect(slabs(page).first()).toContainText('Rain on leaves');
  const over = page.getByRole('button', { name: 'Turn over', exact: true });
  await over.click();
  await expect(slabs(page).first()).toContainText(name);
  await expect(page.getByRole('button', { name: 'Undo turn over paper' })).toBeVisible();
  await over.click();
  await expect(slabs(page).first()).toContainText('Rain on leaves');
  // What has only one side says so.
  await page.keyboard.press('Escape');
  await layByEnter(page.getByRole('list', { name: 'Papers' }).getByRole('button', { name: /^Dune kraft/ }));
  await page.getByRole('menuitem', { name: 'Lay a strip of it' }).click();
  await over.click();
  await expect(notice(page)).toContainText('is printed on one side only');
});
