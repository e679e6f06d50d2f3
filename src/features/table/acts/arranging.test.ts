import type { Piece } from '@/core/piece/piece';
import { placedAt } from '@/core/piece/placement/placement';
import { startHistory } from '@/core/project/history';
import { newSurface } from '@/core/project/model';
import * as act from '@/features/table/acts';
import { createSession, type SessionStore } from '@/features/table/session';
import { project as sample } from '../../../../scripts/testing/samples';

const square = (id: string, x: number, y: number, turn = 0): Piece => ({
  id,
  name: id,
  role: id === 'd' ? 'paper' : 'mat',
  material: { kind: 'ink', colour: '#9e2b45' },
  outline: { kind: 'rectangle', radius: 0 },
  finish: {
    lift: { height: 0.3, shadow: true },
    stroke: { colour: '#ffffff', width: 2, side: 'outside' },
    opacity: 1,
  },
  placement: placedAt({ x, y, width: 72, height: 72 }, turn),
});

function table(): SessionStore {
  const base = sample();
  const page = { ...newSurface('one', 'Page 1', { width: 864, height: 864 }, 'in'), locked: false };
  const pile = [square('a', 0, 0), square('b', 200, 30), square('c', 400, 10), square('d', 10, 500)];
  const project = {
    ...base,
    surfaces: [
      { ...page, pile },
      { ...page, id: 'two', name: 'Page 2', pile: [] },
    ],
  };
  return createSession(startHistory(project), null as never, false);
}
const page = (store: SessionStore, at = 0) => store.getState().history.project.surfaces[at]!;
const placeOf = (store: SessionStore, id: string) =>
  page(store).pile.find((piece) => piece.id === id)!.placement;
const steps = (store: SessionStore) => store.getState().history.done;

describe('choosing', () => {
  test('by role, everything else, the next with its whole group; a closed group is one', () => {
    const store = table();
    act.selectAll(store, 'mat');
    expect(store.getState().selection).toEqual(['a', 'b', 'c']);
    act.group(store);
    act.selectOthers(store);
    expect(store.getState().selection).toEqual(['d']);
    act.step(store, -1);
    expect(store.getState().selection).toEqual(['a', 'b', 'c']);
    expect(act.enter(store)).toBe(true);
    expect(store.getState().selection).toEqual(['c']);
    act.step(store, 1);
    expect(store.getState().selection).toEqual(['a']);
    expect(act.leave(store)).toBe(true);
    expect(store.getState().selection).toEqual(['a', 'b', 'c']);
    expect(act.leave(store)).toBe(false);
  });
});

describe('arranging', () => {
  test('lines up with the page and the safe area; a group is moved as one', () => {
    const store = table();
    store.getState().select(['a', 'b']);
    act.alignChosen(store, 'right', 'page');
    expect(placeOf(store, 'a').x).toBeCloseTo(864 - 36);
    act.alignChosen(store, 'top', 'safe area');
    expect(placeOf(store, 'b').y).toBeCloseTo(18 + 36);
    act.group(store);
    const before = placeOf(store, 'a').x - placeOf(store, 'b').x;
    act.alignChosen(store, 'left', 'page');
    expect(placeOf(store, 'a').x - placeOf(store, 'b').x).toBeCloseTo(before);
  });
  test('spaced over the page: the outermost at its edges, equal air between', () => {
    const store = table();
    store.getState().select(['a', 'b', 'c']);
    act.distributeChosen(store, 'x', 'page');
    expect(['a', 'b', 'c'].map((id) => placeOf(store, id).x)).toEqual([36, 432, 828]);
  });
  test('set round a circle each is turned to stand on it', () => {
    const store = table();
    act.selectAll(store, 'mat');
    act.arcChosen(store, { radius: 100, from: 0, sweep: 360 }, true);
    expect(['a', 'b', 'c'].map((id) => Math.round(placeOf(store, id).turn))).toEqual([0, 120, -120]);
  });
  test('what is far away comes back; what lies on the page stays', () => {
    const store = table();
    store.getState().select(['a']);
    act.nudge(store, -5000, 0);
    act.bringBack(store);
    expect(placeOf(store, 'a')).toMatchObject({ x: 0, y: 36 });
  });
});

describe('pages', () => {
  test('a locked page refuses whatever changes it, says so, and lets others be', () => {
    const store = table();
    act.togglePageLock(store);
    const locked = steps(store);
    store.getState().select(['a']);
    for (const deed of [act.remove, act.duplicate, act.toggleLock, act.mirror, act.lockOthers])
      deed(store as never);
    act.deletePage(store);
    expect(steps(store)).toBe(locked);
    expect(store.getState().touchedLocked).toBeGreaterThan(0);
    act.toPageAt(store, 'two');
    act.addPageAfter(store, false);
    expect(store.getState().history.project.surfaces).toHaveLength(3);
    act.toPageAt(store, 'one');
    act.togglePageLock(store);
    store.getState().select(['a']);
    act.remove(store);
    expect(page(store).pile).toHaveLength(3);
  });
  test('copies to other pages keep place and groups, under ids of their own; undo takes all back at once', () => {
    const store = table();
    act.selectAll(store, 'mat');
    act.group(store);
    act.copyToNextPage(store);
    expect(page(store, 1).pile.map(({ placement }) => placement.x)).toEqual([36, 236, 436]);
    expect(page(store, 1).groups).toHaveLength(1);
    expect(page(store, 1).groups[0]!.id).not.toBe(page(store).groups[0]!.id);
    store.getState().undo();
    expect(page(store, 1).pile).toHaveLength(0);
  });
  test('several pages are copied, locked and deleted at once, in their order; one stays', () => {
    const store = table();
    const names = () => store.getState().history.project.surfaces.map(({ name }) => name);
    const begin = names().length;
    act.toPageAt(store, 'one');
    act.choosePage(store, 'two', false);
    act.addPageAfter(store, true);
    expect(names()).toHaveLength(begin + 2);
    expect(page(store, 2).pile).toHaveLength(page(store, 0).pile.length);
    expect(act.pagesMeant(store.getState()).map(({ id }) => id)).toEqual([
      page(store, 2).id,
      page(store, 3).id,
    ]);
    act.togglePageLock(store);
    expect(store.getState().history.project.surfaces.map(({ locked }) => locked)).toEqual([
      ...[false, false, true, true],
    ]);
    act.deletePage(store);
    expect(names()).toHaveLength(begin + 2);
    act.togglePageLock(store);
    act.deletePage(store);
    expect(names()).toHaveLength(begin);
    // A run of them, from the one that is shown.
    act.choosePage(store, 'one', true);
    act.deletePage(store);
    expect(store.getState().refused?.why).toBe('One page stays: these are all there are.');
    store.getState().undo();
    expect(names()).toHaveLength(begin + 2);
  });
  test('a page that undo takes away is left for one that is there', () => {
    const store = table();
    act.addPageAfter(store, true);
    expect(page(store, 1).pile).toHaveLength(4);
    store.getState().undo();
    expect(store.getState().surfaceId).toBe('one');
  });
});

test('compared, the page is shown as it was; nothing is changed by it', () => {
  const store = table();
  store.getState().select(['a']);
  act.nudge(store, 50, 0);
  store.getState().compare(1);
  expect(store.getState().compared!.surfaces[0]!.pile[0]!.placement.x).toBe(36);
  expect(placeOf(store, 'a').x).toBe(86);
  store.getState().compare(0);
  expect(store.getState().compared).toBeNull();
});
