import { DOMMatrix } from '@napi-rs/canvas';
import fc from 'fast-check';
import { evenly } from '@/core/geometry/sides';
import { apply } from '@/core/geometry/matrix';
import { align, cells, distribute, onArc, sizeOfCells } from '@/core/page/arrange';
import { framed, silhouettes } from '@/core/page/framed';
import { guidesOn, placeWhereItLives, spacedGuides } from '@/core/page/guides';
import { beginProduct } from '@/core/product';
import { newProject, type Guide, type Surface } from '@/core/project/model';
import { trueExtent } from '@/core/page/extent';
import { equalSize, equalTurn, snapEdge, snapField, snapMove } from '@/core/page/snap';
import { carried, mirrored, placedAt, placementMatrix } from '@/core/piece/placement/placement';
import type { Piece } from '@/core/piece/piece';
import { parseMeasure } from '@/core/units/lengths';

const box = (x: number, y: number, width: number, height: number) => ({ x, y, width, height });

describe('aligning and spacing, against layouts reckoned by hand', () => {
  const three = [box(10, 0, 20, 10), box(100, 40, 40, 20), box(50, 10, 10, 30)];
  test('edges and middles line up with a frame', () => {
    expect(align(three, 'left', box(0, 0, 200, 100)).map(({ x }) => x)).toEqual([-10, -100, -50]);
    expect(align(three, 'middle', box(0, 0, 200, 100)).map(({ y }) => y)).toEqual([45, 0, 25]);
    expect(align(three, 'right', box(0, 0, 200, 100)).map(({ x }) => x)).toEqual([170, 60, 140]);
  });
  test('the air between is shared out: 130 wide less 70 of pieces leaves 30 for each of two gaps', () => {
    // 10 to 30, then 60 to 70, then 100 to 140.
    expect(distribute(three, 'x').map(({ x }) => x)).toEqual([0, 0, 10]);
    // Half an inch apart from the first on: 10 to 30, 66 to 76, 112 to 152.
    expect(distribute(three, 'x', 36).map(({ x }) => x)).toEqual([0, 12, 16]);
  });
  test('whatever lies there: after sharing out, all gaps are equal and the ends stay', () => {
    const boxes = fc.array(
      fc.record({ x: fc.integer({ min: 0, max: 500 }), width: fc.integer({ min: 1, max: 80 }) }),
      { minLength: 3, maxLength: 8 },
    );
    fc.assert(
      fc.property(boxes, (given) => {
        const all = given.map(({ x, width }) => box(x, 0, width, 10));
        const moves = distribute(all, 'x');
        const order = all
          .map((one, i) => ({
            middle: one.x + one.width / 2,
            i,
            from: one.x + moves[i]!.x,
            width: one.width,
          }))
          .sort((a, b) => a.middle - b.middle || a.i - b.i);
        const gaps = order.slice(1).map((one, k) => one.from - order[k]!.from - order[k]!.width);
        gaps.forEach((gap) => expect(gap).toBeCloseTo(gaps[0]!, 6));
      }),
    );
  });
  test('six round a clock stand at the even hours; three on a half circle at its ends and its top', () => {
    const clock = onArc(6, { centre: { x: 0, y: 0 }, radius: 100, from: 0, sweep: 360 });
    expect(clock.map(({ turn }) => turn)).toEqual([0, 60, 120, 180, 240, 300]);
    expect(clock[3]!.y).toBeCloseTo(100);
    const half = onArc(3, { centre: { x: 0, y: 0 }, radius: 50, from: -90, sweep: 180 });
    expect(half.map(({ x, y }) => [Math.round(x) + 0, Math.round(y) + 0])).toEqual([
      [-50, 0],
      [0, -50],
      [50, 0],
    ]);
  });
  test('rows and columns take the room they should', () => {
    const repeat = { columns: 5, rows: 2, gapX: 9, gapY: -2, shift: 15 };
    expect(cells(repeat, { width: 36, height: 18 })[6]).toEqual({ x: 60, y: 16 });
    expect(sizeOfCells(repeat, { width: 36, height: 18 })).toEqual({
      width: 5 * 36 + 4 * 9 + 15,
      height: 34,
    });
  });
  test('a turned disc takes no more room than one that lies straight; a turned square its diagonal', () => {
    const piece = (kind: 'ellipse' | 'rectangle'): Piece => ({
      id: 'p',
      name: '',
      role: 'mat',
      material: { kind: 'ink', colour: '#000000' },
      outline: kind === 'ellipse' ? { kind } : { kind, radius: 0 },
      finish: { lift: { height: 0, shadow: false }, stroke: null, opacity: 1 },
      placement: placedAt(box(-50, -50, 100, 100), 45),
    });
    const tools = { typesetter: null as never, asset: () => undefined };
    expect(trueExtent(piece('ellipse'), tools).width).toBeCloseTo(100, 0);
    expect(trueExtent(piece('rectangle'), tools).width).toBeCloseTo(100 * Math.SQRT2, 6);
  });
});

describe('a frame', () => {
  const piece = (id: string, x: number, turn: number): Piece => ({
    id,
    name: '',
    role: 'mat',
    material: { kind: 'ink', colour: '#000000' },
    outline: { kind: 'rectangle', radius: 0 },
    finish: { lift: { height: 0, shadow: false }, stroke: null, opacity: 1 },
    placement: placedAt(box(x, 0, 200, 4), turn),
  });
  const tools = { typesetter: null as never, asset: () => undefined };
  // A thin strip from (30, -68) to (170, 72), turned by 45 degrees; another one straight.
  const all = silhouettes([piece('turned', 0, 45), piece('straight', 300, 0)], tools);
  test('takes what it touches by the true outline, not by the box round it', () => {
    expect(framed(all, box(100, -2, 5, 5), 'touching')).toEqual(['turned']);
    // Inside the turned strip’s box, off the strip itself.
    expect(framed(all, box(140, -50, 20, 20), 'touching')).toEqual([]);
    expect(framed(all, box(20, -80, 300, 200), 'touching')).toEqual(['turned', 'straight']);
  });
  test('takes only what lies wholly inside, if so wanted; and what it lies wholly within', () => {
    expect(framed(all, box(20, -80, 300, 200), 'inside')).toEqual(['turned']);
    expect(framed(all, box(400, 1, 1, 1), 'touching')).toEqual(['straight']);
  });
});

test('a guide through the paper is seen mirrored on its other side, and moved there lies right where it lives', () => {
  const card = beginProduct('card', { width: 360, height: 504 }, 'left');
  const of = newProject({ id: 'c', title: 'Card', unit: 'in' }, card);
  const [front, inside] = of.surfaces as [Surface, Surface];
  const guides: Guide[] = [
    { axis: 'x', at: 100 },
    { axis: 'x', at: 450, through: true },
    { axis: 'y', at: 72, through: true },
  ];
  const cut = { ...of, guides: [{ axis: 'y' as const, at: 36 }], surfaces: [{ ...front, guides }, inside] };
  const seen = guidesOn(cut, inside);
  expect(seen.map(({ axis, at, of: home, index }) => [axis, at, home, index])).toEqual([
    ['y', 36, null, 0],
    ['x', 270, front.id, 1],
    ['y', 72, front.id, 2],
  ]);
  expect(placeWhereItLives(cut, inside, seen[1]!, 280)).toBe(440);
  expect(placeWhereItLives(cut, front, seen[1]!, 280)).toBe(280);
});

describe('guides spaced evenly', () => {
  test('three columns with gutters and margins, halves, thirds', () => {
    const at = (...args: Parameters<typeof spacedGuides>) => spacedGuides(...args).map((guide) => guide.at);
    // 600 wide, margins 30, gutters 15: columns of 170.
    expect(at('x', 600, { count: 3, gutter: 15, margin: 30 })).toEqual([30, 200, 215, 385, 400, 570]);
    expect(at('y', 600, { count: 2, gutter: 0, margin: 0 })).toEqual([300]);
    expect(at('y', 600, { count: 3, gutter: 0, margin: 0 })).toEqual([200, 400]);
  });
});

describe('carrying a group along, against DOMMatrix (Geometry Interfaces, W3C)', () => {
  const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
  test('every corner of a turned, mirrored piece goes where the matrix takes it', () => {
    fc.assert(
      fc.property(
        number(-180, 180),
        fc.boolean(),
        number(-360, 360),
        number(0.2, 4),
        number(-300, 300),
        number(-300, 300),
        (own, mirror, turn, scale, ax, mx) => {
          const from = { ...placedAt(box(30, 40, 80, 50), own), mirror };
          const to = carried(from, { about: { x: ax, y: 20 }, scale, turn, move: { x: mx, y: -7 } });
          const map = new DOMMatrix()
            .translate(ax + mx, 13)
            .rotate(turn)
            .scale(scale)
            .translate(-ax, -20);
          for (const corner of [
            [-40, -25],
            [40, 25],
            [40, -25],
          ] as const) {
            const before = apply(placementMatrix(from), { x: corner[0], y: corner[1] });
            const after = apply(placementMatrix(to), { x: corner[0] * scale, y: corner[1] * scale });
            const wanted = map.transformPoint({ x: before.x, y: before.y, z: 0, w: 1 });
            expect(after.x).toBeCloseTo(wanted.x, 3);
            expect(after.y).toBeCloseTo(wanted.y, 3);
          }
        },
      ),
    );
  });
  test('a mirror image is the matrix’s own, both ways', () => {
    fc.assert(
      fc.property(
        number(-180, 180),
        fc.boolean(),
        fc.constantFrom('x' as const, 'y' as const),
        (own, mirror, axis) => {
          const from = { ...placedAt(box(30, 40, 80, 50), own), mirror };
          const to = mirrored(from, axis, 10);
          const point = { x: 17, y: -9 };
          const before = apply(placementMatrix(from), point);
          const after = apply(placementMatrix(to), point);
          expect(after[axis]).toBeCloseTo(20 - before[axis], 6);
          const other = axis === 'x' ? 'y' : 'x';
          expect(after[other]).toBeCloseTo(before[other], 6);
        },
      ),
    );
  });
});

describe('snapping', () => {
  const field = snapField(
    { width: 864, height: 864, safe: evenly(18) },
    [{ axis: 'x', at: 300 }],
    [box(100, 100, 50, 50), box(400, 110, 80, 40)],
  );
  test('to a guide, to the page’s middle, to another thing’s edge; nothing beyond reach', () => {
    expect(snapMove(box(297, 600, 40, 40), field, 4)).toMatchObject({
      dx: 3,
      reasons: [{ what: 'guide', at: 300 }],
    });
    expect(snapMove(box(412, 600, 42, 40), field, 4)).toMatchObject({
      dx: -1,
      reasons: [{ what: 'page middle' }],
    });
    const edge = snapMove(box(200, 98, 40, 40), field, 4);
    expect(edge).toMatchObject({ dx: 0, dy: 2 });
    // The reason reaches from the thing it comes from to the thing that moves.
    expect(edge.reasons).toEqual([{ axis: 'y', at: 100, what: 'edge', from: 100, to: 240 }]);
    expect(snapMove(box(200, 600, 41, 33), field, 4)).toEqual({ dx: 0, dy: 0, reasons: [] });
  });
  test('to equal gaps: midway between two neighbours, or as far as they stand from each other', () => {
    // 150 to 400 leaves 250 between; 51 wide stands midway with 99.5 at both sides.
    const midway = snapMove(box(247, 115, 51, 23), { ...field, lines: [] }, 4);
    expect(midway.dx).toBeCloseTo(2.5);
    expect(midway.reasons[0]!.gaps).toHaveLength(2);
    const onward = snapMove(box(727, 115, 51, 23), { ...field, lines: [] }, 4);
    expect(480 + 250).toBeCloseTo(727 + onward.dx);
  });
  test('an edge drawn out, a size, an angle', () => {
    expect(snapEdge(148, 'x', field, 4)).toMatchObject({ by: 2, reason: { what: 'edge' } });
    expect(equalSize(78, 'x', field.boxes, 4)).toBe(80);
    expect(equalSize(60, 'x', field.boxes, 4)).toBeUndefined();
    expect(equalTurn(13, [12], 2)).toBe(12);
    expect(equalTurn(-179, [], 2)).toBe(180);
  });
});

describe('arithmetic in fields', () => {
  test.each([
    ['4.25/2', 2.125],
    ['1/4 in', 0.25],
    ['3 1/4 in + 1', 4.25],
    ['(12 - 2*0.5)/2', 5.5],
    ['3 / 2 / 4', 0.375],
    ['25.4mm + 1', 2],
    ['2 x 3', 6],
    ['-1.5 + 2', 0.5],
    ['4 in - 12.7 mm', 3.5],
  ])('%s is %d in', (text, inches) => {
    const read = parseMeasure(text, 'in');
    expect(read.ok && read.value / 72).toBeCloseTo(inches, 9);
  });
  test.each(['2 in * 3 in', '4/', 'abc + 1', '1/0 + 1', '(2', '3 + + kg'])(
    '%s is refused in words',
    (text) => {
      expect(parseMeasure(text, 'in')).toMatchObject({ ok: false });
    },
  );
});
