/** Books: what they are made of, their spines and covers, and what comes and goes. */
import fc from 'fast-check';
import { fieldSays } from '@/core/living/fields';
import { madeAs, madeBy, panelsOn, waysOut } from '@/core/product';
import { bookIn, pagesOf, spineWidth, type BookProduct } from '@/core/product/book';
import { BOOK_PAPERS, type PaperId } from '@/core/product/book/papers';
import { bound, withPages } from '@/core/product/book/settings';
import { BOOK_BINDINGS, type BookBinding } from '@/core/product/book/start';
import { addPage, movePage, removePage } from '@/core/project/edits/page';
import { changeProduct } from '@/core/project/edits/product';
import { readProject, writeProject } from '@/core/project/file';
import { perform, startHistory, type History } from '@/core/project/history';
import { newSurface, type Project } from '@/core/project/model';
import { book, flowed, newId, photos, spreadsOf } from '../../../../scripts/testing/books';

const productOf = ({ product }: Pick<Project, 'product'>): BookProduct => bookIn(product)!;
const mm = (points: number) => (points * 25.4) / 72;
const of = (binding: BookBinding, paper: PaperId, pages: number): BookProduct =>
  withPages({ ...productOf(book(binding)), paper }, pages);

test('spines worked out by hand: leaves x caliper and two boards of 2.5 mm', () => {
  // 24 pages are 12 leaves of 0.15 mm, and 5 mm of board.
  expect(mm(spineWidth(of('hard', 'coated-170', 24)))).toBeCloseTo(12 * 0.15 + 5, 6);
  expect(mm(spineWidth(of('soft', 'uncoated-120', 100)))).toBeCloseTo(50 * 0.15, 6);
  // What lies flat is two sheets to a leaf.
  expect(mm(spineWidth(of('flat', 'photo-260', 40)))).toBeCloseTo(20 * 2 * 0.26 + 5, 6);
  expect(spineWidth(of('booklet', 'coated-115', 32))).toBe(0);
  expect(pagesOf(bound(of('soft', 'coated-170', 22), { binding: 'booklet' }))).toBe(24);
});

test('however it is bound and however long: panels tile each side, pages are numbered from one to the last', () => {
  const ways = fc.record({
    binding: fc.constantFrom(...(Object.keys(BOOK_BINDINGS) as BookBinding[])),
    paper: fc.constantFrom(...(Object.keys(BOOK_PAPERS) as PaperId[])),
    pages: fc.integer({ min: 1, max: 500 }),
    flaps: fc.boolean(),
  });
  fc.assert(
    fc.property(ways, ({ binding, paper, pages, flaps }) => {
      const start = book();
      const product = withPages(bound(productOf(start), { binding, paper, flaps }), pages);
      const { project } = perform(startHistory(start), changeProduct(product, 'bind'), 0);
      const names = madeAs(project, 'pages').map(({ panel }) => Number(/\d+$/.exec(panel!.name)![0]));
      expect(names).toEqual(Array.from({ length: pagesOf(product) }, (_, i) => i + 1));
      for (const surface of project.surfaces) {
        const panels = panelsOn(project, surface);
        expect(panels.reduce((sum, { box }) => sum + box.width, 0)).toBeCloseTo(surface.width, 6);
        panels
          .slice(1)
          .forEach(({ box }, i) => expect(box.x).toBeCloseTo(panels[i]!.box.x + panels[i]!.box.width, 6));
      }
      const cover = waysOut(project.product).find(({ name }) => name === 'cover')!;
      expect(madeBy(project, cover).map(({ surface }) => surface.part)).toEqual(['cover']);
      const read = readProject(writeProject(project));
      expect(read).toEqual({ ok: true, value: project });
    }),
    { numRuns: 15 },
  );
});

test('spreads added, moved, taken away in any order: the book has just those, and is read again the same', () => {
  const steps = fc.array(fc.tuple(fc.constantFrom('add', 'move', 'remove'), fc.nat(20), fc.nat(20)), {
    maxLength: 12,
  });
  fc.assert(
    fc.property(steps, (all) => {
      let history: History = startHistory(book());
      all.forEach(([what, a, b], i) => {
        const { project } = history;
        const surface = project.surfaces[a % project.surfaces.length]!;
        const fresh = { ...newSurface(newId(), '', spreadsOf(project)[0]!, 'in'), part: `spread-${900 + i}` };
        const edit =
          what === 'add'
            ? addPage(fresh, surface.id)
            : what === 'move'
              ? movePage(surface.id, b)
              : removePage(surface.id);
        history = perform(history, edit, i * 1e5);
      });
      const { project } = history;
      expect(spreadsOf(project).map(({ part }) => part)).toEqual(productOf(project).spreads);
      expect([project.surfaces[0]!.part, project.surfaces[1]!.part, project.surfaces.at(-1)!.part]).toEqual([
        'cover',
        'first',
        'last',
      ]);
      expect(spreadsOf(project).map(({ name }) => name)).toEqual(
        productOf(project).spreads.map((_, i) => `Pages ${2 * i + 2}–${2 * i + 3}`),
      );
      expect(readProject(writeProject(project))).toEqual({ ok: true, value: project });
    }),
    { numRuns: 20 },
  );
});

test('more pages make the spine wider: what lies on the front goes with it, words on the spine stay in its middle', () => {
  const { history } = flowed(photos(20));
  const { project } = history;
  const before = project.surfaces[0]!;
  const after = perform(history, changeProduct(withPages(productOf(project), 200), 'more'), 9e6).project
    .surfaces[0]!;
  const grown = spineWidth(withPages(productOf(project), 200)) - spineWidth(productOf(project));
  expect(after.width - before.width).toBeCloseTo(grown, 6);
  after.pile.forEach((piece, i) => {
    const was = before.pile[i]!.placement;
    expect(piece.placement.x - was.x).toBeCloseTo(was.x > before.width / 2 + 20 ? grown : grown / 2, 6);
    expect(piece.placement.width).toBeCloseTo(was.width, 6);
  });
});

test('a page number says its own page on either side of a spread', () => {
  const project = book();
  const says = (index: number, x: number) => fieldSays({ project, index, x }, { kind: 'page' });
  expect([says(1, 9), says(2, 9), says(2, 1100), says(3, 1100), says(12, 9), says(13, 9)]).toEqual(
    ['1', '2', '3', '5', '22', '24'].map((text, i) => (i === 4 ? '22' : text)),
  );
  expect(fieldSays({ project, index: 0, x: 9 }, { kind: 'page' })).toBeNull();
  expect(fieldSays({ project, index: 1 }, { kind: 'pages' })).toBe('24');
});
