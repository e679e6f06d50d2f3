/** Small things on paper: pocket cards laid by hand; by mouse and by keys. How they are printed: whole-way.test. */
import { expect, warm as test } from './test';
import { axe } from './axe';
import { toHome } from './table';

test('a card laid by hand stays, by dragging and by keys, and what is not pinned is packed about it', async ({
  page,
}) => {
  await toHome(page);
  await page.getByRole('button', { name: 'Sheet', exact: true }).click();
  await page.getByRole('button', { name: /^New sheet 4 x 3 in,/ }).click();
  await page.getByTestId('stage').focus();
  await page.keyboard.press('Shift+Z');
  const sheet = page.getByRole('dialog', { name: 'Sheet and paper' });
  const cards = sheet.getByRole('list', { name: 'Cards' }).getByRole('listitem');
  await cards.first().getByLabel('Count').fill('4');
  await page.keyboard.press('Enter');
  await expect(sheet.getByRole('status')).toHaveText(/^4 cards on 1 sheet of paper/);
  const paper = sheet.getByRole('list', { name: 'Sheets of paper' });
  const pinned = paper.getByRole('button', { name: 'Card 1, pinned' });
  const box = (await paper.getByRole('button', { name: 'Card 1' }).first().boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 + 40, box.y + box.height / 2 + 90, { steps: 4 });
  await page.mouse.up();
  await expect(pinned).toHaveCount(1);
  const laid = (await pinned.boundingBox())!;
  expect(laid.y).toBeGreaterThan(box.y + 80);
  await expect(sheet.getByRole('status')).toHaveText(/^4 cards on/);
  await cards.first().getByLabel('Count').fill('5');
  await page.keyboard.press('Enter');
  await expect(sheet.getByRole('status')).toHaveText(/^5 cards on/);
  expect((await pinned.boundingBox())!.y).toBeCloseTo(laid.y, 0);
  await pinned.focus();
  await page.keyboard.press('Shift+ArrowDown');
  await page.keyboard.press('Shift+ArrowDown');
  await expect.poll(async () => (await pinned.boundingBox())!.y).toBeGreaterThan(laid.y + 15);
  expect(await axe(page)).toEqual([]);
  await page.keyboard.press('Enter');
  await expect(pinned).toHaveCount(0);
});
