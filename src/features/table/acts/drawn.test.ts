/** Outlines drawn, cut along and worked by their points: each deed changes what it says, and what cannot be done says why. */
import { areaOf } from '@/core/geometry/offset';
import { knotsOf, type Knot } from '@/core/geometry/knots';
import { cutOf, toolsFor } from '@/core/page/outlines';
import type { Piece } from '@/core/piece/piece';
import { readProject, writeProject } from '@/core/project/file';
import { startHistory, undoLabel } from '@/core/project/history';
import * as act from '@/features/table/acts/drawing';
import { createSession, type SessionStore } from '@/features/table/session';
import type { Drawing } from '@/features/table/session/drawn';
import { nodeTypesetter } from '../../../../scripts/node/platform';
import { inkPiece, laid, wordsOf } from '../../../../scripts/testing/samples';

const typesetter = await nodeTypesetter();
function table(pieces: readonly Piece[], chosen = pieces.map(({ id }) => id)): SessionStore {
  const store = createSession(startHistory(laid(pieces)), typesetter, false);
  store.getState().measured({ width: 800, height: 600 }, { zoom: 1, x: 0, y: 0 });
  store.getState().select(chosen);
  return store;
}
const now = (store: SessionStore) => store.getState();
const pile = (store: SessionStore) => now(store).history.project.surfaces[0]!.pile;
const area = (store: SessionStore, id: string) => {
  const { project } = now(store).history;
  return areaOf(
    cutOf(
      pile(store).find((piece) => piece.id === id)!,
      toolsFor(project, typesetter),
    ).path,
  );
};
const sound = (store: SessionStore) => {
  const { project } = now(store).history;
  expect(readProject(writeProject(project))).toEqual({
    ok: true,
    value: JSON.parse(JSON.stringify(project)),
  });
};
const box = (x: number, y: number, width: number, height: number): Partial<Drawing> => ({
  way: 'box',
  line: [
    { x, y },
    { x: x + width, y: y + height },
  ],
});
const cut = (...[x1, y1, x2, y2]: number[]): Partial<Drawing> => ({
  way: 'scissors',
  straight: true,
  line: [
    { x: x1!, y: y1! },
    { x: x2!, y: y2! },
  ],
});
const knots = (...points: [number, number][]): Knot[] =>
  points.map(([x, y]) => ({ x, y, before: { x, y }, after: { x, y } }));
const locked = (store: SessionStore) => {
  now(store).perform({ label: 'lock', apply: (project) => void (project.surfaces[0]!.locked = true) });
  return store;
};
/** From 100 to 160 across and down. */
const square = (id = 'a', x = 100, y = 100) => inkPiece(id, x, y, 60, 60);

describe('laid as drawn', () => {
  test.each([
    ['a box', box(20, 30, 100, 50), 5000],
    ['a round', { ...box(20, 30, 100, 50), way: 'round' as const }, (Math.PI * 5000) / 4],
    [
      'points',
      {
        way: 'points' as const,
        closed: true,
        knots: knots([10, 10], [110, 10], [10, 90]),
      },
      4000,
    ],
    // A bow tie goes round two triangles.
    [
      'points that cross',
      {
        way: 'points' as const,
        closed: true,
        knots: knots([0, 0], [100, 100], [100, 0], [0, 100]),
      },
      5000,
    ],
  ])('%s: one piece, selected, of just that area; what was drawn is gone', async (_, drawing, wanted) => {
    const store = table([]);
    act.setDrawing(store, drawing);
    expect(await act.layDrawing(store)).toEqual({ ok: true, value: 1 });
    const [piece] = pile(store);
    expect(now(store).selection).toEqual([piece!.id]);
    expect(area(store, piece!.id) / wanted).toBeCloseTo(1, 2);
    expect([now(store).drawing.line, now(store).drawing.knots, now(store).drawing.closed]).toEqual([
      [],
      [],
      false,
    ]);
    sound(store);
  });

  test.each([
    ['nothing', {}],
    ['a line', box(20, 30, 100, 0)],
    [
      'points that are not closed',
      {
        way: 'points' as const,
        knots: knots([0, 0], [9, 0], [9, 9]),
      },
    ],
    ['the way of scissors', cut(0, 0, 100, 100)],
  ])('%s encloses nothing, and that is said', async (_, drawing) => {
    const store = table([]);
    act.setDrawing(store, drawing);
    expect(await act.layDrawing(store)).toMatchObject({
      ok: false,
      message: expect.stringMatching(/^That encloses nothing/),
    });
    expect(pile(store)).toEqual([]);
  });

  test('on a locked page what was drawn stays to be laid elsewhere', async () => {
    const store = locked(table([]));
    act.setDrawing(store, box(20, 30, 100, 50));
    expect(await act.layDrawing(store)).toMatchObject({
      ok: false,
      message: expect.stringMatching(/^The page is locked/),
    });
    expect(now(store).drawing.line).toHaveLength(2);
  });

  test('the last point is taken back, the closing of the outline first, and only where points are set', () => {
    const store = table([]);
    act.setDrawing(store, {
      way: 'points',
      closed: true,
      knots: knots([0, 0], [9, 0]),
    });
    expect(act.dropPoint(store)).toBe(false);
    now(store).openSheet('draw');
    const left = () => [act.dropPoint(store), now(store).drawing.closed, now(store).drawing.knots.length];
    expect([left(), left(), left()]).toEqual([
      [true, false, 2],
      [true, false, 1],
      [true, false, 0],
    ]);
  });
});

describe('cut to what was drawn', () => {
  test('each keeps what lies inside; one that lies outside keeps all from being cut', async () => {
    const store = table([square('a'), square('b', 130, 100)]);
    act.setDrawing(store, box(90, 90, 60, 200));
    expect(await act.cutToDrawing(store)).toEqual({ ok: true, value: 2 });
    expect([area(store, 'a'), area(store, 'b')].map(Math.round)).toEqual([50 * 60, 20 * 60]);
    expect(undoLabel(now(store).history)).toMatch(/to a drawn outline$/);
    sound(store);
    const other = table([square('a'), square('b', 300, 100)]);
    act.setDrawing(other, box(90, 90, 60, 200));
    expect(await act.cutToDrawing(other)).toMatchObject({
      ok: false,
      message: expect.stringMatching(/^Nothing would be left of .*: it lies outside/),
    });
    expect(area(other, 'a')).toBeCloseTo(3600, 6);
  });

  test.each([
    ['nothing selected', (store: SessionStore) => now(store).select([]), /^Select what is to be cut/],
    ['nothing drawn', (store: SessionStore) => act.clearDrawing(store), /^That encloses nothing/],
    ['a locked page', locked, /^The page is locked/],
  ])('%s: says so', async (_, before, why) => {
    const store = table([square()]);
    act.setDrawing(store, box(90, 90, 50, 200));
    before(store);
    expect(await act.cutToDrawing(store)).toMatchObject({ ok: false, message: expect.stringMatching(why) });
    expect(area(store, 'a')).toBeCloseTo(3600, 6);
  });
});

describe('cut in two', () => {
  test('along a line, what it misses stays whole; the halves are as large as the whole, and the fresh ones selected', async () => {
    const store = table([square('a'), square('b', 300, 300)]);
    act.setDrawing(store, cut(120, 80, 120, 200));
    expect(await act.scissor(store)).toEqual({ ok: true, value: 2 });
    const fresh = pile(store).filter(({ id }) => id !== 'a' && id !== 'b');
    expect(fresh).toHaveLength(1);
    expect([area(store, 'a'), area(store, fresh[0]!.id)].map(Math.round).sort()).toEqual([1200, 2400]);
    expect(area(store, 'b')).toBeCloseTo(3600, 6);
    expect(now(store).selection).toEqual([fresh[0]!.id]);
    sound(store);
  });

  test('a short straight line goes on from edge to edge', async () => {
    const store = table([square()]);
    act.setDrawing(store, cut(125, 130, 135, 130));
    expect(await act.scissor(store)).toEqual({ ok: true, value: 2 });
    expect(Math.round(area(store, 'a'))).toBe(1800);
  });

  test.each([
    ['nothing selected', (store: SessionStore) => now(store).select([]), /^Select what is to be cut/],
    ['no line', (store: SessionStore) => act.clearDrawing(store), /^Draw a line across it first/],
    [
      'a line beside it',
      (store: SessionStore) => act.setDrawing(store, cut(10, 10, 10, 300)),
      /^The line cuts nothing off/,
    ],
    ['a locked page', locked, /^The page is locked/],
  ])('%s: says so', async (_, before, why) => {
    const store = table([square()]);
    act.setDrawing(store, cut(120, 80, 120, 200));
    before(store);
    expect(await act.scissor(store)).toMatchObject({ ok: false, message: expect.stringMatching(why) });
    expect(pile(store)).toHaveLength(1);
  });

  test.each([
    [0, 0, 1800],
    [90, 0, 1800],
    [0, 15, 900],
    [90, 15, 900],
    [45, 0, 1800],
  ])(
    'a line at %d degrees, %d points from the middle, is laid right across',
    async (angle, away, smaller) => {
      const store = table([square()]);
      act.lineAcross(store, angle, away);
      expect(await act.scissor(store)).toEqual({ ok: true, value: 2 });
      expect(Math.min(...pile(store).map(({ id }) => area(store, id)))).toBeCloseTo(smaller, 0);
    },
  );
});

describe('points', () => {
  const worked = () => {
    const store = table([square()]);
    expect(act.startReshaping(store)).toEqual({ ok: true, value: 4 });
    return store;
  };
  const rings = (store: SessionStore) => act.ringsOnPage(now(store), pile(store)[0]!);
  const why = (store: SessionStore) => now(store).refused?.why;

  test.each([
    ['none', [], /^Select one piece/],
    ['two', ['a', 'b'], /^Select one piece/],
    ['words', ['w'], /^What is written or drawn keeps its own outlines/],
  ])('of %s are not moved, and that is said', (_, chosen, says) => {
    const store = table([square('a'), square('b', 200), wordsOf('w', 'Kite')], chosen);
    expect(act.startReshaping(store).ok).toBe(false);
    expect(why(store)).toMatch(says);
    expect(now(store).mode.kind).toBe('pick');
  });

  test('are gone through one by one, both ways round', () => {
    const store = worked();
    const held = () => act.reshaped(now(store))!.at?.knot;
    const gone = (by: 1 | -1) => [act.stepPoint(store, by), held()];
    expect([gone(-1), gone(1), gone(1), gone(-1), gone(-1)].map(([, at]) => at)).toEqual([3, 0, 1, 0, 3]);
    now(store).setMode({ kind: 'pick' });
    expect([act.stepPoint(store, 1), act.nudgePoint(store, 1, 0), act.removePoint(store)]).toEqual([
      false,
      false,
      null,
    ]);
  });

  test('move on the page as they are told, by keys and to a place', () => {
    const store = worked();
    act.holdPoint(store, { ring: 0, knot: 0 });
    const before = rings(store)[0]![0]!;
    expect(act.nudgePoint(store, -7, 3)).toBe(true);
    const after = rings(store)[0]![0]!;
    expect([after.x - before.x, after.y - before.y].map((by) => Math.round(by * 1000) / 1000)).toEqual([
      -7, 3,
    ]);
    act.movePoint(store, { x: 90, y: 80 });
    expect(rings(store)[0]![0]!.x).toBeCloseTo(90, 2);
    expect(
      rings(store)[0]!
        .slice(1)
        .every(({ x, y }) => [100, 160].includes(Math.round(x)) && [100, 160].includes(Math.round(y))),
    ).toBe(true);
    expect(undoLabel(now(store).history)).toBe('move point');
    sound(store);
  });

  test('come and go: on a side’s middle, where the page was pressed, and away again; three stay', () => {
    const store = worked();
    act.holdPoint(store, { ring: 0, knot: 0 }, true);
    act.addPoint(store);
    expect(rings(store)[0]).toHaveLength(5);
    act.addPoint(store, { x: 159, y: 120 });
    expect(rings(store)[0]).toHaveLength(6);
    expect(rings(store)[0]!.some(({ x, y }) => Math.hypot(x - 160, y - 120) < 0.5)).toBe(true);
    // Neither was anywhere but on the outline.
    expect(area(store, 'a')).toBeCloseTo(3600, 1);
    for (let left = 6; left > 3; left--) {
      act.holdPoint(store, { ring: 0, knot: 0 });
      expect(act.removePoint(store)?.ok).toBe(true);
    }
    act.holdPoint(store, { ring: 0, knot: 0 });
    const three = rings(store)[0]!.length;
    act.removePoint(store);
    expect(rings(store)[0]!.length).toBeGreaterThanOrEqual(2);
    expect(three).toBe(3);
    sound(store);
  });

  test('sides bend and straighten, corners smooth and sharpen, each by one deed and back by the same', () => {
    const store = worked();
    const held = (knot: number, side = false) => {
      act.holdPoint(store, { ring: 0, knot }, side);
      const { rings: own, at } = act.reshaped(now(store))!;
      return act.isRound(own, at!, side);
    };
    for (const [side, there, back] of [
      [true, 'curve side', 'straighten side'],
      [false, 'smooth corner', 'make a corner'],
    ] as const) {
      expect(held(1, side)).toBe(false);
      act.turnRound(store);
      expect([held(1, side), undoLabel(now(store).history)]).toEqual([true, there]);
      act.turnRound(store);
      expect([held(1, side), undoLabel(now(store).history)]).toEqual([false, back]);
    }
    sound(store);
  });

  test('a corner is rounded by its radius: a square loses what a quarter of a circle leaves of its corner', () => {
    const store = worked();
    act.holdPoint(store, { ring: 0, knot: 2 });
    expect(act.roundCorner(store, 20).ok).toBe(true);
    expect(area(store, 'a')).toBeCloseTo(3600 - (4 - Math.PI) * 100, 0);
    expect(rings(store)[0]).toHaveLength(5);
    sound(store);
  });

  test.each([
    ['moved', (store: SessionStore) => act.movePoint(store, { x: 1, y: 1 }), /^Choose a point first/],
    ['taken away', act.removePoint, /^Choose the point that shall go/],
    ['bent', act.turnRound, /^Choose a point or a side first/],
    ['rounded', (store: SessionStore) => act.roundCorner(store, 9), /^Choose a corner first/],
  ])('none is held: none is %s, and that is said', (_, deed, says) => {
    const store = worked();
    deed(store);
    expect(why(store)).toMatch(says);
    expect(now(store).history.done).toBe(0);
  });

  test('an outline that would enclose nothing is not made', () => {
    const store = worked();
    const [piece] = pile(store);
    const flat = knotsOf([['M', 0, 0], ['L', 10, 0], ['L', 5, 0], ['Z']]);
    expect(act.reshapeEdit(now(store), piece!, 'flat', flat)).toBeNull();
  });
});
