/** Colours beyond one piece: ink sets arranged, favourites, versions of supplies, inks that run into each other and over pieces. */
import { expect, test, type Page } from './test';
import { axe } from './axe';
import {
  cupboard,
  cupboardSearch,
  field,
  found,
  newPage,
  notice,
  openCupboard,
  openRow,
  shot,
} from './table';

const picker = (page: Page) => page.getByRole('dialog', { name: 'Inks', exact: true });

async function choose(page: Page, name: string): Promise<void> {
  await openCupboard(page);
  await cupboardSearch(page).fill(name);
  await found(page).filter({ hasText: name }).first().click();
}

/** A punched heart in an ink, at a place, inches from the left. */
async function heart(page: Page, ink: string, left: string): Promise<void> {
  await page.getByTestId('stage').focus();
  await page.keyboard.press('Escape');
  await page.keyboard.press('d');
  const punches = page.getByRole('dialog', { name: 'Punches' });
  await punches.getByLabel('Find a punch').fill('Heart');
  await punches.getByRole('button', { name: 'Heart', exact: true }).press('Enter');
  await page.keyboard.press('Escape');
  await openRow(page, 'Place');
  await field(page, 'From left').fill(left);
  await field(page, 'From left').press('Enter');
  await openRow(page, 'Material');
  await field(page, 'Ink').fill(ink);
  await field(page, 'Ink').press('Enter');
}

test('an ink set is sorted, stepped and put back; one put by is offered no more; favourites and combinations are sets', async ({
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

  await heart(page, '#24506b', '3');
  await page.getByRole('button', { name: 'Ink: choose an ink' }).click();
  await expect(picker(page).getByRole('button', { name: own[1]!, exact: true })).toBeVisible();
  await expect(picker(page).getByRole('button', { name: own[2]!, exact: true })).toHaveCount(0);
  await picker(page).getByRole('button', { name: own[1]!, exact: true }).click();
  await picker(page).getByRole('button', { name: 'A favourite ink' }).click();
  await expect(picker(page).getByRole('group', { name: 'Favourite inks' }).getByRole('button')).toHaveCount(
    1,
  );
  // Here, too, inks are put in another order, by keys alone, and back.
  await picker(page).getByRole('button', { name: 'Put in another order' }).first().press('Enter');
  const here = picker(page).getByRole('group', { name: 'Inks in their order' }).getByRole('button');
  const order = () => here.evaluateAll((all) => all.map((dot) => dot.getAttribute('aria-label')!));
  const came = await order();
  await here.first().focus();
  await page.keyboard.press('Space');
  await page.waitForTimeout(100);
  await page.keyboard.press('ArrowRight');
  await page.waitForTimeout(300);
  await page.keyboard.press('Space');
  await expect.poll(order).toEqual([came[1], came[0], ...came.slice(2)]);
  await shot(page, 'ink-order');
  await picker(page).getByRole('button', { name: 'As the set came' }).press('Enter');
  await expect.poll(order).toEqual(came);
  await picker(page).getByRole('button', { name: 'Done' }).press('Enter');
  await picker(page).getByRole('tab', { name: 'Mix' }).click();
  await picker(page).getByRole('button', { name: 'Wheel' }).click();
  const before = await page.getByLabel('Ink', { exact: true }).inputValue();
  await picker(page)
    .getByRole('application', { name: /^Colour wheel/ })
    .press('ArrowUp');
  await expect(page.getByLabel('Ink', { exact: true })).not.toHaveValue(before);
  await shot(page, 'wheel');
  expect(await axe(page)).toEqual([]);
  await picker(page).getByRole('tab', { name: 'Partners' }).click();
  await picker(page).getByRole('button', { name: 'Keep Opposite as a set' }).click();
  await page
    .getByRole('dialog', { name: 'Keep these inks together' })
    .getByRole('button', { name: 'Keep it' })
    .click();
  await expect(notice(page)).toContainText('lies in Loose supplies now.');
});

test('supplies get a blue and a red version in one step, each a kit of its own', async ({ page }) => {
  await newPage(page);
  await openCupboard(page);
  await cupboardSearch(page).fill('ribbon');
  await found(page).filter({ hasText: 'Kite ribbon' }).click();
  await found(page)
    .filter({ hasText: 'Signal ribbon' })
    .click({ modifiers: ['Control'] });
  await page.getByRole('button', { name: 'In other colours' }).click();
  const dialog = page.getByRole('dialog', { name: '2 supplies in other colours' });
  const dots = dialog.getByRole('group', { name: 'Inks for the versions' }).getByRole('button');
  await dots.nth(5).click();
  await dots.nth(9).press('Enter');
  await expect(dialog.getByRole('img', { name: /^How they look in/ })).toHaveCount(2);
  await page.waitForTimeout(500);
  await shot(page, 'versions');
  expect(await axe(page)).toEqual([]);
  const ink = (await dots.nth(5).getAttribute('aria-label'))!;
  await dialog.getByRole('button', { name: 'Make 4 supplies' }).click();
  await expect(notice(page)).toContainText('4 supplies lie in 2 new kits.');
  await cupboardSearch(page).fill(ink);
  await expect(
    found(page)
      .filter({ hasText: `, ${ink}` })
      .first(),
  ).toBeVisible();
});
