/** Outlines as a cutter gets them: joined, freed, simplified, printed first. */
import { boxOfPoints } from '@/core/geometry/box';
import { translation, type Point } from '@/core/geometry/matrix';
import { areaOf, pathOfRings } from '@/core/geometry/offset';
import { distanceToSide, ellipsePath, rectanglePath, transformPath, type Path } from '@/core/geometry/path';
import { askedOf, usually } from '@/core/cutter/gather';
import type { Piece } from '@/core/piece/piece';
import { assetOf, inkPiece, photoOf, wordsOf } from '../../../scripts/testing/samples';
import { partsOf } from '@/core/cutter/parts';
import { prepare } from '@/core/cutter/prepare';
import { FIRST_SETTINGS } from '@/core/cutter/settings';
import { toPoints } from '@/core/units/lengths';
import { BLUE, itemOf, placeWith, polygon } from '../../../scripts/testing/cuts';

const mm = (value: number) => toPoints(value, 'mm');
const square = (x: number, y: number, side: number): Path =>
  rectanglePath({ x, y, width: side, height: side });

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
      itemOf('photo', square(300, 300, 80), { as: 'print' }),
      itemOf('word', square(360, 360, 60), { as: 'draw' }),
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
    expect(over.found).toMatchObject([{ check: 'covered' }]);
  });
});

test.each([
  ['a punch in an ink', inkPiece('p'), 'cut'],
  ['a photo', photoOf('p', assetOf(Buffer.from('x'), 9, 9), { x: 0, y: 0, width: 9, height: 9 }), 'print'],
  ['a title', { ...wordsOf('w', 'Low water'), outline: { ...wordsOf('w', '').outline, size: 60 } }, 'cut'],
  [
    'small words',
    { ...wordsOf('w', 'Low water'), outline: { ...wordsOf('w', '').outline, size: 14 } },
    'draw',
  ],
] as const)('%s is what a cutter makes of it by itself', (_, piece, as) => {
  expect(usually(piece as Piece)).toBe(as);
  expect(askedOf({ ...(piece as Piece), cutter: { as: 'score' } })).toBe('score');
});

test('an outline that crosses itself is cut as what it encloses; one without any area is none', () => {
  const bow = polygon([0, 0], [60, 60], [60, 0], [0, 60]);
  const { parts } = partsOf([placeWith([itemOf('bow', bow)])], FIRST_SETTINGS);
  expect(parts.reduce((sum, { rings }) => sum + areaOf(pathOfRings(rings)), 0)).toBeCloseTo(1800, 0);
  const flat = polygon([0, 0], [60, 0], [0, 0]);
  const made = prepare([placeWith([itemOf('flat', flat)])], FIRST_SETTINGS);
  expect([made.mats, made.found]).toEqual([[], []]);
});
