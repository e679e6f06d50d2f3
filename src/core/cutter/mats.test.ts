/** What lies on cutting mats: by property, against polygon-clipping. */
import fc from 'fast-check';
import polygonClipping, { type MultiPolygon, type Ring as Clipped } from 'polygon-clipping';
import { boxOfPoints } from '@/core/geometry/box';
import { apply } from '@/core/geometry/matrix';
import { pathOfRings } from '@/core/geometry/offset';
import { distanceToSide, rectanglePath, type Path } from '@/core/geometry/path';
import { Mat } from '@/core/cutter/model';
import { nest } from '@/core/cutter/nest';
import { partsOf } from '@/core/cutter/parts';
import { prepare } from '@/core/cutter/prepare';
import { FIRST_SETTINGS, MATS } from '@/core/cutter/settings';
import { random } from '@/core/random';
import { toPoints } from '@/core/units/lengths';
import { BLUE, itemOf, placeWith, starAt } from '../../../scripts/testing/cuts';

const mm = (value: number) => toPoints(value, 'mm');
const apart = { ...FIRST_SETTINGS, join: false };
const square = (x: number, y: number, side: number): Path =>
  rectanglePath({ x, y, width: side, height: side });

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
      { numRuns: 15 },
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
