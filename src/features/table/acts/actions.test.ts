import * as act from '@/features/table/acts';
import { overlaps } from '@/core/geometry/box';
import { extentOf } from '@/core/piece/placement/placement';
import type { Project } from '@/core/project/model';
import { layArt, bringPhoto, couldFill, fillPage, layPage, layTogether } from '@/features/table/acts/laid';
import { aimed } from '@/features/table/acts/aimed';
import { Refused } from '@/core/project/refused';
import { createSession, selectedPieces, shownSurface, type SessionStore } from '@/features/table/session';
import { startHistory, undoLabel } from '@/core/project/history';
import { movePieces } from '@/core/project/edits/place';
import type { Piece } from '@/core/piece/piece';
import type { Typesetter } from '@/core/text/typesetter';
import { fitted } from '@/features/table/stage/hand/view';
import { nodeTypesetter } from '../../../../scripts/node/platform';
import { assetOf, inkPiece, laid, photoOf, quarters } from '../../../../scripts/testing/samples';

let typesetter: Typesetter;
beforeAll(async () => {
  typesetter = await nodeTypesetter();
});

const asset = assetOf(quarters(90, 60), 900, 600);
function table(pieces: readonly Piece[] = [], readOnly = false): SessionStore {
  const store = createSession(startHistory(laid(pieces, [asset])), typesetter, readOnly);
  const stage = { width: 800, height: 600 };
  store.getState().measured(stage, fitted(shownSurface(store.getState()), stage));
  return store;
}
const pile = (store: SessionStore) => shownSurface(store.getState()).pile;
const names = (store: SessionStore) => pile(store).map(({ id }) => id);
const locked = (id: string): Piece => ({
  ...inkPiece(id),
  placement: { ...inkPiece(id).placement, locked: true },
});

describe('laying', () => {
  test('a photo lands in the middle of what is seen, selected, undistorted', () => {
    const store = table();
    act.layPhoto(store, asset);
    const [piece] = selectedPieces(store.getState());
    expect(piece!.placement.width / piece!.placement.height).toBeCloseTo(1.5, 9);
    expect(act.middle(store.getState())).toEqual({ x: piece!.placement.x, y: piece!.placement.y });
  });

  test('the middle is the page’s own while all of it is seen, that of the part in sight when it is not', () => {
    const store = table();
    const { width, height } = shownSurface(store.getState());
    const stage = { width: 3 * width, height: 2 * height };
    store.getState().measured(stage, { zoom: 1, x: 20, y: 0 });
    expect(act.middle(store.getState())).toEqual({ x: width / 2, y: height / 2 });
    store.getState().look({ zoom: 1, x: -width / 2, y: 0 });
    expect(act.middle(store.getState())).toEqual({ x: 0.75 * width, y: height / 2 });
  });

  test('a paper covers the page only when asked to; a strip lies on top; both belong to the project then', () => {
    const store = table([inkPiece('a')]);
    act.layStrip(store, asset, { x: 50, y: 120 });
    expect(pile(store)[1]!.placement.y).toBe(120);
    act.coverWithPaper(store, asset);
    expect(names(store)).toHaveLength(3);
    expect(names(store)[1]).toBe('a');
    expect(store.getState().history.project.papers).toEqual([asset.sha]);
  });

  test('words begin empty in writing; left empty they go again', () => {
    const store = table();
    act.startWords(store, 'title');
    const { mode } = store.getState();
    expect(mode.kind).toBe('write');
    act.rewrite(store, (mode as { id: string }).id, { text: 'Wind' });
    act.stopWriting(store);
    expect(pile(store)[0]).toMatchObject({ name: 'Wind', role: 'title', outline: { text: 'Wind' } });
    act.startWords(store, 'journaling');
    act.stopWriting(store);
    expect(pile(store)).toHaveLength(1);
  });
});

describe('laying from the cupboard', () => {
  const { surfaces: empty } = laid([]);
  const ready = (side: number): Project => {
    const page = laid(
      [photoOf('p', asset, { x: 30, y: 40, width: 90, height: 60 }), inkPiece('i', 10, 10)],
      [asset],
    );
    return {
      ...page,
      photos: [asset.sha],
      surfaces: [{ ...page.surfaces[0]!, width: side, height: side, ground: '#e8c66a' }],
    };
  };

  test('a ready-made page lies in place of this one, or on a page more, fitted to its size; undo takes all of it back', () => {
    const store = table([inkPiece('a')]);
    layPage(store, ready(144), false);
    const scale = Math.min(empty[0]!.width, empty[0]!.height) / 144;
    expect(pile(store).map(({ name, placement }) => [name, placement.width])).toEqual([
      ['p', 90 * scale],
      ['i', 60 * scale],
    ]);
    expect(shownSurface(store.getState()).ground).toBe('#e8c66a');
    expect(store.getState().history.project.photos).toEqual([asset.sha]);
    store.getState().undo();
    expect(names(store)).toEqual(['a']);
    layPage(store, ready(144), true);
    expect(store.getState().history.project.surfaces.map(({ name, width }) => [name, width])).toEqual([
      ['Page 1', empty[0]!.width],
      ['Page 2', empty[0]!.width],
    ]);
    expect(pile(store)).toHaveLength(2);
    act.togglePageLock(store);
    layPage(store, ready(144), false);
    expect(store.getState().touchedLocked).toBeTruthy();
    expect(pile(store)).toHaveLength(2);
  });

  test('a tone goes beneath its lines where they lie, paler and grouped with them; lines come upon their tone', () => {
    const lines = assetOf(quarters(50, 40), 300, 240, { name: 'Kite' });
    const tone = { ...lines, sha: 'c'.repeat(64), name: 'Kite, tone' };
    const store = table();
    layArt(store, lines, 'stamps', { x: 140, y: 90 });
    layArt(store, tone, 'stamps');
    const [below, above] = pile(store);
    expect([below!.name, above!.name]).toEqual(['Kite, tone', 'Kite']);
    expect(below!.placement).toEqual(above!.placement);
    expect(below!.groups).toEqual(above!.groups);
    expect((below!.material as { ink: string }).ink).not.toBe((above!.material as { ink: string }).ink);
    store.getState().undo();
    expect(pile(store).map(({ name }) => name)).toEqual(['Kite']);
    const other = table();
    layArt(other, tone, 'stamps', { x: 140, y: 90 });
    layArt(other, lines, 'stamps');
    expect(pile(other).map(({ name }) => name)).toEqual(['Kite, tone', 'Kite']);
    // What does not fit lies by itself.
    layArt(other, { ...lines, sha: 'd'.repeat(64), name: 'Gull' }, 'stamps');
    expect(pile(other).at(-1)!.groups).toBeUndefined();
  });

  test('several come at once: side by side on the page, one step, none on another', () => {
    const store = table();
    const small = assetOf(quarters(50, 40), 300, 240);
    layTogether(store, [
      { asset: small, compartment: 'bits' },
      { asset: { ...small, sha: 'c'.repeat(64) }, compartment: 'stamps' },
      { asset: { ...small, sha: 'd'.repeat(64) }, compartment: 'photos' },
    ]);
    const boxes = pile(store).map(({ placement }) => extentOf(placement));
    boxes.forEach((a, i) => boxes.slice(i + 1).forEach((b) => expect(overlaps(a, b)).toBe(false)));
    expect(selectedPieces(store.getState())).toHaveLength(3);
    expect(undoLabel(store.getState().history)).toBe('lay 3 pieces');
    const { bits, stamps, photos } = store.getState().history.project;
    expect([bits, stamps, photos].map((list) => list.at(-1))).toEqual([
      small.sha,
      'c'.repeat(64),
      'd'.repeat(64),
    ]);
    store.getState().undo();
    expect(pile(store)).toHaveLength(0);
  });

  test('what has the page’s proportions and size may fill it; photos of a camera, small and other things not', () => {
    const store = table();
    const { width, height } = empty[0]!;
    const sheet = { ...asset, width: 4 * width, height: 4 * height, ppi: 288 };
    expect(couldFill(store, sheet)).toBe(true);
    expect(couldFill(store, { ...sheet, taken: '2026-05-16T14:32:00' })).toBe(false);
    expect(couldFill(store, { ...sheet, ppi: 900 })).toBe(false);
    expect(couldFill(store, { ...sheet, width: height, height: width })).toBe(width === height);
    fillPage(store, sheet, 'bits');
    expect(pile(store)[0]!.placement).toMatchObject({ x: width / 2, y: height / 2, width, height, turn: 0 });
  });
});

describe('what is waited for', () => {
  test('acts on the page and the pieces of when it was asked for, and selects nothing where it was not', () => {
    const store = table([inkPiece('a')]);
    store.getState().select(['a']);
    const [first] = store.getState().history.project.surfaces;
    const there = aimed(store);
    act.addPageAfter(store, false);
    expect(shownSurface(store.getState()).id).not.toBe(first!.id);
    const other = store.getState().selection;
    act.remove(there);
    const [page, added] = store.getState().history.project.surfaces;
    expect([page!.pile.length, added!.pile.length]).toEqual([0, 0]);
    act.layStrip(there, asset);
    expect(store.getState().history.project.surfaces.map(({ pile }) => pile.length)).toEqual([1, 0]);
    expect(store.getState().selection).toEqual(other);
  });

  test('does nothing, and says so, when its page is gone', () => {
    const store = table([inkPiece('a')]);
    const there = aimed(store);
    act.addPageAfter(store, false);
    act.toPageAt(store, store.getState().history.project.surfaces[0]!.id);
    act.deletePage(store);
    const before = store.getState().history;
    expect(() => act.layStrip(there, asset)).toThrow(Refused);
    expect(store.getState().history).toBe(before);
  });
});

describe('what is selected', () => {
  test('copies lie beside their originals with ids of their own; pasting again goes on stepping', () => {
    const store = table([inkPiece('a', 10, 10)]);
    store.getState().select(['a']);
    act.duplicate(store);
    act.copy(store);
    act.paste(store);
    act.paste(store);
    expect(new Set(names(store)).size).toBe(4);
    expect(pile(store).map(({ placement }) => placement.x)).toEqual([40, 58, 76, 94]);
  });

  test('cut out and pasted, a piece comes back where it was', () => {
    const store = table([photoOf('a', asset, { x: 30, y: 30, width: 90, height: 60 })]);
    store.getState().select(['a']);
    act.cut(store);
    expect(pile(store)).toEqual([]);
    act.paste(store);
    expect(pile(store)[0]!.placement).toMatchObject({ x: 75, y: 60 });
  });

  test('locked pieces stay where they are whatever is done to the selection', () => {
    const store = table([inkPiece('free'), locked('fast')]);
    store.getState().select(['free', 'fast']);
    act.nudge(store, 5, 0);
    act.mirror(store);
    expect(pile(store)[1]).toEqual(locked('fast'));
    expect(pile(store)[0]!.placement).toMatchObject({ x: 55, mirror: true });
    act.remove(store);
    expect(names(store)).toEqual(['fast']);
    act.toggleLock(store, pile(store));
    expect(undoLabel(store.getState().history)).toBe('unlock embellishment');
    store.getState().undo();
    expect(store.getState().refused?.why).toBe('A piece is locked again: that was a step, too.');
  });

  test('order changes by one step, or all the way; walking goes round', () => {
    const store = table([inkPiece('a'), inkPiece('b'), inkPiece('c')]);
    store.getState().select(['a']);
    act.shiftInPile(store, 'up');
    expect(names(store)).toEqual(['b', 'a', 'c']);
    act.shiftInPile(store, 'top');
    expect(names(store)).toEqual(['b', 'c', 'a']);
    act.shiftInPile(store, 'up');
    act.shiftInPile(store, 'bottom');
    expect(names(store)).toEqual(['a', 'b', 'c']);
    act.step(store, -1);
    expect(store.getState().selection).toEqual(['c']);
    act.step(store, 1);
    expect(store.getState().selection).toEqual(['a']);
  });
});

describe('the session', () => {
  test('a try-out shows what an edit would do and leaves no trace', () => {
    const store = table([inkPiece('a')]);
    const before = store.getState().history;
    store.getState().tryOut(movePieces('sample-1', pile(store), 99, 0));
    expect(pile(store)[0]!.placement.x).toBe(149);
    store.getState().tryOut(null);
    expect(pile(store)[0]!.placement.x).toBe(50);
    expect(store.getState().history).toBe(before);
  });

  test('undo lets go of pieces that are no longer there', () => {
    const store = table();
    act.layPhoto(store, asset);
    store.getState().undo();
    expect(store.getState().selection).toEqual([]);
    store.getState().redo();
    expect(pile(store)).toHaveLength(1);
  });

  test('read only means read only', () => {
    const store = table([inkPiece('a')], true);
    store.getState().select(['a']);
    for (const deed of [act.remove, act.mirror, act.duplicate, act.toggleLock, act.toggleHidden]) deed(store);
    act.nudge(store, 4, 4);
    act.startWords(store, 'title');
    expect(pile(store)).toEqual([inkPiece('a')]);
    expect(store.getState().history.steps).toEqual([]);
  });
});

describe('the workbox', () => {
  test('a photo dropped on a photo takes its place, size and cut; on a page-wide one it is laid', () => {
    const other = assetOf(quarters(60, 90), 600, 900);
    const heart = photoOf(
      'heart',
      asset,
      { x: 20, y: 20, width: 90, height: 90 },
      { kind: 'punch', punch: 'heart', settings: {} },
    );
    const store = table([photoOf('under all', asset, { x: -9, y: -9, width: 450, height: 306 }), heart]);
    bringPhoto(store, other, { x: 65, y: 60 });
    expect(pile(store)[1]).toMatchObject({
      id: 'heart',
      outline: heart.outline,
      placement: heart.placement,
      material: { kind: 'photo', asset: other.sha },
    });
    bringPhoto(store, other, { x: 300, y: 200 });
    expect(pile(store)).toHaveLength(3);
  });

  test('of two photos one is locked: they do not change places until one press has unlocked it', () => {
    const store = table([photoOf('left', asset, { x: 20, y: 20, width: 90, height: 60 })]);
    const other = assetOf(quarters(60, 90), 600, 900);
    bringPhoto(store, other, { x: 300, y: 300 });
    act.toggleLock(store);
    store.getState().select(names(store));
    expect(act.swapChosen(store)).toMatchObject({ ok: false });
    store.getState().refused!.next!.run();
    expect(act.swapChosen(store)).toMatchObject({ ok: true });
    const left = pile(store).find(({ id }) => id === 'left')!;
    expect(left.material).toMatchObject({ asset: other.sha });
  });

  test('what lies in it is taken out, and comes back by undo; what is used stays, and where is said', () => {
    const store = table([photoOf('photo', asset, { x: 20, y: 20, width: 90, height: 60 })]);
    act.takeOut(store, 'photos', asset.sha);
    expect(store.getState().refused?.why).toBe('“quarters” stays: it is used on Page 1.');
    // One press leads to where it is used, from another page too, and takes hold of it.
    act.addPageAfter(store, false);
    expect(store.getState().selection).toEqual([]);
    store.getState().refused!.next!.run();
    expect(pile(store).map(({ id }) => id)).toEqual(['photo']);
    expect(store.getState().selection).toEqual(['photo']);
    act.remove(store);
    act.takeOut(store, 'photos', asset.sha);
    expect(store.getState().history.project).toMatchObject({ photos: [], assets: {} });
    store.getState().undo();
    expect(store.getState().history.project.photos).toEqual([asset.sha]);
  });
});

test('photos that lie on other pages are offered, too; all that wait are taken to begin with', () => {
  const shots = Array.from({ length: 9 }, (_, i) => assetOf(quarters(90 + i, 60), 900 + i, 600));
  const store = createSession(
    startHistory(laid([photoOf('there', shots[0]!, { x: 20, y: 20, width: 90, height: 60 })], shots)),
    typesetter,
    false,
  );
  act.addPageAfter(store, false);
  const here = act.photosHere(store.getState());
  expect(here.elsewhere.map(({ asset: { sha } }) => sha)).toEqual([shots[0]!.sha]);
  expect(act.firstTaken(store.getState(), here, []).size).toBe(8);
});
