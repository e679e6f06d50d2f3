/** A punch and the handles of its settings, by mouse. Templates and tracing: `features/table/traced.test.tsx`. */
import { expect, warm as test, type Locator, type Page } from './test';
import sharp from 'sharp';
import { axe } from './axe';
import { field, newPage, openRow, pageOnScreen, undoOf } from './table';

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
