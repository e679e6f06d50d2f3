/** From a folder of photos to a book, and what one does with it then; by mouse and by keys. */
import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { expect, warm as test, type Page } from './test';
import { axe } from './axe';
import { bringIn, kept, photosInBox, shot, title, undoOf, toHome } from './table';

const YEAR = join(import.meta.dirname, '..', 'scripts', 'demo', 'year', 'jpeg');
/** Every other photo of a year. */
const THIRTY = readdirSync(YEAR)
  .filter((_, i) => i % 2)
  .map((name) => join(YEAR, name));
const pages = (page: Page) => page.getByRole('list', { name: 'Pages of the book' }).locator('[data-tile]');
const flow = (page: Page) => page.getByRole('dialog', { name: 'Let photos flow into the book' });
/** Everything of the project as it is kept: the edits that were done. */
const edits = (page: Page): Promise<string> =>
  page.evaluate(
    () =>
      new Promise<string>((done) => {
        const open = indexedDB.open('bellagraph');
        open.onsuccess = () => {
          const got = open.result.transaction('journal').objectStore('journal').getAll();
          got.onsuccess = () => (open.result.close(), done(JSON.stringify(got.result)));
        };
      }),
  );

test('30 photos become a book of 24 pages with cover, titles and faces whole in under 15 actions', async ({
  page,
}) => {
  let actions = 0;
  const act = async (what: Promise<unknown>) => {
    actions++;
    await what;
  };
  await toHome(page);
  await act(page.getByRole('button', { name: 'Book', exact: true }).click());
  await act(page.getByRole('button', { name: /^New book 8 x 8 in,/ }).click());
  await expect(page.getByTestId('stage')).toBeVisible();
  await act(bringIn(page, THIRTY));
  await expect(photosInBox(page)).toHaveCount(THIRTY.length, { timeout: 90_000 });
  await act(title(page).fill('A year of kites'));
  await act(page.getByRole('button', { name: 'Let photos flow in' }).click());
  await act(flow(page).getByRole('button', { name: 'Salt and wind' }).click());
  await act(flow(page).getByRole('combobox', { name: 'Pages' }).press('Enter'));
  await act(page.getByRole('option', { name: 'So many' }).click());
  await act(flow(page).getByRole('textbox', { name: 'How many' }).fill('24'));
  await act(flow(page).getByRole('textbox', { name: 'How many' }).press('Enter'));
  await expect(flow(page).getByText(/^30 photos on 24 pages, in 5 chapters\./)).toBeVisible();
  await expect(flow(page).getByText(/Looking for faces/)).toBeHidden({ timeout: 90_000 });
  await expect(flow(page).getByText(/^30 photos on 24 pages, in 5 chapters\./)).toBeVisible();
  await expect(
    flow(page).getByRole('list', { name: 'The book as it would be' }).getByRole('listitem'),
  ).toHaveCount(14);
  await expect(flow(page).getByLabel('Planning the pages')).toBeHidden();
  expect(await axe(page)).toEqual([]);
  await act(flow(page).getByRole('button', { name: 'Lay the book' }).click());
  await expect(undoOf(page, 'lay 30 photos as a book')).toBeVisible();
  expect(actions).toBeLessThan(15);
  await kept(page);
  // The detector that ships with the app found faces, in this browser: there are some in half of these photos.
  const found = [...(await edits(page)).matchAll(/"path":\["assets","[0-9a-f]+","faces"\],"value":\[\{/g)];
  expect(found.length).toBeGreaterThan(8);

  await page.getByTestId('stage').focus();
  await page.keyboard.press('Shift+G');
  await expect(pages(page)).toHaveCount(14);
  await shot(page, 'book-spreads');
  expect(await axe(page)).toEqual([]);
});
