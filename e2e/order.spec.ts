/** Prints ordered from the shop that ships: refused for a real fault, cured from the list, accepted, and kept. */
import { expect, test, type Page } from './test';
import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { unzipSync } from 'fflate';
import { axe } from './axe';
import { bringIn, layByEnter, newPage, onTable, photo, photosInBox, set, soundPdf, title } from './table';

const make = (page: Page) => page.getByRole('dialog', { name: /^Make/ });
const refused = (page: Page) => make(page).getByTestId('refused');
const ordered = (page: Page) => make(page).getByTestId('ordered');

async function toOrder(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Make', exact: true }).click();
  await make(page)
    .getByRole('button', { name: /^Prints to order/ })
    .click();
  await make(page).getByRole('textbox', { name: 'Who it is for' }).fill('Ines Marrow');
}

test('a coarse photo is refused where it lies; made smaller, the page is accepted, proofed, and saved with its order', async ({
  page,
}, info) => {
  await newPage(page);
  await title(page).fill('Kite day');
  await bringIn(page, photo('from-olus-old-phone'));
  await layByEnter(photosInBox(page).first());
  await set(page, 'Width', '9');
  await toOrder(page);
  // What a shop does not do is told, and can be tried again.
  await page.route('**/files/*', (route) => route.fulfill({ status: 502, body: 'Bad gateway' }));
  await make(page).getByRole('button', { name: 'Send the order' }).click();
  await expect(make(page).getByText('The print shop has a fault of its own (502).')).toBeVisible();
  await page.unroute('**/files/*');
  // Cancelled on its way: nothing was ordered, and nothing is left of it.
  await page.route('**/files/*', () => new Promise(() => {}));
  await make(page).getByRole('button', { name: 'Send the order' }).click();
  await expect(make(page).getByText('Sending pages.pdf …')).toBeVisible();
  await make(page).getByRole('button', { name: 'Cancel' }).click();
  await expect(make(page).getByRole('progressbar')).toBeHidden();
  await expect(ordered(page)).toHaveCount(0);
  await page.unrouteAll({ behavior: 'ignoreErrors' });
  await make(page).getByRole('button', { name: 'Send the order' }).click();
  await expect(refused(page)).toContainText('one thing to mend');
  await expect(refused(page)).toContainText(
    /Page 1, from-olus-old-phone: A photograph is printed at \d\d pixels/,
  );
  expect(await axe(page)).toEqual([]);
  await refused(page).getByRole('button', { name: 'Show' }).click();
  await expect(page.getByRole('textbox', { name: 'Name of this piece' })).toHaveValue('from-olus-old-phone');
  await set(page, 'Width', '2');
  await page.getByRole('button', { name: 'Make', exact: true }).click();
  await expect(refused(page)).toBeVisible();
  await make(page).getByRole('button', { name: 'Send it again' }).click();
  await expect(ordered(page)).toContainText(/^PP-[2-9A-Z]{8}, one copy for Ines Marrow/);
  await expect(refused(page)).toBeHidden();
  await expect(ordered(page).getByRole('img', { name: 'Proof of page 1' })).toHaveJSProperty(
    'naturalWidth',
    640,
  );
  await expect(ordered(page).getByRole('listitem').filter({ hasText: 'Checked' })).toHaveAttribute(
    'aria-current',
    'step',
  );
  expect(await axe(page)).toEqual([]);
  const sent = page.waitForEvent('download');
  await ordered(page).getByRole('button', { name: 'pages.pdf' }).click();
  const pdf = info.outputPath('pages.pdf');
  await (await sent).saveAs(pdf);
  soundPdf(pdf);

  // It travels in the project's file, and is there where that is opened.
  await make(page).getByRole('button', { name: 'Back to the table' }).click();
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as a file' }).click();
  const file = info.outputPath('kite-day.bellagraph');
  await (await saved).saveAs(file);
  const within = unzipSync(readFileSync(file));
  const [order] = Object.keys(within).filter((name) => name.endsWith('order.json'));
  const { ticket } = JSON.parse(Buffer.from(within[order!]!).toString());
  const inside = within[order!.replace('order.json', 'pages.pdf')]!;
  expect(createHash('sha256').update(inside).digest('hex')).toBe(ticket.files[0].sha256);
  expect(Buffer.from(inside).equals(readFileSync(pdf))).toBe(true);
  await page.goto('/');
  await page.getByLabel('Project file').setInputFiles(file);
  const here = page.getByRole('button', { name: 'Open Kite day' });
  await expect(here).toHaveCount(2);
  await here.first().click();
  await onTable(page);
  await toOrder(page);
  await expect(ordered(page)).toContainText('for Ines Marrow');
});
