/** Small things on paper: pocket cards packed, printed on both sides, cut apart; by mouse and by keys. */
import { execFileSync } from 'node:child_process';
import { expect, warm as test } from './test';
import { axe } from './axe';
import { bringIn, photo, photosInBox, shot, soundPdf, toHome } from './table';

test('six pocket cards of 4 x 3 in on a letter sheet, front and back, with their cuts, in under 15 actions', async ({
  page,
}, info) => {
  let actions = 0;
  const act = async (done: Promise<unknown>) => {
    actions += 1;
    await done;
  };
  await toHome(page);
  await act(page.getByRole('button', { name: 'Sheet', exact: true }).click());
  await act(page.getByRole('button', { name: /^New sheet 4 x 3 in,/ }).click());
  await act(bringIn(page, [photo('tide-pools')]));
  await expect(photosInBox(page)).toHaveCount(1);
  await act(photosInBox(page).first().press('Enter'));
  await act(page.getByRole('button', { name: 'Write title' }).click());
  await act(page.keyboard.type('Low water'));
  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');
  await act(page.keyboard.press('Shift+Z'));
  const sheet = page.getByRole('dialog', { name: 'Sheet and paper' });
  const cards = sheet.getByRole('list', { name: 'Cards' }).getByRole('listitem');
  await act(cards.first().getByLabel('Count').fill('6'));
  await act(page.keyboard.press('Enter'));
  await expect(sheet.getByRole('status')).toHaveText('6 cards on 1 sheet of paper, in 11 cuts.');
  await act(cards.first().getByRole('switch', { name: 'Has a back' }).click());
  await expect(sheet.getByText('Sheet 1: 6 cards, 11 cuts')).toBeVisible();
  await shot(page, 'sheet');
  expect(await axe(page)).toEqual([]);
  await act(sheet.getByRole('button', { name: 'Make the sheets …' }).click());
  const make = page.getByRole('dialog', { name: /^Make/ });
  await expect(
    make.getByText(
      /^6 cards on 1 sheet of paper, printed on both sides\. One file of 2 pages, each 8\.5 x 11 in/,
    ),
  ).toBeVisible();
  await act(make.getByRole('switch', { name: 'With a plan of the cuts' }).click());
  const saved = page.waitForEvent('download');
  await act(make.getByRole('button', { name: 'Make the PDF' }).click());
  const file = info.outputPath('sheets.pdf');
  await (await saved).saveAs(file);
  expect(actions).toBeLessThan(15);
  const said = execFileSync('pdfinfo', [file], { encoding: 'utf8' });
  expect(said).toMatch(/^Pages: +3$/m);
  const plan = execFileSync('pdftotext', ['-f', '3', '-l', '3', file, '-'], { encoding: 'utf8' });
  expect(plan).toContain('Sheet 1: cut along the lines in the order of their numbers.');
  expect(
    plan
      .match(/^\d+$/gm)!
      .map(Number)
      .sort((a, b) => a - b),
  ).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11]);
  expect(said).toMatch(/^Page size: +612 x 792 pts/m);
  const front = execFileSync('pdftotext', ['-f', '1', '-l', '1', file, '-'], { encoding: 'utf8' });
  expect(front.match(/Low water/g)).toHaveLength(6);
  soundPdf(file);
});

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
