/** Lines at the room: drawn, held, rubbed out, taken up, tied to. */
import { areaOf } from '@/core/geometry/offset';
import { pathBounds } from '@/core/geometry/path';
import { cutOf, toolsFor } from '@/core/page/outlines';
import { layPieces } from '@/core/project/edits/pile';
import { checkProject } from '@/core/project/file';
import { startHistory } from '@/core/project/history';
import { NEW_RIBBON } from '@/core/trail/ribbon/ribbon';
import { NEW_THREAD } from '@/core/trail/thread/thread';
import { newPaint } from '@/core/trail/paint/paint';
import * as act from '@/features/table/acts';
import { keepLine } from '@/features/table/acts/keepSupply';
import { layArt } from '@/features/table/acts/laid';
import { database } from '@/storage/database';
import { createSession, type SessionStore } from '@/features/table/session';
import { nodeTypesetter } from '../../../../scripts/node/platform';
import { assetOf, inkPiece, laid, quarters } from '../../../../scripts/testing/samples';

const asset = assetOf(quarters(90, 60, 'image/png'), 90, 60);
const typesetter = await nodeTypesetter();
function table(pieces = [inkPiece('a', 200, 100)]): SessionStore {
  const store = createSession(startHistory(laid(pieces, [asset])), typesetter, false);
  store.getState().measured({ width: 800, height: 600 }, { zoom: 1, x: 0, y: 0 });
  store.getState().openSheet('lines');
  return store;
}
const pile = (store: SessionStore) => store.getState().history.project.surfaces[0]!.pile;
const drawnOf = (store: SessionStore) => act.linesPieceOf(store.getState())!;
const wave = [0, 40, 90, 140].map((x) => ({ x: 20 + x, y: 60 + (x % 40), pressure: 0.2 + x / 200 }));
const shapeOf = (store: SessionStore, at: number) => {
  const { history } = store.getState();
  return cutOf(pile(store)[at]!, toolsFor(history.project, typesetter)).path;
};
const holds = (store: SessionStore) => expect(checkProject(store.getState().history.project).ok).toBe(true);

test('lines go on one piece until another is begun; where they lie stays, however the piece was moved and turned', () => {
  const store = table();
  act.drawLine(store, wave);
  const first = drawnOf(store);
  expect(first.outline.lines[0]).toMatchObject({ pressure: [0.2, 0.4, 0.9] });
  // Twice as large and turned: the next line still comes where it was drawn, as wide as the hand meant.
  store.getState().perform({
    label: 'turn',
    apply: (project) => {
      const { placement } = project.surfaces[0]!.pile.find(({ id }) => id === first.id)!;
      Object.assign(placement, {
        width: placement.width * 2,
        height: placement.height * 2,
        turn: 30,
        mirror: true,
      });
    },
  });
  act.drawLine(
    store,
    wave.map(({ x, y }) => ({ x: x + 120, y: y + 90 })),
  );
  const piece = drawnOf(store);
  expect(piece.outline.lines).toHaveLength(2);
  expect(piece.outline.lines[1]!.trail).toMatchObject({ width: 2 });
  expect(act.holdLineAt(store, { x: 140, y: 150 }, 3)).toBe(true);
  expect(store.getState().lining.held).toBe(piece.outline.lines[1]!.id);
  holds(store);
  act.finishLines(store);
  act.drawLine(store, wave);
  expect(pile(store)).toHaveLength(3);
});

test('a held line takes another ink and its place in the order; with the last of them goes the piece', () => {
  const store = table([]);
  act.drawLine(store, wave);
  act.setLining(store, { hand: NEW_THREAD });
  act.drawLine(store, wave);
  const [under, over] = drawnOf(store).outline.lines;
  act.holdLine(store, over!.id);
  act.drawWith(store, { ...NEW_THREAD, colours: ['#2f6f68'] });
  act.smoothLines(store, 0.9);
  act.moveLine(store, over!.id, -1);
  expect(drawnOf(store).outline.lines.map(({ id }) => id)).toEqual([over!.id, under!.id]);
  expect(drawnOf(store).outline.lines[0]).toMatchObject({ smoothing: 0.9, trail: { colours: ['#2f6f68'] } });
  // What is in the hand is another thing.
  expect(store.getState().lining.hand).toEqual(NEW_THREAD);
  expect(act.dropLine(store)).toBe(true);
  expect(act.dropLine(store)).toBe(false);
  act.holdLine(store, under!.id);
  act.dropLine(store);
  expect(pile(store)).toEqual([]);
});

test('an eraser with nothing to rub out says so; else it is a line like every other', () => {
  const store = table([]);
  const rubber = { ...newPaint('soft', '#000000'), erase: true as const };
  act.setLining(store, { hand: rubber });
  expect(act.drawLine(store, wave)).toMatch(/^The eraser takes away/);
  act.setLining(store, { hand: newPaint('chalk', '#9e2b45') });
  act.drawLine(store, wave);
  const box = drawnOf(store).placement;
  act.setLining(store, { hand: rubber });
  act.drawLine(
    store,
    wave.map(({ x, y }) => ({ x: x * 2, y: y * 3 })),
  );
  // It makes the piece no larger.
  expect(drawnOf(store).placement).toMatchObject({ width: box.width, height: box.height });
  holds(store);
});

test('a ready line runs along what is selected, or comes into the hand; a bow is tied to the ribbon that is selected', () => {
  const store = table([inkPiece('a', 200, 100), inkPiece('b', 300, 100)]);
  store.getState().select(['a']);
  act.takeUpLine(store, NEW_THREAD, []);
  expect(pile(store)[0]!.finish.trails).toMatchObject([{ side: 'inside', trail: NEW_THREAD }]);
  // Of several each keeps what runs along it already.
  store.getState().select(['a', 'b']);
  act.takeUpLine(store, NEW_RIBBON, []);
  expect(pile(store).map(({ finish }) => finish.trails?.map((along) => along.trail.kind))).toEqual([
    ['thread', 'ribbon'],
    ['ribbon'],
  ]);
  store.getState().select([]);
  act.takeUpLine(store, NEW_RIBBON, [{ asset, compartment: 'papers' }]);
  expect(store.getState()).toMatchObject({ sheet: 'lines', lining: { hand: NEW_RIBBON } });
  expect(store.getState().history.project.papers).toEqual([asset.sha]);
  act.drawLine(
    store,
    [
      { x: 20, y: 200 },
      { x: 220, y: 200 },
    ],
    { exact: true },
  );
  layArt(store, asset, 'bits');
  const [, , ribbon, bow] = pile(store);
  expect(bow!.placement).toMatchObject({ x: 120, y: 200, turn: 0 });
  expect(bow!.groups).toEqual(ribbon!.groups);
  expect(store.getState().selection).toEqual([ribbon!.id, bow!.id]);
  holds(store);
});

test('scissors part what is drawn, and what lies over it cuts it out; a cut is a line that can be taken back', async () => {
  const store = table([]);
  act.setLining(store, { hand: newPaint('marker', '#9e2b45') });
  act.drawLine(store, wave);
  const whole = shapeOf(store, 0);
  act.lineAcross(store, 90, 0);
  expect(await act.scissor(store)).toEqual({ ok: true, value: 2 });
  expect(areaOf(shapeOf(store, 0)) + areaOf(shapeOf(store, 1))).toBeCloseTo(areaOf(whole), 0);
  const [left, right] = pile(store).map(({ placement }) => placement);
  expect(Math.abs(left!.x - right!.x)).toBeGreaterThan(60);
  holds(store);
  // A cut that leaves nothing on one side is none.
  store.getState().select([pile(store)[0]!.id]);
  act.lineAcross(store, 0, 200);
  expect(await act.scissor(store)).toMatchObject({ ok: false });
  act.takeUpLines(store);
  expect(drawnOf(store).outline.lines.map(({ trail }) => trail.kind)).toEqual(['paint', 'cut']);
  act.holdLine(store, drawnOf(store).outline.lines[1]!.id);
  act.dropLine(store);
  expect(areaOf(shapeOf(store, 0))).toBeCloseTo(areaOf(whole), 0);
  // An oval that lies over it: cut out of it; joined with it never.
  const { x, y } = drawnOf(store).placement;
  const oval = { ...inkPiece('oval', x - 10, y - 10, 20, 20), outline: { kind: 'ellipse' as const } };
  store.getState().perform(layPieces(store.getState().surfaceId, [oval]));
  store.getState().select([pile(store)[0]!.id, 'oval']);
  expect(await act.combineChosen(store, 'join')).toMatchObject({ ok: false });
  expect(await act.combineChosen(store, 'cut out')).toEqual({ ok: true, value: 1 });
  const before = pathBounds(whole);
  const now = shapeOf(store, 0);
  expect(areaOf(now)).toBeLessThan(areaOf(whole) - 30);
  expect(pathBounds(now).width).toBeCloseTo(before.width, 1);
  holds(store);
});

test('what is kept lies last in its kit, though others were taken out before it', async () => {
  const kit = {
    id: 'mine',
    name: 'My kit',
    description: '',
    author: '',
    licence: '',
    tags: [],
    house: false,
    added: 0,
  };
  const keep = (name: string) => keepLine(NEW_RIBBON, { name, tags: [], kit });
  for (const name of ['one', 'two', 'three']) await keep(name);
  const inKit = async () =>
    (await database.supplies.where('kit').equals('mine').toArray()).sort((a, b) => a.order - b.order);
  await database.supplies.delete((await inKit())[0]!.id);
  await keep('four');
  const all = await inKit();
  expect(all.map(({ name }) => name)).toEqual(['two', 'three', 'four']);
  expect(new Set(all.map(({ order }) => order)).size).toBe(3);
});
