/** What is measured from a step back, on pages of which the answer is known. */
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { lookedOver } from '@/core/proof/look-over';
import { calmIn } from '@/core/proof/look-over/calm';
import { eyeOn } from '@/core/proof/look-over/eye';
import { fieldOf } from '@/core/proof/look-over/field';
import { middleOfWeight } from '@/core/proof/look-over/weight';
import type { PagePixels } from '@/core/proof/pale';
import { random } from '@/core/random';
import { nodeTypesetter } from '../../../../scripts/node/platform';
import { inkPiece, laid, wordsOf } from '../../../../scripts/testing/samples';

type Colour = readonly [number, number, number];

/** A page of a hundred pixels a side, painted place by place. */
function page(paint: (x: number, y: number) => Colour, width = 96, height = 96): PagePixels {
  const data = new Uint8ClampedArray(4 * width * height);
  for (let i = 0; i < width * height; i++) data.set([...paint(i % width, Math.floor(i / width)), 255], 4 * i);
  return { data, width, height };
}

const inside = (x: number, y: number, left: number, top: number, side: number): boolean =>
  x >= left && x < left + side && y >= top && y < top + side;

test('among many alike the odd one draws the eye first, wherever it is (pop-out, the classic test of such measures)', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 4 }), fc.integer({ min: 0, max: 4 }), (column, row) => {
      // Five by five green squares, one of them red.
      const field = fieldOf(
        page((x, y) => {
          const [c, r] = [Math.floor((x - 3) / 18), Math.floor((y - 3) / 18)];
          const square =
            inside(x, y, 3 + 18 * c + 4, 3 + 18 * r + 4, 10) && c >= 0 && r >= 0 && c < 5 && r < 5;
          return !square ? [235, 235, 225] : c === column && r === row ? [200, 30, 40] : [60, 140, 90];
        }),
      );
      const [first] = eyeOn(field).stops;
      expect(Math.hypot(96 * first!.x - (12 + 18 * column), 96 * first!.y - (12 + 18 * row))).toBeLessThan(9);
    }),
    { numRuns: 12 },
  );
});

test('an even page draws the eye nowhere, has no weight, and is all calm', () => {
  const field = fieldOf(page(() => [240, 232, 210]));
  expect(eyeOn(field).stops).toEqual([]);
  expect(middleOfWeight(field)).toBeNull();
  expect(calmIn(field).every((value) => value === 1)).toBe(true);
});

test('one dark thing is the middle of all weight; two alike have it between them', () => {
  const dark = (places: readonly (readonly [number, number])[]) =>
    middleOfWeight(
      fieldOf(
        page((x, y) =>
          places.some(([px, py]) => inside(x, y, px, py, 12)) ? [20, 20, 20] : [250, 250, 250],
        ),
      ),
    )!;
  const one = dark([[60, 18]]);
  expect([96 * one.x, 96 * one.y].map((value) => Math.round(value))).toEqual([66, 24]);
  const two = dark([
    [12, 20],
    [72, 60],
  ]);
  expect([96 * two.x, 96 * two.y].map((value) => Math.round(value))).toEqual([48, 46]);
});

test('half a page of noise is half calm', () => {
  const chance = random(7);
  const field = fieldOf(
    page((x) => (x < 48 ? [245, 240, 230] : [255 * chance(), 255 * chance(), 255 * chance()])),
  );
  const values = calmIn(field);
  expect(values.reduce((sum, value) => sum + value, 0) / values.length).toBeCloseTo(0.48, 1);
});

describe('what is told of a page', () => {
  test('counts, groups and lines, each in a sentence', async () => {
    const small = (id: string, x: number, y: number) => inkPiece(id, x, y, 12, 12);
    const of = laid([
      { ...inkPiece('ribbon', 20, 140, 300, 8), role: 'embellishment' },
      ...[
        small('a', 40, 40),
        small('b', 60, 40),
        small('c', 80, 44),
        small('d', 300, 220),
        small('e', 318, 220),
      ],
      {
        ...wordsOf('words', 'Kites', 30),
        role: 'title',
        placement: { ...wordsOf('w', 'k').placement, x: 200, y: 144 },
      },
    ]);
    const pixels = page(() => [250, 250, 250], 96, 64);
    const told = lookedOver(of, of.surfaces[0]!.id, pixels, await nodeTypesetter());
    const says = Object.fromEntries(told.map(({ id, says }) => [id, says]));
    expect(says).toMatchObject({
      eye: 'Nothing on this page draws the eye more than the rest.',
      calm: '100 % of the page is calm: there is room for more.',
      counts: 'No paper, 1 ink, 1 typeface.',
      groups: '3 groups, of 3, 2, 1. That of 2 would sit easier with one more or one fewer.',
      leading: 'They lead: “ribbon” to the title.',
    });
  });
});
