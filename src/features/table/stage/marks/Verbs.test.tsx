import { expect, test } from '@jest/globals';
import { fireEvent, screen } from '@testing-library/react';
import { PeekList } from '@/features/table/stage/marks/PeekList';
import { Verbs } from '@/features/table/stage/marks/Verbs';
import { extentOf } from '@/core/piece/placement/placement';
import { transformBox } from '@/core/geometry/box';
import { viewMatrix } from '@/features/table/stage/hand/view';
import { useSession } from '@/features/table/room/context';
import { selectedPieces, shownSurface } from '@/features/table/session';
import { useShallow } from 'zustand/react/shallow';
import { seated } from '../../../../../scripts/testing/room';
import { inkPiece, wordsOf } from '../../../../../scripts/testing/samples';

function Chosen() {
  const pieces = useSession(useShallow(selectedPieces));
  return pieces.length ? <Verbs pieces={pieces} /> : null;
}
const offered = () => screen.getAllByRole('button').map(({ textContent }) => textContent);

test('what can be done with the selection is offered by what it is, and does what its key does', async () => {
  const room = await seated(<Chosen />, [inkPiece('a'), inkPiece('b', 200), wordsOf('c', 'Kites')], ['a']);
  expect(offered()).toEqual(['Copy', 'Mirror', 'Rows', 'Match', 'Lock', 'Delete']);
  await room.press(/^Mirror/);
  expect(room.piece('a').placement.mirror).toBe(true);
  room.chosen('c');
  expect(offered()[0]).toBe('Write');
  room.chosen('a', 'b');
  expect(offered()).toEqual(['Group', 'Copy', 'Rows', 'Lock', 'Delete']);
  await room.press(/^Group/);
  expect(offered().slice(0, 2)).toEqual(['Open', 'Ungroup']);
  await room.press(/^Lock/);
  expect(offered()).toEqual(['Copy', 'Unlock']);
  await room.press(/^Unlock/);
  await room.press(/^Delete/);
  expect(room.pile().map(({ id }) => id)).toEqual(['c']);
  expect(room.undo()).toBe('delete 2 pieces');
});

test('the bar of verbs covers none of what is selected, wherever that lies; with Shift held it lets presses through', async () => {
  const room = await seated(<Chosen />, [
    inkPiece('top', 10, 4),
    inkPiece('foot', 200, 244),
    inkPiece('tall', 2, -20, 30, 330),
    inkPiece('middle', 180, 120),
    inkPiece('over', 400, 120, 60, 40),
  ]);
  const bar = () => screen.getByRole('toolbar', { name: 'What to do with the selection' });
  for (const { id, placement } of shownSurface(room.store.getState()).pile.slice(0, 4)) {
    room.chosen(id);
    const { left, top } = bar().style;
    const [x, y] = [parseFloat(left), parseFloat(top)];
    const piece = transformBox(viewMatrix(room.store.getState().view), extentOf(placement));
    const width = 88 * offered().length;
    const beside = x >= piece.x + piece.width || x + width <= piece.x;
    const apart = y >= piece.y + piece.height || y + 44 <= piece.y;
    expect([id, beside || apart]).toEqual([id, true]);
    expect([x >= 0, y >= 0, x + width <= 800, y + 44 <= 600]).toEqual([true, true, true, true]);
  }
  const { view, measured } = room.store.getState();
  room.does(() => measured({ width: 1100, height: 600 }, view));
  room.chosen('over');
  const over = transformBox(viewMatrix(view), extentOf(room.piece('over').placement));
  expect([
    bar().getAttribute('aria-orientation'),
    parseFloat(bar().style.left) > over.x + over.width,
  ]).toEqual(['vertical', true]);
  expect(bar().style.pointerEvents).not.toBe('none');
  fireEvent.keyDown(window, { key: 'Shift', shiftKey: true });
  expect(bar().style.pointerEvents).toBe('none');
  fireEvent.keyUp(window, { key: 'Shift' });
  expect(bar().style.pointerEvents).not.toBe('none');
});

test('what lies under a spot is told apart by size and material, and one of it is taken hold of', async () => {
  const blue = inkPiece('b', 20, 30, 72, 36, { name: 'Strip', material: { kind: 'ink', colour: '#24506b' } });
  const red = inkPiece('a', 20, 30, 72, 72, { name: 'Strip' });
  const room = await seated(<PeekList />, [red, blue]);
  const { view } = room.store.getState();
  room.does(() => room.store.getState().peekAt({ x: view.x + 40 * view.zoom, y: view.y + 40 * view.zoom }));
  expect(offered()).toEqual(['Strip1 x 0.5 in, Ink #24506b', 'Strip1 x 1 in, Ink #9e2b45']);
  await room.press(/^Strip.*9e2b45/);
  expect(room.store.getState().selection).toEqual(['a']);
  expect(room.store.getState().peeking).toBeNull();
});
