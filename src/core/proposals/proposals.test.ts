/** Arrangements: photos keep their shapes, measures against pages reckoned by hand. */
import fc from 'fast-check';
import { overlaps } from '@/core/geometry/box';
import { facesCut } from '@/core/photos/faces';
import { croppedIn, fill } from '@/core/proposals/fill';
import { croppedOf, measure } from '@/core/proposals/measures';
import { fullBoxes, wholeBoxes, type Slicing } from '@/core/proposals/slicing';
import { costOf, MOST_PHOTOS, propose, PROPOSALS, type Wish } from '@/core/proposals/propose';

const wishes = fc.record<Wish>({
  shapes: fc.array(fc.double({ min: 0.4, max: 2.6, noNaN: true }), { minLength: 1, maxLength: 12 }),
  area: fc.record({
    width: fc.integer({ min: 300, max: 1200 }),
    height: fc.integer({ min: 300, max: 1200 }),
  }),
  gap: fc.integer({ min: 0, max: 12 }),
  focal: fc.constantFrom(null, 0),
  emphasis: fc.integer({ min: 1, max: 5 }),
  seed: fc.nat(1000),
});

describe('slicing', () => {
  // A square above a square, both beside one twice as tall as wide: by hand, with no gaps, a block as wide as high.
  const tree: Slicing = { row: true, first: { row: false, first: 0, second: 1 }, second: 2 };

  test('photos keep their shapes and meet exactly', () => {
    const boxes = wholeBoxes(tree, [1, 1, 0.5], { width: 400, height: 200 }, 0)!;
    expect(boxes).toEqual([
      { x: 100, y: 0, width: 100, height: 100 },
      { x: 100, y: 100, width: 100, height: 100 },
      { x: 200, y: 0, width: 100, height: 200 },
    ]);
  });

  test('with a gap of 10: the tall one is 2s + 10 high, half as wide, so s + 10 + (2s + 10) / 2 = 400 wide', () => {
    const boxes = wholeBoxes(tree, [1, 1, 0.5], { width: 400, height: 1000 }, 10)!;
    expect(boxes[0]!.width).toBeCloseTo(192.5, 9);
    expect(boxes[2]!.height).toBeCloseTo(395, 9);
    expect(boxes[2]!.x + boxes[2]!.width).toBeCloseTo(400, 9);
  });

  test('the area is filled to its edges, each part giving way alike', () => {
    const boxes = fullBoxes(tree, [1, 1, 0.5], { width: 400, height: 200 }, 0)!;
    expect(boxes[0]).toEqual({ x: 0, y: 0, width: 200, height: 100 });
    expect(boxes[2]).toEqual({ x: 200, y: 0, width: 200, height: 200 });
  });

  test('gaps wider than the area leave no room', () => {
    expect(wholeBoxes(tree, [1, 1, 0.5], { width: 20, height: 20 }, 50)).toBeNull();
    expect(fullBoxes(tree, [1, 1, 0.5], { width: 20, height: 20 }, 50)).toBeNull();
  });
});

test('measures of a page reckoned by hand', () => {
  // On 400 x 200: a 3:2 photo in a 200 x 200 box at the left (a third of it cropped), a square one of 100 at the right top.
  const boxes = [
    { x: 0, y: 0, width: 200, height: 200 },
    { x: 300, y: 0, width: 100, height: 100 },
  ];
  const measures = measure(boxes, [1.5, 1], { width: 400, height: 200 }, null);
  expect(croppedOf(1.5, boxes[0]!)).toBeCloseTo(1 / 3, 9);
  expect(measures.cropped).toBeCloseTo((40000 * (1 / 3)) / 50000, 9);
  expect(measures.emphasis).toBeCloseTo(4, 9);
  expect(measures.smallest).toBeCloseTo(10000 / 25000, 9);
  expect(measures.white).toBeCloseTo(1 - 50000 / 80000, 9);
  // The centre of gravity: (100 * 4 + 350) / 5 = 150, (100 * 4 + 50) / 5 = 90; from (200, 100) 50 and 10 away.
  expect(measures.offBalance).toBeCloseTo(Math.hypot(50, 10) / Math.hypot(200, 100), 9);
});

describe('proposals', () => {
  test('lie within the area, never overlap, are counted, ranked, and come again with the same seed', () => {
    fc.assert(
      fc.property(wishes, (wish) => {
        const proposals = propose(wish);
        expect(proposals.length).toBeGreaterThan(0);
        expect(proposals.length).toBeLessThanOrEqual(PROPOSALS);
        for (const { boxes, measures, cost } of proposals) {
          expect(boxes).toHaveLength(wish.shapes.length);
          expect(cost).toBe(costOf(measures, wish));
          boxes.forEach((box, i) => {
            expect(Math.min(box.x, box.y)).toBeGreaterThan(-1e-6);
            expect(box.x + box.width).toBeLessThan(wish.area.width + 1e-6);
            expect(box.y + box.height).toBeLessThan(wish.area.height + 1e-6);
            const inner = {
              ...box,
              x: box.x + 1e-6,
              y: box.y + 1e-6,
              width: box.width - 2e-6,
              height: box.height - 2e-6,
            };
            boxes.slice(i + 1).forEach((other) => expect(overlaps(inner, other)).toBe(false));
          });
        }
        expect(proposals.map(({ cost }) => cost)).toEqual(
          proposals.map(({ cost }) => cost).sort((a, b) => a - b),
        );
        expect(propose(wish)).toEqual(proposals);
      }),
      { numRuns: 12 },
    );
  });

  test('six ordinary photos on a square page: a dozen unlike ones, hardly cropped, the focal one as large as wished', () => {
    const shapes = [1.5, 1.5, 2 / 3, 1.5, 4 / 3, 0.75];
    const area = { width: 828, height: 828 };
    const proposals = propose({ shapes, area, gap: 9, focal: 2, emphasis: 3, seed: 1 });
    expect(proposals).toHaveLength(PROPOSALS);
    for (const { measures } of proposals.slice(0, 6)) {
      expect(measures.cropped).toBeLessThan(0.1);
      expect(measures.white).toBeLessThan(0.3);
      expect(measures.emphasis).toBeGreaterThan(2);
      expect(measures.emphasis).toBeLessThan(4.5);
    }
  });

  test('too many are refused', () => {
    const shapes = Array.from({ length: MOST_PHOTOS + 1 }, () => 1);
    const wish = { shapes, area: { width: 9, height: 9 }, gap: 0, focal: null, emphasis: 1, seed: 1 };
    expect(() => propose(wish)).toThrow(RangeError);
    expect(propose({ ...wish, shapes: [] })).toEqual([]);
  });
});

describe('places that are there already', () => {
  const places = [
    { width: 200, height: 300 },
    { width: 300, height: 200 },
    { width: 100, height: 100 },
  ];

  test('by hand: upright goes to upright, level to level; in turn it does not', () => {
    const shapes = [1.5, 1, 2 / 3];
    expect(fill(places, shapes, 'shape')).toEqual([2, 0, 1]);
    expect(croppedIn(places, shapes, [2, 0, 1])).toBeCloseTo(0, 9);
    expect(fill(places, shapes, 'time')).toEqual([0, 1, 2]);
    // 5/9 of the first is lost, a third of the second and the third; weighted by 6, 6 and 1.
    expect(croppedIn(places, shapes, [0, 1, 2])).toBeCloseTo((6 * (5 / 9) + 6 / 3 + 1 / 3) / 13, 9);
  });

  test('faces are whole before all: what would be cut goes where it is not, by hand and by every way there is to slide it', () => {
    // Two faces at the ends of a level photo: whole in the level place only, though both photos are of one shape.
    const ends = [
      { x: 0.02, y: 0.3, width: 0.2, height: 0.3 },
      { x: 0.78, y: 0.3, width: 0.2, height: 0.3 },
    ];
    const two = [places[1]!, places[2]!];
    expect(fill(two, [1.5, 1.5], 'shape', [], [[], ends])).toEqual([1, 0]);
    expect([facesCut(ends, 1.5, places[1]!), facesCut(ends, 1.5, places[2]!)]).toEqual([0, 1]);
    const share = fc.double({ min: 0, max: 0.7, noNaN: true });
    const face = fc.record({ x: share, y: share, width: fc.constant(0.3), height: fc.constant(0.2) });
    const side = fc.double({ min: 0.4, max: 2.5, noNaN: true });
    fc.assert(
      fc.property(fc.array(face, { maxLength: 4 }), side, side, (faces, shape, there) => {
        const [wide, high] = [Math.min(1, there / shape), Math.min(1, shape / there)];
        const ways = Array.from({ length: 401 }, (_, i) => i / 400);
        const cut = (at: number) => {
          const [left, top] = [at * (1 - wide), at * (1 - high)];
          return faces.filter(
            ({ x, y, width, height }) =>
              x < left || y < top || x + width > left + wide || y + height > top + high,
          ).length;
        };
        // Trying every step may miss what just fits, and never finds more.
        expect(facesCut(faces, shape, { width: there, height: 1 })).toBeLessThanOrEqual(
          Math.min(...ways.map(cut)),
        );
      }),
    );
  });

  test('the most stars come to the largest place; what has none comes last, in its order', () => {
    const three = [
      { width: 1, height: 1 },
      { width: 3, height: 3 },
      { width: 2, height: 2 },
    ];
    expect(fill(three, [1, 1, 1, 1], 'stars', [0, 3, 0, 5])).toEqual([0, 3, 1]);
    expect(fill(three, [1], 'stars', [2])).toEqual([-1, 0, -1]);
  });

  test('too few photos leave places free, too many are left out; no order crops less than the best one', () => {
    expect(fill(places, [1.5], 'shape')).toEqual([-1, 0, -1]);
    expect(fill(places, [1.5], 'time')).toEqual([0, -1, -1]);
    expect(croppedIn(places, [], [-1, -1, -1])).toBe(0);
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.4, max: 2.6, noNaN: true }), { minLength: 3, maxLength: 5 }),
        (shapes) => {
          const lost = (filled: readonly number[]) =>
            filled.reduce((sum, photo, p) => sum + croppedOf(shapes[photo]!, places[p]!), 0);
          const best = fill(places, shapes, 'shape');
          expect(new Set(best).size).toBe(3);
          for (const a of shapes.keys())
            for (const b of shapes.keys())
              for (const c of shapes.keys())
                if (new Set([a, b, c]).size === 3)
                  expect(lost(best)).toBeLessThanOrEqual(lost([a, b, c]) + 1e-4);
        },
      ),
    );
  });
});
