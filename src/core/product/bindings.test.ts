/** What each binding takes of its paper: holes by their standards, kept clear of corners, and spines as thick as their leaves. */
import fc from 'fast-check';
import { areaOf } from '@/core/geometry/offset';
import { pathBounds } from '@/core/geometry/path';
import { BINDS, postHoles, spineOf, standsOut } from '@/core/product/book/binding';
import { BOOK_PAPERS, thicknessOf, type PaperId } from '@/core/product/book/papers';
import type { BookBinding } from '@/core/product/book/start';
import { BINDINGS, boundAlong, boundSafe, type BindingKind } from '@/core/product/calendar/binding';
import { toPoints } from '@/core/units/lengths';

const mm = (value: number) => toPoints(value, 'mm');
const KINDS = Object.keys(BINDINGS) as BindingKind[];
const BOOKS = Object.keys(BINDS) as BookBinding[];
const paper = fc.record({
  width: fc.double({ min: 144, max: 1200, noNaN: true }),
  height: fc.double({ min: 144, max: 1200, noNaN: true }),
});
const middle = (path: Parameters<typeof pathBounds>[0]) => {
  const { x, y, width, height } = pathBounds(path);
  return { x: x + width / 2, y: y + height / 2 };
};

describe('leaves', () => {
  test.each(KINDS)(
    '%s: every hole lies within what is kept clear, clear of the corners, evenly about the middle',
    (kind) => {
      fc.assert(
        fc.property(
          paper,
          fc.constantFrom('top' as const, 'left' as const, 'bottom' as const),
          (size, edge) => {
            const [bound] = boundAlong(kind, size, edge);
            const { box, holes } = bound!;
            const long = edge === 'left' ? size.height : size.width;
            const axis = edge === 'left' ? 'y' : 'x';
            expect(holes.length).toBeGreaterThan(0);
            const places = holes.map((hole) => middle(hole)[axis]);
            for (const hole of holes) {
              const lies = pathBounds(hole);
              expect(lies.x).toBeGreaterThan(box.x - 1e-6);
              expect(lies.y).toBeGreaterThan(box.y - 1e-6);
              expect(lies.x + lies.width).toBeLessThan(box.x + box.width + 1e-6);
              expect(lies.y + lies.height).toBeLessThan(box.y + box.height + 1e-6);
            }
            expect(places.reduce((sum, at) => sum + at, 0) / places.length).toBeCloseTo(long / 2, 6);
            const gaps = places.slice(1).map((at, i) => at - places[i]!);
            for (const gap of gaps) expect(gap).toBeCloseTo(gaps[0]!, 6);
            if (gaps.length && kind !== 'holes')
              expect(Math.min(...places)).toBeGreaterThanOrEqual(gaps[0]! / 2 - 1e-6);
          },
        ),
      );
    },
  );

  test('along an edge the strip lies at it, as deep as nothing may lie that is to be read', () => {
    const size = { width: 504, height: 360 };
    for (const kind of KINDS)
      for (const edge of ['top', 'left', 'bottom'] as const) {
        const { box } = boundAlong(kind, size, edge)[0]!;
        const deep = boundSafe(kind, edge)[edge]!;
        expect(edge === 'left' ? box.width : box.height).toBe(deep);
        expect(edge === 'bottom' ? box.y + box.height : edge === 'top' ? box.y : box.x).toBe(
          edge === 'bottom' ? 360 : 0,
        );
      }
  });

  test('across a fold both sides of it are bound, alike; the safe area says nothing of it', () => {
    for (const kind of KINDS) {
      const both = boundAlong(kind, { width: 504, height: 720 }, 360);
      expect(both.map(({ box }) => [box.y, box.y + box.height])).toEqual([
        [360 - both[0]!.box.height, 360],
        [360, 360 + both[0]!.box.height],
      ]);
      both[0]!.holes.forEach((hole, i) => {
        const [a, b] = [middle(hole), middle(both[1]!.holes[i]!)];
        expect([a.x - b.x, a.y + b.y - 720].every((off) => Math.abs(off) < 1e-6)).toBe(true);
      });
      expect(boundSafe(kind, 360)).toEqual({});
    }
  });

  test('two holes are 6 mm wide, 80 mm apart, 12 mm from the edge (ISO 838, from memory); on a small leaf nearer together', () => {
    const { holes } = boundAlong('holes', { width: mm(210), height: mm(297) }, 'left')[0]!;
    const [a, b] = [middle(holes[0]!), middle(holes[1]!)];
    expect(
      [a.x / mm(1), (b.y - a.y) / mm(1), pathBounds(holes[0]!).width / mm(1)].map(
        (value) => Math.round(1000 * value) / 1000,
      ),
    ).toEqual([12, 80, 6]);
    const [small] = boundAlong('holes', { width: mm(100), height: mm(100) }, 'left');
    const [c, d] = [middle(small!.holes[0]!), middle(small!.holes[1]!)];
    expect((d.y - c.y) / mm(1)).toBeCloseTo(50, 6);
  });

  test('wire has three square holes of 4 mm to the inch, a spiral four round ones', () => {
    const to = (kind: BindingKind) => boundAlong(kind, { width: 720, height: 360 }, 'top')[0]!.holes;
    expect([to('wire').length, to('spiral').length]).toEqual([30, 40]);
    expect(areaOf(to('wire')[0]!)).toBeCloseTo(mm(4) ** 2, 3);
    expect(areaOf(to('spiral')[0]!) / (Math.PI * mm(2) ** 2)).toBeCloseTo(1, 2);
  });
});

describe('books', () => {
  const papers = Object.keys(BOOK_PAPERS) as PaperId[];

  test('a spine is as thick as its leaves, and two boards of a case: leaves are two pages', () => {
    for (const id of papers)
      for (const pages of [20, 48, 200]) {
        const leaves = thicknessOf(pages / 2, id);
        expect(spineOf(pages, id, 'soft')).toBeCloseTo(leaves, 9);
        expect(spineOf(pages, id, 'hard')).toBeCloseTo(leaves + mm(5), 9);
        // What lies flat is glued back to back.
        expect(spineOf(pages, id, 'flat')).toBeCloseTo(2 * leaves + mm(5), 9);
        expect(spineOf(pages, id, 'booklet')).toBe(0);
      }
  });

  test('more pages make a thicker spine, in proportion', () => {
    fc.assert(
      fc.property(fc.constantFrom(...papers), fc.integer({ min: 10, max: 100 }), (id, half) => {
        expect(spineOf(4 * half, id, 'soft')).toBeCloseTo(2 * spineOf(2 * half, id, 'soft'), 9);
      }),
    );
  });

  test('boards stand out beyond the pages, paper does not; what is stitched comes in fours', () => {
    for (const binding of BOOKS) {
      const { board, stitched, step, gutter } = BINDS[binding];
      expect(standsOut(binding)).toBe(board ? mm(3) : 0);
      expect(step).toBe(stitched ? 4 : 2);
      expect(gutter).toBeGreaterThanOrEqual(0);
    }
  });

  test('posts go through at a quarter and three quarters, within the gutter, on the page’s own side of it', () => {
    for (const binding of BOOKS) {
      const holes = postHoles(binding, 600, 300, 1);
      if (binding !== 'post') {
        expect(holes).toEqual([]);
        continue;
      }
      expect(holes.map(middle).map(({ y }) => Math.round(y))).toEqual([150, 450]);
      const [right] = holes.map(pathBounds);
      const [left] = postHoles(binding, 600, 300, -1).map(pathBounds);
      expect(right!.x).toBeGreaterThan(300);
      expect(right!.x + right!.width).toBeLessThan(300 + BINDS.post.gutter);
      expect(300 - left!.x - left!.width).toBeCloseTo(right!.x - 300, 6);
    }
  });
});
