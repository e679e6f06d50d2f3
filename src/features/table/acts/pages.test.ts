/** Pages as a person handles them: turned, added, copied, kept as they were, taken away; what a product does not allow is said. */
import type { Piece } from '@/core/piece/piece';
import { beginProduct } from '@/core/product';
import { readProject, writeProject } from '@/core/project/file';
import { startHistory, undoLabel } from '@/core/project/history';
import { removePieces } from '@/core/project/edits/pile';
import { newProject, newSurface, type Project } from '@/core/project/model';
import { begun } from '@/core/project/sides';
import { isSpread } from '@/core/product/book';
import * as act from '@/features/table/acts/pages';
import { createSession, shownSurface, type SessionStore } from '@/features/table/session';
import { fitted } from '@/features/table/stage/hand/view';
import { nodeTypesetter } from '../../../../scripts/node/platform';
import { TODAY } from '../../../../scripts/testing/calendars';
import { assetOf, inkPiece, laid, photoOf, quarters } from '../../../../scripts/testing/samples';

const typesetter = await nodeTypesetter();
const asset = assetOf(quarters(70, 50), 70, 50);
const PHOTO = photoOf('p', asset, { x: 200, y: 40, width: 90, height: 60 });
const STAGE = { width: 900, height: 600 };

function opened(project: Project, readOnly = false): SessionStore {
  const store = createSession(startHistory(project), typesetter, readOnly);
  store.getState().measured(STAGE, fitted(shownSurface(store.getState()), STAGE));
  return store;
}
/** Three pages: the second called, the third larger. */
const album = (first: readonly Piece[] = [inkPiece('a'), PHOTO]): Project => {
  const base = laid(first, [asset]);
  const page = (id: string, name: string, width: number) => ({
    ...newSurface(id, name, { width, height: 288 }, 'in'),
  });
  return {
    ...base,
    surfaces: [
      { ...base.surfaces[0]!, id: 'one', name: 'Page 1' },
      page('two', 'The pier', 432),
      page('three', 'Page 3', 600),
    ],
  };
};
const made = (kind: 'card' | 'calendar' | 'sheet' | 'book', way?: string): Project =>
  begun(
    newProject(
      { id: 'p', title: 'Kites', unit: 'in' },
      beginProduct(kind, { width: 360, height: 252 }, way, TODAY),
    ),
  );
const now = (store: SessionStore) => store.getState();
const pages = (store: SessionStore) => now(store).history.project.surfaces;
const ids = (store: SessionStore) => pages(store).map(({ id }) => id);
const sound = (store: SessionStore) => {
  const { project } = now(store).history;
  expect(readProject(writeProject(project))).toEqual({ ok: true, value: project });
};

describe('turned', () => {
  test('to the next and the one before, and no farther than there are pages', () => {
    const store = opened(album());
    act.turnPage(store, -1);
    expect(now(store).surfaceId).toBe('one');
    act.turnPage(store, 1);
    act.turnPage(store, 1);
    act.turnPage(store, 1);
    expect(now(store).surfaceId).toBe('three');
    act.toPageAt(store, 'gone');
    expect(now(store).surfaceId).toBe('three');
  });

  test('nothing is in hand on it; one of another size is seen whole, one of the same size where one looked', () => {
    const store = opened(album());
    now(store).select(['a']);
    now(store).look({ zoom: 3, x: -100, y: -50 });
    act.turnPage(store, 1);
    expect([now(store).selection, now(store).view.zoom]).toEqual([[], 3]);
    act.turnPage(store, 1);
    expect(now(store).view).toEqual(fitted(shownSurface(now(store)), STAGE));
  });
});

describe('chosen along', () => {
  test('one by one, and let go again; the one that is shown is always among them', () => {
    const store = opened(album());
    act.choosePage(store, 'three', false);
    act.choosePage(store, 'one', false);
    expect(act.pagesMeant(now(store)).map(({ id }) => id)).toEqual(['one', 'three']);
    act.choosePage(store, 'three', false);
    expect(act.pagesMeant(now(store)).map(({ id }) => id)).toEqual(['one']);
  });

  test('all between, either way', () => {
    const store = opened(album());
    act.choosePage(store, 'three', true);
    expect(now(store).alongPages).toEqual(['two', 'three']);
    act.toPageAt(store, 'three');
    act.choosePage(store, 'one', true);
    expect(now(store).alongPages).toEqual(['one', 'two']);
  });
});

describe('added', () => {
  test('bare, after the one that is shown, as large and lit as that; it is shown', () => {
    const store = opened(album());
    now(store).perform({
      label: 'light',
      apply: (project) => void (project.surfaces[0]!.light.direction = 77),
    });
    act.addPageAfter(store, false);
    expect(ids(store)[1]).toBe(now(store).surfaceId);
    expect(shownSurface(now(store))).toMatchObject({
      width: 432,
      height: 288,
      pile: [],
      groups: [],
      light: { direction: 77 },
    });
    expect(undoLabel(now(store).history)).toBe('add page');
    sound(store);
  });

  test('copied it has all that lies on it, under ids of its own, and is not locked', () => {
    const store = opened(album());
    act.togglePageLock(store);
    act.addPageAfter(store, true);
    const copy = shownSurface(now(store));
    expect(copy.locked).toBe(false);
    expect(copy.pile.map(({ placement }) => placement)).toEqual(
      pages(store)[0]!.pile.map(({ placement }) => placement),
    );
    expect(copy.pile.some(({ id }) => id === 'a')).toBe(false);
    sound(store);
  });

  test('many at once come in their order, and the first of them is shown', () => {
    const store = opened(album());
    const many = ['x', 'y'].map((id) => ({ ...act.pageAfter(now(store)), id }));
    act.addPages(store, 'lay a series', many);
    expect(ids(store)).toEqual(['one', 'x', 'y', 'two', 'three']);
    expect([now(store).surfaceId, undoLabel(now(store).history)]).toEqual(['x', 'lay a series']);
    act.addPages(store, 'nothing', []);
    expect(now(store).history.done).toBe(1);
  });

  test('in another tab’s hands nothing is', () => {
    const store = opened(album(), true);
    act.addPageAfter(store, false);
    act.addPageAfter(store, true);
    act.deletePage(store);
    act.togglePageLock(store);
    expect([ids(store), now(store).surfaceId]).toEqual([['one', 'two', 'three'], 'one']);
  });
});

describe('as it was', () => {
  test('a version becomes a page behind the one that is now, with pictures that were taken away since', () => {
    const store = opened(album());
    now(store).perform(removePieces('one', [PHOTO]));
    now(store).perform({
      label: 'away',
      apply(project) {
        project.photos = [];
        delete project.assets[asset.sha];
      },
    });
    act.keepVersion(store, 0);
    const kept = shownSurface(now(store));
    expect(kept.pile.map(({ name }) => name)).toEqual(['a', 'p']);
    expect(ids(store).slice(0, 2)).toEqual(['one', kept.id]);
    expect(now(store).history.project.assets[asset.sha]).toEqual(asset);
    sound(store);
    now(store).undo();
    expect(ids(store)).toEqual(['one', 'two', 'three']);
  });

  test('of a page that was not there then there is none', () => {
    const store = opened(album());
    act.addPageAfter(store, false);
    act.keepVersion(store, 0);
    expect(now(store).history.done).toBe(1);
  });
});

describe('taken away', () => {
  test('the next is shown, or the one before the last; a locked one stays and says so', () => {
    const store = opened(album());
    act.deletePage(store);
    expect([ids(store), now(store).surfaceId]).toEqual([['two', 'three'], 'two']);
    act.toPageAt(store, 'three');
    act.togglePageLock(store);
    const { touchedLocked } = now(store);
    act.deletePage(store);
    expect(ids(store)).toEqual(['two', 'three']);
    expect(now(store).touchedLocked).toBeGreaterThanOrEqual(touchedLocked);
    act.togglePageLock(store);
    act.deletePage(store);
    expect([ids(store), now(store).surfaceId]).toEqual([['two'], 'two']);
    act.deletePage(store);
    expect(now(store).refused?.why).toBe('One page stays: these are all there are.');
  });
});

describe('in a product', () => {
  test.each([
    ['card', 'left'],
    ['calendar', 'month'],
  ] as const)('a %s has just the sides it has: none comes, none goes, and that is said', (kind, way) => {
    const store = opened(made(kind, way));
    const before = ids(store);
    for (const deed of [
      () => act.addPageAfter(store, false),
      () => act.addPageAfter(store, true),
      () => act.deletePage(store),
    ]) {
      deed();
      expect(now(store).refused?.why).toMatch(
        /^This has just the sides it has|stays: every one of these has it/,
      );
    }
    expect(act.mayHavePages(store)).toBe(false);
    expect(ids(store)).toEqual(before);
  });

  test('what comes with it comes and goes, and the first side of it is shown; what lies on it comes back by undo', () => {
    const store = opened(made('card', 'left'));
    const before = ids(store);
    act.toggleExtra(store, 'envelope');
    expect(ids(store).length).toBeGreaterThan(before.length);
    expect(shownSurface(now(store)).part).toBe('envelope');
    sound(store);
    act.toggleExtra(store, 'envelope');
    expect(ids(store)).toEqual(before);
    expect(before).toContain(now(store).surfaceId);
    now(store).undo();
    expect(ids(store).length).toBeGreaterThan(before.length);
  });

  test('one that is locked does not go', () => {
    const store = opened(made('card', 'left'));
    act.toggleExtra(store, 'envelope');
    act.togglePageLock(store);
    const with_ = ids(store);
    act.toggleExtra(store, 'envelope');
    expect(ids(store)).toEqual(with_);
  });

  test('a book’s spreads come and go in their row: a new one is like them though the cover is shown', () => {
    const store = opened(made('book'));
    const [cover] = pages(store);
    expect(cover!.part).toBe('cover');
    const before = pages(store).length;
    act.addPageAfter(store, false);
    expect(pages(store)).toHaveLength(before + 1);
    expect(shownSurface(now(store)).width).toBe(pages(store).find(({ part }) => isSpread(part!))!.width);
    sound(store);
    act.toPageAt(store, cover!.id);
    act.deletePage(store);
    expect(now(store).refused?.why).toMatch(/stays: every one of these has it/);
  });
});
