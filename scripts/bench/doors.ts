/** What it costs to read what people bring: the page's own time meanwhile, the pool's, and how soon it is over when that is wished. */
import { expose, wrap } from 'comlink';
import { readdirSync } from 'node:fs';
import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { MessageChannel } from 'node:worker_threads';
import type { Browser, Page } from '@playwright/test';
import { strToU8, zipSync } from 'fflate';
import { writeKit } from '@/core/supplies/kit-file';
import { Hands } from '@/workers/hands';
import { readNodeFont, ROOT } from '../node/platform';
import { quarters } from '../testing/samples';
import { newPage } from './importing';
import { longestTask, quickest, told, type Note, type WithPage } from './measure';

const PHOTOS = join(ROOT, 'public/demo/photos');

/** A kit of sixty pictures that nobody has. */
function kitZip(): Uint8Array {
  const pictures = Array.from(
    { length: 60 },
    (_, i) => [`${i}.png`, quarters(400 + i, 300, 'image/png')] as const,
  );
  const supplies = pictures.map(([file]) => ({ kind: 'embellishment' as const, name: file, file, tags: [] }));
  const kit = { name: 'Bench', description: '', author: '', licence: '', tags: [] };
  return zipSync({
    'kit.json': strToU8(writeKit({ kit, supplies })),
    ...Object.fromEntries(pictures.map(([file, png]) => [file, new Uint8Array(png)])),
  });
}

/** Milliseconds that a job's turn, terms and end cost, beside a plain call of the same worker. */
async function poolsOwn(): Promise<number> {
  const { port1, port2 } = new MessageChannel();
  const api = { nothing: () => 0 };
  expose(api, port2 as never);
  const worker = Object.assign(port1, { terminate: () => port1.close() }) as never;
  const plain = wrap<typeof api>(worker);
  const hands = new Hands<typeof api>(() => worker, 1);
  const [times, jobs] = [5, 500];
  const each = async (call: () => Promise<unknown>) => {
    for (let i = 0; i < jobs; i++) await call();
  };
  const bare = await quickest(times, () => each(() => plain.nothing()));
  const pooled = await quickest(times, () =>
    each(() => hands.do((one) => one.nothing(), { limit: 60_000, signal: new AbortController().signal })),
  );
  port1.close();
  port2.close();
  return Math.max(0, pooled - bare) / jobs;
}

export async function doors(browser: Browser, base: string, withPage: WithPage, note: Note): Promise<void> {
  const folder = await mkdtemp(join(tmpdir(), 'bench-doors-'));
  const photos = readdirSync(PHOTOS)
    .filter((name) => name.endsWith('.jpg'))
    .map((name) => join(PHOTOS, name));
  try {
    await withPage(browser, async (page) => {
      await newPage(page, base);
      const frame = await page.evaluate(
        () =>
          new Promise<number>((done) =>
            requestAnimationFrame((from) => requestAnimationFrame((to) => done(to - from))),
          ),
      );
      const ends: number[] = [];
      for (let i = 0; i < 5; i++) {
        // The same files once more would be no change of the field.
        await page
          .getByTestId('photo-input')
          .setInputFiles([...photos.slice(i + 1), ...photos.slice(0, i + 1)]);
        await page.getByRole('progressbar', { name: 'Bringing in photos' }).waitFor();
        ends.push(
          await page.evaluate(
            () =>
              new Promise<number>((done) => {
                const bar = () => document.querySelector('[aria-label="Bringing in photos"]');
                const stop = [...document.querySelectorAll('button')].find(({ innerText }) =>
                  /^(Stop|Cancel)/.test(innerText),
                )!;
                const start = performance.now();
                new MutationObserver((_, watch) => {
                  if (bar()) return;
                  watch.disconnect();
                  done(performance.now() - start);
                }).observe(document.body, { childList: true, subtree: true });
                stop.click();
              }),
          ),
        );
        await page.waitForTimeout(500);
      }
      const most = Math.max(...ends);
      note('Cancel of an import to idle', most, frame, 'ms', 'under 100 ms; floor: one frame', most < 100);
      const start = performance.now();
      await page.getByTestId('photo-input').setInputFiles(photos);
      await told(page, / in the workbox\./);
      const seconds = (performance.now() - start) / 1000;
      const own = (photos.length * (await poolsOwn())) / 1000;
      note(
        `The pool’s own time for ${photos.length} photos`,
        own,
        seconds,
        's',
        'at most 3 % of their import, which is the floor',
        own <= 0.03 * seconds,
      );
    });
    const kit = join(folder, 'bench.zip');
    await writeFile(kit, kitZip());
    const fonts = await Promise.all(
      [
        'caveat-latin-400-normal',
        'lora-latin-400-normal',
        'lobster-latin-400-normal',
        'pacifico-latin-400-normal',
      ].map(async (name) => ({
        name: `${name}.woff`,
        mimeType: 'font/woff',
        buffer: Buffer.from(await readNodeFont(name)),
      })),
    );
    /** Each with the same screen left alone, which is its floor. */
    const entries: [
      name: string,
      open: (page: Page) => Promise<void>,
      give: (page: Page) => Promise<unknown>,
    ][] = [
      [
        'a project file',
        async (page) => void (await page.goto(`${base}/`)),
        async (page) => {
          await page
            .getByLabel('Project file')
            .setInputFiles(join(ROOT, 'public/demo/saltmarsh-year-book.bellagraph'));
          await told(page, /Opened “/);
        },
      ],
      [
        'a kit of 60 supplies',
        async (page) => {
          await page.goto(`${base}/cupboard`);
          await page.getByRole('option').first().waitFor();
          await page.waitForTimeout(1500);
        },
        async (page) => {
          await page.getByTestId('supply-input').setInputFiles(kit);
          await told(page, /supplies put away/);
        },
      ],
      [
        'fonts',
        async (page) => {
          await newPage(page, base);
          await page.getByTestId('stage').press('t');
          await page.keyboard.type('Kites');
          await page.keyboard.press('Control+a');
          await page.getByRole('button', { name: /^Letters: / }).click();
          await page.getByTestId('font-input').waitFor({ state: 'attached' });
          await page.waitForTimeout(1000);
        },
        async (page) => {
          await page.getByTestId('font-input').setInputFiles(fonts);
          await page.waitForTimeout(3000);
        },
      ],
    ];
    for (const [name, open, give] of entries)
      await withPage(browser, async (page) => {
        await open(page);
        const floor = await longestTask(browser, page, () => page.waitForTimeout(1500));
        const { own, passed } = await longestTask(browser, page, () => give(page));
        note(
          `Longest main-thread task while ${name} come${name.startsWith('a ') ? 's' : ''} in`,
          own,
          Math.max(1, floor.own),
          'ms',
          `not over 50 ms of its own (${passed.toFixed(0)} ms passed); floor: the same screen left alone`,
          own <= 50,
        );
      });
  } finally {
    await rm(folder, { recursive: true });
  }
}
