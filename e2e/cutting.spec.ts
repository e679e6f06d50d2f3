/** Cutting and finishing: punches, outlines together, worked edges, mats, shadows, tucks, templates; by mouse and by keyboard. */
import { expect, warm as test, type Locator, type Page } from './test';
import sharp from 'sharp';
import { axe } from './axe';
import { bringIn, field, layByEnter, newPage, notice, openRow, pageOnScreen, slabs, undoOf } from './table';

const stage = (page: Page): Locator => page.getByTestId('stage');
const sheet = (page: Page, name: string): Locator => page.getByRole('dialog', { name });

async function set(page: Page, name: string, value: string): Promise<void> {
  await field(page, name).fill(value);
  await field(page, name).press('Enter');
}
async function nothingChosen(page: Page): Promise<void> {
  await stage(page).focus();
  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');
}
/** Punches a new piece out of cardstock, by keyboard, and puts it at inches from left and top. */
async function punch(page: Page, name: string, width: string, left: string, top: string): Promise<void> {
  await nothingChosen(page);
  await page.keyboard.press('d');
  await sheet(page, 'Punches').getByLabel('Find a punch').fill(name);
  await sheet(page, 'Punches').getByRole('button', { name, exact: true }).press('Enter');
  await expect(page.getByLabel('Name of this piece')).toHaveValue(name);
  await page.keyboard.press('Escape');
  await openRow(page, 'Place');
  await set(page, 'Width', width);
  await set(page, 'From left', left);
  await set(page, 'From top', top);
}
async function choose(page: Page, list: string, option: string | RegExp): Promise<void> {
  await page.getByRole('combobox', { name: list }).press('Enter');
  await page.getByRole('option', { name: option }).click();
}
const colourAt = async (page: Page, x: number, y: number): Promise<number[]> => {
  const at = await pageOnScreen(page);
  const shot = await page.screenshot({
    clip: { x: at.x + (x - 6) * at.inch, y: at.y + (y - 6) * at.inch, width: 2, height: 2 },
  });
  return [...(await sharp(shot).removeAlpha().raw().toBuffer())].slice(0, 3);
};
const isNear = (colour: readonly number[], hex: string, by = 14): boolean =>
  [1, 3, 5].every((at, k) => Math.abs(colour[k]! - Number.parseInt(hex.slice(at, at + 2), 16)) < by);

test('a banner is punched, its notch set by number and by its handle; it stays as deep when the banner grows', async ({
  page,
}) => {
  await newPage(page);
  await punch(page, 'Banner', '4', '2', '2');
  await openRow(page, 'Cut');
  await set(page, 'Depth of the notch', '0.5');
  await openRow(page, 'Place');
  const { x, inch } = await pageOnScreen(page);
  // From its side a banner only grows longer.
  const side = page.locator('[data-grip="1,0"]').first();
  const from = (await side.boundingBox())!;
  await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2);
  await page.mouse.down();
  await page.mouse.move(x + 3 * inch, from.y + from.height / 2, { steps: 6 });
  await page.mouse.up();
  await openRow(page, 'Cut');
  await expect(field(page, 'Depth of the notch')).toHaveValue('0.5');
  const grip = (await page.locator('[data-grip="Depth of the notch"]').boundingBox())!;
  await page.mouse.move(grip.x + grip.width / 2, grip.y + grip.height / 2);
  await page.mouse.down();
  await page.mouse.move(grip.x + grip.width / 2 - inch, grip.y + grip.height / 2, { steps: 6 });
  await page.mouse.up();
  expect(Number(await field(page, 'Depth of the notch').inputValue())).toBeCloseTo(1.5, 1);
  await expect(undoOf(page, 'change banner')).toBeVisible();
  await set(page, 'Depth of the notch', 'deep');
  await expect(
    page.getByText('“deep” could not be worked out').or(page.getByText('“deep” is not a length')).first(),
  ).toBeVisible();
  await page.keyboard.press('Escape');
  await nothingChosen(page);
  const colour = await colourAt(page, 8.6, 2.3);
  expect(isNear(colour, '#ffffff')).toBe(true);
  expect(await axe(page)).toEqual([]);
});

test('four papers are cut at once by the tones of a template', async ({ page }) => {
  await newPage(page);
  const template = await sharp(
    Buffer.from(
      '<svg xmlns="http://www.w3.org/2000/svg" width="1200" height="900"><rect width="1200" height="900" fill="#fff"/>' +
        ['#222', '#666', '#999', '#ccc']
          .map((tone, i) =>
            [0, 1, 2]
              .map(
                (k) =>
                  `<circle cx="${160 + i * 290}" cy="${160 + k * 290}" r="${90 + 10 * i}" fill="${tone}"/>`,
              )
              .join(''),
          )
          .join('') +
        '</svg>',
    ),
  )
    .png()
    .withMetadata({ density: 300 })
    .toBuffer();
  await bringIn(page, [{ name: 'circles.png', mimeType: 'image/png', buffer: template }]);
  await layByEnter(page.getByRole('list', { name: 'Photos', exact: true }).getByRole('button').first());
  await openRow(page, 'Place');
  await set(page, 'From left', '1');
  await set(page, 'From top', '1');
  await openRow(page, 'Material');
  await page.getByRole('button', { name: 'Use it as a template' }).click();
  const tones = sheet(page, 'Template');
  await expect(tones.getByRole('status')).toContainText('5 tones');
  await expect(tones.getByText('3 areas', { exact: false })).toHaveCount(4);
  expect(await axe(page)).toEqual([]);
  // The white ground is the largest; the other four each get a paper.
  for (const [tone, paper] of [1, 2, 3, 4].entries()) {
    await page.getByRole('combobox', { name: `Paper for tone ${tone + 2}` }).press('Enter');
    await page.getByRole('option').nth(paper).click();
    await expect(page.getByRole('option')).toHaveCount(0);
  }
  await tones.getByRole('button', { name: 'Cut them all' }).click();
  await expect(notice(page)).toContainText('4 pieces were cut. The template is hidden');
  await expect(slabs(page)).toHaveCount(5);
  await expect(undoOf(page, 'cut papers by template')).toBeVisible();
});

test('a picture is traced: the outline follows the threshold over it; the picture is cut to it, or a shape laid', async ({
  page,
}) => {
  await newPage(page);
  const picture = await sharp(
    Buffer.from(
      '<svg xmlns="http://www.w3.org/2000/svg" width="900" height="900"><rect width="900" height="900" fill="#fff"/>' +
        '<circle cx="450" cy="450" r="360" fill="#bbb"/><circle cx="450" cy="450" r="210" fill="#333"/><circle cx="450" cy="450" r="90" fill="#fff"/></svg>',
    ),
  )
    .png()
    .withMetadata({ density: 300 })
    .toBuffer();
  await bringIn(page, [{ name: 'target.png', mimeType: 'image/png', buffer: picture }]);
  await layByEnter(page.getByRole('list', { name: 'Photos', exact: true }).getByRole('button').first());
  await openRow(page, 'Material');
  await page.getByRole('button', { name: 'Trace it to an outline' }).click();
  const trace = sheet(page, 'Trace');
  await expect(trace.getByRole('status')).toHaveText('1 part, 1 hole.');
  const outline = page.getByTestId('sought').locator('path').first();
  const small = (await outline.boundingBox())!.width;
  // By keyboard: a higher threshold takes the lighter ring in too.
  const threshold = trace.getByRole('slider', { name: 'Threshold' });
  await threshold.focus();
  for (let i = 0; i < 3; i++) await page.keyboard.press('PageUp');
  await expect.poll(async () => (await outline.boundingBox())!.width / small).toBeCloseTo(360 / 210, 1);
  await trace.getByLabel('Outer edge only, without holes').check();
  await expect(trace.getByRole('status')).toHaveText('1 part, 0 holes.');
  expect(await axe(page)).toEqual([]);
  await trace.getByRole('button', { name: 'Cut the picture to it' }).click();
  await expect(undoOf(page, 'cut photo to its outline')).toBeVisible();
  await openRow(page, 'Place');
  // 720 of its 900 pixels, at 300 to the inch.
  await expect(field(page, 'Width')).toHaveValue('2.4');
  await stage(page).press('Control+z');
  await expect(field(page, 'Width')).toHaveValue('3');
  await openRow(page, 'Material');
  await page.getByRole('button', { name: 'Trace it to an outline' }).click();
  // The lighter ring alone, by its colour.
  await choose(page, 'What counts as inside', 'Parts of one colour');
  await set(page, 'Colour that is traced', '#bbbbbb');
  await trace.getByRole('slider', { name: 'How near' }).fill('5');
  await expect(trace.getByRole('status')).toHaveText('1 part, 1 hole.');
  await trace.getByRole('button', { name: 'Lay the shape' }).click();
  await expect(slabs(page)).toHaveCount(2);
  await expect(page.getByRole('button', { name: /^Material Ink/ })).toBeVisible();
});
