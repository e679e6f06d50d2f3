/** What the checks find on shapes whose measures are known, and that their cures cure it. */
import { rotation } from '@/core/geometry/matrix';
import { areaOf, pathOfRings } from '@/core/geometry/offset';
import { ellipsePath, rectanglePath, transformPath, type Path } from '@/core/geometry/path';
import { Line } from '@/core/cutter/model';
import { once } from '@/core/cutter/once';
import { partsOf } from '@/core/cutter/parts';
import { prepare } from '@/core/cutter/prepare';
import { bridgesOf, widened } from '@/core/cutter/repair';
import { lengthOf } from '@/core/cutter/rings';
import { FIRST_SETTINGS } from '@/core/cutter/settings';
import { toPoints } from '@/core/units/lengths';
import { itemOf, placeWith, polygon } from '../../../scripts/testing/cuts';

const mm = (value: number) => toPoints(value, 'mm');
const apart = { ...FIRST_SETTINGS, join: false };
const square = (x: number, y: number, side: number): Path =>
  rectanglePath({ x, y, width: side, height: side });
const line = (points: readonly (readonly [number, number])[], change: Partial<Line> = {}): Line => ({
  ...{ doing: 'cut', closed: true, points: points.map(([x, y]) => ({ x, y })) },
  ...change,
});

describe('checks and cures', () => {
  const bell = (wide: number): Path =>
    polygon(
      [0, 0],
      [40, 0],
      [40, 20],
      [60, 20],
      [60, 0],
      [100, 0],
      [100, 40],
      [60, 40],
      [60, 20 + wide],
      [40, 20 + wide],
      [40, 40],
      [0, 40],
    );

  test.each([0.2, 0.35, 0.49])(
    'a bridge of %s mm is found and measured; widened, it is none any more',
    (wide) => {
      for (const turn of [0, 31]) {
        const path = transformPath(rotation(turn), bell(mm(wide)));
        const found = bridgesOf(path, mm(0.5));
        expect(found).toHaveLength(1);
        expect(Math.abs(found[0]!.width / mm(1) - wide)).toBeLessThan(0.015);
        const better = widened(path, mm(0.8));
        expect(bridgesOf(better, mm(0.75))).toEqual([]);
        expect(areaOf(better) - areaOf(path)).toBeLessThan(20 * mm(0.8));
      }
    },
  );

  test('wide bridges and sharp tips are none; a thin ring is as wide as it is; a thread is thin all over', () => {
    expect(bridgesOf(bell(mm(0.6)), mm(0.5))).toEqual([]);
    expect(bridgesOf(polygon([0, 0], [100, 8], [0, 16]), mm(0.5))).toEqual([]);
    const [outer, inner] = [
      ellipsePath({ x: 0, y: 0, width: 60, height: 60 }),
      ellipsePath({ x: mm(0.3), y: mm(0.3), width: 60 - 2 * mm(0.3), height: 60 - 2 * mm(0.3) }),
    ];
    const back = transformPath([-1, 0, 0, 1, 60, 0], inner);
    expect(bridgesOf([...outer, ...back], mm(0.5))[0]!.width / mm(1)).toBeCloseTo(0.3, 1);
    expect(
      bridgesOf(rectanglePath({ x: 0, y: 0, width: 90, height: mm(0.3) }), mm(0.5))[0]!.width / mm(1),
    ).toBeCloseTo(0.3, 1);
  });

  /** An o of squares. */
  const o = pathOfRings([
    [
      { x: 60, y: 60 },
      { x: 140, y: 60 },
      { x: 140, y: 140 },
      { x: 60, y: 140 },
    ],
    [
      { x: 85, y: 85 },
      { x: 85, y: 115 },
      { x: 115, y: 115 },
      { x: 115, y: 85 },
    ],
  ]);
  const sheet = (bridge?: number) => [
    itemOf('paper', square(0, 0, 200), { piece: null }),
    itemOf('o', o, { opening: true, wishes: bridge ? { bridge } : {} }),
  ];

  test('the middle of an o cut out of a paper falls out, and is held by two bridges as wide as they are wished', () => {
    const { found } = prepare([placeWith(sheet())], FIRST_SETTINGS);
    expect(found).toMatchObject([{ check: 'middles', cure: { pieces: ['o'] } }]);
    const held = partsOf([placeWith(sheet(6))], FIRST_SETTINGS);
    expect(held.loose).toEqual([]);
    expect(held.parts).toHaveLength(1);
    expect(areaOf(pathOfRings(held.parts[0]!.rings))).toBeCloseTo(
      200 ** 2 - 80 ** 2 + 30 ** 2 + 2 * 6 * 25,
      0,
    );
    // A letter that is cut out itself keeps its hole: nothing falls out that should stay.
    expect(prepare([placeWith([itemOf('o', o)])], FIRST_SETTINGS).found).toEqual([]);
  });

  test('open outlines, small parts, doubled lines and too many points are told with a cure each that cures them', () => {
    const open: Path = [
      ['M', 0, 0],
      ['L', 90, 0],
      ['L', 90, 90],
    ];
    const at = { ...apart, packed: false, once: false };
    const told = (items: ReturnType<typeof itemOf>[], settings = at) =>
      prepare([placeWith(items)], settings).found;
    expect(told([itemOf('open', open)])).toMatchObject([
      { check: 'open', cure: { change: { close: true } } },
    ]);
    expect(told([itemOf('open', open, { wishes: { close: true } })])).toEqual([]);
    expect(told([itemOf('dot', square(50, 50, mm(2)))])).toMatchObject([
      { check: 'small', cure: { change: { as: 'print' } } },
    ]);
    expect(told([itemOf('dot', square(50, 50, mm(2)), { as: 'print' })])).toEqual([]);
    const pair = [itemOf('a', square(50, 50, 60)), itemOf('b', square(110, 50, 60))];
    expect(told(pair)).toMatchObject([{ check: 'doubled', mat: 0, cure: { set: { once: true } } }]);
    expect(told(pair, { ...at, once: true })).toEqual([]);
    const many = pathOfRings([
      Array.from({ length: 9000 }, (_, i) => {
        const [turn, far] = [(2 * Math.PI * i) / 9000, 300 + (i % 2) * mm(0.11)];
        return { x: 430 + far * Math.cos(turn), y: 430 + far * Math.sin(turn) };
      }),
    ]);
    expect(told([itemOf('many', many)])).toMatchObject([
      { check: 'points', cure: { set: { tolerance: mm(0.15) } } },
    ]);
    expect(told([itemOf('many', many)], { ...at, tolerance: mm(0.15) })).toEqual([]);
  });

  test('what lies on each other is cut once: the way is as long as the lines without it, to a twentieth of a millimetre', () => {
    const lines = [0, 1, 2].flatMap((x) =>
      [0, 1].map((y) =>
        line([
          [x * 50, y * 50],
          [x * 50 + 50, y * 50],
          [x * 50 + 50, y * 50 + 50],
          [x * 50, y * 50 + 50],
        ]),
      ),
    );
    const told = once(lines);
    expect(told.doubled).toHaveLength(5);
    const way = told.lines.reduce((sum, { points, closed }) => sum + lengthOf(points, closed), 0);
    expect(way).toBeCloseTo(3 * 150 + 4 * 100, 1);
  });
});
