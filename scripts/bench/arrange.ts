/** Arranging on crowded pages: dragging, framing, zooming, turning pages, undoing, picking. */
import { mkdtemp, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Browser, Page } from '@playwright/test';
import { piecesAt } from '@/core/page/pick';
import { toolsFor } from '@/core/page/outlines';
import { extentOf } from '@/core/piece/placement/placement';
import { openedFile } from '../node/files';
import { random } from '@/core/random';
import { nodeTypesetter } from '../node/platform';
import { crowdedFile } from './crowded';
import { leastOf, percentile, type Note, type WithPage } from './measure';

export interface Tools {
  withPage: WithPage;
  openFile: (page: Page, file: string) => Promise<void>;
  frames: (page: Page, during: () => Promise<void>) => Promise<number[]>;
  note: Note;
}

const wander = async (page: Page, x: number, y: number, wide: number, tall: number) => {
  for (let i = 0; i < 150; i++) {
    await page.mouse.move(x + wide * Math.sin(i / 9), y + tall * Math.sin(i / 7));
    await page.waitForTimeout(8);
  }
};

/** An empty page with one square that follows the pointer. */
const FLOOR =
  '<div style="width:80px;height:80px;background:#9e2b45;position:absolute"></div><script>addEventListener("pointermove", (e) => { document.querySelector("div").style.transform = `translate(${e.clientX}px, ${e.clientY}px)`; });</script>';

/**
 * The 95th percentile of frames while a hand wanders over the page, and over the empty page beside it, in turns: a machine that others
 * use too slows down both.
 */
async function inTurns(floor: Page, page: Page, { frames }: Tools, over: () => Promise<void>) {
  const late = async (of: Page, during: () => Promise<void>) => {
    await of.bringToFront();
    return percentile(await frames(of, during), 0.95);
  };
  const least = await leastOf(async () => ({
    floor: await late(floor, () => wander(floor, 480, 320, 90, 70)),
    measured: await late(page, over),
  }));
  return { ...least, met: least.measured <= 1.1 * least.floor };
}

async function middleOf(page: Page): Promise<{ x: number; y: number }> {
  const box = (await page.locator('[data-testid=stage] > div').first().boundingBox())!;
  return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
}

/** Milliseconds from a key's going down to the second frame after it: what was asked for is on the screen. */
const untilShown = (page: Page, key: string): Promise<number> =>
  page.evaluate(
    (pressed) =>
      new Promise<number>((resolve) => {
        const [name, alt, ctrl] = pressed.split(' ');
        const start = performance.now();
        document.querySelector('[data-testid=stage]')!.dispatchEvent(
          new KeyboardEvent('keydown', {
            key: name!,
            altKey: alt === 'alt',
            ctrlKey: ctrl === 'ctrl',
            bubbles: true,
            cancelable: true,
          }),
        );
        requestAnimationFrame(() => requestAnimationFrame(() => resolve(performance.now() - start)));
      }),
    key,
  );

const several = async (count: number, measure: (i: number) => Promise<number>): Promise<number[]> => {
  const times: number[] = [];
  for (let i = 0; i <= count; i++) times.push(await measure(i));
  // The first warms up.
  return times.slice(1);
};

/** Milliseconds from a press on a slab of the pile until About this piece tells of that one, on the screen. */
const untilTold = (page: Page, index: number): Promise<number> =>
  page.evaluate(async (i) => {
    const slabs = document.querySelectorAll<HTMLElement>(
      '[aria-label="Pieces, top first"] button[aria-pressed]',
    );
    const slab = slabs[i % 2]!;
    const shown = () =>
      document.querySelector<HTMLInputElement>('[data-about] input[aria-label="Name of this piece"]')?.value;
    const before = shown();
    await new Promise((resolve) => setTimeout(resolve, 300));
    const start = performance.now();
    slab.click();
    return new Promise<number>((resolve) => {
      const look = () =>
        shown() !== undefined && shown() !== before
          ? requestAnimationFrame(() => resolve(performance.now() - start))
          : requestAnimationFrame(look);
      requestAnimationFrame(look);
    });
  }, index);

/** Milliseconds from a turn of the wheel until the page is sharp again, and how long it was painted in one go. */
const untilSharp = (page: Page, deltaY: number): Promise<{ sharp: number; painting: number }> =>
  page.evaluate(
    (by) =>
      new Promise((resolve) => {
        const tasks: number[] = [];
        const watch = new PerformanceObserver((list) => {
          tasks.push(...list.getEntries().map(({ duration }) => duration));
        });
        watch.observe({ type: 'longtask' });
        const stage = document.querySelector('[data-testid=stage]')!;
        const box = stage.getBoundingClientRect();
        const start = performance.now();
        const about = { clientX: box.x + 300, clientY: box.y + 300 };
        stage.dispatchEvent(
          new WheelEvent('wheel', { deltaY: by, ctrlKey: true, ...about, bubbles: true, cancelable: true }),
        );
        const holder = document.querySelector('[data-testid=below]')!.parentElement!;
        const look = () => {
          if (holder.style.transform) return requestAnimationFrame(look);
          const sharp = performance.now() - start;
          setTimeout(() => {
            watch.disconnect();
            resolve({ sharp, painting: Math.max(...tasks) });
          }, 100);
        };
        requestAnimationFrame(look);
      }),
    deltaY,
  );

/** Which of 300 pieces lie under a spot, their transparent parts left out, in this process. */
async function picking(note: Tools['note']): Promise<void> {
  const { project } = await openedFile(await crowdedFile(300));
  const { pile, width, height } = project.surfaces[0]!;
  const tools = toolsFor(project, await nodeTypesetter());
  const next = random(300);
  const time = (work: (point: { x: number; y: number }) => unknown) =>
    percentile(
      Array.from({ length: 600 }, () => {
        const point = { x: next() * width, y: next() * height };
        const start = performance.now();
        work(point);
        return performance.now() - start;
      }).slice(100),
      0.95,
    );
  const boxes = pile.map(({ placement }) => extentOf(placement));
  const floor = time(({ x, y }) =>
    boxes.filter((box) => x > box.x && y > box.y && x < box.x + box.width && y < box.y + box.height),
  );
  const picked = time((point) => piecesAt(pile, point, 4, tools));
  note(
    'Pick among 300 pieces, 95th percentile',
    picked,
    floor,
    'ms',
    'under 2 ms; floor: their boxes alone',
    picked < 2,
  );
}

export async function arrange(browser: Browser, tools: Tools): Promise<void> {
  const { withPage, openFile, note } = tools;
  const folder = await mkdtemp(join(tmpdir(), 'bench-arrange-'));
  const file = async (pieces: number) => {
    const path = join(folder, `${pieces}.bellagraph`);
    await writeFile(path, await crowdedFile(pieces));
    return path;
  };
  await picking(note);
  const limit = 'at most 1.1 x; floor: one square that follows the pointer';
  const floored = async (page: Page): Promise<Page> => {
    const floor = await page.context().newPage();
    await floor.setContent(FLOOR);
    return floor;
  };
  await withPage(browser, async (page) => {
    const floor = await floored(page);
    await page.bringToFront();
    await openFile(page, await file(300));
    const { x, y } = await middleOf(page);
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x + 8, y + 8);
    await page.waitForTimeout(300);
    const one = await inTurns(floor, page, tools, () => wander(page, x, y, 90, 70));
    await page.mouse.up();
    note(
      'Drag one of 300 pieces with snapping, 95th percentile frame',
      one.measured,
      one.floor,
      'ms',
      limit,
      one.met,
    );

    const corner = { x: x - 240, y: y - 240 };
    await page.getByTestId('stage').press('Escape');
    await page.mouse.move(corner.x, corner.y);
    await page.mouse.down();
    await page.mouse.move(corner.x + 8, corner.y + 8);
    await page.waitForTimeout(300);
    const framed = await inTurns(floor, page, tools, () => wander(page, x, y, 200, 180));
    await page.mouse.up();
    note(
      'Frame drawn over 300 pieces, 95th percentile frame',
      framed.measured,
      framed.floor,
      'ms',
      limit,
      framed.met,
    );
  });
  await withPage(browser, async (page) => {
    await openFile(page, await file(150));
    const idle = percentile(await several(6, () => untilShown(page, 'F13 none none')), 0.5);
    // In each round as many of one as of the other, by turns.
    const { told } = await leastOf(async () => ({
      told: percentile(await several(19, (i) => untilTold(page, i)), 0.95),
    }));
    note(
      'Select one of 150 pieces until its panel is shown, 95th percentile',
      told,
      idle,
      'ms',
      'under 50 ms; floor: two frames in which nothing changes',
      told < 50,
    );
  });
  await withPage(browser, async (page) => {
    const floor = await floored(page);
    await page.bringToFront();
    await openFile(page, await file(50));
    const { x, y } = await middleOf(page);
    await page.getByTestId('stage').focus();
    await page.keyboard.press('Control+a');
    await page.keyboard.press('Control+g');
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x + 8, y + 8);
    await page.waitForTimeout(300);
    const group = await inTurns(floor, page, tools, () => wander(page, x, y, 90, 70));
    await page.mouse.up();
    note('Drag a group of 50, 95th percentile frame', group.measured, group.floor, 'ms', limit, group.met);
  });
  await withPage(browser, async (page) => {
    const floor = await floored(page);
    await page.bringToFront();
    await openFile(page, await file(150));
    const { x, y } = await middleOf(page);
    await page.mouse.move(x, y);
    await page.keyboard.down('Control');
    const zoomed = await inTurns(floor, page, tools, async () => {
      for (let i = 0; i < 60; i++) {
        await page.mouse.wheel(0, i % 20 < 10 ? -60 : 60);
        await page.waitForTimeout(16);
      }
    });
    await page.keyboard.up('Control');
    note(
      'Wheel zoom of 150 pieces, 95th percentile frame',
      zoomed.measured,
      zoomed.floor,
      'ms',
      'under 34 ms',
      zoomed.measured < 34,
    );
    const zooms = [];
    for (const deltaY of [-200, 200, -200, 200, -200]) {
      zooms.push(await untilSharp(page, deltaY));
      await page.waitForTimeout(400);
    }
    const middle = (values: number[]): number => percentile(values, 0.5);
    const [sharp, once] = [
      middle(zooms.map(({ sharp: each }) => each)),
      middle(zooms.map(({ painting }) => painting)),
    ];
    note(
      'Sharp again after a zoom of 150 pieces',
      sharp,
      once,
      'ms',
      'at most 1.5 x; floor: painting them once',
      sharp <= 1.5 * once,
    );
    await page.getByTestId('stage').focus();
    await page.keyboard.press('Control+a');
    await page.keyboard.press('ArrowRight');
    await page.waitForTimeout(1500);
    const idle = await untilShown(page, 'F13 none none');
    const undone: number[] = [];
    for (let i = 0; i < 12; i++) {
      undone.push(await untilShown(page, `${i % 2 ? 'y' : 'z'} none ctrl`));
      await page.waitForTimeout(500);
    }
    // The first pair warms up.
    const undo = percentile(undone.slice(2), 0.95);
    note(
      'Undo a move of 150 pieces, 95th percentile',
      undo,
      once,
      'ms',
      'under 2 x; floor: painting them once',
      undo < 2 * once,
    );
    await page.getByRole('button', { name: 'Add a page' }).click();
    await page.waitForTimeout(600);
    const turned = await untilShown(page, 'PageUp alt none');
    note('Turn to a page of 150 pieces', turned, idle, 'ms', 'under 200 ms', turned < 200);
  });
}
