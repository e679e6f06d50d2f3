/** What of a drawing lies under a pen: by areas, rings in rings, lines with their width, patterns, and what is clear. */
import fc from 'fast-check';
import type { Drawing, DrawingPart } from '@/core/drawing/drawing';
import { alikeParts, partAt } from '@/core/drawing/hit';
import { readDrawing } from '@/core/drawing/read';
import { ellipsePath, rectanglePath, type Path } from '@/core/geometry/path';

const part = (path: Path, change: Partial<DrawingPart> = {}): DrawingPart => ({
  ...{ path, colour: '#9e2b45', opacity: 1, rule: 'nonzero', at: [{ x: 0, y: 0 }] },
  ...change,
});
const box = (x: number, y: number, width: number, height: number) => rectanglePath({ x, y, width, height });
const drawing = (...parts: DrawingPart[]): Drawing => ({ width: 100, height: 100, parts });
const under = (of: Drawing, x: number, y: number, near = 0.5) => partAt(of, { x, y }, near);
const line = (width: number): DrawingPart['line'] => ({ width, cap: 'butt', join: 'miter' });

test('the uppermost that paints the spot; what is clear is not met, where nothing is there is none', () => {
  const both = drawing(part(box(0, 0, 60, 60)), part(box(40, 40, 60, 60)));
  expect([under(both, 10, 10), under(both, 50, 50), under(both, 90, 90), under(both, 90, 10)]).toEqual([
    ...[0, 1, 1, -1],
  ]);
  const clear = drawing(part(box(0, 0, 60, 60)), part(box(40, 40, 60, 60), { opacity: 0 }));
  expect([under(clear, 50, 50), under(clear, 90, 90)]).toEqual([0, -1]);
  expect(under(drawing(), 1, 1)).toBe(-1);
});

test('by even and odd a ring in a ring is a hole whichever way it turns; by winding only where it turns back', () => {
  const [outer, inner] = [box(0, 0, 100, 100), box(30, 30, 40, 40)];
  const back: Path = [['M', 30, 30], ['L', 30, 70], ['L', 70, 70], ['L', 70, 30], ['Z']];
  const at = (path: Path, rule: DrawingPart['rule']) => under(drawing(part(path, { rule })), 50, 50);
  expect(at([...outer, ...inner], 'evenodd')).toBe(-1);
  expect(at([...outer, ...back], 'evenodd')).toBe(-1);
  expect(at([...outer, ...inner], 'nonzero')).toBe(0);
  expect(at([...outer, ...back], 'nonzero')).toBe(-1);
  // An island in the hole is of the part again.
  expect(at([...outer, ...inner, ...box(45, 45, 10, 10)], 'evenodd')).toBe(0);
});

describe('lines', () => {
  const way: Path = [
    ['M', 10, 10],
    ['L', 90, 10],
    ['L', 90, 90],
  ];

  test('are met within half of their width, fine ones within what a finger is off; not in what they go about', () => {
    const of = (width: number, near: number, x: number, y: number) =>
      under(drawing(part(way, { line: line(width) })), x, y, near);
    expect([of(8, 1, 50, 13.9), of(8, 1, 50, 14.1)]).toEqual([0, -1]);
    expect([of(0.5, 3, 50, 12.9), of(0.5, 3, 50, 13.1)]).toEqual([0, -1]);
    expect(of(2, 1, 50, 50)).toBe(-1);
  });

  test('of an open one its ends are not joined; a closed one is met on every side of it', () => {
    const open = drawing(part(way, { line: line(2) }));
    expect(under(open, 50, 50)).toBe(-1);
    const ring = drawing(part(box(10, 10, 80, 80), { line: line(2) }));
    const sides = [
      [50, 10],
      [90, 50],
      [50, 90],
      [10, 50],
    ] as const;
    expect(sides.map(([x, y]) => under(ring, x, y))).toEqual([0, 0, 0, 0]);
    expect(under(ring, 50, 50)).toBe(-1);
    // Two rings of one path, as an o has them.
    const o = drawing(part([...box(10, 10, 80, 80), ...box(30, 30, 40, 40)], { line: line(2) }));
    expect([under(o, 30, 50), under(o, 10, 50), under(o, 20, 50)]).toEqual([0, 0, -1]);
  });

  test('curved ones are met along their curve, not along its chord', () => {
    const round = drawing(part(ellipsePath({ x: 10, y: 10, width: 80, height: 80 }), { line: line(3) }));
    for (let turn = 0; turn < 360; turn += 7) {
      const [dx, dy] = [Math.cos((turn * Math.PI) / 180), Math.sin((turn * Math.PI) / 180)];
      expect(under(round, 50 + 40 * dx, 50 + 40 * dy)).toBe(0);
      expect(under(round, 50 + 36 * dx, 50 + 36 * dy)).toBe(-1);
    }
  });

  test('as SVG writes them: a stroked triangle and a stroked rectangle on all their sides', () => {
    const read = readDrawing(
      '<svg xmlns="http://www.w3.org/2000/svg" width="96" height="96" viewBox="0 0 72 72" fill="none" stroke="#123456" stroke-width="2">' +
        '<polygon points="10,10 60,10 10,60"/><rect x="20" y="20" width="10" height="10"/></svg>',
    );
    if (!read.ok) throw new Error(read.message);
    const { drawing: of } = read.value;
    expect([under(of, 35, 10), under(of, 35, 35), under(of, 10, 35)]).toEqual([0, 0, 0]);
    expect([under(of, 25, 20), under(of, 30, 25), under(of, 25, 30), under(of, 20, 25)]).toEqual([
      1, 1, 1, 1,
    ]);
  });
});

test('what is painted at many places is met at each of them, and moved with them', () => {
  const at = [
    { x: 0, y: 0 },
    { x: 40, y: 0 },
    { x: 0, y: 55 },
  ];
  const tiles = drawing(part(box(2, 2, 10, 10), { at }));
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 100, noNaN: true }),
      fc.double({ min: 0, max: 100, noNaN: true }),
      (x, y) => {
        const inside = at.some((o) => x > o.x + 2 && x < o.x + 12 && y > o.y + 2 && y < o.y + 12);
        const edge = at.some((o) =>
          [2, 12].some((e) => Math.abs(x - o.x - e) < 1e-6 || Math.abs(y - o.y - e) < 1e-6),
        );
        if (!edge) expect(under(tiles, x, y)).toBe(inside ? 0 : -1);
      },
    ),
  );
});

test('alike is what is painted in the very same colour, lines and areas; of no part there is none', () => {
  const of = drawing(
    part(box(0, 0, 9, 9)),
    part(box(0, 0, 9, 9), { colour: '#9e2b46' }),
    part(box(9, 9, 9, 9), { line: line(1) }),
  );
  expect(alikeParts(of, 0)).toEqual([0, 2]);
  expect(alikeParts(of, 1)).toEqual([1]);
  expect(alikeParts(of, -1)).toEqual([]);
  expect(alikeParts(of, 9)).toEqual([]);
});
