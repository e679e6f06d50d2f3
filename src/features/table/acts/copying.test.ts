/** Copies: beside, in place, through what was copied, on the next page and on others; each with ids, groups and pictures of its own. */
import fc from 'fast-check';
import { readProject, writeProject } from '@/core/project/file';
import { startHistory, undoLabel } from '@/core/project/history';
import { newSurface, type Project } from '@/core/project/model';
import type { Piece } from '@/core/piece/piece';
import { COPY_OFFSET } from '@/features/table/acts/laying';
import { copy, copyToNextPage, copyToPages, cut, duplicate, paste } from '@/features/table/acts/copying';
import { createSession, shownSurface, type SessionStore } from '@/features/table/session';
import { nodeTypesetter } from '../../../../scripts/node/platform';
import { first } from '../../../../scripts/testing/first';
import { assetOf, inkPiece, laid, photoOf, quarters } from '../../../../scripts/testing/samples';

const typesetter = await nodeTypesetter();
const asset = assetOf(quarters(61, 41), 61, 41);
const PHOTO = photoOf('p', asset, { x: 200, y: 40, width: 90, height: 60 });

/** Two pages: on the first a piece, a photo and a group of two, the second bare. */
function pages(change: (project: Project) => Project = (same) => same): SessionStore {
  const grouped = (piece: Piece): Piece => ({ ...piece, groups: ['g'] });
  const one = laid([inkPiece('a'), PHOTO, grouped(inkPiece('b', 150)), grouped(inkPiece('c', 220))], [asset]);
  const second = { ...newSurface('two', 'Page 2', { width: 432, height: 288 }, 'in'), name: 'Page 2' };
  const project: Project = {
    ...one,
    surfaces: [{ ...one.surfaces[0]!, groups: [{ id: 'g', name: 'Kites' }] }, second],
  };
  return createSession(startHistory(change(project)), typesetter, false);
}
const now = (store: SessionStore) => store.getState();
const pile = (store: SessionStore, page = 0) => now(store).history.project.surfaces[page]!.pile;
const ids = (store: SessionStore, page = 0) => pile(store, page).map(({ id }) => id);
const select = (store: SessionStore, ...which: string[]) => now(store).select(which);
const fresh = (store: SessionStore) => pile(store).slice(4);
const away = (a: Piece, b: Piece) => [b.placement.x - a.placement.x, b.placement.y - a.placement.y];
const sound = (store: SessionStore) => {
  const { project } = now(store).history;
  expect(readProject(writeProject(project))).toEqual({ ok: true, value: project });
};

describe('duplicated', () => {
  test('a copy lies a quarter of an inch beside, selected, above all, with an id of its own; undo takes it back', () => {
    const store = pages();
    select(store, 'a');
    duplicate(store);
    const [made] = fresh(store);
    expect(away(pile(store)[0]!, made!)).toEqual([COPY_OFFSET, COPY_OFFSET]);
    expect(now(store).selection).toEqual([made!.id]);
    expect(made!.id).not.toBe('a');
    expect(undoLabel(now(store).history)).toMatch(/^duplicate/);
    now(store).undo();
    expect(ids(store)).toEqual(['a', 'p', 'b', 'c']);
  });

  test('exactly in place where that is asked; again and again each goes on from the one before', () => {
    const store = pages();
    select(store, 'a');
    duplicate(store, { x: 0, y: 0 });
    expect(away(pile(store)[0]!, fresh(store)[0]!)).toEqual([0, 0]);
    duplicate(store);
    duplicate(store);
    expect(away(fresh(store)[1]!, fresh(store)[2]!)).toEqual([COPY_OFFSET, COPY_OFFSET]);
  });

  test('a group becomes another group of the same name; a part of it stays in it', () => {
    const store = pages();
    select(store, 'b', 'c');
    duplicate(store);
    const { groups } = shownSurface(now(store));
    expect(groups.map(({ name }) => name)).toEqual(['Kites', 'Kites']);
    expect(new Set(fresh(store).map((piece) => piece.groups?.[0])).size).toBe(1);
    expect(fresh(store)[0]!.groups).not.toEqual(['g']);
    sound(store);
  });

  test('with nothing selected nothing is done', () => {
    const store = pages();
    const before = now(store).history;
    duplicate(store);
    cut(store);
    paste(store);
    copyToNextPage(store);
    copyToPages(store, ['two']);
    expect(now(store).history).toBe(before);
    expect(now(store).copied).toBeNull();
  });
});

describe('copied and pasted', () => {
  test('beside the original while it is there, and each copy beside the last', () => {
    const store = pages();
    select(store, 'a');
    copy(store);
    paste(store);
    paste(store);
    const [one, two] = fresh(store);
    expect(away(pile(store)[0]!, one!)).toEqual([COPY_OFFSET, COPY_OFFSET]);
    expect(away(pile(store)[0]!, two!)).toEqual([2 * COPY_OFFSET, 2 * COPY_OFFSET]);
  });

  test('on another page it lies where it lay, its picture with it', () => {
    const store = pages();
    select(store, 'p');
    copy(store);
    now(store).turnTo('two');
    paste(store);
    const [made] = pile(store, 1);
    expect(made!.placement).toEqual(PHOTO.placement);
    expect(made!.material).toEqual(PHOTO.material);
    sound(store);
  });

  test('cut out, it is gone from here and comes back where it was, in one step each', () => {
    const store = pages();
    select(store, 'a');
    cut(store);
    expect(ids(store)).toEqual(['p', 'b', 'c']);
    paste(store);
    expect(pile(store).at(-1)!.placement).toEqual(inkPiece('a').placement);
    now(store).undo();
    now(store).undo();
    expect(ids(store)).toEqual(['a', 'p', 'b', 'c']);
  });

  test('what was copied is what it was then, whatever became of it since', () => {
    const store = pages();
    select(store, 'a');
    copy(store);
    now(store).perform({
      label: 'ink',
      apply(project) {
        project.surfaces[0]!.pile[0]!.material = { kind: 'ink', colour: '#123456' };
      },
    });
    paste(store);
    expect(fresh(store)[0]!.material).toEqual(inkPiece('a').material);
  });

  test('a picture that left the project comes back with what shows it', () => {
    const store = pages();
    select(store, 'p');
    copy(store);
    now(store).perform({
      label: 'away',
      apply(project) {
        project.surfaces[0]!.pile = project.surfaces[0]!.pile.filter(({ id }) => id !== 'p');
        project.photos = [];
        delete project.assets[asset.sha];
      },
    });
    paste(store);
    expect(now(store).history.project.assets[asset.sha]).toBeDefined();
    sound(store);
  });
});

describe('on other pages', () => {
  test('in the same place on each of them, in one step that names where', () => {
    const store = pages();
    select(store, 'a', 'p');
    copyToPages(store, ['two']);
    expect(pile(store, 1).map(({ placement }) => placement)).toEqual([
      pile(store)[0]!.placement,
      PHOTO.placement,
    ]);
    expect(undoLabel(now(store).history)).toMatch(/^copy .* to Page 2$/);
    expect(now(store).surfaceId).toBe(now(store).history.project.surfaces[0]!.id);
    now(store).undo();
    expect(pile(store, 1)).toEqual([]);
  });

  test('on the next one; after the last a page is added for it', () => {
    const store = pages();
    select(store, 'a');
    copyToNextPage(store);
    expect(pile(store, 1)).toHaveLength(1);
    now(store).turnTo('two');
    select(store, pile(store, 1)[0]!.id);
    copyToNextPage(store);
    expect(now(store).history.project.surfaces).toHaveLength(3);
    expect(pile(store, 2)).toHaveLength(1);
    expect(undoLabel(now(store).history)).toMatch(/^copy .* to a new page$/);
    now(store).undo();
    expect(now(store).history.project.surfaces).toHaveLength(2);
  });

  test('a locked one is passed over, and the next one says so', () => {
    const store = pages((project) => ({
      ...project,
      surfaces: project.surfaces.map((page, i) => (i ? { ...page, locked: true } : page)),
    }));
    select(store, 'a');
    const before = now(store).history;
    copyToPages(store, ['two']);
    expect(now(store).history).toBe(before);
    copyToNextPage(store);
    expect(now(store).refused?.why).toBe('Page 2 is locked: nothing was copied to it.');
    expect(now(store).history).toBe(before);
  });
});

test('whatever is selected of a page that has something of everything: copies are sound, share no id, and are all that is new', () => {
  const all = first.surfaces[0]!.pile.map(({ id }) => id);
  fc.assert(
    fc.property(
      fc.subarray(all, { minLength: 1 }),
      fc.constantFrom('duplicate', 'paste', 'pages', 'next'),
      (some, how) => {
        const store = createSession(startHistory(first), typesetter, false);
        select(store, ...some);
        if (how === 'duplicate') duplicate(store);
        if (how === 'paste') {
          copy(store);
          paste(store);
        }
        if (how === 'pages') copyToPages(store, ['second']);
        if (how === 'next') copyToNextPage(store);
        const page = how === 'duplicate' || how === 'paste' ? 0 : 1;
        const [was, is] = [first.surfaces[page]!.pile, pile(store, page)];
        expect(is.length - was.length).toBe(some.length);
        const every = now(store).history.project.surfaces.flatMap((surface) =>
          surface.pile.map(({ id }) => id),
        );
        expect(new Set(every).size).toBe(every.length);
        sound(store);
        now(store).undo();
        expect(now(store).history.project).toEqual(first);
      },
    ),
    { numRuns: 15 },
  );
});
