/** The app in a person's words, for the browser tests. */
import { execFileSync } from 'node:child_process';
import { expect, type Locator, type Page } from '@playwright/test';
import { join } from 'node:path';
import sharp, { type Sharp } from 'sharp';

const PHOTOS = join(import.meta.dirname, '..', 'public', 'demo', 'photos');
export const photo = (name: string): string => join(PHOTOS, `${name}.jpg`);
/** A page of the demo with photos, papers, pictures and words, of which there is little to carry. */
export const DEMO = {
  file: join(import.meta.dirname, '..', 'public', 'demo', 'saltmarsh-quiet-morning.bellagraph'),
  title: 'Before the others came',
  photo: 'may-01-morning',
};

/** Home: by the program's own way where it is open, as it is warm then; loaded anew where that does not lead there. */
export async function toHome(page: Page): Promise<void> {
  const home = page.getByRole('link', { name: 'Bellagraph home' });
  if (await home.isVisible()) {
    for (let i = 0; i < 3; i++) await page.keyboard.press('Escape');
    const led = home
      .click({ timeout: 8000 })
      .then(() => page.waitForURL(({ pathname }) => pathname === '/', { timeout: 8000 }));
    if ((await Promise.allSettled([led]))[0]!.status === 'fulfilled') return;
  }
  await page.goto('/');
}

/** A new 12 x 12 page on the table, ready for work. */
export async function newPage(page: Page, size = '12 x 12 in', base = ''): Promise<void> {
  if (base) await page.goto(`${base}/`);
  else await toHome(page);
  await page.getByRole('button', { name: `New layout ${size}` }).click();
  await onTable(page);
}

export async function onTable(page: Page): Promise<void> {
  await expect(page.getByTestId('stage')).toBeVisible();
  await expect(page.getByRole('list', { name: 'Papers' }).getByRole('button').first()).toBeVisible();
}

export async function bringIn(page: Page, files: Parameters<Locator['setInputFiles']>[0]): Promise<void> {
  await page.getByTestId('photo-input').setInputFiles(files);
}

export const photosInBox = (page: Page): Locator =>
  page
    .getByRole('list', { name: 'Photos', exact: true })
    .getByRole('button', { name: /Enter lays it on the page/ });
export const slabs = (page: Page): Locator =>
  page.getByRole('list', { name: 'Pieces, top first' }).locator('button[aria-pressed]');

/** Waits until the last edit has reached the store. */
export async function kept(page: Page): Promise<void> {
  await expect(page.getByTestId('kept')).toHaveAttribute('data-kept', /\d/);
}

/** The middle of the page on the screen, and CSS pixels an inch. */
export async function pageOnScreen(page: Page): Promise<{ x: number; y: number; inch: number }> {
  const box = (await page.locator('[data-testid=stage] > div').first().boundingBox())!;
  return { x: box.x + box.width / 2, y: box.y + box.height / 2, inch: box.width / 12 };
}

/** One of the fields of About this piece, as a number. */
export const field = (page: Page, name: string): Locator => page.getByRole('textbox', { name, exact: true });
export const numberIn = async (page: Page, name: string): Promise<number> =>
  Number(await field(page, name).inputValue());

/** Writes into one of the fields of About this piece. */
export async function set(page: Page, name: string, value: string): Promise<void> {
  await field(page, name).fill(value);
  await field(page, name).press('Enter');
}

/** Lets go of everything: nothing is written, open or selected. */
export async function leave(page: Page): Promise<void> {
  await page.getByTestId('stage').focus();
  for (let i = 0; i < 3; i++) await page.keyboard.press('Escape');
}

/** Opens a row of About this piece. */
export async function openRow(
  page: Page,
  name: 'Words' | 'Material' | 'Cut' | 'Finish' | 'Place',
): Promise<void> {
  const row = page.locator('button[aria-expanded]').filter({ hasText: new RegExp(`^${name} `) });
  if ((await row.getAttribute('aria-expanded')) !== 'true') await row.click();
}

/** Lays something of the workbox by keyboard. */
export async function layByEnter(item: Locator): Promise<void> {
  await item.focus();
  await item.press('Enter');
}

export const cupboard = (page: Page): Locator => page.getByRole('region', { name: 'Cupboard' });
export const found = (page: Page): Locator =>
  page.getByRole('listbox', { name: 'Supplies' }).getByRole('option');
export const cupboardSearch = (page: Page): Locator =>
  page.getByRole('searchbox', { name: 'Search the cupboard' });

export async function openCupboard(page: Page): Promise<void> {
  await page.keyboard.press('c');
  await expect(found(page).first()).toBeVisible();
}

/** Lays the first supply of this name. */
export async function layFromCupboard(page: Page, name: string): Promise<void> {
  await openCupboard(page);
  await cupboardSearch(page).fill(name);
  await found(page).filter({ hasText: name }).first().click();
  await page.getByRole('button', { name: 'Lay it' }).click();
  await expect(cupboard(page)).toBeHidden();
}

/** The message at the foot of the screen. */
export const notice = (page: Page): Locator => page.locator('.MuiSnackbar-root [role=alert]');

/** A picture of the screen for whoever looks at it, where SHOTS names a folder. */
export async function shot(page: Page, name: string): Promise<void> {
  if (process.env.SHOTS) await page.screenshot({ path: `${process.env.SHOTS}/${name}.png` });
}

export const title = (page: Page): Locator => page.getByRole('textbox', { name: 'Project title' });
/** The project that lies on the table. */
export const idOf = (page: Page): string => new URL(page.url()).searchParams.get('project')!;

export const undoOf = (page: Page, what: string): Locator =>
  page.getByRole('button', { name: `Undo ${what}`, exact: true });

/** Takes hold of a piece by its slab, or of one more. */
export const select = (page: Page, name: string, more = false): Promise<void> =>
  slabs(page)
    .filter({ hasText: name })
    .click(more ? { modifiers: ['ControlOrMeta'] } : {});

/** Lays square photos of these names, each an inch wide, at a place: inches from left and top. One colour each, or `picture`. */
export async function laySquares(
  page: Page,
  places: readonly (readonly [string, number, number])[],
  picture?: Sharp,
): Promise<void> {
  const plain = (i: number) =>
    sharp({ create: { width: 300, height: 300, channels: 3, background: `hsl(${i * 77} 50% 45%)` } });
  const files = await Promise.all(
    places.map(async ([name], i) => ({
      name: `${name}.png`,
      mimeType: 'image/png',
      buffer: await (picture ?? plain(i)).png().toBuffer(),
    })),
  );
  await bringIn(page, files);
  for (const [name, x, y] of places) {
    await layByEnter(
      page
        .getByRole('list', { name: 'Photos', exact: true })
        .getByRole('button', { name: new RegExp(`^${name}`) }),
    );
    await expect(page.getByLabel('Name of this piece')).toHaveValue(name);
    await openRow(page, 'Place');
    await set(page, 'Width', '1');
    await set(page, 'From left', String(x));
    await set(page, 'From top', String(y));
  }
  await page.getByTestId('stage').focus();
}

/** A drag between two places of the page, inches, in small steps; the button stays down for `before`. */
export async function drag(
  page: Page,
  from: readonly [number, number],
  to: readonly [number, number],
  before: () => Promise<void> = async () => {},
): Promise<void> {
  const { x, y, inch } = await pageOnScreen(page);
  const at = ([a, b]: readonly [number, number]) => [x + (a - 6) * inch, y + (b - 6) * inch] as const;
  await page.mouse.move(...at(from));
  await page.mouse.down();
  await page.mouse.move(...at(to), { steps: 10 });
  await page.waitForTimeout(120);
  await before();
  await page.mouse.up();
}

/** qpdf reads all of a PDF and writes it anew; it throws at whatever is wrong. (What pictures hold is decoded in output.test.ts.) */
export const soundPdf = (path: string) =>
  void execFileSync('qpdf', ['--stream-data=preserve', path, `${path}.copy`]);
