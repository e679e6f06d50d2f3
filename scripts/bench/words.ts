/** What words cost: typing in long journaling, words over and over, along an outline, the list of families. */
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Browser, Page } from '@playwright/test';
import { rectanglePath } from '@/core/geometry/path';
import { FIRST_WORDS, words as material, type WordsMaterial } from '@/core/piece/material/words';
import { glyphs, type GlyphsOutline } from '@/core/piece/outline/glyphs';
import { setRunning, type RunningOutline } from '@/core/piece/outline/running';
import { nodeTypesetter, ROOT } from '../node/platform';
import { newPage } from '../../e2e/table';
import type { Tools } from './arrange';
import { quickest } from './measure';

type WithPage = Tools['withPage'];

const SENTENCE = 'We carried the paper lanterns down to the shingle and waited for the wind to drop. ';
/** Font files beside the families of the house, so that the list holds sixty. */
const MORE_FONTS = 36;
const KEYS = 20;

export async function words(
  browser: Browser,
  base: string,
  withPage: WithPage,
  note: Tools['note'],
): Promise<void> {
  const typesetter = await nodeTypesetter();
  const text = SENTENCE.repeat(25).slice(0, 2000);
  const outline: GlyphsOutline = {
    kind: 'glyphs',
    text,
    family: 'caveat',
    size: 12,
    align: 'left',
    leading: 1.2,
    wrap: true,
  };
  const font = typesetter.font('caveat-latin-400-normal');
  const shaped = await quickest(7, () => font.shape(text));
  let turn = 0;
  const cut = await quickest(7, () =>
    glyphs.cut({ ...outline, text: `${text}${turn++}` }, { width: 300, height: 400 }, typesetter),
  );
  note(
    '2,000 letters set and cut',
    cut,
    shaped,
    'ms',
    'part of a key: under 16 ms; floor: shaped once',
    cut < 16,
  );

  const box = { width: 400, height: 400 };
  const filled: WordsMaterial = {
    ...FIRST_WORDS,
    text: 'wind\nsea\nkites',
    family: 'lora',
    size: 13,
    inks: ['#24506b', '#9e2b45'],
  };
  const path = rectanglePath({ x: -200, y: -200, width: 400, height: 400 });
  const fill = await quickest(7, () =>
    material.fill(filled, { size: box, path, typesetter, asset: () => undefined }),
  );
  const once = await quickest(7, () =>
    typesetter.outline(typesetter.set('wind sea kites', { ...outline, size: 13 }, null).runs),
  );
  note('400 words in an outline', fill, once, 'ms', 'under 200 ms; floor: the words once', fill < 200);

  const running: RunningOutline = {
    kind: 'running',
    text: 'salt and wind and string',
    family: 'zilla-slab',
    size: 14,
    base: { kind: 'punch', punch: 'heart', settings: {} },
    side: 'outside',
    clockwise: true,
    start: 0.3,
    repeat: true,
    between: ' · ',
    corners: 'break',
    gap: 3,
  };
  const along = await quickest(7, () => setRunning(running, { width: 300, height: 280 }, typesetter));
  const line = await quickest(7, () => typesetter.font('zilla-slab-latin-400-normal').shape(running.text));
  note('Words fitted along a heart', along, line, 'ms', 'under 20 ms; floor: shaped once', along < 20);

  await withPage(browser, async (page) => {
    await newPage(page, '12 x 12 in', base);
    await page.keyboard.press('j');
    await page.waitForTimeout(400);
    const field = page.getByRole('textbox', { name: 'Journaling words' });
    await field.fill('Kites');
    await page.waitForTimeout(500);
    const few = await typed(page);
    await field.fill(text);
    await page.waitForTimeout(800);
    const key = await typed(page);
    note(
      'A key in 2,000 letters, to the screen',
      key,
      few,
      'ms',
      'under 33 ms; floor: a key in five letters',
      key < 33,
    );
  });

  await withPage(browser, async (page) => {
    await newPage(page, '12 x 12 in', base);
    await page.keyboard.press('t');
    await page.keyboard.type('Lanterns');
    await page.waitForTimeout(500);
    const open = page.getByRole('button', { name: /All families/ });
    await open.click();
    await page.getByTestId('font-input').setInputFiles(moreFonts());
    await page
      .getByText('is here.')
      .nth(MORE_FONTS - 1)
      .waitFor();
    await page.keyboard.press('Escape');
    await page.waitForTimeout(500);
    const list = await opened(page);
    note('The list of 60 families', list, 16.7, 'ms', 'under 300 ms; floor: one frame', list < 300);
  });
}

/** Milliseconds from a key to the frame after it, the middle one of several. */
const typed = async (page: Page): Promise<number> => {
  await page.evaluate(() => {
    const times: number[] = [];
    Object.assign(window, { times });
    addEventListener(
      'keydown',
      () => {
        const began = performance.now();
        requestAnimationFrame(() => setTimeout(() => times.push(performance.now() - began)));
      },
      true,
    );
  });
  for (let i = 0; i < KEYS; i++) {
    await page.keyboard.press('x');
    await page.waitForTimeout(150);
  }
  const times = await page.evaluate(() => (window as unknown as { times: number[] }).times);
  return times.sort((a, b) => a - b)[Math.floor(times.length / 2)]!;
};

const opened = (page: Page): Promise<number> =>
  page.evaluate(
    () =>
      new Promise<number>((done) => {
        const began = performance.now();
        const look = () =>
          document.querySelectorAll('[role=dialog] section[aria-label=All] button[aria-pressed]').length >= 60
            ? requestAnimationFrame(() => done(performance.now() - began))
            : requestAnimationFrame(look);
        look();
        [...document.querySelectorAll<HTMLElement>('button')]
          .find((button) => button.getAttribute('aria-label')?.includes('All families'))!
          .click();
      }),
  );

function moreFonts(): { name: string; mimeType: string; buffer: Buffer }[] {
  const folder = join(ROOT, 'node_modules', '@fontsource');
  return readdirSync(folder)
    .flatMap((family) =>
      readdirSync(join(folder, family, 'files'))
        .filter((name) => /-latin-(500|600|700)-normal\.woff$/.test(name))
        .map((name) => ({
          name,
          mimeType: 'font/woff',
          buffer: readFileSync(join(folder, family, 'files', name)),
        })),
    )
    .slice(0, MORE_FONTS);
}
