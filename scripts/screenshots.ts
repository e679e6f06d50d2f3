/** npm run screenshots: one current picture of each main view, from the demo's data, at 1280 x 800. Needs bin/build. */
import { mkdir, readdir } from 'node:fs/promises';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { leave, openRow, set } from '../e2e/table';
import { CHROMIUM } from '../playwright.config';
import { ROOT } from './node/platform';
import { drawnLines } from './screens/lines';
import { serve } from './node/server';

const FOLDER = join(ROOT, 'docs', 'screenshots');

async function shoot(page: Page, name: string): Promise<void> {
  await page.waitForTimeout(900);
  await page.screenshot({ path: join(FOLDER, `${name}.png`) });
  console.log(`docs/screenshots/${name}.png`);
}

/** The demo's card: a window that shows the inside, and held in the hand, half open. */
async function card(page: Page): Promise<void> {
  await page.goto('/');
  await page.getByRole('button', { name: 'Open Thank you for the string' }).click();
  await page.getByTestId('stage').waitFor();
  await page.waitForTimeout(2500);
  await page
    .getByRole('list', { name: 'Pieces, top first' })
    .getByRole('button', { name: /^Window/ })
    .click();
  await shoot(page, 'card');
  await page.keyboard.press('Shift+V');
  const hand = page.getByRole('dialog', { name: /in the hand$/ });
  await hand.getByRole('slider').waitFor();
  await page.waitForTimeout(1500);
  await hand.getByRole('slider').focus();
  for (let i = 0; i < 24; i++) await page.keyboard.press('ArrowRight');
  await shoot(page, 'card-held');
  await page.keyboard.press('Escape');
}

/** The demo's calendar: a month with its days, the year in one field. */
async function calendar(page: Page): Promise<void> {
  await page.goto('/');
  await page.getByRole('button', { name: 'Open Saltmarsh kites 2027' }).click();
  await page.getByTestId('stage').waitFor();
  await page.waitForTimeout(2500);
  await page.getByRole('button', { name: 'May 2027' }).click();
  await page.waitForTimeout(1500);
  await page.getByTestId('stage').press('Shift+Y');
  await page.waitForTimeout(800);
  await shoot(page, 'calendar');
  await page.keyboard.press('Escape');
}

/** The demo's book: its photos dealt anew in another design, and all of its pages. */
async function book(page: Page): Promise<void> {
  await page.goto('/');
  await page.getByRole('button', { name: 'Open A year of kites' }).click();
  await page.getByTestId('stage').waitFor();
  await page.waitForTimeout(2500);
  await page.getByTestId('stage').press('Shift+P');
  await page.getByText(/photos on \d+ pages/).waitFor();
  await page.getByLabel('Planning the pages').waitFor({ state: 'hidden' });
  await page.waitForTimeout(9000);
  await shoot(page, 'flow');
  await page.getByRole('button', { name: 'Shut', exact: true }).click();
}

async function tour(page: Page): Promise<void> {
  await page.goto('/');
  const flyIn = page.getByRole('button', { name: 'Open Fly-in on the beach' });
  await flyIn.waitFor({ timeout: 120_000 });
  await page.getByText(/Laying out the kite club/).waitFor({ state: 'hidden', timeout: 120_000 });
  await page.getByRole('button', { name: 'Card', exact: true }).click();
  await page.getByRole('button', { name: 'Ready-made' }).click();
  await page.getByRole('list', { name: 'Ready-made cards' }).waitFor({ timeout: 60_000 });
  await shoot(page, 'home');
  await flyIn.click();
  await page.getByTestId('stage').waitFor();
  await page.waitForTimeout(2500);
  const box = (await page.locator('[data-testid=stage] > div').first().boundingBox())!;
  const at = (x: number, y: number) => [box.x + (x / 12) * box.width, box.y + (y / 12) * box.height] as const;
  await page.mouse.click(...at(9.6, 6.7));
  await page.getByRole('button', { name: /^Finish / }).click();
  // The panel moves to the row that was opened.
  await page.waitForTimeout(600);
  await shoot(page, 'table');
  await page.keyboard.press('Escape');
  await page.mouse.dblclick(...at(4.5, 3.7));
  await page.getByRole('button', { name: /^Material / }).click();
  await page.getByRole('slider', { name: /^Closer/ }).fill('0.35');
  for (let i = 0; i < 2; i++) await page.keyboard.press('Control+z');
  await page.getByTestId('stage').click({ position: { x: 60, y: 500 } });
  await page.getByTestId('stage').press('4');
  await page.locator('[data-testid=proof-page][data-printed]').waitFor();
  await page.getByRole('button', { name: 'From a step back' }).click();
  await page.getByRole('button', { name: /^Where the eye goes/ }).click();
  await page.waitForTimeout(1500);
  await shoot(page, 'proof');
  await page.getByRole('button', { name: 'Back to the table' }).click();
  await page.getByRole('button', { name: 'Make', exact: true }).click();
  await page.getByRole('button', { name: /^Prints to order/ }).click();
  await page.getByRole('textbox', { name: 'Who it is for' }).fill('Ines Marrow');
  await page.getByRole('button', { name: 'Send the order' }).click();
  await page.getByRole('img', { name: 'Proof of page 1' }).waitFor();
  await page.waitForTimeout(6000);
  await shoot(page, 'make');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Desk' }).click();
  await page.getByRole('checkbox', { name: /^fly-in-first-launch,/ }).click();
  await shoot(page, 'desk');
  await page.keyboard.press('Escape');
  await page.getByTestId('stage').press('Escape');
  await page.getByTestId('stage').press('Shift+I');
  await page.getByRole('button', { name: 'From a photo' }).click();
  await page.getByRole('img', { name: /^Its colours/ }).waitFor();
  await shoot(page, 'inks');
  await page.keyboard.press('Escape');
  await colouring(page);
  await drawnLines(page);
  await shoot(page, 'lines');
  await page.keyboard.press('Escape');
  await card(page);
  await calendar(page);
  await book(page);
  await onPaper(page);
  await page.goto('/');
  await page.getByRole('button', { name: 'New layout A4' }).click();
  await page.getByTestId('stage').waitFor();
  await page.keyboard.press('c');
  const search = page.getByRole('searchbox', { name: 'Search the cupboard' });
  await search.fill('lantern');
  await page.getByRole('option', { name: /^Card lantern/ }).click();
  await shoot(page, 'cupboard');
  await search.fill('high wind');
  await page.getByRole('option', { name: /^High wind/ }).dblclick();
  await page.getByRole('menuitem', { name: 'As a project of its own' }).click();
  await page
    .getByRole('button', { name: /^Place for a photo/ })
    .first()
    .waitFor();
  await page
    .getByTestId('photo-input')
    .setInputFiles(
      ['fly-in-first-launch', 'fly-in-plum-kite', 'fly-in-high'].map((name) =>
        join(ROOT, 'public/demo/photos', `${name}.jpg`),
      ),
    );
  await page.getByText('3 photos in the workbox.').waitFor();
  for (const i of [0, 1, 2]) {
    await page
      .getByRole('list', { name: 'Pieces, top first' })
      .getByRole('button', { name: /^Place for a photo/ })
      .last()
      .click();
    await page.getByRole('list', { name: 'Photos', exact: true }).getByRole('button').nth(i).focus();
    await page.keyboard.press('Enter');
    await page.waitForTimeout(400);
  }
  await page.getByTestId('stage').press('Escape');
  await arranging(page);
  await cutting(page);
  await words(page);
  await photos(page);
}

/** Pocket cards of a kit on paper; the page of the fly-in cut out as it is printed. */
async function onPaper(page: Page): Promise<void> {
  await page.goto('/');
  await page.getByRole('button', { name: 'Sheet', exact: true }).click();
  await page.getByRole('button', { name: 'Ready-made' }).click();
  await page
    .getByRole('list', { name: 'Ready-made sheets' })
    .getByRole('button', { name: /Cards for the coast/ })
    .click();
  await page.getByTestId('stage').waitFor();
  await page.keyboard.press('Shift+Z');
  await page.getByText(/^Sheet 2:/).waitFor();
  await page.waitForTimeout(3000);
  await shoot(page, 'sheet');
  await page.goto('/');
  await page.getByRole('button', { name: 'Open Fly-in on the beach' }).click();
  await page.getByTestId('stage').waitFor();
  await page.waitForTimeout(4000);
  await page.getByTestId('stage').press('Shift+H');
  await page.getByRole('button', { name: 'Round what is printed' }).click();
  await page.getByText(/^1 part of 1 paper/).waitFor();
  await page.waitForTimeout(3000);
  await shoot(page, 'cutter');
  await page.getByRole('button', { name: 'Out of papers' }).click();
}

/** A page made of what is cut and finished: a treated star. */
async function cutting(page: Page): Promise<void> {
  await page.goto('/');
  await page.getByRole('button', { name: 'Open Tide pools in July' }).click();
  const stage = page.getByTestId('stage');
  await stage.waitFor();
  await page.getByRole('button', { name: 'Page 2', exact: true }).click();
  await page.waitForTimeout(2500);
  const slab = (name: string) =>
    page
      .getByRole('list', { name: 'Pieces, top first' })
      .locator('button[aria-pressed]')
      .filter({ hasText: new RegExp(`^${name}`) });
  await slab('Sea star').click();
  await page.getByRole('button', { name: /^Finish / }).click();
  await page.getByRole('region', { name: 'Surface' }).scrollIntoViewIfNeeded();
  await page.getByRole('group', { name: 'Surface 1' }).getByRole('button').scrollIntoViewIfNeeded();
  await shoot(page, 'finish');
}

/** Words in all their forms on one page: echoed, along a frame, over and over within a word, who and when. */
async function words(page: Page): Promise<void> {
  await page.goto('/');
  await page.getByRole('button', { name: 'New layout 12 x 12 in' }).click();
  const stage = page.getByTestId('stage');
  await stage.waitFor();
  const family = async (name: string) => {
    await page.getByRole('button', { name: /All families/ }).click();
    const sheet = page.getByRole('dialog', { name: 'Letters' });
    await sheet.getByRole('button', { name, exact: true }).last().click();
    await page.keyboard.press('Escape');
  };
  await page.getByRole('list', { name: 'Papers' }).getByRole('button').nth(1).focus();
  await page.keyboard.press('Enter');
  await page.getByRole('menuitem', { name: 'Cover the page with it' }).click();
  await page
    .getByTestId('photo-input')
    .setInputFiles(join(ROOT, 'public/demo/photos', 'fly-in-ines-and-olu.jpg'));
  await page.getByText('1 photo in the workbox.').waitFor();
  await page.getByRole('list', { name: 'Photos', exact: true }).getByRole('button').first().focus();
  await page.keyboard.press('Enter');
  await openRow(page, 'Place');
  await set(page, 'Width', '5.6');
  await set(page, 'From left', '3.2');
  await set(page, 'From top', '3.1');
  await stage.focus();
  await page.keyboard.press('Shift+U');
  await page.getByRole('textbox', { name: 'Words', exact: true }).fill('wind and string and sky');
  await set(page, 'Letter size', '25');
  await set(page, 'From the outline', '0.08');
  await leave(page);
  await page.keyboard.press('t');
  await page.keyboard.type('First launch');
  await page.keyboard.press('Escape');
  await set(page, 'Letter size', '104');
  await openRow(page, 'Finish');
  await page.getByRole('button', { name: 'Add an echo' }).click();
  await openRow(page, 'Place');
  await set(page, 'From left', '3.1');
  await set(page, 'From top', '0.7');
  await leave(page);
  await page.keyboard.press('t');
  await page.keyboard.type('KITES');
  await page.keyboard.press('Escape');
  await set(page, 'Letter size', '170');
  await family('Alfa Slab One');
  await openRow(page, 'Material');
  await page.getByRole('button', { name: 'Fill it with words' }).click();
  await page.getByLabel('Words, one entry a line').fill('wind\nsea\nsky\nstring');
  await page.getByRole('button', { name: 'One more ink' }).click();
  await page.getByRole('button', { name: 'Ink 2: choose an ink' }).click();
  await page
    .getByRole('dialog', { name: 'Inks' })
    .getByRole('button', { name: /Deep water/ })
    .first()
    .click();
  await page.keyboard.press('Escape');
  await openRow(page, 'Place');
  await set(page, 'From left', '2');
  await set(page, 'From top', '8.4');
  await leave(page);
  await page.keyboard.press('Shift+W');
  await page.waitForTimeout(400);
  await leave(page);
  await page
    .getByRole('list', { name: 'Pieces, top first' })
    .getByRole('button', { name: /^wind and string/ })
    .click();
  await page.mouse.move(900, 700);
  await shoot(page, 'words');
}

/** The kite club's photos on a new page: proposals, one of them in another light, and a mosaic of all. */
async function photos(page: Page): Promise<void> {
  await page.goto('/');
  await page.getByRole('button', { name: 'New layout 12 x 12 in' }).click();
  await page.getByTestId('stage').waitFor();
  const files = (await readdir(join(ROOT, 'public/demo/photos'))).filter((name) => name.endsWith('.jpg'));
  const bring = async (some: readonly string[]) => {
    await page
      .getByTestId('photo-input')
      .setInputFiles(some.map((name) => join(ROOT, 'public/demo/photos', name)));
    await page.getByText(`${some.length} photos in the workbox.`).waitFor();
  };
  const firstSix = files.filter((name) => /^fly-in.*(?<!again|shaken)\.jpg$/.test(name)).slice(0, 6);
  await bring(firstSix);
  await page.getByRole('button', { name: /^Harbour herringbone/ }).focus();
  await page.keyboard.press('Enter');
  await page.getByRole('menuitem', { name: 'Cover the page with it' }).click();
  await page.getByRole('button', { name: 'Undo cover page with paper' }).waitFor();
  await page.getByTestId('stage').press('Shift+A');
  await page.getByRole('button', { name: 'fly-in-high matters most' }).click();
  await page.mouse.move(900, 700);
  await shoot(page, 'proposals');
}

/** A stamp coloured in: three areas, one of them by brush. */
async function colouring(page: Page): Promise<void> {
  await page.goto('/');
  await page.getByRole('button', { name: 'New layout 12 x 12 in' }).click();
  const stage = page.getByTestId('stage');
  await stage.waitFor();
  await page.keyboard.press('c');
  await page.getByRole('searchbox', { name: 'Search the cupboard' }).fill('Sailboat');
  await page
    .getByRole('option', { name: /^Sailboat/ })
    .first()
    .click();
  await page.getByRole('button', { name: 'Lay it' }).click();
  for (const [name, value] of [
    ['Width', '7'],
    ['From left', '4'],
    ['From top', '2.5'],
  ] as const) {
    await page.getByRole('textbox', { name, exact: true }).fill(value);
    await page.keyboard.press('Enter');
  }
  await stage.focus();
  await page.keyboard.press('Shift+C');
  const sheet = page.getByRole('dialog', { name: 'Colour in' });
  await sheet.getByText(/areas between its lines/).waitFor();
  await sheet.getByRole('combobox', { name: 'Ink set' }).click();
  await page.getByRole('option', { name: 'Windward inks' }).click();
  const box = (await page.locator('[data-testid=stage] > div').first().boundingBox())!;
  const inch = box.width / 12;
  const spot = (x: number, y: number) => [box.x + (4 + 7 * x) * inch, box.y + (2.5 + 7 * y) * inch] as const;
  const dots = sheet.getByRole('group', { name: 'Inks at hand' }).getByRole('button');
  const inks = { hull: 4, sail: 6, brush: 1 };
  await sheet.getByRole('button', { name: 'Watercolour' }).click();
  await dots.nth(inks.sail).click();
  await page.mouse.click(...spot(0.6, 0.5));
  await sheet.getByRole('button', { name: 'Pencil' }).click();
  await dots.nth(inks.hull).click();
  await page.mouse.click(...spot(0.5, 0.8));
  await sheet.getByRole('button', { name: 'Brush' }).click();
  await dots.nth(inks.brush).click();
  await page.mouse.move(...spot(0.3, 0.6));
  await page.mouse.down();
  for (let i = 1; i <= 7; i++)
    await page.mouse.move(...spot(i % 2 ? 0.46 : 0.24 + 0.02 * i, 0.6 - 0.03 * i), { steps: 8 });
  await page.mouse.up();
  await page.waitForTimeout(600);
  await shoot(page, 'colour-in');
  await page.keyboard.press('Escape');
}

/** Two things grouped and dragged along a guide, with the pile unfolded. */
async function arranging(page: Page): Promise<void> {
  const stage = page.getByTestId('stage');
  await stage.focus();
  await page.keyboard.press('i');
  await page.getByRole('button', { name: 'Thirds' }).click();
  await page.getByRole('button', { name: 'Shut Guides' }).click();
  const slabs = page.getByRole('list', { name: 'Pieces, top first' }).locator('button[aria-pressed]');
  const buttons = slabs.filter({ hasText: 'button' });
  await buttons.first().click();
  for (let i = 1; i < (await buttons.count()); i++) await buttons.nth(i).click({ modifiers: ['Control'] });
  await stage.focus();
  await page.keyboard.press('Control+g');
  await page.getByRole('button', { name: /^Unfold Group/ }).click();
  await buttons.first().click();
  const held = (await page.getByTestId('selection').boundingBox())!;
  const from = { x: held.x + held.width / 2, y: held.y + held.height - 24 };
  await page.getByRole('button', { name: /^Group 1, group/ }).click();
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await page.mouse.move(from.x + 152, from.y - 128, { steps: 12 });
  await page.waitForTimeout(300);
  await shoot(page, 'arranging');
  await page.mouse.up();
}

await mkdir(FOLDER, { recursive: true });
const server = await serve({ demo: true });
try {
  const browser = await chromium.launch(CHROMIUM);
  const page = await browser.newPage({
    baseURL: server.base,
    viewport: { width: 1280, height: 800 },
    serviceWorkers: 'block',
  });
  await tour(page);
  await browser.close();
} finally {
  server.stop();
}
