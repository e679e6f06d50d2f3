/** What lies along a line: bands and their ends, strands of thread, spots of a tip, pictures in their frames. */
import fc from 'fast-check';
import { apply, growth, type Matrix, type Point } from '@/core/geometry/matrix';
import { areaOf, pathOfRings, signedArea } from '@/core/geometry/offset';
import { contains, pathBounds } from '@/core/geometry/path';
import { openRun, runsOf, EDGE_SIDES } from '@/core/geometry/runs';
import type { Asset } from '@/core/picture/asset';
import { bandOf, ENDS, laidShadow, strip } from '@/core/trail/band';
import { openCourse } from '@/core/trail/course';
import { litStamps } from '@/core/trail/lights';
import { dabsOf } from '@/core/trail/paint/dabs';
import { strandMarks, strandOutline } from '@/core/trail/thread/strand';
import { edgeOfTip, laidAt, pictureTip, sizeOfTip, stampsMark } from '@/core/trail/tip';
import { assetOf, quarters } from '../../../scripts/testing/samples';

const LEVEL: Point[] = [
  { x: 0, y: 0 },
  { x: 100, y: 0 },
];
const wide = fc.double({ min: 0.5, max: 40, noNaN: true });
const long = fc.double({ min: 20, max: 400, noNaN: true });

describe('a band', () => {
  test('with straight ends covers its length times its width', () => {
    fc.assert(
      fc.property(long, wide, (length, width) => {
        const run = openRun([
          { x: 3, y: 4 },
          { x: 3 + length * 0.6, y: 4 + length * 0.8 },
        ]);
        expect(areaOf(bandOf(run, width, 'straight', 1)) / (length * width)).toBeCloseTo(1, 2);
      }),
    );
  });

  test('no end reaches beyond its length or its width; each takes a share of what straight ends leave', () => {
    const taken = { straight: 0, slanted: 0.7, swallow: 0.55, torn: 0.09 };
    fc.assert(
      fc.property(fc.constantFrom(...ENDS), long, wide, fc.nat(99), (end, length, width, seed) => {
        const box = pathBounds(
          bandOf(
            openRun([
              { x: 0, y: 0 },
              { x: length, y: 0 },
            ]),
            width,
            end,
            seed,
          ),
        );
        expect(box.x).toBeGreaterThan(-1e-6);
        expect(box.x + box.width).toBeLessThan(length + 1e-6);
        expect(box.height).toBeCloseTo(width, 6);
        const area = areaOf(
          bandOf(
            openRun([
              { x: 0, y: 0 },
              { x: length, y: 0 },
            ]),
            width,
            end,
            seed,
          ),
        );
        const most = length * width;
        expect(area).toBeLessThanOrEqual(most + 1e-3 * most);
        expect(area).toBeGreaterThan(
          most - 2 * Math.min(0.45 * length, taken[end] * width) * width - 1e-3 * most,
        );
      }),
    );
  });

  test('a swallow’s tail is notched to its middle at both ends; a slant is longer on one side', () => {
    const tail = bandOf(openRun(LEVEL), 20, 'swallow', 1);
    expect([
      contains(tail, { x: 99, y: 9.5 }),
      contains(tail, { x: 99, y: 0 }),
      contains(tail, { x: 1, y: 0 }),
    ]).toEqual([...[true, false, false]]);
    const slant = bandOf(openRun(LEVEL), 20, 'slanted', 1);
    const atEnd = [-9, 9].map((y) => contains(slant, { x: 97, y }));
    expect(atEnd.filter(Boolean)).toHaveLength(1);
  });

  test('torn ends are torn alike from one seed, and otherwise from another', () => {
    const of = (seed: number) => bandOf(openRun(LEVEL), 20, 'torn', seed);
    expect(of(4)).toEqual(of(4));
    expect(of(4)).not.toEqual(of(5));
  });

  test('round a ring it is as wide all the way, with no seam', () => {
    const ring = Array.from({ length: 120 }, (_, i) => ({
      x: 50 * Math.cos((i * Math.PI) / 60),
      y: 50 * Math.sin((i * Math.PI) / 60),
    }));
    const [run] = runsOf(ring, EDGE_SIDES);
    const rings = strip(run!, -4, 4);
    expect(Math.abs(signedArea(rings)) / (Math.PI * (54 ** 2 - 46 ** 2))).toBeCloseTo(1, 2);
  });

  test('its shadow falls away from the light, as far as it is high; there is none without strength', () => {
    const path = bandOf(openRun(LEVEL), 10, 'straight', 1);
    const [shadow] = laidShadow(path, 3, { x: -3, y: -4, z: 1 }, 0.5);
    expect(shadow).toMatchObject({ mark: 'shadow', grow: 0, opacity: 0.525 });
    const { offset } = shadow as { offset: Point };
    expect([offset.x, offset.y].map((v) => Number(v.toFixed(6)))).toEqual([1.8, 2.4]);
    expect(laidShadow(path, 3, { x: -3, y: -4, z: 1 }, 0)).toEqual([]);
    expect(laidShadow([], 3, { x: 1, y: 0, z: 1 }, 1)).toEqual([]);
    expect(laidShadow(path, 3, { x: 1, y: 0, z: 1 }, 5)).toMatchObject([{ opacity: 1 }]);
  });
});

describe('a strand of thread', () => {
  const cord = { width: 4, colours: ['#9e2b45', '#f3e3c0'], light: -2.2, dips: true };

  test('its outline is a bar with round ends: the area of a stadium', () => {
    fc.assert(
      fc.property(long, fc.double({ min: 0.6, max: 8, noNaN: true }), (length, width) => {
        const ring = strandOutline(
          [
            { x: 0, y: 0 },
            { x: length, y: 0 },
          ],
          width,
        );
        // Its ends are ten-sided: a little less than round.
        const stadium = (length - width) * width + (Math.PI * width ** 2) / 4;
        expect(Math.abs(signedArea(ring)) / stadium).toBeGreaterThan(0.97);
        expect(Math.abs(signedArea(ring)) / stadium).toBeLessThan(1.0001);
      }),
    );
  });

  test('all that is drawn of it lies within it, in the colours it is twisted of and their shades', () => {
    fc.assert(
      fc.property(long, fc.double({ min: 1, max: 6, noNaN: true }), fc.boolean(), (length, width, dips) => {
        const marks = strandMarks(
          [
            { x: 0, y: 0 },
            { x: length, y: 0 },
          ],
          { ...cord, width, dips },
        );
        expect(marks.length).toBeGreaterThan(4);
        for (const { path } of marks) {
          const box = pathBounds(path);
          expect(Math.max(-box.y, box.y + box.height)).toBeLessThan(width / 2 + 1e-6);
          expect(box.x).toBeGreaterThan(-0.6 * width);
          expect(box.x + box.width).toBeLessThan(length + 0.6 * width);
        }
        expect(marks.some(({ colour }) => colour === cord.colours[0])).toBe(true);
        expect(marks.some(({ colour }) => colour === cord.colours[1])).toBe(true);
      }),
      { numRuns: 20 },
    );
  });

  test('of one colour nothing is twisted in; of no length there is nothing; dipping in adds its ends', () => {
    const plain = strandMarks(LEVEL, { ...cord, colours: ['#9e2b45'] });
    expect(plain.some(({ colour }) => colour === '#f3e3c0')).toBe(false);
    expect(strandMarks([LEVEL[0]!, LEVEL[0]!], cord)).toEqual([]);
    expect(strandMarks(LEVEL, cord)).toHaveLength(strandMarks(LEVEL, { ...cord, dips: false }).length + 1);
  });

  test('the side away from the light is the dark one, whichever way it lies', () => {
    // Light from above: of a level strand the dark runs below its middle, whether it was drawn to the right or to the left.
    for (const [from, to] of [
      [0, 100],
      [100, 0],
    ] as const) {
      const marks = strandMarks(
        [
          { x: from, y: 0 },
          { x: to, y: 0 },
        ],
        { width: 10, colours: ['#9e2b45'], light: -Math.PI / 2, dips: false },
      );
      const box = pathBounds(marks[2]!.path);
      expect(box.y + box.height / 2).toBeGreaterThan(1);
    }
  });
});

describe('spots of a tip', () => {
  const way = Array.from({ length: 41 }, (_, i) => ({ x: i * 5, y: 0 }));
  const spots = (how: Partial<Parameters<typeof dabsOf>[1]>, pressure?: number[]) =>
    dabsOf(openCourse(way, pressure), { width: 10, thins: 0, taper: 0, ...how });

  test('without pressure or taper all are as wide as the tip; how far along is told', () => {
    const all = spots({});
    expect(all.every(({ r }) => r === 5)).toBe(true);
    expect(all.map(({ s }) => s)).toEqual(way.map(({ x }) => x));
  });

  test('a light hand thins it by as much as is asked; from four fifths on it is all of it', () => {
    const pressure = way.map((_, i) => i / 40);
    const all = spots({ thins: 0.5 }, pressure);
    expect(all[0]!.r).toBeCloseTo(2.5, 9);
    expect(all[32]!.r).toBeCloseTo(5, 9);
    expect(all[40]!.r).toBeCloseTo(5, 9);
    all.slice(1).forEach(({ r }, i) => expect(r).toBeGreaterThanOrEqual(all[i]!.r));
  });

  test('tapered it grows from nearly nothing and ends so, alike at both ends; never finer than a share of itself', () => {
    const all = spots({ taper: 0.25 });
    expect(all[0]!.r).toBeCloseTo(0.3, 9);
    expect(all[20]!.r).toBe(5);
    all.forEach(({ r }, i) => expect(r).toBeCloseTo(all[40 - i]!.r, 9));
    expect(all[5]!.r).toBeCloseTo(5 * Math.sqrt(0.5), 9);
  });

  test('one point is one spot', () => {
    expect(dabsOf(openCourse([{ x: 3, y: 4 }]), { width: 8, thins: 1, taper: 0 })).toEqual([
      { x: 3, y: 4, r: 4, press: 0.5, s: 0 },
    ]);
  });
});

describe('pictures as tips', () => {
  const asset = assetOf(quarters(60, 40), 60, 40, { cut: 'M0 0L60 0L30 40Z' } as Partial<Asset>);
  const turned = { ...asset, orientation: 6 } as Asset;
  const find = (sha: string) => (sha === asset.sha ? asset : undefined);
  const of = { asset: asset.sha, ratio: 40 / 60 };

  test('the longer side is as long as asked, standing or lying', () => {
    expect(sizeOfTip(of, 30)).toEqual({ width: 30, height: 20 });
    expect(sizeOfTip({ asset: '', ratio: 1.5 }, 30)).toEqual({ width: 20, height: 30 });
    expect(sizeOfTip({ asset: '', ratio: 1 }, 30)).toEqual({ width: 30, height: 30 });
  });

  test('its corners come to the corners of its room about its middle; one that is missing is a card', () => {
    const [mark] = pictureTip(of, 30, find);
    if (mark?.mark !== 'image') throw new Error('no image');
    expect(apply(mark.matrix, { x: 0, y: 0 })).toEqual({ x: -15, y: -10 });
    expect(apply(mark.matrix, { x: 60, y: 40 })).toEqual({ x: 15, y: 10 });
    expect(mark).not.toHaveProperty('ink');
    expect(pictureTip(of, 30, find, '#123456')).toMatchObject([{ mark: 'image', ink: '#123456' }]);
    expect(pictureTip({ ...of, asset: 'gone' }, 30, find)).toMatchObject([{ mark: 'fill' }]);
    expect(pictureTip({ ...of, asset: 'gone' }, 30, find, '#123456')).toMatchObject([
      { mark: 'fill', colour: '#123456' },
    ]);
  });

  test('a picture that the camera held sideways lies upright in it', () => {
    const [mark] = pictureTip({ asset: asset.sha, ratio: 1.5 }, 30, () => turned);
    if (mark?.mark !== 'image') throw new Error('no image');
    expect(apply(mark.matrix, { x: 40, y: 60 })).toEqual({ x: 10, y: 15 });
  });

  test('its edge is its own where it has one, in its frame; or its box, also where that cannot be read', () => {
    expect(edgeOfTip(of, 30, find)).toEqual([['M', -15, -10], ['L', 15, -10], ['L', 0, 10], ['Z']]);
    expect(pathBounds(edgeOfTip(of, 30, () => ({ ...asset, cut: 'M0 0 Q' }) as Asset))).toEqual({
      x: -15,
      y: -10,
      width: 30,
      height: 20,
    });
    expect(pathBounds(edgeOfTip(of, 30, () => undefined))).toEqual({ x: -15, y: -10, width: 30, height: 20 });
  });

  test('laid at a place, turned by its way, and mirrored across it where that is asked', () => {
    fc.assert(
      fc.property(
        long,
        long,
        fc.double({ min: -7, max: 7, noNaN: true }),
        fc.double({ min: 0.1, max: 9, noNaN: true }),
        fc.boolean(),
        (x, y, way, scale, mirrored) => {
          const map = laidAt(x, y, way, scale, mirrored);
          expect(apply(map, { x: 0, y: 0 })).toEqual({ x, y });
          const ahead = apply(map, { x: 1, y: 0 });
          expect(ahead.x - x).toBeCloseTo(scale * Math.cos(way), 6);
          expect(ahead.y - y).toBeCloseTo(scale * Math.sin(way), 6);
          expect(growth(map)).toBeCloseTo(scale, 6);
          expect(Math.sign(map[0] * map[3] - map[1] * map[2])).toBe(mirrored ? -1 : 1);
        },
      ),
    );
  });

  test('a mark of many is as large as all of them; of none there is none', () => {
    const box = { x: -5, y: -5, width: 10, height: 10 };
    const at = (x: number, y: number): Matrix => [1, 0, 0, 1, x, y];
    const [mark] = stampsMark(
      [[]],
      [box],
      [
        { tip: 0, map: at(0, 0) },
        { tip: 0, map: at(90, 40) },
      ],
    );
    expect(mark!.bounds).toEqual({ x: -5, y: -5, width: 100, height: 50 });
    expect(stampsMark([[]], [box], [])).toEqual([]);
  });
});

test('what is lit alike is drawn once: sixteen directions at the most, each from the light as it falls on it', () => {
  const box = { x: -1, y: -1, width: 2, height: 2 };
  const made: number[] = [];
  const all = Array.from({ length: 400 }, (_, i) => ({
    sort: 'pearl',
    way: i * 0.1,
    map: laidAt(i, 0, i * 0.1, 1),
  }));
  const [mark] = litStamps('beads of a suite', all, -2, (_, from) => {
    made.push(from);
    return { tip: [{ mark: 'fill', path: pathOfRings([LEVEL]), colour: '#000000' }], box };
  });
  expect(made).toHaveLength(16);
  expect(mark!.tips).toHaveLength(16);
  expect(mark!.places).toHaveLength(400);
  // The light as a bead's own frame sees it, to half a step.
  for (const { way, map } of all) {
    const place = mark!.places.find((each) => each.map === map)!;
    const off = ((((made[place.tip]! - (-2 - way)) % (2 * Math.PI)) + 3 * Math.PI) % (2 * Math.PI)) - Math.PI;
    expect(Math.abs(off)).toBeLessThanOrEqual(Math.PI / 16 + 1e-9);
  }
  // Drawn again it is the very same tips; another sort is its own.
  const again = litStamps('beads of a suite', all, -2, () => {
    throw new Error('drawn twice');
  });
  expect(again[0]!.tips[0]).toBe(mark!.tips[0]);
});
