/** What it costs to look at pages before they are printed: a press's colours, the checks, leafing, a file for a press. */
import { conditionOf, type Condition } from '@/core/press/conditions';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { Browser, Page } from '@playwright/test';
import { drawSurface } from '@/core/page/draw';
import { toolsFor } from '@/core/page/outlines';
import { lookedAt } from '@/core/press/look';
import { FIRST_HOW, openPress } from '@/core/press/press';
import { checked } from '@/core/proof';
import { make } from '@/output/make';
import { openedFile, typesetterOf } from '../node/files';
import { nodeWorkshop, openLcms, PROFILES, ROOT } from '../node/platform';
import { percentile, quickest, type Note, type WithPage } from './measure';

interface Shop {
  withPage: WithPage;
  openFile: (page: Page, file: string) => Promise<void>;
  note: Note;
}

const BOOK = join(ROOT, 'public/demo/saltmarsh-year-book.bellagraph');

/** A page as large as the proof shows it on a screen of 1280 x 800. */
const SIDE = 560;

async function colours(note: Note): Promise<void> {
  const pixels = new Uint8ClampedArray(4 * SIDE * SIDE);
  for (let i = 0; i < pixels.length; i++) pixels[i] = i % 4 === 3 ? 255 : (i * 7919 + (i >> 8) * 31) % 256;
  const profile = async (name: string) => new Uint8Array(await readFile(join(PROFILES, name)));
  const opened = async (name: string) => {
    const press = await openPress(await profile(name), openLcms);
    if (!press.ok) throw new Error(press.message);
    return press.value;
  };
  const copy = await quickest(5, () => pixels.slice());
  const press = await opened('coated-offset.icc');
  lookedAt(press, pixels, SIDE, { ...FIRST_HOW, marked: true });
  const again = await quickest(5, () => lookedAt(press, pixels, SIDE, { ...FIRST_HOW, marked: true }));
  note('Soft proof at screen size', again, copy, 'ms', 'under 150 ms; floor: its pixels copied', again < 150);
  const start = performance.now();
  lookedAt(press, pixels, SIDE, { ...FIRST_HOW, marked: true, intent: 'perceptual', paper: true });
  const change = performance.now() - start;
  note(
    'Soft proof brought in another way',
    change,
    copy,
    'ms',
    'under 300 ms; floor: its pixels copied',
    change < 300,
  );
}

async function book(note: Note): Promise<void> {
  const file = await openedFile(BOOK);
  const typesetter = await typesetterOf(file);
  const { project, bytes } = file;
  // Forty pages: the book's sides, and eight of its spreads once more.
  const sides = [...project.surfaces, ...project.surfaces.slice(1, 9)];
  const tools = toolsFor(project, typesetter);
  const drawn = await quickest(3, () => sides.map((side) => drawSurface({ ...side }, tools)));
  const checks = await quickest(3, () => sides.map((side) => checked(project, { ...side }, typesetter)));
  note(
    'All checks of a book of 40 pages',
    checks,
    drawn,
    'ms',
    'under 2 s; floor: the same pages drawn',
    checks < 2000,
  );
  const [, worked] = project.surfaces;
  const one = await quickest(5, () => checked(project, { ...worked! }, typesetter));
  const page = await quickest(5, () => drawSurface({ ...worked! }, tools));
  note(
    'All checks of the page that is worked on',
    one,
    page,
    'ms',
    'under 100 ms; floor: it drawn',
    one < 100,
  );
  const workshop = nodeWorkshop(
    (sha) => project.assets[sha]!,
    (sha) => bytes.get(sha)!,
    typesetter,
  );
  const pictures = project.surfaces.map((side) => drawSurface(side, tools));
  const pdf = (press?: Condition, inks = false) =>
    quickest(inks ? 1 : 2, () =>
      make(
        pictures,
        { format: 'pdf', ppi: 300, withBleed: true, cropMarks: false, ...(press ? { press, inks } : {}) },
        workshop,
      ),
    );
  const [plain, forPress] = [await pdf(), await pdf(conditionOf('coated'))];
  note(
    'PDF/X-4 of the year book',
    forPress,
    plain,
    'ms',
    'at most 1.2 x: a plain PDF',
    forPress <= 1.2 * plain,
  );
  const inked = await pdf(conditionOf('coated'), true);
  const photos = Object.values(project.assets).filter(({ type }) => type === 'image/jpeg');
  const megapixels = photos.reduce((sum, { width, height }) => sum + (width * height) / 1e6, 0);
  note(
    `All of it in the press’s inks (${Math.round(megapixels)} megapixels of photos)`,
    inked,
    plain,
    'ms',
    'under a second for 3 megapixels; floor: a plain PDF',
    inked - plain < (megapixels / 3) * 1000,
  );
}

async function leafing(browser: Browser, { withPage, openFile, note }: Shop): Promise<void> {
  const [turns, floor] = await withPage(browser, async (page) => {
    await openFile(page, BOOK);
    await page.keyboard.press('4');
    const shown = page.locator('[data-testid=proof-page][data-printed]');
    await shown.waitFor();
    await page.getByRole('region', { name: /^The page;/ }).focus();
    // The small pictures at the side are painted first.
    await page.waitForTimeout(5000);
    const times: number[] = [];
    for (let i = 0; i < 12; i++) {
      // As long as one looks at a page at the least.
      await page.waitForTimeout(1200);
      times.push(
        await page.evaluate(async () => {
          const start = performance.now();
          const desk = document.activeElement!;
          desk.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowRight', bubbles: true }));
          const page = () => document.querySelector('[data-testid=proof-page]');
          const turn = () => new Promise((done) => requestAnimationFrame(done));
          do await turn();
          while (page()?.getAttribute('aria-busy') !== 'false');
          return performance.now() - start;
        }),
      );
    }
    const frame = await page.evaluate(async () => {
      const start = performance.now();
      await new Promise((done) => requestAnimationFrame(done));
      return performance.now() - start;
    });
    return [times, Math.max(1, frame)] as const;
  });
  const slow = percentile(turns, 0.95);
  note(
    'A page turned in the proof once its small pictures are there, p95',
    slow,
    floor,
    'ms',
    'under 100 ms; floor: a frame',
    slow < 100,
  );
}

export async function proof(browser: Browser, shop: Shop): Promise<void> {
  await colours(shop.note);
  await book(shop.note);
  await leafing(browser, shop);
}
