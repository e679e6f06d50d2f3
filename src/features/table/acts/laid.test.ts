/** How things come to the page: photos to where they belong, what was kept as it was kept, sketches to be filled, places by hand. */
import { PLACE, isEmptyPlace } from '@/core/project/frames';
import type { Asset } from '@/core/picture/asset';
import { finishOf } from '@/core/piece/finish';
import type { Piece } from '@/core/piece/piece';
import { startHistory, undoLabel } from '@/core/project/history';
import { readProject, writeProject } from '@/core/project/file';
import { newSurface, type Project } from '@/core/project/model';
import { bringPhoto, exchange, layKept, laySketch } from '@/features/table/acts/laid';
import {
  areaFor,
  firstTaken,
  firstWhere,
  keyOf,
  makePlaces,
  photosHere,
  swapChosen,
} from '@/features/table/acts/photos';
import { createSession, selectedPieces, shownSurface, type SessionStore } from '@/features/table/session';
import { fitted } from '@/features/table/stage/hand/view';
import { nodeTypesetter } from '../../../../scripts/node/platform';
import { assetOf, inkPiece, laid, photoOf, quarters, wordsOf } from '../../../../scripts/testing/samples';

const typesetter = await nodeTypesetter();
const photo = (i: number, more: Partial<Asset> = {}) =>
  assetOf(quarters(80 + i, 60), 1600, 1200, { name: `tide ${i}.jpg`, ...more });
const [ONE, TWO, THREE] = [photo(1), photo(2), photo(3)] as [Asset, Asset, Asset];
const box = (x: number, y: number, width = 90, height = 60) => ({ x, y, width, height });
const place = (id: string, x = 60, y = 60, more: Partial<Piece['placement']> = {}): Piece => {
  const piece = inkPiece(id, x, y, 80, 80);
  return {
    ...piece,
    role: 'photo',
    material: { kind: 'ink', colour: PLACE },
    finish: finishOf(0),
    placement: { ...piece.placement, ...more },
  };
};
function table(
  pieces: readonly Piece[],
  assets: readonly Asset[] = [ONE, TWO, THREE],
  change: (project: Project) => Project = (same) => same,
): SessionStore {
  const store = createSession(startHistory(change(laid(pieces, assets))), typesetter, false);
  const stage = { width: 900, height: 600 };
  store.getState().measured(stage, fitted(shownSurface(store.getState()), stage));
  return store;
}
const now = (store: SessionStore) => store.getState();
const pile = (store: SessionStore) => shownSurface(now(store)).pile;
const of = (store: SessionStore, id: string) => pile(store).find((piece) => piece.id === id)!;
const shows = ({ material }: Piece) => (material.kind === 'photo' ? material.asset : null);
const sound = (store: SessionStore) => {
  const { project } = now(store).history;
  expect(readProject(writeProject(project))).toEqual({ ok: true, value: project });
};

describe('a photo', () => {
  test('dropped on an empty place it fills it: the place keeps its size, cut and where it lies', () => {
    const empty = place('e', 60, 60, { turn: 12 });
    const store = table([empty]);
    bringPhoto(store, ONE, { x: 100, y: 100 });
    expect(shows(of(store, 'e'))).toBe(ONE.sha);
    expect([of(store, 'e').placement, of(store, 'e').outline]).toEqual([empty.placement, empty.outline]);
    expect(now(store).history.project.photos).toContain(ONE.sha);
    sound(store);
  });

  test('dropped on another it takes its place; on one that is locked, or under a paper, it is laid', () => {
    const store = table([photoOf('p', ONE, box(60, 60)), photoOf('k', ONE, box(200, 60))]);
    bringPhoto(store, TWO, { x: 100, y: 90 });
    expect([pile(store).length, shows(of(store, 'p'))]).toEqual([2, TWO.sha]);
    const locked = table([
      {
        ...photoOf('p', ONE, box(60, 60)),
        placement: { ...photoOf('p', ONE, box(60, 60)).placement, locked: true },
      },
    ]);
    bringPhoto(locked, TWO, { x: 100, y: 90 });
    expect([pile(locked).length, shows(of(locked, 'p'))]).toEqual([2, ONE.sha]);
    const covered = table([photoOf('p', ONE, box(60, 60)), inkPiece('card', 50, 50, 120, 90)]);
    bringPhoto(covered, TWO, { x: 100, y: 90 });
    expect([pile(covered).length, shows(of(covered, 'p'))]).toEqual([3, ONE.sha]);
  });

  test('with a place selected it goes there; with nothing, onto the bare page, the right way round', () => {
    const store = table([place('e'), inkPiece('a', 200)]);
    now(store).select(['e']);
    bringPhoto(store, ONE);
    expect(shows(of(store, 'e'))).toBe(ONE.sha);
    now(store).select(['a']);
    bringPhoto(store, TWO);
    const [fresh] = selectedPieces(now(store));
    expect([shows(fresh!), fresh!.placement.width / fresh!.placement.height]).toEqual([
      TWO.sha,
      expect.closeTo(4 / 3, 6),
    ]);
    expect(pile(store)).toHaveLength(3);
  });
});

describe('exchanged', () => {
  test('it keeps place, size and cut, and the workbox knows the new one; a locked one stays', () => {
    const store = table([photoOf('p', ONE, box(60, 60), { kind: 'ellipse' })]);
    exchange(store, TWO, 'photos', 'p');
    expect([shows(of(store, 'p')), of(store, 'p').outline, now(store).selection]).toEqual([
      TWO.sha,
      { kind: 'ellipse' },
      ['p'],
    ]);
    expect(undoLabel(now(store).history)).toMatch(/^exchange/);
    now(store).perform({
      label: 'lock',
      apply: (project) => void (project.surfaces[0]!.pile[0]!.placement.locked = true),
    });
    exchange(store, THREE, 'photos', 'p');
    expect(shows(of(store, 'p'))).toBe(TWO.sha);
    const { done } = now(store).history;
    exchange(store, THREE, 'photos', 'gone');
    expect(now(store).history.done).toBe(done);
  });
});

describe('what was kept', () => {
  const kept = (): Project => {
    const base = laid(
      [
        { ...inkPiece('a', 0, 0, 60, 40), groups: ['g'] },
        { ...photoOf('p', TWO, box(60, 0)), groups: ['g'] },
      ],
      [TWO],
    );
    return {
      ...base,
      fonts: [{ sha: 'a'.repeat(64), name: 'Quill', bytes: 9 }],
      surfaces: [{ ...base.surfaces[0]!, width: 150, height: 60, groups: [{ id: 'g', name: 'Kites' }] }],
    };
  };
  test('is laid as it was made, its middle where it was dropped, with its pictures, groups and fonts, in one step', () => {
    const store = table([inkPiece('x')], []);
    layKept(store, kept(), { x: 200, y: 150 });
    const [a, p] = pile(store).slice(1) as [Piece, Piece];
    expect([a.placement.x - 30, p.placement.x - 105].map((value) => Math.round(value))).toEqual([125, 125]);
    expect(a.groups).toEqual(p.groups);
    const { project } = now(store).history;
    expect(project.surfaces[0]!.groups.map(({ name }) => name)).toEqual(['Kites']);
    expect(Object.keys(project.assets)).toEqual([TWO.sha]);
    expect(project.fonts).toEqual(kept().fonts);
    expect(now(store).selection).toEqual([a.id, p.id]);
    sound(store);
    now(store).undo();
    expect(pile(store)).toEqual([inkPiece('x')]);
  });

  test('laid twice it is there twice, nothing shared between the two', () => {
    const store = table([], []);
    layKept(store, kept());
    layKept(store, kept());
    expect(new Set(pile(store).map(({ id }) => id)).size).toBe(4);
    expect(new Set(pile(store).map(({ groups }) => groups![0])).size).toBe(2);
    sound(store);
  });
});

test('a sketch’s places come over the page, all free, none squashed, to be filled one after the other', () => {
  const sketch = {
    ...newSurface('s', 'Sketch', { width: 864, height: 864 }, 'in'),
    pile: [place('a', 0, 0), place('b', 400, 400)],
  };
  const store = table([inkPiece('x')]);
  laySketch(store, sketch);
  const fresh = pile(store).slice(1);
  expect(fresh.every(isEmptyPlace)).toBe(true);
  for (const { placement } of fresh) {
    expect(placement.width / placement.height).toBeCloseTo(1, 6);
    expect(placement.x + placement.width / 2).toBeLessThanOrEqual(432 + 1e-6);
    expect(placement.y + placement.height / 2).toBeLessThanOrEqual(288 + 1e-6);
  }
  expect([undoLabel(now(store).history), now(store).selection]).toEqual(['lay sketch', []]);
  sound(store);
});

describe('photos to be arranged', () => {
  const early = photo(4, { taken: '2026-05-16T08:00:00' });
  const late = photo(5, { taken: '2026-05-16T20:00:00' });
  const second = {
    ...newSurface('two', 'Page 2', { width: 432, height: 288 }, 'in'),
    pile: [photoOf('q', THREE, box(10, 10))],
  };
  const here = (...pieces: Piece[]) =>
    table(pieces, [ONE, THREE, late, early], (project) => ({
      ...project,
      surfaces: [...project.surfaces, second],
    }));

  test('those of the page, those that wait by their time, those that lie on other pages alone', () => {
    const store = here(photoOf('p', ONE, box(60, 60)));
    const { onPage, waiting, elsewhere, places } = photosHere(now(store));
    expect(onPage.map(({ piece }) => piece!.id)).toEqual(['p']);
    expect(waiting.map(({ asset }) => asset.sha)).toEqual([early.sha, late.sha]);
    expect(elsewhere.map(({ asset }) => asset.sha)).toEqual([THREE.sha]);
    expect(places).toEqual([]);
    // Asked for, one of another page comes here as well.
    expect(photosHere(now(store), [THREE.sha]).waiting.map(({ asset }) => asset.sha)).toContain(THREE.sha);
  });

  test('to begin with: those that are wanted, those that are selected, all on the page, or all that wait', () => {
    const two = here(photoOf('p', ONE, box(60, 60)), photoOf('r', ONE, box(200, 60)));
    const taken = (store: SessionStore, wanted: string[] = []) => [
      ...firstTaken(now(store), photosHere(now(store), wanted), wanted),
    ];
    expect(taken(two)).toEqual(['p', 'r']);
    expect(taken(two, [early.sha])).toEqual([early.sha]);
    now(two).select(['p', 'r']);
    expect(taken(two)).toEqual(['p', 'r']);
    const bare = here(inkPiece('i'));
    // One without a time comes last.
    expect(taken(bare)).toEqual([early.sha, late.sha, ONE.sha]);
    expect(keyOf({ asset: ONE, piece: null })).toBe(ONE.sha);
  });

  test('into places that are kept free, else where nothing lies, else all over the page', () => {
    expect(firstWhere(now(here(place('e'))), photosHere(now(here(place('e')))))).toBe('places');
    expect(firstWhere(now(here(inkPiece('i'))), photosHere(now(here(inkPiece('i')))))).toBe('free');
    expect(firstWhere(now(here()), photosHere(now(here())))).toBe('page');
    const store = here(inkPiece('i', 0, 0, 432, 140));
    expect(areaFor(now(store), 'page', 18)).toEqual({ x: 18, y: 18, width: 396, height: 252 });
    const free = areaFor(now(store), 'free', 9)!;
    expect(free.y).toBeGreaterThanOrEqual(140);
    expect(areaFor(now(store), 'page', 200)).toBeNull();
  });
});

describe('by hand', () => {
  test('two that are selected change places; one, or none, says what it takes', () => {
    const store = table([
      photoOf('p', ONE, box(60, 60)),
      photoOf('q', TWO, box(250, 160, 60, 60)),
      inkPiece('i'),
    ]);
    now(store).select(['p', 'i']);
    expect(swapChosen(store).ok).toBe(false);
    expect(now(store).refused?.why).toBe('Select two photos to let them change places.');
    now(store).select(['p', 'q', 'i']);
    expect(swapChosen(store).ok).toBe(true);
    expect([shows(of(store, 'p')), shows(of(store, 'q'))].sort()).toEqual([ONE.sha, TWO.sha].sort());
    sound(store);
  });

  test('what is selected becomes places to be filled; words and what is locked do not', () => {
    const store = table([
      photoOf('p', ONE, box(60, 60)),
      wordsOf('w', 'Ebb'),
      place('k', 200, 60, { locked: true }),
    ]);
    now(store).select(['w', 'k']);
    expect(makePlaces(store).ok).toBe(false);
    expect(now(store).refused?.why).toMatch(/^Select what shall be a place for a photo/);
    now(store).select(['p', 'w']);
    expect(makePlaces(store)).toEqual({ ok: true, value: 1 });
    expect(isEmptyPlace(of(store, 'p'))).toBe(true);
    // The photo waits again.
    expect(photosHere(now(store)).waiting.map(({ asset }) => asset.sha)).toContain(ONE.sha);
    sound(store);
  });
});
