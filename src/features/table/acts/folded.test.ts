/** At the room with a card on the table: panels close up, ribbons all the way round, living words. */
import { startHistory, undoLabel } from '@/core/project/history';
import type { Fact } from '@/core/living/field';
import type { GlyphsOutline } from '@/core/piece/outline/glyphs';
import type { Piece } from '@/core/piece/piece';
import { beginProduct } from '@/core/product';
import { newProject } from '@/core/project/model';
import * as act from '@/features/table/acts';
import { createSession, selectedPieces, shownSurface, type SessionStore } from '@/features/table/session';
import type { Typesetter } from '@/core/text/typesetter';
import { nodeTypesetter } from '../../../../scripts/node/platform';

let typesetter: Typesetter;
beforeAll(async () => {
  typesetter = await nodeTypesetter();
});
function table(kind: 'card' | 'layout' = 'card'): SessionStore {
  const of = beginProduct(kind, { width: 360, height: 504 }, 'left');
  const store = createSession(
    startHistory(newProject({ id: 'c', title: 'Card', unit: 'in' }, of)),
    typesetter,
    false,
  );
  store.getState().measured({ width: 900, height: 600 }, { zoom: 0.5, x: 50, y: 50 });
  return store;
}
const piles = (store: SessionStore) => store.getState().history.project.surfaces.map(({ pile }) => pile);

test('panels come close up in reading order, from side to side and round again; what is laid lies in their middle', () => {
  const store = table();
  const seen = Array.from({ length: 5 }, () => {
    act.stepPanel(store, 1);
    return act.panelNow(store.getState())!.name;
  });
  expect(seen).toEqual(['Front', 'Back', 'Inside left', 'Inside right', 'Front']);
  act.stepPanel(store, -1);
  expect([act.panelNow(store.getState())!.name, shownSurface(store.getState()).name]).toEqual([
    'Inside right',
    'Inside',
  ]);
  act.punchWith(store, 'heart');
  expect(selectedPieces(store.getState())[0]!.placement).toMatchObject({ x: 540, y: 252 });
  act.nudge(store, 40, 9);
  act.centreChosen(store, 'centre');
  act.centreChosen(store, 'middle');
  expect(selectedPieces(store.getState())[0]!.placement.x).toBeCloseTo(540);
  const close = store.getState().view.x;
  act.keepAside(store, 300);
  expect(store.getState().view.x).toBeGreaterThan(close);
  act.zoomFit(store);
  expect(act.panelNow(store.getState())).toBeNull();
});

test('a ribbon goes all the way round by one press; a locked other side refuses what would change it', () => {
  const store = table();
  act.punchWith(store, 'oblong');
  act.layRound(store, true);
  const [[here], [there]] = piles(store) as [[Piece], [Piece]];
  expect([here.placement.width, there.placement.width]).toEqual([738, 738]);
  expect(undoLabel(store.getState().history)).toBe('lay embellishment all the way round');
  act.nudge(store, 0, 10);
  expect(piles(store)[1]![0]!.placement.y).toBe(there.placement.y + 10);
  store.getState().turnTo('c-2');
  act.togglePageLock(store);
  store.getState().turnTo('c-1');
  store.getState().select([here.id]);
  act.nudge(store, 0, 10);
  expect(piles(store).map(([piece]) => piece!.placement.y)).toEqual(Array(2).fill(there.placement.y + 10));
  expect(store.getState().touchedLocked).not.toBeNull();
  const flat = table('layout');
  act.punchWith(flat, 'oblong');
  act.layRound(flat, true);
  expect(flat.getState().refused?.why).toBe('Only a paper with two sides has a way round.');
});

test('living words are put where one writes, follow what is known, and one undo takes both back', () => {
  const store = table();
  const text = () => (piles(store)[0]![0]!.outline as GlyphsOutline).text;
  const fact: Fact = { id: 'who', name: 'For', kind: 'words', value: 'Ada' };
  act.know(store, fact);
  act.startWords(store, 'title');
  act.typeOn(store, 'For , with love');
  const id = selectedPieces(store.getState())[0]!.id;
  store.getState().setMode({ kind: 'write', id, range: [4, 4] });
  act.putField(store, { kind: 'fact', fact: 'who' });
  expect(text()).toBe('For Ada, with love');
  expect(store.getState().mode).toMatchObject({ range: [7, 7] });
  act.typeOn(store, ' dear');
  expect(text()).toBe('For Ada dear, with love');
  store.getState().pick();
  act.know(store, { ...fact, value: 'Ines and Bo' });
  expect(text()).toBe('For Ines and Bo dear, with love');
  store.getState().undo();
  expect(text()).toBe('For Ada dear, with love');
  // Along an outline and in lines again they live on.
  act.runAlong(store);
  const round = () => piles(store)[0]![0]!.outline;
  act.know(store, { ...fact, value: 'Bo' });
  expect(round()).toMatchObject({ kind: 'running', text: 'For Bo dear, with love' });
  act.putField(store, { kind: 'page' });
  expect(round()).toMatchObject({ text: 'For Bo dear, with love 1' });
  act.straightenWords(store, piles(store)[0]![0]!.id);
  act.know(store, fact);
  expect(text()).toBe('For Ada dear, with love 1');
  // Beside no words at hand they are words of their own.
  store.getState().select([]);
  act.putField(store, { kind: 'page' });
  expect(piles(store)[0]!.map(({ name }) => name)).toEqual(['For Ada dear, with love 1', '1']);
});

test('what is laid on a sheet that is seen whole lies on a panel of it, not across the fold', () => {
  const store = table();
  const laidOn = () => act.page(store.getState()).pile.at(-1)!.placement;
  act.punchWith(store, 'circle');
  expect([laidOn().x, laidOn().y]).toEqual([540, 252]);
  act.toPageAt(store, 'c-2');
  act.punchWith(store, 'circle');
  expect([laidOn().x, laidOn().y]).toEqual([540, 252]);
  // Without folds the middle is the middle.
  const flat = table('layout');
  act.punchWith(flat, 'circle');
  const { pile, width, height } = act.page(flat.getState());
  expect(pile.at(-1)!.placement).toMatchObject({ x: width / 2, y: height / 2 });
});

test('a side of another size is shown whole when one turns to it; one of the same size where one looks', () => {
  const store = table();
  store.getState().look({ zoom: 2, x: -300, y: -200 });
  act.toPageAt(store, 'c-2');
  expect(store.getState().view.zoom).toBe(2);
  act.toggleExtra(store, 'envelope');
  expect(shownSurface(store.getState()).name).toBe('Envelope');
  const { view, stage } = store.getState();
  const { width, height } = shownSurface(store.getState());
  expect([view.x > 0, view.y > 0]).toEqual([true, true]);
  expect([width * view.zoom < stage.width, height * view.zoom < stage.height]).toEqual([true, true]);
  act.toggleExtra(store, 'envelope');
  expect(shownSurface(store.getState()).name).toBe('Outside');
});
