/** What it costs to send a large book out: forty pages with two hundred photos as PDF/X-4, and what memory it takes. */
import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { randomBytes } from 'node:crypto';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { drawSurface } from '@/core/page/draw';
import { toolsFor } from '@/core/page/outlines';
import { conditionOf } from '@/core/press/conditions';
import type { Asset } from '@/core/picture/asset';
import { make } from '@/output/make';
import { fieldOf } from '@/core/proof/look-over/field';
import { eyeOn } from '@/core/proof/look-over/eye';
import { nodeTypesetter, nodeWorkshop } from '../node/platform';
import { assetOf, laid, photoOf, project } from '../testing/samples';
import { quickest, type Note } from './measure';

const [PAGES, EACH] = [40, 5];
/** As a camera of eight megapixels writes them, some two megabytes each. */
const [WIDTH, HEIGHT] = [3264, 2448];

/** One photo with a grain of its own, and others that differ from it in a comment alone. */
async function photos(count: number): Promise<{ asset: Asset; bytes: Buffer }[]> {
  const grain = await sharp({
    create: {
      width: WIDTH,
      height: HEIGHT,
      channels: 3,
      background: '#8a9a8c',
      noise: { type: 'gaussian', mean: 128, sigma: 22 },
    },
  })
    .jpeg({ quality: 70 })
    .toBuffer();
  return Array.from({ length: count }, (_, i) => {
    const says = Buffer.from(`photo ${i}`);
    const comment = Buffer.concat([Buffer.from([0xff, 0xfe, 0, says.length + 2]), says]);
    const bytes = Buffer.concat([grain.subarray(0, 2), comment, grain.subarray(2)]);
    return { asset: assetOf(bytes, WIDTH, HEIGHT), bytes };
  });
}

async function largeBook(note: Note): Promise<void> {
  const all = await photos(PAGES * EACH);
  const files = new Map(all.map(({ asset, bytes }) => [asset.sha, bytes]));
  const typesetter = await nodeTypesetter();
  const pages = Array.from({ length: PAGES }, (_, p) =>
    laid(
      all.slice(p * EACH, (p + 1) * EACH).map(({ asset }, i) =>
        photoOf(`photo ${i}`, asset, {
          x: 30 + 270 * (i % 3),
          y: 60 + 360 * Math.floor(i / 3),
          width: 240,
          height: 180,
        }),
      ),
      all.map(({ asset }) => asset),
      project(864, 864),
    ),
  );
  const tools = toolsFor(pages[0]!, typesetter);
  const pictures = pages.map(({ surfaces }) => drawSurface(surfaces[0]!, tools));
  const workshop = nodeWorkshop(
    (sha) => pages[0]!.assets[sha]!,
    (sha) => files.get(sha)!,
    typesetter,
  );
  const folder = await mkdtemp(join(tmpdir(), 'bench-out-'));
  const total = [...files.values()].reduce((sum, { length }) => sum + length, 0);
  try {
    const copy = await quickest(2, async () => {
      for (const [sha, bytes] of files) await writeFile(join(folder, sha), bytes);
    });
    let most = 0;
    const watch = setInterval(() => (most = Math.max(most, process.memoryUsage().rss)), 20);
    const before = process.memoryUsage().rss;
    const made = await quickest(2, async () => {
      const result = await make(
        pictures,
        { format: 'pdf', ppi: 300, withBleed: true, cropMarks: false, press: conditionOf('coated') },
        workshop,
      );
      if (!result.ok) throw new Error(result.message);
      await writeFile(join(folder, 'book.pdf'), result.value);
    });
    clearInterval(watch);
    const limit = `at most 3 x: their ${Math.round(total / 1e6)} MB written as they are`;
    note('40 pages with 200 photos to PDF/X-4', made, copy, 'ms', limit, made <= 3 * copy);
    const held = Math.max(most, process.memoryUsage().rss) - before;
    note(
      'Memory it takes beside them',
      held / 1e6,
      total / 1e6,
      'MB',
      'at most 3 x: the photos',
      held <= 3 * total,
    );
  } finally {
    await rm(folder, { recursive: true });
  }
}

/** As large as the proof shows a page. */
const SIDE = 560;

async function stepBack(note: Note): Promise<void> {
  const data = new Uint8ClampedArray(randomBytes(4 * SIDE * SIDE));
  const floor = await quickest(5, () => data.slice());
  const look = await quickest(3, () => eyeOn(fieldOf({ data, width: SIDE, height: SIDE })));
  note(
    'Where the eye goes on a page',
    look,
    floor,
    'ms',
    'under 100 ms; floor: its pixels copied',
    look < 100,
  );
}

export async function out(note: Note): Promise<void> {
  await stepBack(note);
  await largeBook(note);
}
