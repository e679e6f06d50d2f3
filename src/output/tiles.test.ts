/** A page in tiles, put together again, is the page: pixel for pixel, by poppler. */
import { join } from 'node:path';
import fc from 'fast-check';
import sharp from 'sharp';
import { registerMarks } from '@/core/cutter/register';
import { overlaps } from '@/core/geometry/box';
import { evenly } from '@/core/geometry/sides';
import { foldedOn } from '@/core/packing/on-paper';
import { SEVERAL, severalOn } from '@/core/packing/several';
import { within } from '@/core/geometry/box';
import { tileMarks, type TileMark } from '@/core/packing/tile-marks';
import { tilesOf } from '@/core/packing/tiles';
import { book } from '../../scripts/testing/books';
import { difference } from '../../scripts/testing/difference';
import { making } from '../../scripts/testing/making';
import { inkPiece, laid, photoOf, project, quarters } from '../../scripts/testing/samples';
import { madeBy, waysOut } from '@/core/product';
import type { Project } from '@/core/project/model';
import type { MakeOptions } from '@/output/formats';

const { folder, tool, register, made, printed } = making();
const LETTER = { width: 612, height: 792 };

test('12 x 12 in on letter paper: four sheets that come together to the page', async () => {
  const photo = register(quarters(200, 200), 200, 200);
  const page = laid(
    [
      { ...photoOf('photo', photo, { x: 100, y: 80, width: 640, height: 700 }) },
      { ...inkPiece('turned', 300, 400, 300, 90), id: 'turned' },
    ],
    [photo],
    project(864, 864),
  );
  page.surfaces[0]!.pile[1]!.placement.turn = 30;
  // More is lost at the foot, as on most printers.
  const lost = { top: 18, right: 20, bottom: 36, left: 16 };
  const tiled = { paper: LETTER, lost, overlap: 18 };
  const path = await made(page, { format: 'pdf', tiled }, 'tiles.pdf');
  const whole = await made(page, { format: 'pdf' }, 'whole.pdf');
  const tiles = tilesOf(page.surfaces[0]!, tiled);
  if (!tiles.ok) throw new Error(tiles.message);
  expect(tiles.value.map(({ column, row }) => [column, row])).toEqual([
    [0, 0],
    [1, 0],
    [0, 1],
    [1, 1],
  ]);
  expect(tool('pdfinfo', path)).toMatch(/Pages:\s+4[\s\S]*612 x 792 pts \(letter\)/);
  // A pixel a point: every part begins on a whole one.
  tool('pdftoppm', '-r', '72', '-png', path, join(folder, 'tile'));
  tool('pdftoppm', '-r', '72', '-png', '-singlefile', whole, join(folder, 'whole'));
  const pieces = await Promise.all(
    tiles.value.map(async ({ part }, i) => ({
      input: await sharp(join(folder, `tile-${i + 1}.png`))
        .extract({ left: lost.left, top: lost.top, width: part.width, height: part.height })
        .toBuffer(),
      left: part.x,
      top: part.y,
    })),
  );
  // Each is laid over the ones before it.
  const together = await sharp({ create: { width: 864, height: 864, channels: 3, background: '#ffffff' } })
    .composite(pieces)
    .removeAlpha()
    .raw()
    .toBuffer();
  const expected = await sharp(join(folder, 'whole.png')).removeAlpha().raw().toBuffer();
  let most = 0;
  for (let i = 0; i < expected.length; i++) most = Math.max(most, Math.abs(expected[i]! - together[i]!));
  // Of 255: poppler rounds once more where a page is shown in parts.
  expect(most).toBeLessThanOrEqual(4);
});

test('handed to a browser’s print, sheets look as they do in a PDF: in tiles, and folded', async () => {
  const photo = register(quarters(400, 400), 400, 400);
  const page = laid(
    [photoOf('photo', photo, { x: 100, y: 80, width: 640, height: 700 })],
    [photo],
    project(864, 864),
  );
  const compare = async (
    of: Project,
    options: Partial<MakeOptions>,
    pages: Parameters<typeof printed>[2],
  ) => {
    const path = await made(of, { format: 'pdf', ...options }, 'sheets.pdf', pages);
    const sheets = await printed(of, { format: 'jpg', ...options, ppi: 72 }, pages);
    for (const [i, { paper, jpeg }] of sheets.entries()) {
      const [ours, theirs] = [join(folder, `ours-${i}.jpg`), join(folder, `theirs-${i}`)];
      await sharp(jpeg).toFile(ours);
      const number = String(i + 1);
      tool('pdftoppm', '-r', '72', '-png', '-singlefile', '-f', number, '-l', number, path, theirs);
      const { width, height } = await sharp(ours).metadata();
      expect([width, height]).toEqual([Math.round(paper.width), Math.round(paper.height)]);
      expect((await difference(ours, `${theirs}.png`)).mean).toBeLessThan(1.2);
    }
    return sheets.length;
  };
  const tiled = { paper: LETTER, lost: evenly(18), overlap: 18 };
  expect(await compare(page, { tiled }, page.surfaces)).toBe(4);
  const booklet = book('booklet', 288, 288);
  const inked = {
    ...booklet,
    surfaces: booklet.surfaces.map((side, i) => ({
      ...side,
      pile: [inkPiece(side.id, 40 + 10 * i, 40, 200, 90 + 6 * i)],
    })),
  };
  const way = waysOut(inked.product).find(({ folded }) => folded)!;
  const taken = madeBy(inked, way);
  const sheets = foldedOn(taken, { folds: 2 }, 1, false);
  expect(await compare(inked, { sheets, squares: true }, taken)).toBe(6);
  // Marks beside each sheet, on paper that has room for them.
  const bled = foldedOn(taken, { folds: 2 }, 1, true);
  expect(await compare(inked, { sheets: bled, cropMarks: true }, taken)).toBe(6);
  const [marked] = await printed(inked, { format: 'jpg', sheets: bled, cropMarks: true, ppi: 72 }, taken);
  expect(marked!.paper.width).toBeCloseTo(bled.sheets[0]!.trim.width + 2 * (9 + 27), 3);
  // A pixel of the square at the corner, by which a cutter finds its place.
  const [first] = await printed(inked, { format: 'jpg', sheets, squares: true, ppi: 72 }, taken);
  const [square] = registerMarks(first!.paper);
  const at = {
    left: Math.round(square!.x + square!.width / 2),
    top: Math.round(square!.y + square!.height / 2),
  };
  const dot = await sharp(first!.jpeg)
    .extract({ ...at, width: 1, height: 1 })
    .raw()
    .toBuffer();
  expect(Math.max(...dot)).toBeLessThan(60);
});

test('every tile but the last tells by a small plan which one it is, where the next sheet hides it', () => {
  const tiling = { paper: LETTER, lost: evenly(18), overlap: 18 };
  const tiles = tilesOf({ width: 1700, height: 1000 }, tiling);
  if (!tiles.ok) throw new Error(tiles.message);
  expect(tiles.value.length).toBeGreaterThan(4);
  for (const [i, tile] of tiles.value.entries()) {
    const marks = tileMarks(tile, tiles.value, tiling);
    const last = i === tiles.value.length - 1;
    expect(marks.length === 0).toBe(last);
    const hidden = ({ box }: TileMark) =>
      tiles.value
        .slice(i + 1)
        .some(({ part }) => within(part, { x: box.x + box.width / 2, y: box.y + box.height / 2 }));
    expect(marks.every(hidden)).toBe(true);
    // The filled cell is the one whose middle no white lies over.
    const middles = marks.flatMap(({ box, ink }) =>
      ink === 'black' && box.width === box.height ? [box] : [],
    );
    const bare = middles.filter(
      (cell) => !marks.some(({ box, ink }) => ink === 'white' && box.width < cell.width && within(cell, box)),
    );
    if (!last) expect(middles.indexOf(bare[0]!)).toBe(i);
  }
});

test('tiles cover every page once and the overlap twice, in as few sheets as either way of the paper needs', () => {
  const white = fc.integer({ min: 0, max: 60 });
  const side = fc.integer({ min: 72, max: 5000 });
  fc.assert(
    fc.property(
      side,
      side,
      fc.record({ top: white, right: white, bottom: white, left: white }),
      fc.integer({ min: 0, max: 90 }),
      (width, height, lost, overlap) => {
        const tiles = tilesOf({ width, height }, { paper: LETTER, lost, overlap });
        if (!tiles.ok) return;
        for (const { part, paper, at, column, row } of tiles.value) {
          expect(part.width).toBeGreaterThan(0);
          expect(part.width).toBeLessThanOrEqual(
            paper.width - at.x - (paper === LETTER ? lost.right : Math.max(lost.top, lost.bottom)),
          );
          expect(part.height).toBeLessThanOrEqual(
            paper.height - at.y - (paper === LETTER ? lost.bottom : Math.max(lost.left, lost.right)),
          );
          const next = tiles.value.find((one) => one.row === row && one.column === column + 1);
          if (next) expect(part.x + part.width - next.part.x).toBeCloseTo(overlap);
          else expect(part.x + part.width).toBeCloseTo(width);
        }
      },
    ),
  );
  expect(tilesOf(LETTER, { paper: LETTER, lost: evenly(0), overlap: 20 })).toMatchObject({
    ok: true,
    value: [{}],
  });
  expect(tilesOf(LETTER, { paper: LETTER, lost: evenly(306), overlap: 0 })).toMatchObject({ ok: false });
  expect(
    tilesOf({ width: 14_000, height: 14_000 }, { paper: LETTER, lost: evenly(20), overlap: 20 }),
  ).toMatchObject({
    ok: false,
    message: expect.stringMatching(/^That would be \d+ sheets/),
  });
});

test('several pages on a sheet: paper of its own size, every page whole, clear of the others and of what stays white', async () => {
  const pages = laid([inkPiece('ink', 20, 20, 100, 60)], [], project(432, 288));
  const lost = { top: 18, right: 20, bottom: 36, left: 16 };
  for (const count of SEVERAL) {
    const sizes = Array.from({ length: count + 1 }, () => pages.surfaces[0]!);
    const laidOn = severalOn(sizes, count, { paper: LETTER, lost, overlap: 0 });
    if (!laidOn.ok) throw new Error(laidOn.message);
    const { sheets } = laidOn.value;
    expect(sheets.map(({ placed }) => placed.length)).toEqual([count, 1]);
    for (const { trim, placed } of sheets)
      for (const [i, { seen }] of placed.entries()) {
        expect(seen.width / seen.height).toBeCloseTo(432 / 288);
        expect(Math.min(seen.x, seen.y)).toBeGreaterThan(36 - 1e-6);
        expect(trim.width - seen.x - seen.width).toBeGreaterThan(36 - 1e-6);
        expect(trim.height - seen.y - seen.height).toBeGreaterThan(36 - 1e-6);
        for (const other of placed.slice(i + 1)) expect(overlaps(seen, other.seen)).toBe(false);
      }
    const path = await made(
      pages,
      { format: 'pdf', cropMarks: true, sheets: { sheets, bleed: evenly(0) } },
      'several.pdf',
      sizes,
    );
    // Printed at 100 %, it is the paper in the printer, whatever marks are wished.
    expect(tool('pdfinfo', path)).toMatch(/Page size:\s+(612 x 792|792 x 612) pts/);
  }
  expect(severalOn([LETTER], 2, { paper: LETTER, lost: evenly(400), overlap: 0 })).toMatchObject({
    ok: false,
  });
});
