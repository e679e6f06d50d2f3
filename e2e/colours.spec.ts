/** Colours beyond one piece: ink sets arranged, favourites, versions of supplies, inks that run into each other and over pieces. */
import { expect, warm as test, type Page } from './test';
import { axe } from './axe';
import { cupboard, cupboardSearch, found, newPage, openCupboard, shot } from './table';

async function choose(page: Page, name: string): Promise<void> {
  await openCupboard(page);
  await cupboardSearch(page).fill(name);
  await found(page).filter({ hasText: name }).first().click();
}

test('an ink set is sorted, stepped, dragged and put back; its inks have families, and can be put by', async ({
  page,
}) => {
  await newPage(page);
  await choose(page, 'Garden Year inks');
  await page.getByRole('button', { name: 'Arrange the inks' }).click();
  const dialog = page.getByRole('dialog', { name: 'Garden Year inks' });
  const dots = dialog.getByRole('group', { name: 'Inks in their order' }).getByRole('button');
  const names = () => dots.evaluateAll((all) => all.map((dot) => dot.getAttribute('aria-label')!));
  await expect(dots.first()).toBeVisible();
  const own = await names();
  await dialog.getByRole('button', { name: 'By hue' }).click();
  await expect.poll(names).not.toEqual(own);
  const byHue = await names();
  await dots.first().click();
  await dialog.getByRole('button', { name: 'Later in the set' }).press('Enter');
  await expect.poll(names).toEqual([byHue[1], byHue[0], ...byHue.slice(2)]);
  const [one, four] = [(await dots.nth(1).boundingBox())!, (await dots.nth(4).boundingBox())!];
  await page.mouse.move(one.x + 20, one.y + 20);
  await page.mouse.down();
  await page.mouse.move(four.x + 24, four.y + 20, { steps: 12 });
  await page.mouse.up();
  await expect.poll(async () => (await names()).indexOf(byHue[0]!)).toBe(4);
  await page.waitForTimeout(300);
  await shot(page, 'arrange-inks');
  expect(await axe(page)).toEqual([]);
  await dialog.getByRole('button', { name: 'As the set came' }).press('Enter');
  await expect.poll(names).toEqual(own);
  await dots.nth(2).click();
  await dialog.getByRole('textbox', { name: 'Family' }).fill('Blossom');
  await dialog.getByRole('textbox', { name: 'Family' }).press('Enter');
  await dialog.getByRole('switch').press('Space');
  await expect(dots.nth(2)).toHaveAccessibleName(`${own[2]}, put by`);
  await dialog.getByRole('button', { name: 'Done' }).click();
  await page.keyboard.press('Escape');
  await expect(cupboard(page)).toBeHidden();
});
