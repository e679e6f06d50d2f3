/** What goes to a cutter: by property, on shapes whose measures are known, and against exact tours. */
import fc from 'fast-check';
import polygonClipping, { type MultiPolygon, type Ring as Clipped } from 'polygon-clipping';
import { boxOfPoints } from '@/core/geometry/box';
import { apply, rotation, translation, type Point } from '@/core/geometry/matrix';
import { areaOf, pathOfRings, signedArea } from '@/core/geometry/offset';
import { distanceToSide, ellipsePath, rectanglePath, transformPath, type Path } from '@/core/geometry/path';
import { bladed, overcut } from '@/core/cutter/blade';
import { lifted } from '@/core/cutter/machine/lift';
import { ACCELERATION, runOf, SPEEDS, TOOL_TIME, toolAt, trailing } from '@/core/cutter/machine/run';
import type { Line, Mat } from '@/core/cutter/model';
import { nest } from '@/core/cutter/nest';
import { once } from '@/core/cutter/once';
import { emptyWay, inOrder, outerOf, startsOf } from '@/core/cutter/order';
import { partsOf } from '@/core/cutter/parts';
import { linesOn, prepare } from '@/core/cutter/prepare';
import { bridgesOf, widened } from '@/core/cutter/repair';
import { lengthOf } from '@/core/cutter/rings';
import { FIRST_SETTINGS, MATS } from '@/core/cutter/settings';
import { random } from '@/core/random';
import { toPoints } from '@/core/units/lengths';
import { BLUE, itemOf, placeWith, polygon, starAt } from '../../../scripts/testing/cuts';

const mm = (value: number) => toPoints(value, 'mm');
const apart = { ...FIRST_SETTINGS, join: false };
const square = (x: number, y: number, side: number): Path =>
  rectanglePath({ x, y, width: side, height: side });
const line = (points: readonly (readonly [number, number])[], change: Partial<Line> = {}): Line => ({
  ...{ doing: 'cut', closed: true, points: points.map(([x, y]) => ({ x, y })) },
  ...change,
});

describe('on the mats', () => {
  /** What is covered of a mat by each of its parts. */
  const covered = ({ laid }: Pick<Mat, 'laid'>): MultiPolygon[] =>
    laid.map(({ part, map }) => [
      part.rings.map(
        (ring) => ring.map((p) => apply(map, p)).map(({ x, y }): [number, number] => [x, y]) as Clipped,
      ),
    ]);

  test('by property: every part lies on one mat, within its edges; none overlaps another, and their gap is kept', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 1e6 }),
        fc.integer({ min: 2, max: 24 }),
        fc.constantFrom('none' as const, 'quarter' as const, 'any' as const),
        (seed, count, turning) => {
          const chance = random(seed);
          const items = Array.from({ length: count }, (_, i) =>
            itemOf(`p${i}`, starAt({ x: 200 + 300 * chance(), y: 300 }, 15 + 90 * chance(), chance)),
          );
          const { mats, found } = prepare([placeWith(items)], { ...apart, turning, mat: 'a4' });
          expect(mats.flatMap(({ laid }) => laid.map(({ part }) => part.name)).sort()).toEqual(
            items.map(({ name }) => name).sort(),
          );
          expect(found.filter(({ check }) => check === 'outside')).toEqual([]);
          for (const mat of mats) {
            const shapes = covered(mat);
            shapes.forEach((shape, i) =>
              shapes.slice(i + 1).forEach((other) => {
                expect(polygonClipping.intersection(shape, other)).toEqual([]);
                const gap = Math.min(
                  ...shape
                    .flat(2)
                    .flatMap(([x, y]) =>
                      other.flatMap(([ring]) =>
                        ring!
                          .slice(1)
                          .map(([bx, by], k) =>
                            distanceToSide({ x, y }, { x: ring![k]![0], y: ring![k]![1] }, { x: bx, y: by }),
                          ),
                      ),
                    ),
                );
                expect(gap).toBeGreaterThan(FIRST_SETTINGS.gap - 0.3);
              }),
            );
            for (const [x, y] of shapes.flat(3)) {
              expect(Math.min(x, y, mat.size.width - x, mat.size.height - y)).toBeGreaterThan(
                FIRST_SETTINGS.edge - 0.3,
              );
            }
          }
        },
      ),
      { numRuns: 25 },
    );
  });

  test('small ones lie in the holes of large ones; each paper has mats of its own; what is larger than the mat is told', () => {
    const frame = pathOfRings([
      [...square(0, 0, 500)].slice(0, 4).map((s) => ({ x: s[1] as number, y: s[2] as number })),
      [
        { x: 60, y: 60 },
        { x: 60, y: 440 },
        { x: 440, y: 440 },
        { x: 440, y: 60 },
      ],
    ]);
    const { mats, found } = prepare(
      [
        placeWith([
          itemOf('frame', frame),
          ...['a', 'b', 'c', 'd'].map((id, i) => itemOf(id, square(520, 170 * i, 160))),
          itemOf('blue', square(0, 0, 50), { paper: BLUE }),
          itemOf('wide', rectanglePath({ x: 0, y: 0, width: 1200, height: 40 })),
        ]),
      ],
      { ...apart, turning: 'quarter', mat: 'a4' },
    );
    expect(mats.map(({ paper, laid }) => [paper.name, laid.length])).toEqual([
      ['Red card', 5],
      ['Blue card', 1],
    ]);
    const whole = boxOfPoints(mats[0]!.lines.flatMap(({ points }) => points));
    expect(whole.height).toBeLessThan(520);
    expect(found).toMatchObject([
      { check: 'outside', mat: null, name: 'wide', cure: { set: { mat: '12x24' } } },
    ]);
    expect(
      prepare([placeWith([itemOf('wide', rectanglePath({ x: 0, y: 0, width: 1200, height: 40 }))])], {
        ...apart,
        mat: '12x24',
      }).found,
    ).toEqual([]);
  });

  test('a part that takes the whole bed fits to the cell', () => {
    const { width, height } = MATS['12x12'];
    const side = width - 2 * apart.edge - mm(1);
    const { parts } = partsOf([placeWith([itemOf('all', square(0, 0, side))])], apart);
    expect(
      nest(parts, { width, height, gap: apart.gap, edge: apart.edge, turning: 'none' }).mats,
    ).toHaveLength(1);
  });
});

describe('true outlines', () => {
  /** Seven rows of five chevrons, each a stripe of two arms; neighbours overlap by a point. */
  const chevrons = (rows: number): Path[] =>
    Array.from({ length: rows * 5 }, (_, i) => {
      const [x, y] = [(i % 5) * 59, Math.floor(i / 5) * 40];
      return polygon(
        [x, y + 30],
        [x + 30, y],
        [x + 60, y + 30],
        [x + 60, y + 50],
        [x + 30, y + 20],
        [x, y + 50],
      );
    });

  test('the chevron exercise: 5 across, 7 down, each row joined to one; cut out of 4 x 5.25 in, framed by 4.25 x 5.5 in', () => {
    const items = chevrons(7).map((path, i) => itemOf(`v${i}`, path));
    const { parts } = partsOf([placeWith(items)], FIRST_SETTINGS);
    expect(parts).toHaveLength(7);
    for (const [row, { box, pieces }] of parts.sort((a, b) => a.box.y - b.box.y).entries()) {
      expect(pieces).toHaveLength(5);
      expect(box.x).toBeCloseTo(0, 2);
      expect(box.y).toBeCloseTo(row * 40, 2);
      expect(box.width).toBeCloseTo(4 * 59 + 60, 2);
      expect(box.height).toBeCloseTo(50, 2);
    }
    // An opening lets them through the panel; both come out at their size, to a hundredth of an inch.
    const [panel, frame] = [
      rectanglePath({ x: 0, y: 0, width: 288, height: 378 }),
      rectanglePath({ x: -9, y: -9, width: 306, height: 396 }),
    ];
    const moved = pathOfRings(
      chevrons(7).map((path) =>
        transformPath(translation(-4, 20), path).flatMap((s) =>
          s[0] === 'Z' ? [] : [{ x: s[1], y: s[2] } as Point],
        ),
      ),
    );
    const made = partsOf(
      [
        placeWith([
          itemOf('frame', frame, { paper: BLUE }),
          itemOf('panel', panel),
          itemOf('hole', moved, { opening: true }),
        ]),
      ],
      FIRST_SETTINGS,
    ).parts;
    const boxOf = (name: string) =>
      boxOfPoints(made.filter((part) => part.name === name).flatMap(({ rings }) => rings.flat()));
    expect(Math.abs(boxOf('panel').width / 72 - 4)).toBeLessThan(0.01);
    expect(Math.abs(boxOf('panel').height / 72 - 5.25)).toBeLessThan(0.01);
    expect(Math.abs(boxOf('frame').width / 72 - 4.25)).toBeLessThan(0.01);
    expect(Math.abs(boxOf('frame').height / 72 - 5.5)).toBeLessThan(0.01);
  });

  test('what lies hidden is left out but for a margin; of one paper what overlaps is one; simplified lines are near the true ones', () => {
    const items = [itemOf('low', square(0, 0, 100)), itemOf('high', square(50, -50, 200), { paper: BLUE })];
    const wish = { ...FIRST_SETTINGS, hidden: true, beneath: 10 };
    const [low] = partsOf([placeWith(items)], wish).parts;
    expect(low!.box.width).toBeCloseTo(60, 1);
    const circle = itemOf('round', ellipsePath({ x: 0, y: 0, width: 300, height: 300 }));
    const { parts, points } = partsOf([placeWith([circle])], FIRST_SETTINGS);
    for (const { x, y } of parts[0]!.rings[0]!)
      expect(Math.abs(Math.hypot(x - 150, y - 150) - 150)).toBeLessThan(mm(0.05));
    const sides = parts[0]!.rings[0]!.map((p, i, all) =>
      distanceToSide({ x: 150, y: 150 }, p, all[(i + 1) % all.length]!),
    );
    expect(150 - Math.min(...sides)).toBeLessThan(mm(0.05) + 1e-6);
    expect(points.after).toBeLessThan(points.before / 2);
  });

  test('words and folds go with the paper they lie on; drawn on paper nobody cuts, they have a mat of their own', () => {
    const tag = itemOf('tag', square(100, 100, 90));
    const word = itemOf('word', square(120, 120, 20), { as: 'draw', paper: BLUE });
    const far = itemOf('far', square(500, 500, 20), { as: 'draw', paper: BLUE });
    const { mats } = prepare([placeWith([tag, word, far])], FIRST_SETTINGS);
    expect(mats.map(({ lines }) => lines.map(({ doing }) => doing))).toEqual([['draw', 'cut'], ['draw']]);
    const folded = itemOf('paper', square(0, 0, 200), {
      folds: [
        [
          ['M', 100, 0],
          ['L', 100, 200],
        ],
      ],
    });
    expect(prepare([placeWith([folded])], FIRST_SETTINGS).mats[0]!.lines.map(({ doing }) => doing)).toEqual([
      'score',
      'cut',
    ]);
  });

  test('printed first: what belongs together is cut out as one, so far around, with squares to find it by', () => {
    const items = [
      itemOf('photo', square(300, 300, 80), { as: 'print', unit: 'group' }),
      itemOf('word', square(360, 360, 60), { as: 'draw', unit: 'group' }),
    ];
    const { mats, found } = prepare([placeWith(items)], { ...FIRST_SETTINGS, way: 'printed' });
    expect(mats).toHaveLength(1);
    expect(mats[0]!.laid).toHaveLength(1);
    const box = boxOfPoints(mats[0]!.lines[0]!.points);
    expect(box.x).toBeCloseTo(300 - FIRST_SETTINGS.around, 1);
    expect(box.width).toBeCloseTo(120 + 2 * FIRST_SETTINGS.around, 1);
    expect(mats[0]!.marks).toHaveLength(3);
    expect(found).toEqual([]);
    const over = prepare([placeWith([itemOf('corner', square(0, 0, 60))])], {
      ...FIRST_SETTINGS,
      way: 'printed',
    });
    expect(over.found).toMatchObject([{ check: 'outside' }, { check: 'covered' }]);
  });
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

describe('the way of the tool', () => {
  const rings = (seed: number, count: number): Line[] => {
    const chance = random(seed);
    return Array.from({ length: count }, () => {
      const [x, y, r] = [chance() * 800, chance() * 800, 10 + chance() * 120];
      return line([
        [x, y - r],
        [x + r, y],
        [x, y + r],
        [x - r, y],
      ]);
    });
  };

  test('by property: all lines once, what lies within before what is about it; drawn, then scored, then cut', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1e6 }), fc.integer({ min: 1, max: 60 }), (seed, count) => {
        const lines = rings(seed, count);
        const order = inOrder(lines);
        expect(order).toHaveLength(count);
        outerOf(order).forEach((outer, i) => outer >= 0 && expect(outer).toBeGreaterThan(i));
        expect(order.reduce((sum, { points }) => sum + Math.abs(signedArea(points)), 0)).toBeCloseTo(
          lines.reduce((sum, { points }) => sum + Math.abs(signedArea(points)), 0),
          3,
        );
      }),
      { numRuns: 40 },
    );
    const three = inOrder([
      line([
        [0, 0],
        [9, 0],
        [9, 9],
      ]),
      line(
        [
          [0, 0],
          [5, 5],
        ],
        { doing: 'score', closed: false },
      ),
      line(
        [
          [1, 1],
          [2, 2],
        ],
        { doing: 'draw', closed: false, ink: '#000000' },
      ),
    ]);
    expect(three.map(({ doing }) => doing)).toEqual(['draw', 'score', 'cut']);
  });

  /** The shortest empty way there is, by every order and every start (Held and Karp, 1962). */
  function shortest(lines: readonly Line[]): number {
    const outer = outerOf(lines);
    const starts = lines.map(startsOf);
    let states = new Map<string, number>([['0', 0]]);
    const at = (key: string): Point => {
      const [, l, s] = key.split(' ').map(Number);
      return l === undefined ? { x: 0, y: 0 } : starts[l]![s!]!.to;
    };
    for (let step = 0; step < lines.length; step++) {
      const next = new Map<string, number>();
      for (const [key, way] of states) {
        const done = Number(key.split(' ')[0]);
        const from = at(key);
        lines.forEach((_, l) => {
          if (done & (1 << l) || outer.some((o, i) => o === l && !(done & (1 << i)))) return;
          starts[l]!.forEach((start, s) => {
            const to = `${done | (1 << l)} ${l} ${s}`;
            const all = way + Math.hypot(from.x - start.from.x, from.y - start.from.y);
            if (all < (next.get(to) ?? Infinity)) next.set(to, all);
          });
        });
      }
      states = next;
    }
    return Math.min(...states.values());
  }

  test('empty ways are at most a quarter longer than the shortest there is', () => {
    const shares = Array.from({ length: 12 }, (_, i) => {
      const lines = rings(i + 1, 8);
      return emptyWay(inOrder(lines)) / shortest(lines);
    });
    expect(Math.max(...shares)).toBeLessThan(1.25);
  });

  test('a blade led about its corners cuts the outline: its tip, drawn after it, is never 0.06 mm off, and goes on beyond the beginning', () => {
    const [offset, on] = [mm(0.25), mm(1)];
    const outline = line([
      [20, 20],
      [120, 20],
      [150, 90],
      [80, 60],
      [20, 90],
    ]);
    const led = bladed(overcut(outline, on), offset);
    const tips = trailing(led.points, offset);
    const off = tips.map((tip) =>
      Math.min(...outline.points.map((p, i, all) => distanceToSide(tip, p, all[(i + 1) % all.length]!))),
    );
    expect(Math.max(...off)).toBeLessThan(mm(0.06));
    const end = tips.at(-1)!;
    expect(Math.hypot(end.x - 20 - on, end.y - 20)).toBeLessThan(mm(0.06));
    // Not led, it cuts its corners off.
    const raw = trailing(overcut(outline, on).points, offset);
    expect(Math.min(...raw.map(({ x, y }) => Math.hypot(x - 150, y - 90)))).toBeGreaterThan(mm(0.08));
  });

  test('the simulated cutter takes as long as its speeds say, stands where they say, and lifts what is cut loose', () => {
    const size = { width: 864, height: 864 };
    const way = mm(100);
    const run = runOf(
      [
        {
          points: [
            { x: 0, y: 0 },
            { x: way, y: 0 },
          ],
          closed: false,
          doing: 'cut',
        },
      ],
      size,
    );
    // From rest to rest: the way over the speed, and the speed over the acceleration (any book of mechanics).
    const seconds = (long: number, speed: number) => long / speed + speed / ACCELERATION;
    const cut = seconds(100, SPEEDS.cut);
    expect(run.time).toBeCloseTo(2 * TOOL_TIME + cut + seconds(100, SPEEDS.empty), 6);
    expect(toolAt(run, TOOL_TIME + cut / 2).at.x).toBeCloseTo(way / 2, 3);
    expect(toolAt(run, 1e9).at).toEqual({ x: 0, y: 0 });
    const ring = (side: number) =>
      [0, 1, 2, 3, 0].map((i) => ({
        x: 200 + (i === 1 || i === 2 ? side : -side),
        y: 200 + (i > 1 ? side : -side),
      }));
    const { loose, rest } = lifted(
      [
        ring(90),
        ring(40),
        [
          { x: 400, y: 400 },
          { x: 500, y: 400 },
        ],
      ],
      size,
    );
    expect(loose.map(({ rings, fell }) => [rings.length, fell]).sort()).toEqual([
      [1, true],
      [2, false],
    ]);
    expect(rest).toHaveLength(2 + 1);
  });

  test('lines go from parts to mats with their areas', () => {
    const { mats } = prepare([placeWith([itemOf('a', square(0, 0, 100))])], FIRST_SETTINGS);
    expect(linesOn(mats[0]!.laid[0]!).map(({ points }) => Math.abs(signedArea(points)))).toEqual([
      expect.closeTo(1e4, 0),
    ]);
  });
});
