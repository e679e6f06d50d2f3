/** Mosaics: colours against culori, the plan against every plan there is. */
import { converter } from 'culori';
import fc from 'fast-check';
import { meanColours, darksAndLights, type Lab } from '@/core/mosaic/colours';
import { fewestUses, plan, rowsFor, UNEQUAL, type MosaicWish, type Sheet } from '@/core/mosaic/plan';
import { layMosaic, USUAL_BLEND, USUAL_OPACITY, type Mosaic } from '@/core/project/edits/mosaic';
import { perform, startHistory } from '@/core/project/history';
import { newLayout } from '@/core/project/model';
import { random } from '@/core/random';

const grey = (l: number): Lab => [l, 0, 0];
const wish = (more: Partial<MosaicWish> = {}): MosaicWish => ({
  columns: 2,
  rows: 2,
  order: 'matched',
  most: 1,
  spread: 'last',
  ...more,
});

test('one colour is what culori makes of it; halves of black and white are half the light', () => {
  fc.assert(
    fc.property(fc.nat(255), fc.nat(255), fc.nat(255), (r, g, b) => {
      const data = new Uint8ClampedArray([r, g, b, 255, r, g, b, 255]);
      const [lab] = meanColours({ data, width: 2, height: 1 });
      const other = converter('oklab')({ mode: 'rgb', r: r / 255, g: g / 255, b: b / 255 });
      expect(lab![0]).toBeCloseTo(other.l, 4);
      expect(lab![1]).toBeCloseTo(other.a, 4);
      expect(lab![2]).toBeCloseTo(other.b, 4);
    }),
  );
  const halves = { data: new Uint8ClampedArray([0, 0, 0, 255, 255, 255, 255, 255]), width: 2, height: 1 };
  // Half the light, by hand: the cube root of 0.5.
  expect(meanColours(halves)[0]![0]).toBeCloseTo(Math.cbrt(0.5), 4);
  const [left, right] = meanColours(halves, 2, 1);
  expect([left![0], right![0]]).toEqual([expect.closeTo(0, 4), expect.closeTo(1, 4)]);
  expect(darksAndLights([grey(0.1), grey(0.5), grey(0.9), grey(0.95)])).toEqual({ dark: 0.25, light: 0.5 });
});

describe('the plan', () => {
  test('matched: by hand, each cell gets the grey nearest to it', () => {
    expect(plan([0.9, 0.1, 0.6, 0.3].map(grey), [0, 0.25, 0.7, 1].map(grey), wish())).toEqual([
      { rows: [2, 2], cells: [1, 3, 2, 0] },
    ]);
  });

  test('matched: with more photos than cells none is used twice and no other choice is nearer', () => {
    const chance = random(5);
    const colour = (): Lab => [chance(), chance() - 0.5, chance() - 0.5];
    const photos = Array.from({ length: 6 }, colour);
    const under = Array.from({ length: 4 }, colour);
    const far = (cells: readonly number[]) =>
      cells.reduce(
        (sum, photo, i) => sum + photos[photo]!.reduce((d, v, c) => d + (v - under[i]![c]!) ** 2, 0),
        0,
      );
    const [{ cells: found }] = plan(photos, under, wish()) as [Sheet];
    expect(new Set(found).size).toBe(4);
    for (let code = 0; code < 6 ** 4; code++) {
      const other = [0, 1, 2, 3].map((i) => Math.floor(code / 6 ** i) % 6);
      if (new Set(other).size === 4) expect(far(found!)).toBeLessThanOrEqual(far(other) + 1e-12);
    }
  });

  test('matched: few photos are used as often as needed, and neighbours differ', () => {
    fc.assert(
      fc.property(fc.integer({ min: 5, max: 9 }), fc.nat(1000), (count, seed) => {
        const chance = random(seed);
        const photos = Array.from({ length: count }, () => grey(chance()));
        const under = Array.from({ length: 36 }, () => grey(chance()));
        const [{ cells }] = plan(photos, under, wish({ columns: 6, rows: 6 })) as [Sheet];
        const uses = photos.map((_, i) => cells!.filter((photo) => photo === i).length);
        expect(Math.max(...uses)).toBeLessThanOrEqual(fewestUses(count, 36));
        cells!.forEach((photo, i) => {
          if ((i + 1) % 6) expect(cells![i + 1]).not.toBe(photo);
          if (i + 6 < 36) expect(cells![i + 6]).not.toBe(photo);
        });
      }),
      { numRuns: 20 },
    );
  });

  test('by time and tone all are used, on as many sheets as they need; too few begin again, never under themselves', () => {
    const photos = [0.9, 0.1, 0.6, 0.3, 0.5].map(grey);
    const cells = (...given: Parameters<typeof plan>) => plan(...given).map((sheet) => sheet.cells);
    expect(plan(photos, [], wish({ order: 'time' }))).toEqual([
      { rows: [2, 2], cells: [0, 1, 2, 3] },
      { rows: [1], cells: [4] },
    ]);
    expect(plan(photos, [], wish({ order: 'time', spread: 'even' }))).toEqual([
      { rows: [1, 2], cells: [0, 1, 2] },
      { rows: [1, 1], cells: [3, 4] },
    ]);
    expect(cells(photos, [], wish({ order: 'tone', columns: 5, rows: 1 }))).toEqual([[1, 3, 4, 2, 0]]);
    expect(cells(photos.slice(0, 2), [], wish({ order: 'time' }))).toEqual([[0, 1, 1, 0]]);
    expect(plan([], [], wish())).toEqual([]);
  });

  test('what is over fills its page: no cell bare, rows of nearly one length, cells nearly of the shape that was asked for', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 400 }),
        fc.integer({ min: 1, max: 12 }),
        fc.integer({ min: 1, max: 12 }),
        (count, columns, rows) => {
          const found = rowsFor(count, columns / rows);
          expect(found.reduce((sum, each) => sum + each, 0)).toBe(count);
          expect(Math.max(...found) - Math.min(...found)).toBeLessThanOrEqual(1);
          // Enough of them to have a choice. Furthest off is one row that was nearly as good as two unequal ones.
          const shape = count / found.length / found.length / (columns / rows);
          if (count >= 12 && count >= 2 * Math.max(columns / rows, rows / columns))
            expect(Math.abs(Math.log(shape))).toBeLessThanOrEqual(Math.LN2 + UNEQUAL);
        },
      ),
      { examples: [[15, 12, 2]] },
    );
    expect(rowsFor(20, 1)).toEqual([5, 5, 5, 5]);
    expect(rowsFor(7, 1)).toEqual([2, 2, 3]);
  });
});

test('a mosaic is one group: cells share the area, the picture lies over them, what is over goes to a further page', () => {
  const asset = (i: number) => ({
    sha: String(i).padStart(64, '0'),
    type: 'image/jpeg' as const,
    name: `${i}.jpg`,
    bytes: 1,
    width: 30,
    height: 20,
    orientation: 1,
    ppi: 300,
    focus: { x: 0.2, y: 0.5 },
  });
  const photos = [1, 2, 3, 4, 5].map(asset);
  const mosaic: Mosaic = {
    gap: 4,
    area: { x: 10, y: 20, width: 204, height: 104 },
    photos,
    sheets: [
      { rows: [2, 2], cells: [0, 1, 2, 3] },
      { rows: [1], cells: [4] },
    ],
    over: { asset: asset(9), blend: USUAL_BLEND, opacity: USUAL_OPACITY },
  };
  let count = 0;
  const layout = newLayout({ id: 'p', title: '', unit: 'in', width: 864, height: 864 });
  const { project } = perform(
    startHistory(layout),
    layMosaic('p-1', mosaic, () => `n${(count += 1)}`),
    0,
  );
  const [first, second] = project.surfaces;
  expect(project.surfaces.map(({ name }) => name)).toEqual(['Page 1', 'Page 2']);
  expect(first!.pile.map(({ placement: { x, y, width, height } }) => [x, y, width, height])).toEqual([
    [60, 45, 100, 50],
    [164, 45, 100, 50],
    [60, 99, 100, 50],
    [164, 99, 100, 50],
    [112, 72, 204, 104],
  ]);
  expect(first!.pile.at(-1)!.finish).toMatchObject({ blend: 'screen', opacity: 0.6 });
  expect(first!.pile[0]!.material).toMatchObject({ window: { x: 0.2, y: 0.5, zoom: 1 } });
  expect(new Set(first!.pile.flatMap(({ groups }) => groups))).toEqual(
    new Set(first!.groups.map(({ id }) => id)),
  );
  // What is over is as large as the area.
  expect(second!.pile.map(({ placement: { width, height } }) => [width, height])).toEqual([
    [204, 104],
    [204, 104],
  ]);
  expect(project.photos).toHaveLength(6);
});
