/** Cutting at the room: what is chosen, refused, laid and selected. */
import { pathBounds } from '@/core/geometry/path';
import { cutOf, toolsFor } from '@/core/page/outlines';
import type { Piece } from '@/core/piece/piece';
import { movePieces } from '@/core/project/edits/place';
import { removePieces } from '@/core/project/edits/pile';
import { checkProject } from '@/core/project/file';
import { startHistory } from '@/core/project/history';
import * as act from '@/features/table/acts';
import { aimed } from '@/features/table/acts/aimed';
import * as templating from '@/features/table/acts/templating';
import { createSession, type SessionStore } from '@/features/table/session';
import { apart } from '@/features/table/stage/hand/apart';
import type { Typesetter } from '@/core/text/typesetter';
import { nodeTypesetter } from '../../../../scripts/node/platform';
import { assetOf, inkPiece, laid, photoOf, quarters, wordsOf } from '../../../../scripts/testing/samples';

let typesetter: Typesetter;
beforeAll(async () => {
  typesetter = await nodeTypesetter();
});

const asset = assetOf(quarters(90, 60), 900, 600);
function table(pieces: readonly Piece[]): SessionStore {
  const store = createSession(startHistory(laid(pieces, [asset])), typesetter, false);
  store.getState().measured({ width: 800, height: 600 }, { zoom: 1, x: 0, y: 0 });
  store.getState().select(pieces.map(({ id }) => id));
  return store;
}
const pile = (store: SessionStore) => store.getState().history.project.surfaces[0]!.pile;
const sizeOf = (store: SessionStore, at: number) => {
  const { history } = store.getState();
  return pathBounds(cutOf(pile(store)[at]!, toolsFor(history.project, typesetter)).path);
};
const two = () => [inkPiece('low', 0, 0, 60, 60), inkPiece('high', 30, 30, 60, 60)];

test('a punch cuts what is selected in its own proportions, but words; with nothing selected it is laid', () => {
  const ring: Piece = {
    ...inkPiece('ring'),
    outline: {
      kind: 'running',
      text: 'Wind',
      family: 'lora',
      size: 12,
      base: { kind: 'ellipse' },
      side: 'outside',
      clockwise: true,
      start: 0,
      repeat: true,
      between: ' ',
      corners: 'break',
      gap: 0,
    },
  };
  const store = table([inkPiece('wide', 0, 0, 200, 60), wordsOf('words', 'Wind'), ring]);
  act.punchWith(store, 'heart');
  expect(pile(store)[2]!.outline.kind).toBe('running');
  const [wide, words] = pile(store);
  expect(wide!.outline).toMatchObject({ kind: 'punch', punch: 'heart' });
  expect(wide!.placement.width / wide!.placement.height).toBeCloseTo(100 / 90, 1);
  expect(words!.outline.kind).toBe('glyphs');
  store.getState().select(['wide']);
  act.punchWith(store, 'banner');
  expect(pile(store)[0]!.placement).toMatchObject(wide!.placement);
  store.getState().select([]);
  act.punchWith(store, 'star');
  expect(pile(store)).toHaveLength(4);
  expect(store.getState().selection).toEqual([pile(store)[3]!.id]);
});

test.each([
  ['join', 1, 90],
  ['cut out', 1, 60],
  ['overlap', 1, 30],
  ['divide', 3, 60],
] as const)('%s gives %d pieces and selects them', async (how, count, width) => {
  const store = table(two());
  expect(await act.combineChosen(store, how)).toEqual({ ok: true, value: count });
  expect(pile(store)).toHaveLength(count);
  expect(store.getState().selection).toHaveLength(count);
  expect(Math.round(sizeOf(store, 0).width)).toBe(width);
  store.getState().undo();
  expect(pile(store)).toEqual(two());
});

test('the upper ones stay if asked for; what would leave nothing is refused in words and changes nothing', async () => {
  const store = table(two());
  await act.combineChosen(store, 'cut out', { keep: true });
  expect(pile(store).map(({ id }) => id)).toEqual(['low', 'high']);
  const apart = table([inkPiece('a', 0, 0, 20, 20), inkPiece('b', 50, 0, 20, 20)]);
  expect(await act.combineChosen(apart, 'overlap')).toMatchObject({
    ok: false,
    message: expect.stringContaining('nothing would be left'),
  });
  expect(apart.getState().history.done).toBe(0);
  const told = await act.tellCombined(apart.getState(), 'join', 40);
  expect(told).toMatchObject({ ok: true, value: { parts: 2, near: { names: ['a', 'b'] } } });
  expect((await act.growChosen(apart, -15, 'round')).ok).toBe(false);
});

test('grown apart pieces keep their places in the pile; a piece of two parts is broken into them', async () => {
  const store = table([...two(), inkPiece('alone', 200, 0, 20, 20)]);
  await act.growChosen(store, 5, 'mitred');
  expect(pile(store).map(({ id }) => id)).toEqual(['low', 'high', 'alone']);
  expect(sizeOf(store, 2).width).toBeCloseTo(30, 3);
  store.getState().select(['low', 'alone']);
  await act.combineChosen(store, 'join');
  expect(await act.breakChosen(store)).toEqual({ ok: true, value: 2 });
  expect(pile(store)).toHaveLength(3);
  store.getState().select(['high']);
  expect(await act.breakChosen(store)).toMatchObject({ ok: false, message: 'It is in one part already.' });
});

test('a template’s areas lie where they are on the picture, one piece a tone or a group of areas; it is hidden', async () => {
  const photo = photoOf('template', asset, { x: 20, y: 10, width: 180, height: 120 });
  const tones = {
    tones: [
      {
        colour: '#333333',
        share: 0.1,
        areas: 2,
        data: 'M0 0L90 0L90 60L0 60ZM450 300L540 300L540 360L450 360Z',
      },
      { colour: '#999999', share: 0.1, areas: 1, data: 'M0 300L90 300L90 360L0 360Z' },
    ],
    found: 2,
    width: 900,
    height: 600,
  };
  const fillings = [{ tone: 0, colour: '#333333' } as const];
  const store = table([photo]);
  const there = aimed(store);
  expect(await templating.cutTemplate(there, asset.sha, tones, fillings, false)).toEqual({
    ok: true,
    value: 1,
  });
  const [hidden, cut] = pile(store);
  expect(hidden!.placement.hidden).toBe(true);
  // A pixel of 900 takes a fifth of a point; the first area begins in the picture's corner.
  expect(cut!.placement.x - cut!.placement.width / 2).toBeCloseTo(20, 3);
  expect(cut!.placement.width).toBeCloseTo(540 / 5, 3);
  store.getState().undo();
  expect(await templating.cutTemplate(there, asset.sha, tones, fillings, true)).toEqual({
    ok: true,
    value: 2,
  });
  expect(pile(store).filter(({ groups }) => groups)).toHaveLength(2);
  expect((await templating.cutTemplate(there, asset.sha, tones, [], false)).ok).toBe(false);
});

test('a traced outline cuts the picture or is laid as a shape; none at all is refused', () => {
  const store = table([photoOf('photo', asset, { x: 20, y: 10, width: 180, height: 120 })]);
  const there = aimed(store);
  const traced = { data: 'M225 150L675 150L675 450L225 450Z', parts: 1, holes: 0, width: 900 };
  expect(templating.layTraced(there, asset.sha, traced, 'lay').ok).toBe(true);
  expect(pile(store)[1]!.placement).toMatchObject({ width: 90, height: 60, x: 110, y: 70 });
  expect(templating.layTraced(there, asset.sha, traced, 'cut').ok).toBe(true);
  expect(pile(store)[0]!.placement).toMatchObject({ width: 90, height: 60 });
  expect(templating.layTraced(there, asset.sha, { ...traced, data: '' }, 'cut').ok).toBe(false);
});

test('a picture that is moved meanwhile is traced where it lies by then, on its own page; one that is gone is not', async () => {
  const store = table([photoOf('photo', asset, { x: 20, y: 10, width: 180, height: 120 })]);
  const there = aimed(store);
  const traced = { data: 'M225 150L675 150L675 450L225 450Z', parts: 1, holes: 0, width: 900 };
  const tones = {
    tones: [{ colour: '#333333', share: 1, areas: 1, data: 'M0 0L900 0L900 600Z' }],
    found: 1,
    width: 900,
    height: 600,
  };
  const [first] = store.getState().history.project.surfaces;
  const [piece] = pile(store);
  store.getState().perform(movePieces(first!.id, [piece!], 100, 0));
  act.addPageAfter(store, false);
  expect(templating.layTraced(there, asset.sha, traced, 'cut').ok).toBe(true);
  expect(
    await templating.cutTemplate(there, asset.sha, tones, [{ tone: 0, colour: '#333333' }], false),
  ).toMatchObject({ ok: true });
  const [was, other] = store.getState().history.project.surfaces;
  expect(was!.pile.map(({ placement: { x } }) => Math.round(x))).toEqual([210, 210]);
  expect([other!.pile, store.getState().selection]).toEqual([[], []]);
  act.toPageAt(store, was!.id);
  store.getState().select(was!.pile.map(({ id }) => id));
  store.getState().perform(removePieces(was!.id, was!.pile));
  const gone = { ok: false, message: 'The picture does not lie on its page any more. Nothing was changed.' };
  expect(templating.layTraced(there, asset.sha, traced, 'lay')).toEqual(gone);
  act.deletePage(store);
  expect(
    await templating.cutTemplate(there, asset.sha, tones, [{ tone: 0, colour: '#333333' }], true),
  ).toEqual(gone);
});

test('numbers that would lie on each other lie side by side, others where they are', () => {
  const points = [
    { x: 0, y: 0 },
    { x: 3, y: 1 },
    { x: 100, y: 0 },
    { x: 0, y: 0 },
  ];
  const laid = apart(points, 20);
  expect(laid[0]).toEqual(points[0]);
  expect(laid[2]).toEqual(points[2]);
  laid.forEach((one, i) =>
    laid
      .slice(0, i)
      .forEach((other) => expect(Math.hypot(one.x - other.x, one.y - other.y)).toBeGreaterThanOrEqual(20)),
  );
});

describe('drawn by hand', () => {
  const draw = (store: SessionStore, line: readonly { x: number; y: number }[]) =>
    act.setDrawing(store, { way: 'freehand', line, zoom: 1, smoothing: 0 });
  const eight = Array.from({ length: 100 }, (_, i) => {
    const angle = (2 * Math.PI * i) / 100;
    return { x: 200 + 80 * Math.sin(angle), y: 150 + 60 * Math.sin(2 * angle) };
  });

  test('an outline that crosses itself is what it goes round; a line there and back encloses nothing', async () => {
    const store = table([]);
    draw(store, eight);
    expect(await act.layDrawing(store)).toEqual({ ok: true, value: 1 });
    const [piece] = pile(store);
    expect(piece!.placement).toMatchObject({ locked: false });
    expect(Math.round(piece!.placement.width / 4)).toBe(40);
    act.startReshaping(store);
    expect(act.reshaped(store.getState())!.rings).toHaveLength(2);
    draw(store, [...eight.slice(0, 10), ...eight.slice(0, 10).reverse()]);
    act.setDrawing(store, { way: 'box', line: [eight[0]!, { x: 280, y: eight[0]!.y }] });
    expect(await act.layDrawing(store)).toMatchObject({ ok: false });
    expect(pile(store)).toHaveLength(1);
  });

  test('a photo cut to it, or in two, keeps its picture where it lies, and undo gives all of it back', async () => {
    const before = photoOf('photo', asset, { x: 20, y: 10, width: 180, height: 120 });
    const store = table([before]);
    const { x, y, width, height } = before.placement;
    const pixelAt = (piece: Piece) => {
      if (piece.material.kind !== 'photo') throw new Error('a photo stays one');
      return piece.material.window;
    };
    act.setDrawing(store, {
      way: 'box',
      line: [
        { x: x - width / 4, y: y - height / 4 },
        { x: x + width, y: y + height },
      ],
    });
    expect(await act.cutToDrawing(store)).toEqual({ ok: true, value: 1 });
    expect(pile(store)[0]!.placement.width).toBeCloseTo(0.75 * width, 1);
    // The middle of what is left lies an eighth of it to the right of the middle there was.
    expect(pixelAt(pile(store)[0]!).x).toBeCloseTo(pixelAt(before).x + 0.125, 2);
    store.getState().undo();
    act.lineAcross(store, 90, 0);
    expect(await act.scissor(store)).toEqual({ ok: true, value: 2 });
    expect(pile(store).map((piece) => Math.round(piece.placement.width))).toEqual([
      Math.round(width / 2),
      Math.round(width / 2),
    ]);
    expect(pile(store).map((piece) => Math.sign(pixelAt(piece).x - 0.5))).toEqual(
      expect.arrayContaining([-1, 1]),
    );
    store.getState().undo();
    expect(pile(store)).toEqual([before]);
  });

  test('points move on through undo; words and several pieces are refused in words', () => {
    const store = table([inkPiece('box', 0, 0, 60, 60), wordsOf('words', 'Wind')]);
    expect(act.startReshaping(store)).toMatchObject({ ok: false });
    store.getState().select(['words']);
    expect(act.startReshaping(store)).toMatchObject({ ok: false });
    store.getState().select(['box']);
    expect(act.startReshaping(store)).toEqual({ ok: true, value: 4 });
    act.stepPoint(store, 1);
    act.nudgePoint(store, -20, 0);
    expect(sizeOf(store, 0).width).toBeCloseTo(80);
    expect(
      act.pointOnPage(pile(store)[0]!, act.reshaped(store.getState())!.rings, { ring: 0, knot: 0 }).x,
    ).toBeCloseTo(
      act.pointOnPage(pile(store)[0]!, act.reshaped(store.getState())!.rings, { ring: 0, knot: 3 }).x - 20,
    );
    expect(act.addPoint(store)).toMatchObject({ ok: true });
    expect(act.roundCorner(store, 5)).toMatchObject({ ok: false });
    store.getState().undo();
    store.getState().undo();
    expect(store.getState().mode.kind).toBe('reshape');
    expect(sizeOf(store, 0).width).toBeCloseTo(60);
  });

  test('a sliver that scissors leave is still as wide as a file takes; what a key cannot do is told', async () => {
    const store = table([inkPiece('box', 0, 0, 60, 60)]);
    act.lineAcross(store, 90, 29.8);
    expect(await act.scissor(store)).toEqual({ ok: true, value: 2 });
    expect(Math.min(...pile(store).map(({ placement }) => placement.width))).toBe(1);
    expect(checkProject(store.getState().history.project)).toMatchObject({ ok: true });
    store.getState().select([]);
    act.startReshaping(store);
    expect(store.getState().refused).toEqual({ why: 'Select one piece whose outline is to be worked.' });
  });
});
