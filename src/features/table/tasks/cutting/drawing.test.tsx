/** Drawing an outline over the page by hand: freehand, by points, boxes and rounds, and the line scissors follow. */
import { beforeEach, expect, test } from '@jest/globals';
import { fireEvent, screen } from '@testing-library/react';
import { areaOf } from '@/core/geometry/offset';
import { pathBounds, type Path } from '@/core/geometry/path';
import { drawnPath, type Drawing } from '@/features/table/session/drawn';
import * as act from '@/features/table/acts';
import { Draw } from '@/features/table/tasks/cutting/Draw';
import { lockPage } from '@/core/project/edits/page';
import { inkPiece } from '../../../../../scripts/testing/samples';
import { seated } from '../../../../../scripts/testing/room';
import type { Piece } from '@/core/piece/piece';

beforeEach(() => {
  Element.prototype.setPointerCapture ??= () => {};
});

/** A box to a thousandth of a point: what is seen through a view is never quite where it was. */
const boxOf = (path: Path | null) => {
  const round = (value: number) => Math.round(value * 1000) / 1000;
  const { x, y, width, height } = pathBounds(path!);
  return [x, y, width, height].map(round);
};

type Spot = readonly [x: number, y: number];

/** A hand over a page with these pieces, drawing in one of the ways; places are of the page, points. */
async function drawing(way: Drawing['way'], pieces: readonly Piece[] = [], chosen: readonly string[] = []) {
  const room = await seated(
    <svg>
      <Draw />
    </svg>,
    pieces,
    chosen,
  );
  room.does(() => room.store.getState().draw({ way }));
  const area = screen.getByTestId('drawing').firstElementChild as SVGRectElement;
  const { view } = room.store.getState();
  const at = ([x, y]: Spot, more: object = {}) => ({
    ...{ clientX: view.x + x * view.zoom, clientY: view.y + y * view.zoom },
    ...{ button: 0, isPrimary: true, pointerId: 1, pointerType: 'mouse', ...more },
  });
  const down = (spot: Spot, more?: object) => fireEvent.pointerDown(area, at(spot, more));
  const move = (spot: Spot, more?: object) => fireEvent.pointerMove(area, at(spot, more));
  const up = (spot: Spot, more?: object) => fireEvent.pointerUp(area, at(spot, more));
  return {
    ...room,
    ...{ area, at, down, move, up },
    now: () => room.store.getState().drawing,
    path: () => drawnPath(room.store.getState().drawing),
    /** How large what is drawn is, as it is told beneath it. */
    told: () => screen.getByTestId('drawing').querySelector('text')?.textContent ?? null,
    drag(from: Spot, ...way: Spot[]) {
      down(from);
      for (const spot of way) move(spot);
      up(way.at(-1) ?? from);
    },
    tap(spot: Spot, more?: object) {
      down(spot, more);
      up(spot, more);
    },
  };
}

test('a box and a round go from where the hand came down to where it lifts, with Shift as wide as high', async () => {
  const { down, move, up, path, told, does, store, now } = await drawing('box');
  down([72, 72]);
  move([100, 90]);
  move([216, 144]);
  up([216, 144]);
  expect(boxOf(path())).toEqual([72, 72, 144, 72]);
  expect(told()).toBe('2 x 1 in');
  down([72, 72]);
  move([216, 144], { shiftKey: true });
  up([216, 144], { shiftKey: true });
  expect(boxOf(path())).toEqual([72, 72, 144, 144]);
  // Up and to the left it is as square.
  down([216, 216]);
  move([100, 190], { shiftKey: true });
  expect(boxOf(path())).toEqual([100, 100, 116, 116]);
  up([100, 190], { shiftKey: true });
  does(() => store.getState().draw({ way: 'round' }));
  down([72, 72]);
  move([216, 144]);
  up([216, 144]);
  expect(areaOf(path()!) / ((Math.PI * 144 * 72) / 4)).toBeCloseTo(1, 2);
  expect(now().closed).toBe(false);
});

test('freehand is smoothed and closed; what encloses nothing is not laid, and what was drawn before stays until it is', async () => {
  const { drag, path, store, pile } = await drawing('freehand');
  const round: Spot[] = Array.from({ length: 60 }, (_, i) => [
    200 + 70 * Math.cos(i / 9.6),
    150 + 70 * Math.sin(i / 9.6),
  ]);
  drag(...(round as [Spot, ...Spot[]]));
  expect(areaOf(path()!) / (Math.PI * 70 * 70)).toBeCloseTo(1, 1);
  expect(await act.layDrawing(store)).toEqual({ ok: true, value: 1 });
  expect(pile()).toMatchObject([{ name: 'Drawn shape' }]);
  expect(path()).toBeNull();
  drag([50, 50], [50.2, 50.1]);
  expect(await act.layDrawing(store)).toMatchObject({
    ok: false,
    message: expect.stringContaining('encloses nothing'),
  });
  expect(pile()).toHaveLength(1);
});

test('points are set by presses, pulled they bend; Shift keeps them in steps of 45°; near the first one it is closed', async () => {
  const { tap, down, move, up, now, path, told } = await drawing('points');
  tap([72, 72]);
  tap([216, 90], { shiftKey: true });
  expect(now().knots.map(({ y }) => Math.round(y))).toEqual([72, 72]);
  down([216, 216]);
  // A tremble pulls nothing.
  move([217, 217]);
  expect(Math.hypot(now().knots[2]!.after.x - 216, now().knots[2]!.after.y - 216)).toBeLessThan(0.001);
  move([180, 230]);
  up([180, 230]);
  const [, , bent] = now().knots;
  expect([bent!.after, bent!.before]).toEqual([
    expect.objectContaining({ x: expect.closeTo(180, 3), y: expect.closeTo(230, 3) }),
    expect.objectContaining({ x: expect.closeTo(252, 3), y: expect.closeTo(202, 3) }),
  ]);
  expect([path(), told()]).toEqual([null, null]);
  // The way to where the hand is, is shown.
  move([100, 200]);
  expect(screen.getByTestId('drawing').querySelector('path[stroke-dasharray]')).not.toBeNull();
  tap([72, 216]);
  tap([73, 74]);
  expect([now().closed, now().knots.length]).toEqual([true, 4]);
  expect(told()).toMatch(/ x .* in$/);
  // It is closed: another press sets no point more.
  tap([300, 100]);
  expect(now().knots).toHaveLength(4);
});

test('a press that is lost, another button or a second finger draws nothing; what was there stays', async () => {
  const { down, move, at, area, now, drag } = await drawing('points');
  drag([72, 72]);
  const before = now();
  down([150, 72]);
  move([190, 90]);
  fireEvent.pointerCancel(area, at([190, 90]));
  expect(now()).toEqual(before);
  down([150, 72], { button: 1 });
  down([150, 72], { isPrimary: false });
  expect(now()).toEqual(before);
});

test('scissors follow the hand, straight across or as it goes, through all that is selected', async () => {
  const { drag, store, does, pile } = await drawing('scissors', [inkPiece('a', 50, 50, 200, 100)], ['a']);
  does(() => store.getState().draw({ straight: true }));
  drag([150, 20], [152, 90], [150, 180]);
  expect(act.lineToCut(store.getState())).toHaveLength(2);
  expect(await act.scissor(store)).toMatchObject({ ok: true });
  expect(pile()).toHaveLength(2);
  expect(pile().map(({ placement }) => Math.round(placement.width))).toEqual([100, 100]);
});

test('on a locked page what was drawn stays drawn, and nothing is laid', async () => {
  const { drag, store, path, pile, does } = await drawing('box');
  drag([72, 72], [216, 144]);
  const { surfaceId, perform } = store.getState();
  does(() => perform(lockPage(surfaceId, true)));
  const told = await act.layDrawing(store);
  expect(told.ok).toBe(false);
  expect(pile()).toEqual([]);
  expect(path()).not.toBeNull();
});
