/** What stays when a book that was laid is changed; and pages of a series. */
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
import { layBook, photosOf } from '@/core/book/flow';
import { lookOf, seriesPage, thoughtsIn } from '@/core/book/series';
import { inWords } from '@/core/living/numbers';
import { gather } from '@/core/project/edits/gather';
import { waitingPhotos } from '@/core/project/photos';
import { isByHand } from '@/core/book/print';
import { panelsOn } from '@/core/product';
import { withSwapped } from '@/core/product/book';
import { addPage, removePage } from '@/core/project/edits/page';
import { changeProduct } from '@/core/project/edits/product';
import { readProject, writeProject } from '@/core/project/file';
import { perform, startHistory, type History } from '@/core/project/history';
import { newSurface, type Project } from '@/core/project/model';
import type { Asset } from '@/core/picture/asset';
import { book, flowed, newId, photos, typesetter, spreadsOf, done } from '../../../scripts/testing/books';

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
  const { lines } = thoughtsIn('It smells of tar\n\n  and toast  \nThe wind knows you\nLow water at four');
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

test('whatever is moved, put in or taken out, every photo lies once or waits, and a file takes the book', () => {
  const { history, design } = flowed(photos(14, 9), { pages: null });
  const deed = fc.record({
    what: fc.constantFrom('move', 'more', 'fewer', 'otherwise'),
    a: fc.nat(),
    b: fc.nat(),
    c: fc.nat(),
  });
  fc.assert(
    fc.property(fc.array(deed, { minLength: 1, maxLength: 12 }), (deeds) => {
      let now = history;
      for (const { what, a, b, c } of deeds) {
        const { project } = now;
        const alive: Alive = { project, design, typesetter, newId };
        const spreads = spreadsOf(project);
        const [from, to] = [spreads[a % spreads.length]!, spreads[b % spreads.length]!];
        const shas = photosOf(from);
        const ways = waysFor(
          alive,
          shas.map((sha) => project.assets[sha]!),
          from.part!,
          false,
        );
        const changed =
          what === 'move' && shas.length
            ? movedPhoto(alive, shas[c % shas.length]!, from.part!, to.part!)
            : what === 'more'
              ? onePhotoMore(alive, from.part!)
              : what === 'fewer'
                ? onePhotoFewer(alive, from.part!)
                : laidOtherwise(alive, from.part!, ways[c % Math.max(1, ways.length)]?.template.key ?? '');
        if (!changed.ok) {
          expect(changed.message).toMatch(/[.]$/);
          continue;
        }
        now = perform(now, layBook('change', changed.value, design), 5e7);
        const lying = spreadsOf(now.project).flatMap(photosOf);
        const waiting = waitingPhotos(now.project).map(({ sha }) => sha);
        expect(new Set(lying).size).toBe(lying.length);
        const elsewhere = now.project.surfaces
          .filter((side) => !spreadsOf(now.project).includes(side))
          .flatMap(photosOf);
        const all = new Set([...lying, ...waiting, ...elsewhere]);
        expect([...all].sort()).toEqual([...history.project.photos].sort());
        // Nothing is laid by itself where a hand was, and nothing counts as a hand's that none was on.
        for (const side of spreadsOf(now.project))
          if (photosOf(side).length) expect(isByHand(side)).toBe(false);
      }
      expect(readProject(writeProject(now.project)).ok).toBe(true);
    }),
    { numRuns: 15 },
  );
});
