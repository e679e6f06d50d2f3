/** Books: what they are made of, what flows into them, and what stays when they are changed. */
import fc from 'fast-check';
import {
  laidOtherwise,
  movedPhoto,
  onePhotoFewer,
  onePhotoMore,
  redesigned,
  waysFor,
  withMore,
  type Alive,
} from '@/core/book/alive';
import { designFor } from '@/core/book/design';
import { layBook, photosOf, roomFor } from '@/core/book/flow';
import { plainDesign } from '@/core/book/plain';
import { lookOf, seriesPage, thoughtsIn } from '@/core/book/series';
import { withFollows } from '@/core/calendar/follows';
import { inWords } from '@/core/living/numbers';
import type { Edit } from '@/core/project/edits/edit';
import { gather } from '@/core/project/edits/gather';
import { newTo, planBook } from '@/core/book/plan';
import { chaptersOf, spanInWords } from '@/core/book/chapters';
import { isByHand } from '@/core/book/print';
import { fieldSays } from '@/core/living/fields';
import { madeAs, madeBy, panelsOn, waysOut } from '@/core/product';
import { bookIn, isSpread, pagesOf, spineWidth, withSwapped, type BookProduct } from '@/core/product/book';
import { BOOK_PAPERS, type PaperId } from '@/core/product/book/papers';
import { bound, withPages } from '@/core/product/book/settings';
import { BOOK_BINDINGS, type BookBinding } from '@/core/product/book/start';
import { addPage, movePage, removePage } from '@/core/project/edits/page';
import { changeProduct } from '@/core/project/edits/product';
import { readProject, writeProject } from '@/core/project/file';
import { perform, startHistory, undo, type History } from '@/core/project/history';
import { newSurface, type Project } from '@/core/project/model';
import { checked } from '@/core/proof';
import type { Asset } from '@/core/picture/asset';
import { book, flowed, newId, photos, typesetter, WISH } from '../../../scripts/testing/books';

const productOf = ({ product }: Pick<Project, 'product'>): BookProduct => bookIn(product)!;
const spreadsOf = ({ surfaces }: Project) => surfaces.filter(({ part }) => isSpread(part ?? ''));
const mm = (points: number) => (points * 25.4) / 72;
const done = (history: History, edit: Edit, now: number): History =>
  withFollows(perform(history, edit, now), typesetter);
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
    { numRuns: 30 },
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
    { numRuns: 40 },
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

describe('photos flow in', () => {
  const allOf = (project: Project) => spreadsOf(project).flatMap(photosOf);

  test('60 photos on 24 pages: each once, in order, chapters titled, one step, read again the same', () => {
    const sixty = photos(60, 5);
    const { history } = flowed(sixty, { pages: 24 });
    const { project } = history;
    expect(pagesOf(productOf(project))).toBe(24);
    expect([...allOf(project)].sort()).toEqual(sixty.map(({ sha }) => sha).sort());
    const first = spreadsOf(project).map((surface) => photosOf(surface).sort()[0]!);
    expect(first).toEqual([...first].sort());
    expect(project.surfaces.every((surface) => !isByHand(surface))).toBe(true);
    expect(readProject(writeProject(project))).toEqual({ ok: true, value: project });
    expect(undo(history).project.surfaces.every(({ pile }) => pile.length === 0)).toBe(true);
  });

  const plan = (given: readonly Asset[], wish = {}) => {
    const project = book();
    return planBook(given, roomFor(designFor(plainDesign(), project), project), { ...WISH, ...wish });
  };

  test('whatever comes, a sensible book comes of it', () => {
    expect(plan([]).spreads).toEqual([]);
    expect(plan(photos(1))).toMatchObject({ spreads: [{ photos: [expect.any(String)] }], empty: 0 });
    const moment = photos(500, 2, { taken: '2026-05-16T10:00:00' });
    expect(plan(moment).spreads.flatMap((spread) => spread.photos)).toHaveLength(500);
    expect(plan(moment).chapters).toEqual([]);
    const undated = photos(30, 3, { taken: undefined });
    expect(plan(undated)).toMatchObject({ when: '', chapters: [], left: [] });
    const wide = photos(12, 4, { width: 6000, height: 1000 });
    expect(plan(wide).spreads.flatMap((spread) => spread.photos)).toHaveLength(12);
    const small = photos(4, 5, { width: 200, height: 150 });
    expect(plan(small).soft).toHaveLength(4);
    // More than so many pages hold are left out, and said.
    const few = plan(photos(100, 6), { pages: 8 });
    expect(few.spreads).toHaveLength(3);
    expect(few.left.every(({ why }) => why === 'full')).toBe(true);
    expect(few.left.length + few.spreads.flatMap((spread) => spread.photos).length).toBe(100);
    // Fewer than the pages want: the rest stay empty, and that is said, too.
    expect(plan(photos(3, 7), { pages: 20 })).toMatchObject({ empty: 12, left: [] });
  });

  test('of photos that are nearly the same the starred one goes in', () => {
    const [a, b, ...rest] = photos(8, 9);
    const likeness = 'f0'.repeat(16);
    const twins = [
      a!,
      { ...b!, width: a!.width, height: a!.height, taken: a!.taken, notes: { stars: 4 } },
    ].map((asset) => ({ ...asset, likeness }));
    const { left } = plan([...twins, ...rest]);
    expect(left).toEqual([{ sha: a!.notes?.stars === 5 ? b!.sha : a!.sha, why: 'alike' }]);
    expect(plan([...twins, ...rest], { oneOfAlike: false }).left).toEqual([]);
    // What was left out so does not wait to be laid after all.
    expect(newTo([twins[0]!, ...rest.slice(1)], [twins[1]!, rest[0]!])).toEqual([rest[0]]);
  });

  test('chapters are called by where and when', () => {
    const at = (taken: string, place?: string) =>
      ({ ...photos(1)[0]!, taken, notes: place ? { place } : undefined }) as Asset;
    const days = [
      ...[9, 10, 11].map((hour) =>
        at(`2026-03-14T${String(hour).padStart(2, '0')}:00:00`, 'The boathouse, Saltmarsh'),
      ),
      ...[9, 10, 11, 12].map((hour) => at(`2026-05-16T${String(hour).padStart(2, '0')}:00:00`)),
    ];
    expect(chaptersOf(days, 9)).toEqual([
      { title: 'The boathouse', under: '14 March 2026', count: 3 },
      { title: '16 May 2026', under: '', count: 4 },
    ]);
    expect(chaptersOf(days, 1)).toHaveLength(1);
    expect(spanInWords(days)).toBe('March – May 2026');
  });
});

describe('a book that was laid is changed', () => {
  const start = flowed(photos(40, 5), { pages: 24 });
  const alive = (project: Project): Alive => ({ project, design: start.design, typesetter, newId });
  const after = (
    changed: ReturnType<typeof movedPhoto>,
    history = start.history,
    more: Asset[] = [],
  ): Project => {
    if (!changed.ok) throw new Error(changed.message);
    return perform(history, layBook('change', changed.value, start.design, more), 5e7).project;
  };
  /** Parts of which anything but the number is another. */
  const differing = (a: Project, b: Project) =>
    b.surfaces.flatMap(({ part, pile }) =>
      a.surfaces.find((each) => each.part === part)?.pile === pile ? [] : [part],
    );
  const { project } = start.history;
  const [first, second] = spreadsOf(project) as [Project['surfaces'][0], Project['surfaces'][0]];

  test('a photo moved, one more, one fewer, another way: nothing else moves', () => {
    const [sha] = photosOf(first);
    const moved = after(movedPhoto(alive(project), sha!, first.part!, second.part!));
    expect(photosOf(moved.surfaces.find(({ part }) => part === second.part)!)).toContain(sha);
    expect(differing(project, moved).sort()).toEqual([first.part, second.part].sort());
    const more = after(onePhotoMore(alive(project), first.part!));
    expect(photosOf(more.surfaces[2]!)).toHaveLength(photosOf(first).length + 1);
    const fewer = after(onePhotoFewer(alive(project), second.part!));
    expect(photosOf(fewer.surfaces[3]!)).toHaveLength(photosOf(second).length - 1);
    const photosHere = photosOf(second).map((one) => project.assets[one]!);
    const [, other] = waysFor(alive(project), photosHere, second.part!, false);
    const otherwise = after(laidOtherwise(alive(project), second.part!, other!.template.key));
    expect(differing(project, otherwise)).toEqual([second.part]);
    expect([...photosOf(otherwise.surfaces[3]!)].sort()).toEqual([...photosOf(second)].sort());
    // Of the design's own two there is always another, worked out for just these photos.
    const worked = waysFor(alive(project), photosHere, second.part!, false).filter(({ template }) =>
      template.key.startsWith('worked out'),
    );
    expect(worked.length).toBeGreaterThan(1);
    for (const { template } of worked)
      template.pile.forEach(({ placement: { x, y, width, height } }) => {
        expect(Math.min(x - width / 2, y - height / 2)).toBeGreaterThan(0);
        expect(Math.abs(x - 576) - width / 2).toBeGreaterThan(36);
      });
    const swapped = perform(
      start.history,
      changeProduct(withSwapped(project.product, first.part!, second.part!)!, 'swap'),
      5e7,
    ).project;
    expect(differing(project, swapped)).toEqual([]);
    expect(
      spreadsOf(swapped)
        .slice(0, 2)
        .map(({ part }) => part),
    ).toEqual([second.part, first.part]);
  });

  test('30 photos more find their time; a page worked on by hand is kept, whatever is done', () => {
    const touched = perform(
      start.history,
      { label: 'move', apply: (draft) => void (draft.surfaces[3]!.pile[0]!.placement.x += 9) },
      4e7,
    );
    const kept = touched.project.surfaces[3]!;
    expect(isByHand(kept)).toBe(true);
    const thirty = photos(30, 8).map((asset, i) => ({
      ...asset,
      taken: project.assets[photosOf(spreadsOf(project)[i % 9]!)[0]!]!.taken!,
    }));
    const changed = withMore(
      alive({
        ...touched.project,
        assets: {
          ...touched.project.assets,
          ...Object.fromEntries(thirty.map((asset) => [asset.sha, asset])),
        },
      }),
      thirty,
    );
    const now = after(changed, touched, thirty);
    expect(now.surfaces.find(({ part }) => part === kept.part)!.pile).toBe(kept.pile);
    const all = spreadsOf(now).flatMap(photosOf);
    expect(all).toHaveLength(70);
    expect(new Set(all).size).toBe(70);
    const onto = now.surfaces.flatMap((surface) =>
      differing(touched.project, now).includes(surface.part) ? photosOf(surface) : [],
    );
    for (const { sha } of thirty) expect(onto).toContain(sha);
    expect(redesigned(alive(touched.project)).sides.has(kept.part!)).toBe(false);
    expect(movedPhoto(alive(touched.project), photosOf(first)[0]!, first.part!, kept.part!)).toEqual({
      ok: false,
      message: `${kept.name} was worked on by hand: it stays as it is.`,
    });
    expect(readProject(writeProject(now))).toEqual({ ok: true, value: now });
  });
});

test('a series is counted by itself, up or down, in figures or words, and anew when a page goes', () => {
  const lines = thoughtsIn('It smells of tar\n\n  and toast  \nThe wind knows you\nLow water at four');
  expect(lines).toHaveLength(4);
  const start = book();
  const [, , spread] = start.surfaces;
  const [left, right] = panelsOn(start, spread!);
  const wish = { lines, down: true, words: true };
  const look = lookOf(start.surfaces);
  const page = (i: number) =>
    seriesPage(
      wish,
      i,
      i ? photos(1)[0]! : null,
      { box: (i % 2 ? right : left)!.box, gutter: { side: i % 2 ? 'left' : 'right', width: 36 } },
      look,
      's',
      typesetter,
      newId,
    );
  const pairs = [
    [0, 1],
    [2, 3],
  ].map((pair, k) => ({
    ...newSurface(newId(), '', spread!, 'in'),
    part: `spread-${50 + k}`,
    pile: pair.flatMap(page),
  }));
  const gathered = perform(startHistory(start), gather('photos', photos(1)), 0);
  const laid = pairs.reduceRight(
    (history, made, k) => done(history, addPage(made, spread!.id), 1e5 * (k + 1)),
    gathered,
  );
  const numbers = ({ project }: History) =>
    spreadsOf(project).flatMap(({ pile }) =>
      pile.flatMap(({ role, outline }) =>
        role === 'title' && outline.kind === 'glyphs' ? [outline.text] : [],
      ),
    );
  expect(numbers(laid)).toEqual(['four', 'three', 'two', 'one']);
  expect(numbers(done(laid, removePage(pairs[0]!.id), 9e6))).toEqual(['two', 'one']);
  expect(readProject(writeProject(laid.project))).toEqual({ ok: true, value: laid.project });
  for (const piece of pairs.flatMap(({ pile }) => pile)) {
    const { x, width } = piece.placement;
    expect(Math.abs(x - spread!.width / 2) - width / 2).toBeGreaterThan(36);
  }
  expect([0, 7, 19, 20, 21, 100, 105, 342, 1000].map(inWords)).toEqual([
    ...['zero', 'seven', 'nineteen', 'twenty', 'twenty-one', 'one hundred', 'one hundred and five'],
    ...['three hundred and forty-two', '1000'],
  ]);
});

test('a face that is covered, cut or in the gutter is named before printing', () => {
  const faces = [{ x: 0.4, y: 0.4, width: 0.2, height: 0.2 }];
  const { history } = flowed(photos(9, 3, { faces }));
  const { project } = history;
  const told = (change: (surface: Project['surfaces'][0]) => Project['surfaces'][0]) =>
    spreadsOf(project).flatMap((surface) =>
      checked(project, change(surface), typesetter)
        .found.filter(({ check }) => check === 'faces')
        .map(({ says }) => says),
    );
  expect(told((surface) => surface)).toEqual([]);
  const covering = told((surface) => ({
    ...surface,
    pile: surface.pile.flatMap((piece) =>
      piece.role === 'photo'
        ? [
            piece,
            {
              ...piece,
              id: newId(),
              name: 'Card',
              role: 'paper' as const,
              material: { kind: 'ink' as const, colour: '#ffffff' },
            },
          ]
        : [piece],
    ),
  }));
  expect(covering).toContain('A face is covered by “Card”.');
  const folded = told((surface) => ({
    ...surface,
    pile: surface.pile.map((piece) => ({
      ...piece,
      placement: { ...piece.placement, x: surface.width / 2 },
    })),
  }));
  expect(folded).toContain('A face lies in the gutter: move the photo, or slide it in its place.');
});
