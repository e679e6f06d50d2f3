/** Cards on paper: what lies where, on both sides, and what is seen through what. */
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import fc from 'fast-check';
import { compose, apply } from '@/core/geometry/matrix';
import {
  beginProduct,
  behindOn,
  foldsOn,
  hasPages,
  heldOf,
  madeAs,
  otherFace,
  outlineOn,
  panelsOn,
  PRODUCTS,
  productSays,
  waysOut,
} from '@/core/product';
import { bleedOf } from '@/core/page/draw';
import { FORMS } from '@/core/product/product';
import { FOLDINGS, type Folding } from '@/core/product/card/folding';
import { without } from '@/core/geometry/offset';
import { pathBounds, transformPath, type Path } from '@/core/geometry/path';
import { makeExtra } from '@/core/project/edits/product';
import { perform, startHistory } from '@/core/project/history';
import { newProject, type Project } from '@/core/project/model';
import { readProject, writeProject } from '@/core/project/file';

const FOLDS = Object.keys(FOLDINGS) as Folding[];
const card = (fold: Folding, width = 360, height = 504): Project =>
  newProject({ id: 'c', title: 'Card', unit: 'in' }, beginProduct('card', { width, height }, fold));
/** How much of two outlines the other does not cover, square points of their boxes. */
const exclusive = (a: Path, b: Path): number =>
  [without(a, b), without(b, a)].reduce((sum, rest) => {
    const { width, height } = rest.length ? pathBounds(rest) : { width: 0, height: 0 };
    return sum + Math.min(width, height);
  }, 0);
const side = () => fc.integer({ min: 72, max: 1440 });

test.each(FOLDS)(
  'folded %s: panels tile each side, folds lie between them, through the paper twice is where one was',
  (fold) => {
    fc.assert(
      fc.property(side(), side(), (width, height) => {
        const of = card(fold, width, height);
        for (const surface of of.surfaces) {
          const panels = panelsOn(of, surface);
          // The flat sheet is the sum of its panels.
          const area = panels.reduce((sum, { box }) => sum + box.width * box.height, 0);
          expect(area).toBeCloseTo(surface.width * surface.height, 3);
          for (const { axis, at } of foldsOn(of, surface))
            for (const { box } of panels) {
              const [from, to] = axis === 'x' ? [box.x, box.x + box.width] : [box.y, box.y + box.height];
              expect(at <= from + 1e-9 || at >= to - 1e-9).toBe(true);
            }
          const other = otherFace(of, surface)!;
          const back = otherFace(of, other.surface)!;
          expect(back.surface).toBe(surface);
          const twice = compose(back.through, other.through);
          const point = { x: width / 3, y: height / 5 };
          expect(apply(twice, point)).toEqual({
            x: expect.closeTo(point.x, 9),
            y: expect.closeTo(point.y, 9),
          });
          const [a, b, c, d] = other.through;
          expect(Math.abs(a * d - b * c)).toBe(1);
          expect([other.surface.width, other.surface.height]).toEqual([surface.width, surface.height]);
        }
      }),
      { numRuns: 15 },
    );
  },
);

test.each(FOLDS)(
  'folded %s: a panel comes out on the other side behind it, and what lies behind it is as large as it',
  (fold) => {
    const of = card(fold);
    const held = heldOf(of)!;
    for (const { face, reverse } of held.leaves) {
      const { through } = otherFace(of, face.surface)!;
      const { x, y, width, height } = face.panel.box;
      const middle = apply(through, { x: x + width / 2, y: y + height / 2 });
      const box = reverse.panel.box;
      expect(middle).toEqual({
        x: expect.closeTo(box.x + box.width / 2),
        y: expect.closeTo(box.y + box.height / 2),
      });
    }
    for (const surface of of.surfaces)
      for (const { box, surface: behind, dx, dy } of behindOn(of, surface)) {
        // All of the panel lies over some panels of the other surface.
        const within = panelsOn(of, behind).some(
          ({ box: other }) =>
            box.x + dx >= other.x - 1e-9 &&
            box.x + dx + box.width <= other.x + other.width + 1e-9 &&
            box.y + dy >= other.y - 1e-9 &&
            box.y + dy + box.height <= other.y + other.height + 1e-9,
        );
        expect(within).toBe(true);
      }
  },
);

test('a card that lost a side, or has one of another size, is whole again and says so; nothing on the others is lost', () => {
  const of = card('left');
  const half = { ...of, surfaces: [{ ...of.surfaces[0]!, width: 500 }] };
  const read = readProject(writeProject(half));
  expect(read).toMatchObject({
    ok: true,
    mended: [/Outside.*not of the size/, /Inside.*missing/].map((says) => expect.stringMatching(says)),
  });
  expect(read.ok && read.value.surfaces.map(({ part, width, height }) => [part, width, height])).toEqual([
    ['outside', 720, 504],
    ['inside', 720, 504],
  ]);
});

test('nobody but the products themselves asks which one a project is', () => {
  const asks = readdirSync('src', { recursive: true, encoding: 'utf8' })
    .filter((path) => /\.tsx?$/.test(path) && !/test\.tsx?$/.test(path) && !path.startsWith('core/product'))
    .filter((path) =>
      /product\.kind\b|product === '|PRODUCTS\.(layout|card)/.test(readFileSync(join('src', path), 'utf8')),
    );
  expect(asks).toEqual([]);
});

test('sizes of the trade and of ISO 216; what a card is called; pages come and go in layouts alone', () => {
  const size = (id: string) => PRODUCTS.card.sizes.find((each) => each.id === id)!;
  // ISO 216: A6 is 105 x 148 mm (from memory); a quarter of letter paper is 8.5 / 2 by 11 / 2 in.
  expect([size('a6').width, size('a6').height].map((side) => Math.round((side * 25.4) / 72))).toEqual([
    105, 148,
  ]);
  expect([size('4.25x5.5').width, size('4.25x5.5').height]).toEqual([(8.5 / 2) * 72, (11 / 2) * 72]);
  expect(productSays(card('top'), 'in')).toBe('5 x 7 in card, folded at the top');
  expect([hasPages(card('left')), heldOf(card('none'))!.leaves.length]).toEqual([false, 0]);
  // The front of a 5 x 7 in card lies on the right half of a sheet of 10 x 7 in.
  expect(panelsOn(card('left'), card('left').surfaces[0]!)[0]).toEqual({
    name: 'Front',
    box: { x: 360, y: 0, width: 360, height: 504 },
  });
});

test('an envelope is an eighth of an inch larger each way, folds shut, and comes and goes with its two faces', () => {
  fc.assert(
    fc.property(fc.constantFrom(...FOLDS), side(), side(), (fold, width, height) => {
      const start = startHistory(card(fold, width, height));
      const made = perform(start, makeExtra(start.project, 'envelope', true), 0);
      const of = made.project;
      expect(readProject(writeProject(of))).toEqual({ ok: true, value: of });
      const [, , outside, lining] = of.surfaces;
      const [address, flap, back] = panelsOn(of, outside!).map(({ box }) => box);
      expect([address!.width, address!.height]).toEqual([
        expect.closeTo(Math.max(width, height) + 9),
        expect.closeTo(Math.min(width, height) + 9),
      ]);
      expect(flap!.height + back!.height).toBeGreaterThan(address!.height);
      const path = outlineOn(of, outside!)!;
      expect(pathBounds(path)).toEqual({
        ...{ x: 0, y: 0, width: expect.closeTo(outside!.width), height: expect.closeTo(outside!.height) },
      });
      // Its other face is cut where it is.
      const { surface, through } = otherFace(of, outside!)!;
      expect(surface).toBe(lining);
      expect(exclusive(transformPath(through, path), outlineOn(of, lining!)!)).toBeLessThan(1);
      const without = perform(made, makeExtra(of, 'envelope', false), 9000);
      expect(without.project).toEqual(start.project);
    }),
    { numRuns: 15 },
  );
  const a6 = PRODUCTS.card.sizes.find(({ id }) => id === 'a6')!;
  const of = card('left', a6.width, a6.height);
  const { project } = perform(startHistory(of), makeExtra(of, 'envelope', true), 0);
  const { width, height } = panelsOn(project, project.surfaces[2]!)[0]!.box;
  // ISO 269: C6 is 162 x 114 mm (from memory); it holds an A6 card, and so does ours, not larger than it.
  const mm = [width, height].map((points) => (points * 25.4) / 72);
  expect([mm[0]! > 148, mm[0]! <= 162, mm[1]! > 105, mm[1]! <= 114]).toEqual(Array(4).fill(true));
});

test('a product answers to every form it can be asked for in, and its panels bleed where the paper ends alone', () => {
  for (const [kind, { ways }] of Object.entries(PRODUCTS))
    for (const { id } of ways?.all ?? [{ id: undefined }]) {
      const { product } = beginProduct(kind as keyof typeof PRODUCTS, { width: 360, height: 504 }, id);
      expect(
        waysOut(product)
          .flatMap(({ as }) => as)
          .sort(),
      ).toEqual([...FORMS].sort());
    }
  for (const fold of FOLDS) {
    const of = card(fold);
    expect(madeAs(of, 'flat').map(({ surface }) => surface)).toEqual(of.surfaces);
    const panels = madeAs(of, 'pages');
    for (const surface of of.surfaces) {
      // All round a sheet there is as much as there is round its panels together.
      const round = panels
        .filter((each) => each.surface === surface)
        .map((each) => ({ ...each, by: bleedOf(each) }));
      const along = round.reduce(
        (sum, { panel, by }) =>
          sum + panel!.box.width * (by.top + by.bottom) + panel!.box.height * (by.left + by.right),
        0,
      );
      expect(along).toBeCloseTo(9 * 2 * (surface.width + surface.height), 6);
    }
  }
});

test.each(FOLDS)('folded %s is written and read as it is; settings out of range are not believed', (fold) => {
  const of = card(fold);
  expect(readProject(writeProject(of))).toEqual({ ok: true, value: of });
  const torn = readProject(writeProject(of).replace(`"fold": "${fold}"`, '"fold": "sideways"'));
  expect(torn.ok && !torn.mended).toBe(false);
});
