/** Work with the network off: after one visit, everything that can be asked for at the table, in a page of every product, and the other rooms. */
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { CHROMIUM } from '../../playwright.config';
import { openWire } from '../../e2e/wire';
import { ROOT } from '../node/platform';
import type { Row } from './report';

const PRODUCTS = ['Layout', 'Card', 'Calendar', 'Book', 'Sheet'];
const PHOTO = join(ROOT, 'public/demo/photos/lantern-night.jpg');
/** What the page cannot help: the browser says itself that a list or a room's data was not to be had. */
const OF_THE_NETWORK = /Failed to load resource|Failed to fetch RSC payload/;

const onTable = (page: Page) => page.getByTestId('stage').waitFor();

async function actions(page: Page): Promise<string[]> {
  await page.getByTestId('stage').focus();
  await page.keyboard.press('Control+k');
  await page.getByRole('option').first().waitFor();
  const names = (await page.getByRole('option').allInnerTexts()).map((text) => text.split('\n')[0]!);
  await page.keyboard.press('Escape');
  return names;
}

/** Asks for one thing, and leaves whatever it opened. */
async function asked(page: Page, name: string): Promise<void> {
  await page.getByTestId('stage').focus();
  await page.keyboard.press('Control+k');
  await page.getByRole('option').first().waitFor();
  await page.keyboard.type(name);
  await page.keyboard.press('Enter');
  await page.waitForTimeout(700);
  for (let i = 0; i < 4; i++) await page.keyboard.press('Escape');
  if (!new URL(page.url()).pathname.startsWith('/table')) return;
  // A sheet that Escape does not close has a way back.
  const back = page.getByRole('button', { name: /^(Back to the table|Close|Leave it)$/ }).first();
  if (await back.isVisible()) await back.click();
}

export async function workedOffline(base: string, minutes: number): Promise<Row> {
  const wire = await openWire(base);
  const browser = await chromium.launch(CHROMIUM);
  const page = await (
    await browser.newContext({ viewport: { width: 1280, height: 800 }, acceptDownloads: true })
  ).newPage();
  page.setDefaultTimeout(60_000);
  const faults: string[] = [];
  let doing = '';
  page.on('pageerror', ({ message }) => faults.push(`${doing}: an error nobody caught: ${message}`));
  page.on('console', (message) => {
    if (message.type() === 'error' && !OF_THE_NETWORK.test(message.text()))
      faults.push(`${doing} said: ${message.text().slice(0, 200)}`);
  });
  let [tries, projects] = [0, 0];
  try {
    await page.goto(wire.at);
    await page.getByText(/It works without a network, too/).waitFor({ timeout: 120_000 });
    wire.cut();
    const until = Date.now() + 60_000 * minutes;
    for (let round = 0; round === 0 || Date.now() < until; round++) {
      const product = PRODUCTS[round % PRODUCTS.length]!;
      doing = `a new ${product.toLowerCase()}`;
      await page.goto(wire.at);
      await page.getByRole('button', { name: product, exact: true }).first().click();
      await page.getByRole('button', { name: /^New / }).first().click();
      await onTable(page);
      projects += 1;
      const title = `Offline ${round + 1}`;
      await page.getByRole('textbox', { name: 'Project title' }).fill(title);
      await page.getByTestId('photo-input').setInputFiles(PHOTO);
      await page.getByText(/ in the workbox\./).waitFor();
      const address = page.url();
      for (const name of await actions(page)) {
        doing = `${product}, ${name}`;
        tries++;
        // Something is held, so that most of it can be done.
        await page.getByTestId('stage').focus();
        await page.keyboard.press('Control+a');
        await asked(page, name);
        const unfetched = page.getByText(/could not be fetched: the program cannot be reached/);
        if (await unfetched.isVisible()) faults.push(`${doing}: ${await unfetched.innerText()}`);
        if (page.url() === address) continue;
        await page.goto(address);
        await onTable(page);
      }
      doing = `${product}, loaded anew`;
      await page.getByTestId('kept').and(page.locator('[data-kept]')).waitFor();
      await page.reload();
      await onTable(page);
      const kept = await page.getByRole('textbox', { name: 'Project title' }).inputValue();
      if (kept !== title) faults.push(`${doing}: its title is “${kept}”`);
      doing = 'the cupboard';
      await page.goto(`${wire.at}/cupboard`);
      await page.getByRole('option').first().waitFor();
    }
    doing = 'Home';
    await page.goto(wire.at);
    const begun = page.getByRole('button', { name: /^Open Offline/ });
    await begun.first().waitFor();
    // The first ones lie there at once, the rest soon after.
    await page.waitForTimeout(2000);
    const listed = await begun.count();
    if (listed !== projects) faults.push(`${projects} projects were begun, ${listed} are at Home`);
  } catch (error) {
    faults.push(`${doing}: ${(error as Error).message.split('\n')[0]}`);
  }
  await browser.close();
  await wire.close();
  return {
    ...{ attack: 'worked with the network off', tries, faults },
    seen: `${projects} projects, everything that can be asked for in each`,
  };
}
