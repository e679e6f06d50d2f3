/**
 * npm run bench: what the app costs, each figure beside the floor measured in the same run. Writes bench.json.
 * Needs a build (bin/build) and Debian's Chromium. `--only png,pdf,import,size,arrange,cutting,photos,inks,dyes,words,kept,cupboard,card,
 * calendar,book,sheet,cutter,lines,doors,proof,out` runs some.
 */
import { spawn } from 'node:child_process';
import { readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { chromium, type Browser, type Page } from '@playwright/test';
import { CHROMIUM } from '../../playwright.config';
import { ROOT } from '../node/platform';
import { openedFile } from '../node/files';
import { arrange } from './arrange';
import { book } from './book';
import { sheet } from './sheet';
import { calendar } from './calendar';
import { card } from './card';
import { cutter } from './cutter';
import { cutting } from './cutting';
import { importing } from './importing';
import { lines } from './lines';
import { doors } from './doors';
import { dyes } from './dyes';
import { inks } from './inks';
import { keeping } from './kept';
import { out } from './out';
import { proof } from './proof';
import { photos } from './photos';
import { words } from './words';
import { cupboard } from './cupboard';

const PORT = 3297;
const BASE = `http://localhost:${PORT}`;
const DEMO = join(ROOT, 'public/demo/saltmarsh-fly-in.bellagraph');

interface Figure {
  name: string;
  measured: number;
  floor: number;
  unit: string;
  /** Measured over floor. */
  ratio: number;
  /** What the issue asks for, and whether it is met. */
  limit: string;
  met: boolean;
}
const figures: Figure[] = [];
const note = (name: string, measured: number, floor: number, unit: string, limit: string, met: boolean) => {
  figures.push({ name, measured, floor, unit, ratio: measured / floor, limit, met });
  const show = (value: number) => (value >= 100 ? value.toFixed(0) : value.toFixed(2));
  console.log(
    `${met ? 'ok  ' : 'MISS'}  ${name}: ${show(measured)} ${unit}, floor ${show(floor)} ${unit}, ratio ${(measured / floor).toFixed(2)} (${limit})`,
  );
};

const best = (times: readonly number[]): number =>
  [...times].sort((a, b) => a - b)[Math.floor(times.length / 2)]!;

async function withPage<T>(browser: Browser, work: (page: Page) => Promise<T>): Promise<T> {
  const context = await browser.newContext({
    viewport: { width: 1280, height: 800 },
    acceptDownloads: true,
    serviceWorkers: 'block',
  });
  // The script runner names functions; pages do not know how.
  await context.addInitScript('globalThis.__name = (named) => named');
  const page = await context.newPage();
  try {
    return await work(page);
  } finally {
    await context.close();
  }
}

async function openFile(page: Page, file: string): Promise<void> {
  await page.goto(`${BASE}/`);
  await page.getByLabel('Project file').setInputFiles(file);
  await page
    .getByRole('main')
    .getByRole('button', { name: /^Open / })
    .first()
    .click();
  await page.getByTestId('stage').waitFor();
  await page.waitForTimeout(2500);
}

/**
 * Milliseconds between the frames the browser made while `during` goes on, by its own clock of frames (the time `requestAnimationFrame`
 * hands over: HTML Living Standard, “run the animation frame callbacks”): one that came late or not at all is seen as a longer one. When
 * a callback got its turn says less: it waits for all else that is done in its frame.
 */
async function frames(page: Page, during: () => Promise<void>): Promise<number[]> {
  await page.evaluate(() => {
    const taken = { times: [] as number[], on: true };
    let last = 0;
    const tick = (at: number) => {
      taken.times.push(at - last);
      last = at;
      if (taken.on) requestAnimationFrame(tick);
    };
    requestAnimationFrame(tick);
    Object.assign(window, { taken });
  });
  await during();
  return page.evaluate(() => {
    const { taken } = window as unknown as { taken: { times: number[]; on: boolean } };
    taken.on = false;
    return taken.times.slice(2);
  });
}

async function makeInBrowser(page: Page, format: 'PDF' | 'PNG'): Promise<{ seconds: number; path: string }> {
  await page.getByRole('button', { name: 'Make', exact: true }).click();
  await page.getByRole('radio', { name: format }).check();
  await page.getByLabel(/With bleed/).uncheck();
  const times: number[] = [];
  let path = '';
  for (let i = 0; i < 3; i++) {
    const download = page.waitForEvent('download', { timeout: 120_000 });
    const before = await page.evaluate(() => performance.now());
    await page.getByRole('button', { name: `Make the ${format}` }).click();
    const got = await download;
    times.push((await page.evaluate(() => performance.now())) - before);
    path = await got.path();
    await page.waitForTimeout(400);
  }
  return { seconds: best(times) / 1000, path };
}

/** The demo page's picture files, as the browser's engine decodes them, and the finished page, if given, encoded as PNG once more. */
async function decodeAndEncode(
  page: Page,
  files: readonly Uint8Array[],
  finished?: Uint8Array,
): Promise<number> {
  const data = files.map((file) => Buffer.from(file).toString('base64'));
  const sheet = finished && Buffer.from(finished).toString('base64');
  return page.evaluate(
    async ([pictures, made]) => {
      const work = `onmessage = async ({ data: [blobs, finished] }) => {
        const canvas = new OffscreenCanvas(3600, 3600);
        const context = canvas.getContext('2d');
        if (finished) context.drawImage(await createImageBitmap(finished), 0, 0);
        context.getImageData(0, 0, 1, 1);
        const start = performance.now();
        for (const blob of blobs) { if (finished) (await createImageBitmap(blob)).close(); else await blob.arrayBuffer(); }
        if (finished) await (await canvas.convertToBlob({ type: 'image/png' })).arrayBuffer();
        postMessage(performance.now() - start);
      };`;
      const blobs = await Promise.all(
        pictures.map(
          async (text) =>
            new Blob([Uint8Array.from(atob(text), (c) => c.charCodeAt(0))], { type: 'image/jpeg' }),
        ),
      );
      const page =
        made && new Blob([Uint8Array.from(atob(made), (c) => c.charCodeAt(0))], { type: 'image/png' });
      const worker = new Worker(URL.createObjectURL(new Blob([work])));
      return new Promise<number>((resolve) => {
        worker.onmessage = ({ data: ms }) => resolve(ms as number);
        worker.postMessage([blobs, page]);
      });
    },
    [data, sheet] as const,
  );
}

async function outputs(browser: Browser, which: { png: boolean; pdf: boolean }): Promise<void> {
  const { project, bytes } = await openedFile(DEMO);
  const used = [
    ...new Set(
      project.surfaces[0]!.pile.flatMap(({ material }) => ('asset' in material ? [material.asset] : [])),
    ),
  ];
  const files = used.map((sha) => bytes.get(sha)!);
  await withPage(browser, async (page) => {
    await openFile(page, DEMO);
    if (which.png) {
      const { seconds, path } = await makeInBrowser(page, 'PNG');
      const finished = await readFile(path);
      const times = [];
      for (let i = 0; i < 3; i++) times.push(await decodeAndEncode(page, files, finished));
      const floor = best(times) / 1000;
      note(
        'Demo page to PNG 3600 x 3600',
        seconds,
        floor,
        's',
        'at most 2 x: decode its photos + encode one PNG',
        seconds <= 2 * floor,
      );
      await page.getByRole('button', { name: 'Back to the table' }).click();
    }
    if (which.pdf) {
      const floor = (await decodeAndEncode(page, files)) / 1000;
      const { seconds, path } = await makeInBrowser(page, 'PDF');
      const pdf = await readFile(path);
      // What was noted in a photo is left out; its picture, from the last start of a scan on, is as it was.
      const scans = files
        .map((file) => Buffer.from(file))
        .filter((file) => file.readUInt16BE(0) === 0xffd8)
        .map((file) => file.subarray(file.lastIndexOf('ffda', undefined, 'hex')));
      const untouched = scans.length > 0 && scans.every((scan) => pdf.includes(scan));
      note(
        `Demo page to PDF (${untouched ? 'no' : 'SOME'} photo re-encoded)`,
        seconds,
        Math.max(floor, 0.001),
        's',
        'under 1.0 s, photos byte for byte',
        seconds < 1 && untouched,
      );
    }
  });
}

async function sizes(browser: Browser): Promise<void> {
  const gzipped = (address: string) =>
    withPage(browser, async (page) => {
      const seen = new Map<string, number>();
      page.on('response', async (response) => {
        if (!response.url().split('?')[0]!.endsWith('.js')) return;
        const body = await response.body().catch(() => Buffer.alloc(0));
        seen.set(response.url(), gzipSync(body).length);
      });
      await page.goto(`${BASE}${address}`);
      await page.waitForTimeout(2500);
      return [...seen.values()].reduce((a, b) => a + b, 0) / 1000;
    });
  const react =
    gzipSync(await readFile(join(ROOT, 'node_modules/react-dom/cjs/react-dom-client.production.js'))).length /
    1000;
  const home = await gzipped('/');
  note('JavaScript for Home, gzipped', home, react, 'kB', 'under 250 kB; floor: react-dom alone', home < 250);
  const table = await gzipped('/table?project=none');
  note(
    'JavaScript for Table, gzipped',
    table,
    react,
    'kB',
    'under 600 kB; floor: react-dom alone',
    table < 600,
  );
}

const only =
  process.argv
    .find((argument) => argument.startsWith('--only='))
    ?.slice(7)
    .split(',') ?? process.argv[process.argv.indexOf('--only') + 1]?.split(',');
const wants = (name: string) =>
  !process.argv.some((argument) => argument.startsWith('--only')) || only?.includes(name);
const server = spawn(
  process.execPath,
  [join(ROOT, 'node_modules/next/dist/bin/next'), 'start', '--port', String(PORT)],
  { cwd: ROOT, stdio: 'ignore' },
);
try {
  for (let i = 0; i < 100; i++) {
    if (
      await fetch(BASE).then(
        () => true,
        () => false,
      )
    )
      break;
    await new Promise((done) => setTimeout(done, 200));
  }
  const browser = await chromium.launch(CHROMIUM);
  if (wants('size')) await sizes(browser);
  if (wants('png') || wants('pdf'))
    await outputs(browser, { png: Boolean(wants('png')), pdf: Boolean(wants('pdf')) });
  if (wants('import')) await importing(browser, BASE, withPage, note);
  if (wants('arrange')) await arrange(browser, { withPage, openFile, frames, note });
  if (wants('card')) await card(browser, { withPage, openFile, frames, note });
  if (wants('calendar')) await calendar({ note });
  if (wants('book')) await book(browser, BASE, withPage, openFile, frames, note);
  if (wants('sheet')) await sheet(note);
  if (wants('cutter')) await cutter(note);
  if (wants('lines')) await lines(browser, { withPage, openFile, note });
  if (wants('doors')) await doors(browser, BASE, withPage, note);
  if (wants('proof')) await proof(browser, { withPage, openFile, note });
  if (wants('out')) await out(note);
  if (wants('cutting')) await cutting({ note });
  if (wants('photos')) await photos({ note });
  if (wants('inks')) await inks({ note });
  if (wants('dyes')) await dyes({ note });
  if (wants('words')) await words(browser, BASE, withPage, note);
  if (wants('kept')) await keeping(browser, BASE, { withPage, openFile, note });
  if (wants('cupboard')) await cupboard(browser, BASE, withPage, note);
  await browser.close();
  await writeFile(
    join(ROOT, 'bench.json'),
    JSON.stringify({ at: new Date().toISOString(), figures }, null, 1),
  );
} finally {
  server.kill();
}
process.exit(figures.every(({ met }) => met) ? 0 : 1);
