/** What books cost: planned and laid, made into a PDF, looked over, faces found. */
import { mkdtemp, readdir, readFile, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Browser, Page } from '@playwright/test';
import { designFor } from '@/core/book/design';
import { laidBook, layBook, roomFor } from '@/core/book/flow';
import { planBook } from '@/core/book/plan';
import { withFollows } from '@/core/calendar/follows';
import { drawSurface } from '@/core/page/draw';
import { toolsFor } from '@/core/page/outlines';
import type { Asset } from '@/core/picture/asset';
import { beginProduct } from '@/core/product';
import { perform, startHistory } from '@/core/project/history';
import { newProject, type Project } from '@/core/project/model';
import type { Typesetter } from '@/core/text/typesetter';
import { make } from '@/output/make';
import { openedFile, packed, typesetterOf } from '../node/files';
import { houseDesign } from '../node/house';
import { DESIGN } from '../demo/book';
import { nodeWorkshop, ROOT } from '../node/platform';
import { percentile, quickest, type Note, type WithPage } from './measure';

/** A book of so many pages and photos: those of the demo, over and over. */
function booked(made: Project, photos: readonly Asset[], pages: number, typesetter: Typesetter) {
  const bare = newProject(
    { id: `bench-${pages}`, title: 'Bench', unit: 'in' },
    beginProduct('book', { width: 576, height: 576 }, 'hard'),
  );
  const design = designFor(made, bare);
  const plan = planBook(photos, roomFor(design, bare), { pages, chapters: true, oneOfAlike: false, seed: 1 });
  let count = 0;
  const known = new Map(photos.map((asset) => [asset.sha, asset]));
  const lay = () => {
    const laid = laidBook(bare, design, plan, known, { typesetter, newId: () => `n${(count += 1)}` });
    return withFollows(perform(startHistory(bare), layBook('lay', laid, design, photos), 0), typesetter)
      .project;
  };
  return { bare, design, plan, lay };
}

type Frames = (page: Page, during: () => Promise<void>) => Promise<number[]>;
type OpenFile = (page: Page, file: string) => Promise<void>;

export async function book(
  browser: Browser,
  base: string,
  withPage: WithPage,
  openFile: OpenFile,
  frames: Frames,
  note: Note,
): Promise<void> {
  const demo = await openedFile(join(ROOT, 'public/demo/saltmarsh-year-book.bellagraph'));
  const design = await houseDesign(...DESIGN);
  const typesetter = await typesetterOf(design);
  const bytes = new Map([...demo.bytes, ...design.bytes]);
  const year = demo.project.photos.map((sha) => demo.project.assets[sha]!);
  // Each under a name of its own, a week after the last.
  const photos = Array.from({ length: 200 }, (_, i): Asset => {
    const asset = year[i % year.length]!;
    const sha = i < year.length ? asset.sha : i.toString(16).padStart(64, '0');
    bytes.set(sha, bytes.get(asset.sha)!);
    return { ...asset, sha, taken: new Date(Date.UTC(2026, 0, 1 + i, 9)).toISOString().slice(0, 19) };
  });
  const { bare, design: fitted, lay } = booked(design.project, photos, 40, typesetter);
  const wish = { pages: 40, chapters: true, oneOfAlike: true, seed: 1 };
  const room = roomFor(fitted, bare);
  const planning = await quickest(3, () => planBook(photos, room, wish));
  const copying = await quickest(5, () => structuredClone(photos));
  note(
    '200 photos planned as 40 pages',
    planning,
    copying,
    'ms',
    'under 2000 ms; floor: a copy of what is known of them',
    planning < 2000,
  );
  const laying = await quickest(3, lay);
  const project = lay();
  const cloning = await quickest(5, () => structuredClone(project));
  note(
    '200 photos laid on 40 pages',
    laying,
    cloning,
    'ms',
    'under 500 ms; floor: a copy of the project',
    laying < 500,
  );

  await toPdf(project, bytes, typesetter, note);
  const many = booked(design.project, Array.from({ length: 5 }, () => year).flat(), 202, typesetter).lay();
  const file = join(await mkdtemp(join(tmpdir(), 'bench-')), 'many.bellagraph');
  await writeFile(file, await packed(many, async (sha) => bytes.get(sha)));
  await withPage(browser, (page) => scrolled(page, file, openFile, frames, note));
  await withPage(browser, (page) => turned(page, openFile, note));
  await withPage(browser, (page) => facesFound(page, base, note));
}

async function toPdf(
  project: Project,
  bytes: ReadonlyMap<string, Uint8Array>,
  typesetter: Typesetter,
  note: Note,
): Promise<void> {
  const shop = nodeWorkshop(
    (sha) => project.assets[sha]!,
    (sha) => bytes.get(sha)!,
    typesetter,
  );
  const tools = toolsFor(project, typesetter);
  const pictures = project.surfaces.map((surface) => drawSurface(surface, tools));
  const options = { format: 'pdf' as const, ppi: 300, withBleed: true, cropMarks: false };
  const jpegs = project.photos.map((sha) => bytes.get(sha)!);
  const peak = async (work: () => Promise<unknown>): Promise<number> => {
    let most = 0;
    const watch = setInterval(() => (most = Math.max(most, process.memoryUsage().rss)), 20);
    await work();
    clearInterval(watch);
    return Math.max(most, process.memoryUsage().rss) / 1e6;
  };
  const two = await peak(() => make(pictures.slice(2, 3), options, shop));
  const times: number[] = [];
  let all = 0;
  for (let i = 0; i < 3; i++) {
    const begun = performance.now();
    all = Math.max(all, await peak(() => make(pictures, options, shop)));
    times.push(performance.now() - begun);
  }
  const copy = await quickest(5, () => Buffer.concat(jpegs));
  const pdf = Math.min(...times);
  note(
    'Book of 40 pages with 200 photos to PDF',
    pdf,
    copy,
    'ms',
    'within 3 x; floor: a copy of its JPEG bytes',
    pdf < 3 * copy,
  );
  note('Memory of that beside a book of two pages', all, two, 'MB', 'within 200 MB', all - two < 200);
}

async function scrolled(
  page: Page,
  file: string,
  openFile: OpenFile,
  frames: Frames,
  note: Note,
): Promise<void> {
  await openFile(page, file);
  await page.getByTestId('stage').focus();
  await page.keyboard.press('Shift+G');
  await page.locator('[data-tile]').first().waitFor();
  await page.waitForTimeout(4000);
  const list = page.getByRole('list', { name: 'Pages of the book' });
  const box = (await list.boundingBox())!;
  await page.mouse.move(box.x + 200, box.y + 200);
  const scroll = await frames(page, async () => {
    for (let i = 0; i < 60; i++) {
      await page.mouse.wheel(0, 120);
      await page.waitForTimeout(30);
    }
  });
  const still = await frames(page, () => page.waitForTimeout(1500));
  const [worst, idle] = [Math.max(...scroll), Math.max(...still)];
  note(
    'Longest frame while 100 spreads scroll by',
    worst,
    idle,
    'ms',
    'under 50 ms; floor: nothing moves',
    worst < 50,
  );
}

async function turned(page: Page, openFile: OpenFile, note: Note): Promise<void> {
  await openFile(page, join(ROOT, 'public/demo/saltmarsh-year-book.bellagraph'));
  await page.getByTestId('stage').focus();
  // Forward over pages never seen, then back over the same: what is decoded and painted once is the floor.
  const turns = async (key: string): Promise<number> => {
    const times: number[] = [];
    for (let i = 0; i < 6; i++) times.push(await untilStill(page, key));
    return percentile(times, 0.5);
  };
  await untilStill(page, 'Alt+PageDown');
  const forward = await turns('Alt+PageDown');
  const back = await turns('Alt+PageUp');
  note(
    'Turned to a spread of photos, until it is sharp',
    forward,
    back,
    'ms',
    'under 300 ms, or 1.5 x; floor: turned back to one that was shown',
    forward < Math.max(300, 1.5 * back),
  );
}

async function facesFound(page: Page, base: string, note: Note): Promise<void> {
  const folder = join(ROOT, 'scripts/demo/year/jpeg');
  const files = (await readdir(folder))
    .filter((name) => name.startsWith('may'))
    .map((name) => join(folder, name));
  const data = await Promise.all(files.map(async (name) => (await readFile(name)).toString('base64')));
  await page.goto(`${base}/`);
  await page.getByRole('button', { name: 'Book', exact: true }).click();
  await page.getByRole('button', { name: /^New book 8 x 8 in,/ }).click();
  await page.getByTestId('photo-input').setInputFiles(files);
  await page
    .getByRole('button', { name: /Enter lays it on the page/ })
    .nth(files.length - 1)
    .waitFor();
  await page.waitForTimeout(1500);
  // When the count of those to go changes, one more was looked at.
  await page.evaluate(() => {
    const times: number[] = [];
    let last = '';
    new MutationObserver(() => {
      const says = /Looking for faces.*?(\d+) to go/.exec(document.body.textContent ?? '')?.[1] ?? '';
      if (says !== last) times.push(performance.now());
      last = says;
    }).observe(document.body, { subtree: true, childList: true, characterData: true });
    Object.assign(window, { faceTimes: times });
  });
  await page.getByRole('button', { name: 'Let photos flow in' }).click();
  await page.getByText(/Looking for faces/).waitFor();
  await page.getByText(/Looking for faces/).waitFor({ state: 'hidden' });
  const [finding, decoding] = await page.evaluate(async (pictures) => {
    const times = (window as unknown as { faceTimes: number[] }).faceTimes;
    // Of the second half, when the pages beside it are painted; two are under way at once.
    const looked = times.slice(times.length >> 1, -1);
    const each = (looked.at(-1)! - looked[0]!) / (looked.length - 1);
    const blobs = await Promise.all(
      pictures.map(
        async (one) => new Blob([Uint8Array.from(atob(one), (c) => c.charCodeAt(0))], { type: 'image/jpeg' }),
      ),
    );
    const start = performance.now();
    for (const blob of blobs) (await createImageBitmap(blob)).close();
    return [each, (performance.now() - start) / blobs.length];
  }, data);
  note(
    'Faces found in a photo',
    finding!,
    decoding!,
    'ms',
    'under 150 ms; floor: decoding it',
    finding! < 150,
  );
}

/** Presses a key and waits until the page was not painted for a second and a half: when it was last, milliseconds. */
async function untilStill(page: Page, key: string): Promise<number> {
  await page.evaluate(() => {
    const below = document.querySelector<HTMLCanvasElement>('[data-testid=below]')!;
    const context = below.getContext('2d')!;
    const seen = { begun: performance.now(), painted: 0 };
    // The painter clears it each time it paints.
    context.clearRect = function (...box) {
      seen.painted = performance.now();
      CanvasRenderingContext2D.prototype.clearRect.apply(this, box);
    };
    window.addEventListener('keydown', () => (seen.begun = performance.now()), { once: true, capture: true });
    Object.assign(window, { seen });
  });
  await page.keyboard.press(key);
  await page.waitForFunction(() => {
    const { seen } = window as unknown as { seen: { painted: number; begun: number } };
    return performance.now() - Math.max(seen.painted, seen.begun) > 1500;
  });
  return page.evaluate(() => {
    const { seen } = window as unknown as { seen: { painted: number; begun: number } };
    return Math.max(0, seen.painted - seen.begun);
  });
}
