/** The same doors as people find them: files with something wrong in them, given to the running program in a browser. */
import { chromium, type Page } from '@playwright/test';
import sharp from 'sharp';
import { CHROMIUM } from '../../playwright.config';
import { packProject } from '@/storage/project-file';
import { newPage } from '../../e2e/table';
import { Chance } from '../testing/chance';
import { assetOf, laid, photoOf, quarters, wordsOf } from '../testing/samples';
import { bent, DOORS, reworded } from './doors';
import type { Row } from './report';

interface Entry {
  name: string;
  ending: string;
  whole(): Promise<Uint8Array[]> | Uint8Array[];
  text?: true;
  /** To where it is. */
  open(page: Page, base: string): Promise<void>;
  input: string;
  /** Files that are given at once. */
  many: number;
  /** Away with what asks something. */
  clear?(page: Page): Promise<void>;
}

const byName = (name: string) => DOORS.find((door) => door.name === name)!;
const ask = async (page: Page, what: string) => {
  await page.getByTestId('stage').focus();
  await page.keyboard.press('Control+k');
  await page.keyboard.type(what);
  await page.keyboard.press('Enter');
};
const photos = {
  input: '[data-testid=photo-input]',
  many: 25,
  open: (page: Page, base: string) => newPage(page, '12 x 12 in', base),
};
const encoded = (format: 'webp' | 'gif' | 'png' | 'jpeg') => async () => [
  Uint8Array.from(await sharp(quarters(60, 40)).toFormat(format).toBuffer()),
];

async function project(): Promise<Uint8Array[]> {
  const bytes = quarters(60, 40);
  const asset = assetOf(bytes, 60, 40);
  const page = laid(
    [photoOf('a', asset, { x: 9, y: 9, width: 60, height: 40 }), wordsOf('b', 'Kites')],
    [asset],
  );
  const packed = await packProject(page, async () => bytes);
  if (!packed.ok) throw new Error(packed.message);
  return [new Uint8Array(await packed.value.blob.arrayBuffer())];
}

const ENTRIES: readonly Entry[] = [
  { ...photos, name: 'JPEG', ending: 'jpg', whole: encoded('jpeg') },
  { ...photos, name: 'PNG', ending: 'png', whole: encoded('png') },
  { ...photos, name: 'WebP', ending: 'webp', whole: encoded('webp') },
  { ...photos, name: 'GIF', ending: 'gif', whole: encoded('gif') },
  { ...photos, name: 'HEIC', ending: 'heic', whole: byName('HEIC').whole },
  { ...photos, name: 'drawings', ending: 'svg', whole: byName('drawings').whole, text: true },
  {
    ...{
      name: 'kits',
      ending: 'zip',
      whole: byName('zips').whole,
      many: 10,
      input: '[data-testid=supply-input]',
    },
    async open(page, base) {
      await page.goto(`${base}/cupboard`);
      await page.getByRole('option').first().waitFor();
    },
    async clear(page) {
      const leave = page.getByRole('button', { name: 'Leave them all' });
      if (await leave.isVisible()) await leave.click();
    },
  },
  {
    ...{ name: 'projects', ending: 'bellagraph', many: 10, input: '[aria-label="Project file"]' },
    whole: project,
    open: async (page, base) => void (await page.goto(base)),
  },
  {
    ...{
      name: 'fonts',
      ending: 'woff',
      whole: byName('fonts').whole,
      many: 10,
      input: '[data-testid=font-input]',
    },
    async open(page, base) {
      await newPage(page, '12 x 12 in', base);
      await page.getByTestId('stage').press('t');
      await page.keyboard.type('Kites');
      await page.keyboard.press('Control+a');
      await page.getByRole('button', { name: /^Letters: / }).click();
    },
  },
  {
    ...{
      name: 'colour profiles',
      ending: 'icc',
      whole: byName('colour profiles').whole,
      many: 1,
      input: '[aria-label="Colour profile"]',
    },
    async open(page, base) {
      await newPage(page, '12 x 12 in', base);
      await page.getByTestId('stage').focus();
      await page.keyboard.press('4');
      await page.getByTestId('proof-told').waitFor();
    },
  },
  {
    ...{
      name: 'outlines',
      ending: 'dxf',
      text: true as const,
      many: 1,
      input: '[aria-label="A file of outlines"]',
    },
    whole: async () => (await byName('outlines of cutters').whole()).slice(0, 1),
    async open(page, base) {
      await newPage(page, '12 x 12 in', base);
      await ask(page, 'Outlines from a file');
    },
  },
  {
    ...{ name: 'days', ending: 'ics', text: true as const, many: 1, input: '[aria-label="File with days"]' },
    whole: byName('days of other calendars').whole,
    async open(page, base) {
      await page.goto(base);
      await page.getByRole('button', { name: 'Calendar', exact: true }).first().click();
      await page
        .getByRole('button', { name: /^New calendar/ })
        .first()
        .click();
      await page.getByTestId('stage').waitFor();
      await ask(page, 'Days to remember');
    },
  },
];

/** Milliseconds after which a door hangs. */
const LONGEST = 5000;

export async function spoiltInBrowser(base: string, tries: number, seed: number): Promise<Row[]> {
  const browser = await chromium.launch(CHROMIUM);
  const rows: Row[] = [];
  for (const entry of ENTRIES) {
    const context = await browser.newContext({
      viewport: { width: 1280, height: 800 },
      serviceWorkers: 'block',
    });
    const page = await context.newPage();
    const faults: string[] = [];
    page.on('pageerror', ({ message }) => faults.push(`an error nobody caught: ${message}`));
    page.on('crash', () => faults.push('the page crashed'));
    page.on(
      'console',
      (message) => message.type() === 'error' && faults.push(`said: ${message.text().slice(0, 200)}`),
    );
    let longest = 0;
    try {
      await entry.open(page, base);
      const files = await entry.whole();
      for (let done = 0; done < tries; done += entry.many) {
        const given = Array.from({ length: Math.min(entry.many, tries - done) }, (_, i) => {
          const chance = new Chance(seed + done + i);
          const bytes = chance.of(files);
          const spoilt = entry.text && i % 2 ? reworded(bytes, chance) : bent(bytes, chance);
          return { name: `${done + i}.${entry.ending}`, mimeType: '', buffer: Buffer.from(spoilt) };
        });
        // What is nothing at all comes last, and is told: then all before it is done with.
        const last = { name: `mark ${done}.${entry.ending}`, mimeType: '', buffer: Buffer.from('no file') };
        const input = page.locator(entry.input);
        const start = performance.now();
        if (entry.many > 1) await input.setInputFiles([...given, last]);
        else for (const one of [...given, last]) await input.setInputFiles(one);
        await page
          .getByText(`mark ${done}.`)
          .first()
          .waitFor({ timeout: LONGEST * (given.length + 1) });
        longest = Math.max(longest, (performance.now() - start) / (given.length + 1));
        await entry.clear?.(page);
      }
      if (longest > LONGEST) faults.push(`${Math.round(longest)} ms for a file`);
    } catch (error) {
      faults.push((error as Error).message.split('\n')[0]!);
    }
    rows.push({
      ...{ attack: `in the browser: ${entry.name}`, tries, faults },
      seen: `${Math.round(longest)} ms a file at most`,
    });
    await context.close();
  }
  await browser.close();
  return rows;
}
