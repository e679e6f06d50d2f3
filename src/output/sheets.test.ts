/** Pages on sheets to be folded, as poppler and qpdf find them. */
import { expect, test } from '@jest/globals';
import { execFileSync } from 'node:child_process';
import sharp from 'sharp';
import { beginProduct, waysOut } from '@/core/product';
import { BOOK_BINDINGS } from '@/core/product/book/start';
import { NO_SIDES } from '@/core/geometry/sides';
import { evenBleed, foldedSheets, imposed } from '@/core/product/imposition';
import { newSurface } from '@/core/project/model';
import { making } from '../../scripts/testing/making';
import { inkPiece, project, wordsOf } from '../../scripts/testing/samples';

const { tool, made } = making();
const LEAF = 2;

/** Pages of 432 x 288 pt, each with its number near its upper left corner; on the first a bar from side to side and beyond. */
const of = project();
const [first] = of.surfaces;
const pages = Array.from({ length: 8 }, (_, i) => ({
  ...newSurface(`page-${i}`, `Page ${i + 1}`, first!, 'in'),
  pile: [
    ...(i === 0 ? [inkPiece('bar', -84, 190, 600, 20)] : []),
    {
      ...wordsOf(`n-${i}`, `p${i + 1}`, 18, 60),
      placement: { ...wordsOf('', '').placement, x: 50, y: 40, width: 60, height: 24 },
    },
  ],
}));

/** The numbers of each side with their middles, from the paper's upper left corner. */
async function read(folds: number, withBleed: boolean) {
  const bleed = withBleed ? evenBleed(pages.map((page) => page.bleed)) : NO_SIDES;
  const sheets = { sheets: foldedSheets(imposed(8, { folds }), pages[0]!, bleed, LEAF), bleed };
  const file = await made(of, { format: 'pdf', withBleed, sheets }, `folded-${folds}.pdf`, pages);
  expect(tool('qpdf', '--check', file)).toMatch(/No syntax or stream encoding errors/);
  const { data, info } = await sharp(
    execFileSync('pdftoppm', ['-r', '72', '-f', '1', '-l', '1', '-png', file]),
  )
    .greyscale()
    .raw()
    .toBuffer({ resolveWithObject: true });
  const dark = (x: number, y: number) => data[y * info.width + x]! < 200;
  const sides = tool('pdftotext', '-bbox', file, '-')
    .split('<page ')
    .slice(1)
    .map((side) => {
      const [width, height] = /width="([\d.]+)" height="([\d.]+)"/.exec(side)!.slice(1).map(Number);
      const words = [
        ...side.matchAll(/xMin="([\d.]+)" yMin="([\d.]+)" xMax="([\d.]+)" yMax="([\d.]+)">(p\d)</g),
      ];
      const at = words.map(([, a, b, c, d, says]) => ({
        says: says!,
        x: (Number(a) + Number(c)) / 2,
        y: (Number(b) + Number(d)) / 2,
      }));
      return { width, height, at: Object.fromEntries(at.map((each) => [each.says, each])) };
    });
  return { sides, dark };
}

test('8 pages of sheets folded once: side by side, what lies within moved to the fold by its leaves', async () => {
  const { sides } = await read(1, false);
  expect(sides.map(({ at }) => Object.keys(at).sort())).toEqual([
    ...[
      ['p1', 'p8'],
      ['p2', 'p7'],
      ['p3', 'p6'],
      ['p4', 'p5'],
    ],
  ]);
  expect(sides.map(({ width, height }) => [width, height])).toEqual(Array(4).fill([864, 288]));
  const x = (page: string) => sides.flatMap(({ at }) => at[page] ?? [])[0]!.x;
  // Page 1 lies right of the fold and is its own width off it; page 3 is of the sheet within, and nearer by a leaf.
  const off = x('p1') - 432;
  expect([x('p8'), x('p2'), x('p7') - 432]).toEqual([off, off, off].map((value) => expect.closeTo(value, 1)));
  expect(x('p3') - 432).toBeCloseTo(off - LEAF, 1);
  expect(x('p6')).toBeCloseTo(off + LEAF, 1);
});

test('folded twice: heads to heads, each page upside down above with its bleed between; nothing goes over a fold', async () => {
  const { sides, dark } = await read(2, true);
  expect(sides.map(({ at }) => Object.keys(at).sort())).toEqual([
    ['p1', 'p4', 'p5', 'p8'],
    ['p2', 'p3', 'p6', 'p7'],
  ]);
  const [{ width, height, at }] = sides as [(typeof sides)[0]];
  // Bleed of an eighth of an inch at the outer sides, twice that between the heads.
  expect([width, height]).toEqual([864 + 18, 2 * 288 + 4 * 9]);
  const { p8, p5, p1, p4 } = at as Record<string, { x: number; y: number }>;
  // 8 and 1 stand below, 5 above 8 and 4 above 1, each as far from its own corner as the other.
  const corner = { x: p8!.x - 9, y: p8!.y - (288 + 27) };
  expect(p1!.x - (9 + 432)).toBeCloseTo(corner.x, 1);
  expect([9 + 432 - p5!.x - LEAF, 9 + 288 - p5!.y]).toEqual([
    expect.closeTo(corner.x - 2 * LEAF, 0),
    expect.closeTo(corner.y, 1),
  ]);
  expect(p4!.x).toBeGreaterThan(9 + 432);
  // The bar of page 1 goes on into its bleed, and ends at the fold.
  const y = 288 + 27 + 200;
  expect([430, 436, 446, 880].map((x) => dark(x, y))).toEqual([false, false, true, true]);
});

test('what is bound of folded sheets comes out on them: stitched as one signature, else gathered', () => {
  const folded = Object.keys(BOOK_BINDINGS).map((way) => {
    const { product } = beginProduct('book', { width: 576, height: 576 }, way);
    const found = waysOut(product).find((each) => each.folded)?.folded;
    return [way, found ? (found.oneSignature ? 'one' : 'gathered') : 'none'];
  });
  expect(Object.fromEntries(folded)).toEqual({
    ...{ hard: 'gathered', soft: 'gathered', flat: 'none', booklet: 'one', post: 'none' },
  });
});
