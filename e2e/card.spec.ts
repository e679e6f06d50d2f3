/** A card from Home to the print file: a window, a photo behind it, held in the hand, both faces in one PDF; then by keyboard. */
import { execFileSync } from 'node:child_process';
import { expect, warm as test, type Page } from './test';
import sharp from 'sharp';
import { axe } from './axe';
import {
  bringIn,
  kept,
  layByEnter,
  notice,
  photo,
  photosInBox,
  set,
  shot,
  slabs,
  undoOf,
  toHome,
} from './table';

const side = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Pages' }).getByRole('button', { name, exact: true });

async function newCard(page: Page, fold?: string): Promise<void> {
  await toHome(page);
  await page.getByRole('button', { name: 'Card', exact: true }).click();
  if (fold) await page.getByRole('group', { name: 'Folded' }).getByRole('button', { name: fold }).click();
  await page.getByRole('button', { name: /^New card 5 x 7 in/ }).click();
  await expect(page.getByTestId('stage')).toBeVisible();
  await expect(page.getByRole('list', { name: 'Papers' }).getByRole('button').first()).toBeVisible();
}

/** What the page shows at a place of the sheet, inches. */
async function colourAt(page: Page, x: number, y: number): Promise<number[]> {
  const box = (await page.locator('[data-testid=stage] > div').first().boundingBox())!;
  const inch = box.width / 10;
  const clip = { x: box.x + x * inch - 1, y: box.y + y * inch - 1, width: 2, height: 2 };
  return [
    ...(await sharp(await page.screenshot({ clip }))
      .removeAlpha()
      .raw()
      .toBuffer()),
  ].slice(0, 3);
}

async function punch(
  page: Page,
  name: string,
  at: { width: string; left: string; top: string },
): Promise<void> {
  await page.getByTestId('stage').focus();
  await page.keyboard.press('d');
  const punches = page.getByRole('dialog', { name: 'Punches' });
  await punches.getByLabel('Find a punch').fill(name);
  await punches.getByRole('button', { name, exact: true }).press('Enter');
  await page.keyboard.press('Escape');
  await set(page, 'Width', at.width);
  await set(page, 'From left', at.left);
  await set(page, 'From top', at.top);
  await page.getByTestId('stage').focus();
}

test('a window in the front shows the photo inside; inside it is a hole, mirrored; held in the hand; both faces in one PDF', async ({
  page,
}, info) => {
  await newCard(page);
  await expect(page.getByText('5 x 7 in card, folded at the left')).toBeVisible();
  await side(page, 'Inside').click();
  await bringIn(page, photo('fly-in-plum-kite'));
  await layByEnter(photosInBox(page).first());
  await set(page, 'Width', '4.4');
  await set(page, 'From left', '5.3');
  await set(page, 'From top', '1.2');
  const kite = await colourAt(page, 7.5, 3.4);
  await side(page, 'Outside').click();
  await punch(page, 'Circle', { width: '3', left: '6', top: '2' });
  await expect.poll(() => colourAt(page, 7.5, 3.4)).not.toEqual(kite);
  await page.keyboard.press('Shift+X');
  await expect(undoOf(page, 'cut embellishment out of the paper')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect.poll(() => colourAt(page, 7.5, 3.4)).toEqual(kite);
  await shot(page, 'card-window');
  expect(await axe(page)).toEqual([]);
  // Inside: the hole at the left, as one turns the paper over.
  await side(page, 'Inside').click();
  await expect.poll(() => colourAt(page, 2.5, 3.5)).not.toEqual([255, 255, 255]);
  expect(await colourAt(page, 2.5, 6.5)).toEqual([255, 255, 255]);
  // Over the fold nothing is cut, and that is said.
  await side(page, 'Outside').click();
  await punch(page, 'Heart', { width: '2', left: '4', top: '4.5' });
  await page.keyboard.press('Shift+X');
  await expect(notice(page)).toContainText('Nothing was cut out. It reaches over a fold');
  await page.keyboard.press('Delete');

  await page.keyboard.press('Shift+V');
  const hand = page.getByRole('dialog', { name: /in the hand$/ });
  await expect(hand.getByRole('img', { name: '5 x 7 in card, folded at the left, shut' })).toBeVisible();
  expect(await axe(page)).toEqual([]);
  await hand.getByRole('slider', { name: 'How far it is open' }).press('End');
  await expect(hand.getByRole('img', { name: /100 % open$/ })).toBeVisible();
  await shot(page, 'card-held');
  await hand.getByRole('button', { name: 'Turn it over' }).press('Enter');
  await expect(hand.getByRole('img', { name: /from behind$/ })).toBeVisible();
  await page.keyboard.press('Escape');

  await page.getByTestId('stage').focus();
  await page.keyboard.press('Control+p');
  const make = page.getByRole('dialog', { name: /^Make/ });
  await expect(make.getByText('With crop and fold marks')).toBeVisible();
  const download = page.waitForEvent('download');
  await make.getByRole('button', { name: 'Make the PDF' }).click();
  const file = info.outputPath('card.pdf');
  await (await download).saveAs(file);
  expect(execFileSync('pdfinfo', [file], { encoding: 'utf8' })).toMatch(/^Pages: +2$/m);
  await make.getByRole('button', { name: 'Back to the table' }).click();
  await kept(page);
  await page.reload();
  await expect(slabs(page)).toHaveCount(1);
  await expect.poll(() => colourAt(page, 7.5, 3.4)).toEqual(kite);
});

test('pages are seen in their tabs and put in another order by dragging and by keys; a card keeps its two sides', async ({
  page,
}) => {
  await toHome(page);
  await page.getByRole('button', { name: /^New layout 8 x 8 in/ }).click();
  await expect(page.getByTestId('stage')).toBeVisible();
  for (let i = 0; i < 2; i++) await page.getByRole('button', { name: 'Add a page' }).click();
  await layByEnter(page.getByRole('list', { name: 'Papers' }).getByRole('button').first());
  await page.getByRole('menuitem').first().click();
  await expect(slabs(page)).toHaveCount(1);
  // The third page, which has a paper, becomes the first.
  const [first, third] = [
    (await side(page, 'Page 1').boundingBox())!,
    (await side(page, 'Page 3').boundingBox())!,
  ];
  await page.mouse.move(third.x + 20, third.y + 20);
  await page.mouse.down();
  await page.mouse.move(first.x + 20, first.y + 10, { steps: 12 });
  await page.mouse.up();
  await expect(undoOf(page, 'change page order')).toBeVisible();
  await expect(side(page, 'Page 1')).toHaveAttribute('aria-current', 'page');
  await side(page, 'Page 1').focus();
  await page.keyboard.press('Space');
  await page.waitForTimeout(150);
  await page.keyboard.press('ArrowDown');
  await page.waitForTimeout(300);
  await page.keyboard.press('Space');
  await expect(side(page, 'Page 2')).toHaveAttribute('aria-current', 'page');
  await side(page, 'Page 3').press('Enter');
  await expect(slabs(page)).toHaveCount(0);

  await newCard(page, 'Top');
  await expect(page.getByRole('button', { name: 'Add a page' })).toHaveCount(0);
  await page.keyboard.press('Control+k');
  await page.getByRole('combobox', { name: 'What shall be done?' }).fill('add a page');
  await expect(page.getByRole('option').first()).toContainText('This has just the sides it has');
});

/** Presses Tab until what has the focus is called so. */
async function tabTo(page: Page, name: RegExp): Promise<void> {
  for (let i = 0; i < 80; i++) {
    await page.keyboard.press('Tab');
    const now = await page.evaluate(() => {
      const on = document.activeElement as HTMLElement;
      return on.getAttribute('aria-label') ?? (on as HTMLInputElement).labels?.[0]?.innerText ?? on.innerText;
    });
    if (name.test(now)) return;
  }
  throw new Error(`Nothing called ${name} is reached by Tab.`);
}

test('by keyboard alone, in fewer than forty actions: window, ribbon all the way round, words about a frame, greeting, PDF', async ({
  page,
}, info) => {
  let actions = 0;
  const key = async (...keys: string[]) => {
    for (const one of keys) {
      await page.keyboard.press(one);
      actions++;
    }
  };
  const type = async (words: string) => {
    await page.keyboard.type(words);
    actions++;
  };
  const go = async (name: RegExp) => {
    await tabTo(page, name);
    actions++;
  };
  /** A punch, by its name. */
  const punchOut = async (name: string) => {
    await key('d');
    await expect(page.getByLabel('Find a punch')).toBeFocused();
    await type(name);
    await key('Enter', 'Escape');
    await expect(undoOf(page, 'punch embellishment')).toBeVisible();
  };
  await toHome(page);
  await go(/^Layout$/);
  await key('ArrowRight', 'Enter');
  await go(/^New card 5 x 7 in/);
  await key('Enter');
  await expect(page.getByRole('list', { name: 'Papers' }).getByRole('button').first()).toBeVisible();
  await key('.');
  await expect(page.getByTestId('close-up')).toBeVisible();
  await punchOut('circle');
  await key('Shift+X');
  await expect(undoOf(page, 'cut embellishment out of the paper')).toBeVisible();
  await key('Escape');
  await punchOut('oblong');
  await key('Shift+B');
  await expect(undoOf(page, 'lay embellishment all the way round')).toBeVisible();
  await key('Escape', 't');
  await type('With love');
  await key('Escape');
  // Inside: the ribbon is there, too; a frame with words round it.
  await key('Alt+PageDown');
  await expect(slabs(page)).toHaveCount(1);
  await key('.', '.');
  await punchOut('circle');
  await key('Shift+U');
  await expect(page.getByRole('textbox', { name: 'Words along the outline' })).toBeFocused();
  await type('to the moon and back');
  await key('Escape');
  await key('Shift+V');
  const hand = page.getByRole('dialog', { name: /in the hand$/ });
  await expect(hand.getByRole('img', { name: /shut$/ })).toBeVisible();
  await key('Escape');
  await expect(hand).toBeHidden();
  await key('Control+p');
  const download = page.waitForEvent('download');
  await go(/^Make the PDF$/);
  await key('Enter');
  const file = info.outputPath('by-keys.pdf');
  await (await download).saveAs(file);
  const told = execFileSync('pdftotext', [file, '-'], { encoding: 'utf8' });
  expect(told).toContain('With love');
  // Round a circle poppler reads in its own order.
  expect(told.replace(/\s/g, '')).toContain('tothem');
  expect(actions).toBeLessThan(40);
});
