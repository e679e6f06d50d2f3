/** At the room with things to be cut: found from what lies there, changed by hand, dealt among papers, brought in from files. */
import { boxOfPoints } from '@/core/geometry/box';
import { prepare } from '@/core/cutter/prepare';
import { readOutlines } from '@/core/cutter/read/read';
import { dealt, DEALS } from '@/core/cutter/mix';
import { FIRST_SETTINGS } from '@/core/cutter/settings';
import { changeProduct } from '@/core/project/edits/product';
import { plansOf } from '@/core/packing/sheets';
import { beginProduct } from '@/core/product';
import { sheetIn } from '@/core/product/sheet';
import { startHistory, undoLabel } from '@/core/project/history';
import { newProject } from '@/core/project/model';
import * as act from '@/features/table/acts';
import { cutOtherwise, placesToCut } from '@/features/table/acts/cutter';
import { dealable, mixedEdit } from '@/features/table/acts/mixing';
import { layOutlines } from '@/features/table/acts/outlines';
import { createSession, selectedPieces, shownSurface, type SessionStore } from '@/features/table/session';
import type { Typesetter } from '@/core/text/typesetter';
import { nodeTypesetter } from '../../../../scripts/node/platform';

let typesetter: Typesetter;
beforeAll(async () => {
  typesetter = await nodeTypesetter();
});
function table(kind: 'card' | 'layout' | 'sheet', way?: string): SessionStore {
  const of = beginProduct(kind, { width: 288, height: 216 }, way);
  const store = createSession(
    startHistory(newProject({ id: 'c', title: 'Cut', unit: 'in' }, of)),
    typesetter,
    false,
  );
  store.getState().measured({ width: 900, height: 600 }, { zoom: 0.5, x: 50, y: 50 });
  return store;
}
const asked = (store: SessionStore, scope: 'page' | 'chosen' | 'all' = 'page') =>
  placesToCut(store.getState(), scope).flatMap(({ items }) => items.map(({ name, as }) => [name, as]));

test('a punch is cut; by hand otherwise, in one step that undo takes back', () => {
  const store = table('layout');
  act.punchWith(store, 'heart');
  const [heart] = selectedPieces(store.getState());
  expect(asked(store)[0]).toEqual([heart!.name, 'cut']);
  cutOtherwise(store, [heart!.id], { as: 'score' });
  expect(asked(store)[0]).toEqual([heart!.name, 'score']);
  expect(undoLabel(store.getState().history)).toBe('change how it is cut');
  cutOtherwise(store, [heart!.id], { as: undefined });
  expect(shownSurface(store.getState()).pile.find(({ id }) => id === heart!.id)).not.toHaveProperty('cutter');
  act.togglePageLock(store);
  cutOtherwise(store, [heart!.id], { as: 'print' });
  expect(asked(store)[0]).toEqual([heart!.name, 'cut']);
  expect(store.getState().refused!.why).toContain('locked');
});

test('a card’s paper is cut where something is done to it: folded, and with its windows; alone, what is selected begins at the corner', () => {
  const store = table('card', 'left');
  act.punchWith(store, 'heart');
  const chosen = placesToCut(store.getState(), 'chosen')[0]!;
  expect(chosen.items).toHaveLength(1);
  expect(chosen.size.width).toBeLessThan(200);
  act.toggleOpening(store);
  const { mats } = prepare(placesToCut(store.getState(), 'page'), { ...FIRST_SETTINGS, mat: '12x24' });
  expect(mats).toHaveLength(1);
  expect(mats[0]!.lines.map(({ doing }) => doing)).toEqual(['score', 'cut', 'cut']);
  // Both its sides are of one paper, which is cut once; seen from the inside, its window is where it is.
  const both = placesToCut(store.getState(), 'all');
  expect(both.map(({ items }) => items.filter(({ piece }) => !piece).length)).toEqual([1, 0]);
  expect(prepare(both, { ...FIRST_SETTINGS, mat: '12x24' }).mats.flatMap(({ lines }) => lines)).toHaveLength(
    3,
  );
  const [outside, inside] = store.getState().history.project.surfaces;
  store.getState().turnTo(inside!.id);
  const within = prepare(placesToCut(store.getState(), 'page'), { ...FIRST_SETTINGS, mat: '12x24' });
  expect(within.mats[0]!.lines.map(({ doing }) => doing)).toEqual(['score', 'cut', 'cut']);
  // By itself a window is an outline like every other.
  store.getState().turnTo(outside!.id);
  store.getState().select([outside!.pile[0]!.id]);
  expect(prepare(placesToCut(store.getState(), 'chosen'), FIRST_SETTINGS).mats[0]!.lines).toHaveLength(1);
});

test('cards as they lie on paper are cut out where they are printed', () => {
  const store = table('sheet');
  const product = sheetIn(store.getState().history.project.product)!;
  store
    .getState()
    .perform(
      changeProduct({ ...product, things: product.things.map((thing) => ({ ...thing, count: 6 })) }, 'six'),
    );
  const six = sheetIn(store.getState().history.project.product)!;
  const places = placesToCut(store.getState(), 'paper', plansOf(six).plans);
  expect(places.map(({ items, printed }) => [items.length, printed.length])).toEqual([[6, 6]]);
  const { mats } = prepare(places, { ...FIRST_SETTINGS, way: 'printed', around: 0, once: false });
  expect(mats[0]!.lines).toHaveLength(6);
  expect(mats[0]!.marks).toHaveLength(3);
  // Stickers: what lies on each card is cut out so far around, wherever the card lies.
  act.punchWith(store, 'heart');
  const on = placesToCut(store.getState(), 'stickers', plansOf(six).plans);
  const stickers = prepare(on, { ...FIRST_SETTINGS, way: 'printed' }).mats[0]!;
  expect(stickers.lines).toHaveLength(6);
  expect(Math.max(...stickers.lines.map(({ points }) => boxOfPoints(points).width))).toBeLessThan(216);
});

test('dealt among papers, each part is once of each in all mixes together; a piece of parts becomes them, in one step', () => {
  const boxes = Array.from({ length: 35 }, (_, i) => ({
    x: (i % 5) * 60 + ((i * 7) % 5),
    y: Math.floor(i / 5) * 40 + ((i * 3) % 7),
    width: 58,
    height: 30,
  }));
  for (const how of DEALS) {
    const mixes = [0, 1, 2].map((mix) => dealt(boxes, 3, how, mix));
    boxes.forEach((_, i) => expect(new Set(mixes.map((mix) => mix[i])).size).toBe(3));
  }
  expect(dealt(boxes, 3, 'rows', 0).slice(0, 10)).toEqual([...Array(5).fill(0), ...Array(5).fill(1)]);
  expect(dealt(boxes, 3, 'columns', 1).slice(0, 5)).toEqual([1, 2, 0, 1, 2]);
  const store = table('layout');
  const svg =
    '<svg xmlns="http://www.w3.org/2000/svg" width="90mm" height="30mm" viewBox="0 0 90 30"><g id="cut"><rect width="20" height="30"/><rect x="30" width="20" height="30"/><rect x="60" width="20" height="30"/></g></svg>';
  const read = readOutlines('three.svg', new TextEncoder().encode(svg));
  if (!read.ok) throw new Error(read.message);
  expect(layOutlines(store, read.value, 'three', true)).toEqual({ ok: true, value: 1 });
  const [one] = selectedPieces(store.getState());
  expect(one!.placement.width / 72).toBeCloseTo(80 / 25.4, 3);
  const told = dealable(store.getState());
  if (!told.ok) throw new Error(told.message);
  const papers = [{ colour: '#9e2b45' }, { colour: '#2f6f68' }, { colour: '#e3c99a' }];
  store.getState().perform(mixedEdit(told.value, papers, 'columns', 1));
  const pile = [...shownSurface(store.getState()).pile].sort((a, b) => a.placement.x - b.placement.x);
  expect(pile.map(({ material }) => 'colour' in material && material.colour)).toEqual([
    '#2f6f68',
    '#e3c99a',
    '#9e2b45',
  ]);
  expect(
    prepare(placesToCut(store.getState(), 'page'), FIRST_SETTINGS)
      .mats.map(({ paper }) => paper.colour)
      .sort(),
  ).toEqual(['#2f6f68', '#9e2b45', '#e3c99a']);
  store.getState().undo();
  expect(shownSurface(store.getState()).pile).toHaveLength(1);
  expect(dealable(table('layout').getState())).toMatchObject({ ok: false });
});

test('outlines from a file come each by itself in a group, holes in what is about them, with what is done along them', () => {
  const store = table('layout');
  const plotter =
    'IN;SP1;PU0,0;PD1600,0,1600,1600,0,1600,0,0;PU400,400;PD1200,400,1200,1200,400,1200,400,400;SP2;PU0,2000;PD1600,2000;';
  const read = readOutlines('box.plt', new TextEncoder().encode(plotter));
  if (!read.ok) throw new Error(read.message);
  expect(layOutlines(store, read.value, 'box', false)).toEqual({ ok: true, value: 2 });
  const pile = shownSurface(store.getState()).pile;
  expect(store.getState().refused).toBeNull();
  expect(pile.map(({ cutter }) => cutter?.as ?? 'cut')).toEqual(['cut', 'score']);
  expect(pile[0]!.groups).toEqual(pile[1]!.groups);
  const { mats, found } = prepare(placesToCut(store.getState(), 'page'), FIRST_SETTINGS);
  expect(mats[0]!.laid[0]!.part.rings).toHaveLength(2);
  expect(found).toEqual([]);
  expect(mats.flatMap(({ lines }) => lines.map(({ doing }) => doing)).sort()).toEqual([
    'cut',
    'cut',
    'score',
  ]);
});
