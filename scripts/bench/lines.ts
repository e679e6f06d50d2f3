/** What it costs to draw by hand, to lay ten thousand stamps, and to write what is sewn. */
import { mkdtemp, readFile, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createCanvas, loadImage } from '@napi-rs/canvas';
import type { Browser, Page } from '@playwright/test';
import { finishOf, type Finish } from '@/core/piece/finish';
import { besideEdge } from '@/core/piece/finish/trails';
import type { Piece } from '@/core/piece/piece';
import type { StampsMark } from '@/core/picture/picture';
import { TRAILS } from '@/core/trail';
import { openCourse } from '@/core/trail/course';
import { newGarland } from '@/core/trail/garland';
import { newStamps } from '@/core/trail/stamps';
import { NEW_THREAD } from '@/core/trail/thread/thread';
import { drawMarks } from '@/output/pixels/cut';
import { node, ROOT } from '../node/platform';
import { making } from '../testing/making';
import { inkPiece, laid, photoOf, project, quarters } from '../testing/samples';
import { crowdedFile } from './crowded';
import { percentile, quickest, type Note, type WithPage } from './measure';

interface Shop {
  withPage: WithPage;
  openFile: (page: Page, file: string) => Promise<void>;
  note: Note;
}

/** Ten thousand stamps of a picture along a line, at 300 ppi, beside the same bitmaps laid at the same places. */
async function stamped(note: Note): Promise<void> {
  const bytes = quarters(60, 60, 'image/png');
  const { register } = making();
  const asset = register(bytes, 60, 60);
  const points = Array.from({ length: 4000 }, (_, i) => ({
    x: 432 + 380 * Math.cos(i / 90),
    y: 432 + 380 * Math.sin(i / 61),
  }));
  const course = openCourse(points);
  const [run] = course.runs;
  const trail = { ...newStamps([{ asset: asset.sha, ratio: 1 }], '#9e2b45', 14.4), own: true as const };
  const mark = TRAILS.stamps.lay({ ...trail, spacing: run!.length / 10_000 / 14.4 }, [course], {
    toward: { x: 0, y: 0, z: 1 },
    strength: 0,
    asset: () => asset,
  })[0] as StampsMark;
  const image = await loadImage(bytes);
  const source = {
    platform: node,
    drawing: () => undefined,
    image: () => ({ source: image as never, width: 60, height: 60, whole: { width: 60, height: 60 } }),
  };
  const scale = 300 / 72;
  const measured = await quickest(3, () => {
    const canvas = createCanvas(3600, 3600);
    drawMarks(canvas.getContext('2d') as never, [mark], [scale, 0, 0, scale, 0, 0], source, 1);
    return canvas.getContext('2d').getImageData(0, 0, 1, 1);
  });
  const floor = await quickest(3, () => {
    const canvas = createCanvas(3600, 3600);
    const context = canvas.getContext('2d');
    for (const {
      map: [a, b, c, d, e, f],
    } of mark.places) {
      context.setTransform(a * scale, b * scale, c * scale, d * scale, e * scale, f * scale);
      context.drawImage(image, -7.2, -7.2, 14.4, 14.4);
    }
    return context.getImageData(0, 0, 1, 1);
  });
  note(
    `${mark.places.length} stamps at 300 ppi`,
    measured,
    floor,
    'ms',
    'at most 2 x: the same bitmaps laid',
    measured <= 2 * floor,
  );
}

/** A page of twenty photos with stitches round each, beside the same page with plain lines; a wreath of four hundred leaves. */
async function written(note: Note): Promise<void> {
  const { register, made } = making();
  const photo = register(
    await readFile(join(ROOT, 'public/demo/photos/fly-in-first-launch.jpg')),
    1600,
    1200,
  );
  const leaf = register(quarters(60, 90, 'image/png'), 60, 90);
  const page = (finish: Partial<Finish>) =>
    laid(
      Array.from({ length: 20 }, (_, i): Piece => ({
        ...photoOf(`p${i}`, photo, {
          x: 30 + (i % 5) * 160,
          y: 30 + Math.floor(i / 5) * 200,
          width: 150,
          height: 180,
        }),
        finish: { ...finishOf(0.25), ...finish },
      })),
      [photo],
      project(864, 864),
    );
  const time = (finish: Partial<Finish>) =>
    quickest(3, () => made(page(finish), { format: 'pdf' }, 'sewn.pdf'));
  const lines = await time({ stroke: { colour: '#9e2b45', width: 2, side: 'inside' } });
  const sewn = await time({ trails: [besideEdge(NEW_THREAD)] });
  note(
    'PDF of 20 photos with stitched edges',
    sewn,
    lines,
    'ms',
    'at most 1.3 x: with plain lines',
    sewn <= 1.3 * lines,
  );
  const wreath = { ...newGarland([{ asset: leaf.sha, ratio: 1.5 }], []), width: 14, dense: 1 };
  const round = inkPiece('round', 40, 40, 780, 780, {
    outline: { kind: 'ellipse' },
    finish: { ...finishOf(0.3), trails: [besideEdge(wreath)] },
  });
  const size = async (piece: Piece) =>
    (await readFile(await made(laid([piece], [leaf], project(864, 864)), { format: 'pdf' }, 'wreath.pdf')))
      .length / 1000;
  const [measured, floor] = [await size(round), await size({ ...round, finish: finishOf(0.3) })];
  note(
    'PDF of a wreath of 400 leaves and more',
    measured,
    floor,
    'kB',
    'under 300 kB; floor: without it',
    measured < 300,
  );
}

/** Work on the main thread in each frame while something is drawn: of pointer events and of what waits for the frame. */
const METER = `(() => {
  let work = 0;
  const frames = [];
  const timed = (f) => function (...given) { const start = performance.now(); try { return f.apply(this, given); } finally { work += performance.now() - start; } };
  const ask = window.requestAnimationFrame.bind(window);
  window.requestAnimationFrame = (f) => ask(timed(f));
  const add = EventTarget.prototype.addEventListener;
  EventTarget.prototype.addEventListener = function (type, f, ...more) {
    return add.call(this, type, type === 'pointermove' && typeof f === 'function' ? timed(f) : f, ...more);
  };
  const tick = () => { frames.push(work); work = 0; ask(tick); };
  ask(tick);
  window.takeFrames = () => frames.splice(0).filter((each) => each > 0);
})()`;

async function drawn(browser: Browser, { withPage, openFile, note }: Shop): Promise<void> {
  const file = join(await mkdtemp(join(tmpdir(), 'bench-')), 'crowded.bellagraph');
  await writeFile(file, await crowdedFile(100));
  const wander = async (page: Page, x: number, y: number) => {
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.evaluate('takeFrames()');
    for (let i = 0; i < 220; i++) {
      await page.mouse.move(x + 170 * Math.sin(i / 13), y + 130 * Math.sin(i / 9));
      await page.waitForTimeout(8);
    }
    const times = (await page.evaluate('takeFrames()')) as number[];
    await page.mouse.up();
    return percentile(times, 0.95);
  };
  const floor = await withPage(browser, async (page) => {
    await page.addInitScript(METER);
    await page.goto('about:blank');
    await page.setContent(
      '<canvas width="1200" height="700"></canvas><script>const c = document.querySelector("canvas").getContext("2d"); const tip = document.createElement("canvas"); tip.width = tip.height = 40; tip.getContext("2d").arc(20, 20, 20, 0, 7); tip.getContext("2d").fill(); addEventListener("pointermove", (e) => c.drawImage(tip, e.clientX - 20, e.clientY - 20));</script>',
    );
    await page.evaluate(METER);
    await page.evaluate('addEventListener("pointermove", () => requestAnimationFrame(() => {}))');
    return wander(page, 500, 350);
  });
  await withPage(browser, async (page) => {
    await page.addInitScript(METER);
    await openFile(page, file);
    const box = (await page.locator('[data-testid=stage] > div').first().boundingBox())!;
    const zoom = box.width / 864;
    await page.keyboard.press('3');
    const sheet = page.getByRole('dialog', { name: 'Paint and thread' });
    for (const tip of ['Soft round', 'Round pen', 'Watercolour']) {
      await sheet.getByRole('button', { name: tip }).click();
      const width = sheet.getByRole('textbox', { name: 'Width', exact: true });
      await width.fill(`${(40 / zoom).toFixed(1)} pt`);
      await width.press('Enter');
      const measured = await wander(page, box.x + box.width * 0.6, box.y + box.height / 2);
      note(
        `Drawing with ${tip.toLowerCase()}, 40 px, on a page of 100 pieces, 95th percentile`,
        measured,
        floor,
        'ms',
        'under 8 ms of work a frame; floor: a bitmap laid',
        measured < 8,
      );
      await page.waitForTimeout(500);
    }
  });
}

export async function lines(browser: Browser, shop: Shop): Promise<void> {
  await stamped(shop.note);
  await written(shop.note);
  await drawn(browser, shop);
}
