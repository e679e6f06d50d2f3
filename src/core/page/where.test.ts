/** Where pieces lie: their true boxes, what a frame takes, what is beneath a point, where nothing is, what goes round. */
import fc from 'fast-check';
import { overlaps, type Box } from '@/core/geometry/box';
import { apply, type Matrix, type Point } from '@/core/geometry/matrix';
import { evenly } from '@/core/geometry/sides';
import { extentOfAll, trueExtent } from '@/core/page/extent';
import { framed, silhouettes } from '@/core/page/framed';
import { largestFree } from '@/core/page/free';
import { spacedGuides } from '@/core/page/guides';
import { toolsFor } from '@/core/page/outlines';
import { piecesAt } from '@/core/page/pick';
import { acrossFace, behind } from '@/core/page/round';
import { finishOf } from '@/core/piece/finish';
import { NEW_MAT } from '@/core/piece/finish/mats';
import type { Outline } from '@/core/piece/outline';
import type { Piece } from '@/core/piece/piece';
import { placementMatrix } from '@/core/piece/placement/placement';
import { nodeTypesetter } from '../../../scripts/node/platform';
import { inkPiece, laid, wordsOf } from '../../../scripts/testing/samples';

const tools = toolsFor(laid([]), await nodeTypesetter());
const ELLIPSE: Outline = { kind: 'ellipse' };
const flat = (
  id: string,
  x: number,
  y: number,
  width: number,
  height: number,
  more: Partial<Piece> = {},
): Piece => ({
  ...inkPiece(id, x, y, width, height),
  finish: finishOf(0),
  ...more,
});
const turned = (piece: Piece, turn: number): Piece => ({ ...piece, placement: { ...piece.placement, turn } });
const rounded = (box: Box) =>
  [box.x, box.y, box.width, box.height].map((value) => Math.round(value * 10) / 10);

describe('the room a piece takes', () => {
  test('a disc takes no more turned than straight; a rectangle as much as its corners; words what their box does', () => {
    const disc = flat('d', 20, 30, 80, 80, { outline: ELLIPSE });
    expect(rounded(trueExtent(turned(disc, 45), tools))).toEqual(rounded(trueExtent(disc, tools)));
    const square = turned(flat('s', 0, 0, 100, 100), 45);
    expect(rounded(trueExtent(square, tools))).toEqual([-20.7, -20.7, 141.4, 141.4]);
    const words = wordsOf('w', 'Ebb', 18, 120);
    expect(rounded(trueExtent(words, tools))).toEqual([40, 200, 120, 60]);
  });
  test('it is what it is now: moved, turned, mirrored, on a mat, off it again', () => {
    const leaf: Outline = { kind: 'path', name: 'Leaf', data: 'M0 0L60 20L100 100L20 60Z' };
    const piece = flat('a', 100, 100, 100, 60, { outline: leaf });
    const box = trueExtent(piece, tools);
    const moved = {
      ...piece,
      placement: { ...piece.placement, x: piece.placement.x + 7, y: piece.placement.y - 3 },
    };
    expect(rounded(trueExtent(moved, tools))).toEqual(rounded({ ...box, x: box.x + 7, y: box.y - 3 }));
    const matted = {
      ...piece,
      finish: { ...piece.finish, mats: [{ ...NEW_MAT, width: 10, straight: true }] },
    } as Piece;
    const larger = trueExtent(matted, tools);
    expect([larger.width - box.width, larger.height - box.height].map(Math.round)).toEqual([20, 20]);
    expect(trueExtent(piece, tools)).toEqual(box);
    const other = { ...piece, placement: { ...piece.placement, mirror: true, turn: 20 } };
    expect(rounded(trueExtent(other, tools))).not.toEqual(rounded(box));
    expect(trueExtent(piece, tools)).toEqual(box);
    expect(rounded(extentOfAll([piece, moved], tools))).toEqual(
      rounded({ x: box.x, y: box.y - 3, width: box.width + 7, height: box.height + 3 }),
    );
  });
});

const anyPiece = fc
  .record({
    x: fc.integer({ min: 0, max: 200 }),
    y: fc.integer({ min: 0, max: 200 }),
    width: fc.integer({ min: 10, max: 120 }),
    height: fc.integer({ min: 10, max: 120 }),
    turn: fc.integer({ min: -179, max: 180 }),
    mirror: fc.boolean(),
    outline: fc.constantFrom<Outline>(
      ELLIPSE,
      { kind: 'rectangle', radius: 0 },
      { kind: 'punch', punch: 'heart', settings: {} },
    ),
  })
  .map(({ x, y, width, height, turn, mirror, outline }) => {
    const piece = flat('a', x, y, width, height, { outline });
    return { ...piece, placement: { ...piece.placement, turn, mirror } };
  });
/** Points all over a box. */
const within = ({ x, y, width, height }: Box): Point[] =>
  Array.from({ length: 144 }, (_, i) => ({
    x: x + (width * ((i % 12) + 0.5)) / 12,
    y: y + (height * (Math.floor(i / 12) + 0.5)) / 12,
  }));

test('any piece lies under the points of it and no others: its box holds them, a frame takes it that holds one', () => {
  const frame = fc.record({
    x: fc.integer({ min: -40, max: 300 }),
    y: fc.integer({ min: -40, max: 300 }),
    width: fc.integer({ min: 2, max: 200 }),
    height: fc.integer({ min: 2, max: 200 }),
  });
  fc.assert(
    fc.property(anyPiece, frame, (piece, drawn) => {
      const box = trueExtent(piece, tools);
      const around = { x: box.x - 30, y: box.y - 30, width: box.width + 60, height: box.height + 60 };
      const under = within(around).filter((at) => piecesAt([piece], at, 0, tools).length);
      expect(under.length).toBeGreaterThan(0);
      for (const { x, y } of under)
        expect([x >= box.x - 0.1, x <= box.x + box.width + 0.1, y >= box.y - 0.1, y <= box.y + box.height + 0.1]).toEqual(Array(4).fill(true)); // prettier-ignore
      const taken = framed(silhouettes([piece], tools), drawn, 'touching').length > 0;
      if (within(drawn).some((at) => piecesAt([piece], at, 0, tools).length)) expect(taken).toBe(true);
      if (!overlaps(drawn, { x: box.x - 1, y: box.y - 1, width: box.width + 2, height: box.height + 2 }))
        expect(taken).toBe(false);
      const inside = framed(silhouettes([piece], tools), drawn, 'inside').length > 0;
      if (inside) expect([taken, under.every(({ x, y }) => x >= drawn.x && y >= drawn.y && x <= drawn.x + drawn.width && y <= drawn.y + drawn.height)]).toEqual([true, true]); // prettier-ignore
    }),
    { numRuns: 100 },
  );
});

describe('what a frame takes', () => {
  test('what lies all about it, but not what has a hole there; hidden pieces never', () => {
    const large = flat('large', 0, 0, 200, 200);
    const small = { x: 90, y: 90, width: 10, height: 10 };
    const taken = (piece: Piece, how: 'touching' | 'inside' = 'touching') =>
      framed(silhouettes([piece], tools), small, how);
    expect([taken(large), taken(large, 'inside')]).toEqual([['large'], []]);
    const ring: Outline = {
      kind: 'path',
      name: 'Ring',
      data: 'M0 0L200 0L200 200L0 200ZM60 60L60 140L140 140L140 60Z',
    };
    expect(taken({ ...large, outline: ring })).toEqual([]);
    expect(taken({ ...large, placement: { ...large.placement, hidden: true } })).toEqual([]);
    // Its side alone goes through the frame.
    expect(taken(flat('bar', 95, -50, 2, 300))).toEqual(['bar']);
    expect(taken(flat('beside', 101, -50, 2, 300))).toEqual([]);
  });
  test('the uppermost first; near an edge within what a finger is off', () => {
    const [under, over] = [flat('under', 0, 0, 100, 100), flat('over', 50, 50, 100, 100)];
    const at = (x: number, y: number, tolerance = 0) =>
      piecesAt([under, over], { x, y }, tolerance, tools).map(({ id }) => id);
    expect(at(75, 75)).toEqual(['over', 'under']);
    expect([at(25, 25), at(120, 120), at(200, 200)]).toEqual([['under'], ['over'], []]);
    expect([at(-4, 50), at(-4, 50, 5), at(-6, 50, 5)]).toEqual([[], ['under'], []]);
    // A stroke is of the piece.
    const lined = {
      ...under,
      finish: { ...under.finish, stroke: { colour: '#000000', width: 10, side: 'outside' as const } },
    };
    expect(piecesAt([lined], { x: -8, y: 50 }, 0, tools)).toHaveLength(1);
    expect(piecesAt([lined], { x: -12, y: 50 }, 0, tools)).toHaveLength(0);
  });
});

describe('where nothing is', () => {
  const boxes = fc.array(
    fc.record({
      x: fc.integer({ min: -20, max: 180 }),
      y: fc.integer({ min: -20, max: 80 }),
      width: fc.integer({ min: 4, max: 120 }),
      height: fc.integer({ min: 4, max: 80 }),
    }),
    { maxLength: 6 },
  );
  test('whatever lies there: nothing lies on it, it is on the page, and no free square of the page is larger', () => {
    fc.assert(
      fc.property(boxes, (taken) => {
        const area = { width: 192, height: 96 };
        const free = largestFree(area, taken);
        if (!free) return;
        for (const box of taken) expect(overlaps({ ...free, x: free.x + 0.01, y: free.y + 0.01, width: free.width - 0.02, height: free.height - 0.02 }, box)).toBe(false); // prettier-ignore
        expect(
          Math.min(free.x, free.y, area.width - free.x - free.width, area.height - free.y - free.height),
        ).toBeGreaterThanOrEqual(-1e-6);
        // Squares of two points: every rectangle of them that is free is no larger.
        const open = (x: number, y: number, width: number, height: number) =>
          taken.every((box) => !overlaps({ x, y, width, height }, box));
        for (let x = 0; x < 192; x += 24)
          for (let y = 0; y < 96; y += 24)
            for (const [width, height] of [
              [48, 24],
              [24, 48],
              [96, 48],
              [48, 96],
              [192, 24],
            ] as const)
              if (x + width <= 192 && y + height <= 96 && open(x, y, width, height))
                expect(free.width * free.height).toBeGreaterThanOrEqual(width * height - 1e-6);
      }),
      { numRuns: 100 },
    );
  });
  test('all of a bare page; none of one that is full', () => {
    expect(largestFree({ width: 192, height: 96 }, [])).toEqual({ x: 0, y: 0, width: 192, height: 96 });
    expect(largestFree({ width: 192, height: 96 }, [{ x: -1, y: -1, width: 200, height: 99 }])).toBeNull();
    expect(largestFree({ width: 192, height: 96 }, [{ x: 0, y: 0, width: 96, height: 96 }])).toEqual({
      x: 96,
      y: 0,
      width: 96,
      height: 96,
    });
  });
});

test('guides at the edges of columns: as many as there are edges, none on the edge of the page, one where two meet', () => {
  const at = (count: number, gutter: number, margin: number) =>
    spacedGuides('x', 120, { count, gutter, margin }).map((guide) => guide.at);
  expect(at(3, 6, 12)).toEqual([12, 40, 46, 74, 80, 108]);
  expect(at(3, 0, 0)).toEqual([40, 80]);
  expect(at(1, 6, 10)).toEqual([10, 110]);
  expect(at(1, 0, 0)).toEqual([]);
  expect(spacedGuides('y', 100, { count: 2, gutter: 0, margin: 0 })).toEqual([{ axis: 'y', at: 50 }]);
});

test('any strip runs off both edges of its face with all its corners, along the way it went', () => {
  const strip = fc.record({
    x: fc.integer({ min: 40, max: 160 }),
    y: fc.integer({ min: 40, max: 260 }),
    long: fc.integer({ min: 40, max: 90 }),
    thick: fc.integer({ min: 4, max: 30 }),
    turn: fc.integer({ min: -170, max: 170 }),
    upright: fc.boolean(),
  });
  const face = { width: 200, height: 300, bleed: evenly(9) };
  const through: Matrix = [-1, 0, 0, 1, 200, 0];
  fc.assert(
    fc.property(strip, ({ x, y, long, thick, turn, upright }) => {
      const before = {
        ...flat('s', 0, 0, upright ? thick : long, upright ? long : thick).placement,
        x,
        y,
        turn,
      };
      const now = acrossFace(before, face);
      const corners = [-1, 1].flatMap((a) =>
        [-1, 1].map((b) => apply(placementMatrix(now), { x: (a * now.width) / 2, y: (b * now.height) / 2 })),
      );
      const axis =
        Math.abs(Math.cos(((upright ? turn + 90 : turn) * Math.PI) / 180)) >= Math.SQRT1_2 ? 'x' : 'y';
      const most = axis === 'x' ? 209 : 309;
      // Two corners beyond the one edge, two beyond the other.
      expect(corners.filter((corner) => corner[axis] <= -9 + 1e-6)).toHaveLength(2);
      expect(corners.filter((corner) => corner[axis] >= most - 1e-6)).toHaveLength(2);
      expect([now.turn, Math.min(now.width, now.height)]).toEqual([turn, thick]);
      // Its middle line is what it was.
      const way = {
        x: Math.cos(((upright ? turn + 90 : turn) * Math.PI) / 180),
        y: Math.sin(((upright ? turn + 90 : turn) * Math.PI) / 180),
      };
      expect((now.x - x) * way.y - (now.y - y) * way.x).toBeCloseTo(0, 6);
      // Behind it, seen from there, it lies at the same height; and behind that again where it was.
      const other = behind(now, through);
      expect([other.y, other.x]).toEqual([now.y, 200 - now.x]);
      expect(behind(other, through)).toMatchObject({
        x: expect.closeTo(now.x),
        y: expect.closeTo(now.y),
        turn: now.turn,
      });
    }),
    { numRuns: 100 },
  );
});
