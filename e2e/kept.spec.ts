/** What was kept always opens: deleted elsewhere, several tabs, a full store, newer and damaged data, faults, lost pointers. */
import { readFileSync, writeFileSync } from 'node:fs';
import { expect, test, type Page } from './test';
import {
  DEMO_FILE,
  kept,
  leave,
  newPage,
  notice,
  onTable,
  openRow,
  photo,
  photosInBox,
  bringIn,
  changeRow,
  idOf,
  set,
  slabs,
  title,
} from './table';

const openAtHome = (page: Page, name: string) =>
  page.getByRole('button', { name: `Open ${name}`, exact: true });

test.setTimeout(90_000);

/** Two hearts of cardstock, one beside the other, the second selected. */
async function twoHearts(page: Page): Promise<void> {
  for (const x of ['2', '8']) {
    await leave(page);
    await page.keyboard.press('d');
    const punches = page.getByRole('dialog', { name: 'Punches' });
    await punches.getByLabel('Find a punch').fill('Heart');
    await punches.getByRole('button', { name: 'Heart', exact: true }).press('Enter');
    await page.getByTestId('stage').focus();
    await set(page, 'From left', x);
  }
  await expect(slabs(page)).toHaveCount(2);
  await page.getByTestId('stage').focus();
}

test('deleted in one tab while it lies open in another: the table says so, goes on keeping, and puts it back', async ({
  page,
  context,
}) => {
  await newPage(page);
  await title(page).fill('Lantern night');
  await kept(page);
  const home = await context.newPage();
  await home.goto('/');
  await home.getByRole('button', { name: 'More to do with Lantern night' }).click();
  await home.getByRole('menuitem', { name: 'Delete' }).click();
  await expect(page.getByText('This project was deleted elsewhere.')).toBeVisible();
  await expect(page.getByTestId('kept')).toContainText('Deleted elsewhere');
  await title(page).fill('Lantern night, all of it');
  await page.waitForTimeout(400);
  // Loaded again it is not lost either, and at Home it is seen for seven days.
  await home.reload();
  const lately = home.getByRole('region', { name: 'Deleted lately' });
  await expect(lately).toContainText('Lantern night, all of it');
  await page.reload();
  await expect(page.getByText('“Lantern night, all of it” was deleted. It can be put back.')).toBeVisible();
  await page.getByRole('button', { name: 'Put it back' }).click();
  await onTable(page);
  await expect(title(page)).toHaveValue('Lantern night, all of it');

  await home.reload();
  await home.getByRole('button', { name: /More to do with Lantern night/ }).click();
  await home.getByRole('menuitem', { name: 'Delete' }).click();
  await lately.getByRole('button', { name: 'Throw away now …' }).click();
  await lately.getByRole('button', { name: 'Throw away for good' }).click();
  await expect(lately).toBeHidden();
  await expect(page.getByText('It lies on this table alone')).toBeVisible();
  await title(page).fill('Still here');
  await page.getByRole('button', { name: 'Put it back' }).click();
  await expect(page.getByText('It lies on this table alone')).toBeHidden();
  await page.reload();
  await onTable(page);
  await expect(title(page)).toHaveValue('Still here');
});

test('of three tabs one writes; when it is left the next goes on from its last step', async ({
  page,
  context,
}) => {
  await newPage(page);
  await title(page).fill('One');
  await kept(page);
  const [second, third] = [await context.newPage(), await context.newPage()];
  for (const other of [second, third]) {
    await other.goto(page.url());
    await expect(other.getByText('This project is open in another tab.')).toBeVisible();
  }
  await title(page).fill('Two');
  // Left at once, within the program: the last step is on its way to the store while the lock is let go.
  await page.getByRole('link', { name: 'Bellagraph home' }).click();
  const writes = async (tab: Page) =>
    (await tab.getByText('This project is open in another tab.').count()) === 0;
  await expect.poll(async () => [await writes(second), await writes(third)].filter(Boolean).length).toBe(1);
  const holder = (await writes(second)) ? second : third;
  await onTable(holder);
  await expect(title(holder)).toHaveValue('Two');
  await title(holder).fill('Three');
  await kept(holder);
  await holder.close();
  const last = holder === second ? third : second;
  await expect(last.getByText('This project is open in another tab.')).toBeHidden();
  await expect(title(last)).toHaveValue('Three');
});

test('a full store: an edit, a picture, a kept piece, a file and a new page are each told of, and nothing is damaged', async ({
  page,
}) => {
  // Every kind of write fails as it does where there is no room; a store that really is full stands in safe.spec.ts.
  await page.addInitScript(() => {
    for (const name of ['put', 'add'] as const) {
      const write = IDBObjectStore.prototype[name];
      IDBObjectStore.prototype[name] = function (...given: Parameters<IDBObjectStore['put']>) {
        if ((window as { full?: boolean }).full) throw new DOMException('full', 'QuotaExceededError');
        return write.apply(this, given);
      };
    }
  });
  const full = (now: boolean) => page.evaluate((now) => Object.assign(window, { full: now }), now);
  const told = async (words: string) => {
    await expect(notice(page)).toContainText(words);
    await notice(page).getByRole('button', { name: 'Close' }).click();
  };
  await newPage(page);
  await title(page).fill('Room enough');
  await twoHearts(page);
  await kept(page);
  const address = page.url();
  await full(true);
  await title(page).fill('No room');
  const trouble = page.getByText('This browser has no room left: your last steps are not kept.');
  await expect(trouble).toBeVisible();
  await bringIn(page, photo('fly-in-plum-kite'));
  await told('There is no room left in this browser');
  await slabs(page).first().click();
  await page.getByRole('button', { name: 'Keep in the cupboard' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Keep it' }).click();
  await expect(notice(page)).toContainText('no room left in this browser');
  await page.keyboard.press('Escape');
  await notice(page).getByRole('button', { name: 'Close' }).click();
  // A file is made all the same: it is what one is asked to do.
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as a file' }).first().click();
  expect((await download).suggestedFilename()).toBe('No room.bellagraph');
  await full(false);
  await expect(trouble).toBeHidden();
  await kept(page);
  await page.getByRole('link', { name: 'Bellagraph home' }).click();
  await expect(openAtHome(page, 'No room')).toBeVisible();
  await full(true);
  await page.getByRole('button', { name: 'New layout 8 x 8 in' }).click();
  await told('No new page was made: there is no room left in this browser');
  await page.getByLabel('Project file').setInputFiles(DEMO_FILE);
  await told('was not opened: there is no room left in this browser');
  await full(false);
  await page.goto(address);
  await onTable(page);
  await expect(title(page)).toHaveValue('No room');
  await expect(slabs(page)).toHaveCount(2);
});

test('what a newer program wrote is refused in words and stays as it is; a piece that cannot be read is set aside', async ({
  page,
}) => {
  await newPage(page);
  await twoHearts(page);
  await title(page).fill('From the future');
  await kept(page);
  const [address, id] = [page.url(), idOf(page)];
  await page.goto('/');
  await changeRow(page, 'projects', id, 'row.version = 99');
  await page.goto(address);
  await expect(page.getByText('This project was made by a newer Bellagraph (file version 99')).toBeVisible();
  await page.goto('/');
  await page.getByRole('button', { name: 'More to do with From the future' }).click();
  await page.getByRole('menuitem', { name: 'Delete' }).click();
  await expect(notice(page)).toContainText('was written by a newer Bellagraph. Nothing was changed');
  await changeRow(page, 'projects', id, 'row.version = 8; row.snapshotAt = row.done');
  await changeRow(
    page,
    'snapshots',
    id,
    "row.project.title = 'From the future'; row.project.surfaces[0].pile = [1, 2, 3].map((i) => ({ id: 'p' + i, name: 'Piece ' + i, role: 'mat', material: { kind: i === 2 ? 'glitter' : 'ink', colour: '#9e2b45' }, outline: { kind: 'rectangle', radius: 0 }, finish: { lift: { height: 0.3, shadow: true }, stroke: null, opacity: 1 }, placement: { x: 100 * i, y: 100, width: 60, height: 40, turn: 0, mirror: false, locked: false, hidden: false } }))",
  );
  await page.goto(address);
  await onTable(page);
  await expect(
    page.getByRole('alert').filter({ hasText: 'Not all of this project could be read' }),
  ).toContainText(
    '“Piece 2” on “Page 1”: what it is made of is a material this version does not know. It was set aside.',
  );
  await expect(slabs(page)).toHaveCount(2);
  await page.reload();
  await onTable(page);
  await expect(page.getByText('Not all of this project could be read')).toBeHidden();
  await expect(slabs(page)).toHaveCount(2);
  // The whole store, changed by a newer program: nothing in it is touched.
  await page.goto('about:blank');
  await page.goto('/icon.svg');
  const raise = () =>
    page.evaluate(
      () =>
        new Promise<number>((done, failed) => {
          const open = indexedDB.open('bellagraph', 500);
          open.onerror = () => failed(open.error);
          open.onsuccess = () => (open.result.close(), done(open.result.version));
        }),
    );
  expect(await raise()).toBe(500);
  await page.goto('/');
  await expect(notice(page)).toContainText('written by a newer Bellagraph. Nothing was changed');
  await page.goto(address);
  await expect(page.getByText('written by a newer Bellagraph. Nothing was changed')).toBeVisible();
  await page.goto('/icon.svg');
  expect(await raise()).toBe(500);
});

test('a part that cannot be fetched, and a fault of the program, take nothing else with them', async ({
  page,
}) => {
  await newPage(page);
  await twoHearts(page);
  await title(page).fill('Sound');
  await kept(page);
  // Every piece of code that is not there yet is out of reach.
  await page.route('**/_next/static/chunks/**', (route) => route.abort());
  await page.getByTestId('stage').focus();
  await page.keyboard.press('y');
  // The bar of notices is one of those pieces: its words come bare.
  const told = page.getByRole('alert').filter({ hasText: 'Steps could not be fetched' });
  await told.getByRole('button', { name: 'Close' }).click();
  await page.unroute('**/_next/static/chunks/**');
  await page.getByTestId('stage').focus();
  await page.keyboard.press('ArrowRight');
  await kept(page);
  await page.keyboard.press('y');
  await expect(page.getByRole('heading', { name: 'Steps' })).toBeVisible();
  // A fault while the table is drawn.
  await page.evaluate(() => {
    Object.defineProperty(Intl.DateTimeFormat.prototype, 'format', {
      get() {
        throw new Error('A cog broke');
      },
    });
  });
  await page.getByTestId('stage').focus();
  await page.keyboard.press('ArrowRight');
  const fallen = page.getByRole('alert').filter({ hasText: 'Something went wrong here' });
  await expect(fallen).toContainText('It said: A cog broke');
  const download = page.waitForEvent('download');
  await fallen.getByRole('button', { name: 'Save the project as a file' }).click();
  expect((await download).suggestedFilename()).toBe('Sound.bellagraph');
  await page.reload();
  await onTable(page);
  await expect(slabs(page)).toHaveCount(2);
});

test('letters are painted again when their font arrives, with nothing else touched', async ({ page }) => {
  await newPage(page);
  await page.getByRole('button', { name: 'Write journaling' }).click();
  await page.keyboard.type('Kites over the bay ا');
  await leave(page);
  await page.waitForTimeout(1500);
  let arrive = () => {};
  const held = new Promise<void>((done) => (arrive = done));
  await page.route('**/house/fonts/**', async (route) => {
    await held;
    await route.continue();
  });
  await slabs(page).first().click();
  await openRow(page, 'Words');
  await page.getByRole('button', { name: /^Bold/ }).first().click();
  const seen = () =>
    page.getByTestId('below').evaluate((canvas: HTMLCanvasElement) => {
      const { data } = canvas.getContext('2d')!.getImageData(0, 0, canvas.width, canvas.height);
      let sum = 0;
      for (let i = 3; i < data.length; i += 4) sum = (sum * 31 + data[i]!) % 1e9;
      return sum;
    });
  await page.waitForTimeout(700);
  const before = await seen();
  arrive();
  await expect.poll(seen).not.toBe(before);
});

test('pictures that arrive while one leaves the table are in the workbox when one comes back', async ({
  page,
}, info) => {
  await newPage(page);
  const url = page.url();
  const one = readFileSync(photo('lantern-night'));
  await bringIn(
    page,
    Array.from({ length: 40 }, (_, i) => {
      const path = info.outputPath(`evening ${i}.jpg`);
      // What follows the picture's end makes each a file of its own.
      writeFileSync(path, Buffer.concat([one, Buffer.from(String(i))]));
      return path;
    }),
  );
  await expect(photosInBox(page).first()).toBeVisible();
  await page.getByRole('link', { name: 'Bellagraph home' }).click();
  await expect(notice(page)).toContainText(/Stopped. \d+ kept; not brought in: \d+/);
  const [, arrived] = /Stopped. (\d+) kept/.exec(await notice(page).innerText())!;
  await page.goto(url);
  await onTable(page);
  await expect(photosInBox(page)).toHaveCount(Number(arrived));
});
