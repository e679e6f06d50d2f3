/** A colour taken from the page as it is seen: under the pointer or moved by arrows, a mean of as many pixels as is wished. */
import { expect, test } from '@jest/globals';
import { fireEvent, screen } from '@testing-library/react';
import { Dropper } from '@/features/table/tasks/colour/Dropper';
import { useSession } from '@/features/table/room/context';
import { emptyStore, stocked } from '../../../../../scripts/testing/store';
import { seated } from '../../../../../scripts/testing/room';

/** The page as it is painted, and the dropper over it once a colour is asked for. */
function Page() {
  const taking = useSession(({ dropper }) => dropper !== null);
  return (
    <div>
      <canvas data-testid="below" width={800} height={600} />
      {taking && <Dropper />}
    </div>
  );
}

/** Left of 400 pixels red, right of it blue, with one yellow pixel at 100, 100. */
async function taking() {
  await emptyStore();
  await stocked('windward');
  const room = await seated(<Page />, []);
  const context = screen.getByTestId<HTMLCanvasElement>('below').getContext('2d')!;
  for (const [colour, x, width] of [
    ['#c02030', 0, 400],
    ['#2040c0', 400, 400],
  ] as const) {
    context.fillStyle = colour;
    context.fillRect(x, 0, width, 600);
  }
  context.fillStyle = '#f0e010';
  context.fillRect(100, 100, 1, 1);
  const taken: (string | null)[] = [];
  room.does(() => room.store.getState().takeColour({ done: (colour) => taken.push(colour) }));
  const dropper = screen.getByTestId('dropper');
  return {
    ...room,
    dropper,
    taken,
    at: (x: number, y: number) => fireEvent.pointerMove(dropper, { clientX: x, clientY: y }),
    key: (key: string, times = 1, more: object = {}) => {
      for (let i = 0; i < times; i++) fireEvent.keyDown(dropper, { key, ...more });
    },
    said: () => screen.getByRole('status').textContent,
  };
}

test('what lies under the pointer is said, with the ink nearest to it, and taken by a press', async () => {
  const room = await taking();
  room.at(50, 50);
  await room.when(() => room.said()!.startsWith('#c02030'));
  // An ink of the cupboard, and how far off it is.
  await room.when(() => /^#c02030.+, /.test(room.said()!));
  room.at(600, 50);
  expect(room.said()).toMatch(/^#2040c0/);
  fireEvent.pointerUp(room.dropper);
  expect(room.taken).toEqual(['#2040c0']);
  expect(screen.queryByTestId('dropper')).toBeNull();
});

test('arrows move the spot pixel by pixel, with Shift by ten, no further than the table; Enter takes, Escape leaves it', async () => {
  const room = await taking();
  // It begins in the middle, where the two meet: five pixels across are more blue than red.
  room.key('ArrowLeft', 3);
  expect(room.said()).toMatch(/^#c02030/);
  room.key('ArrowRight', 1, { shiftKey: true });
  expect(room.said()).toMatch(/^#2040c0/);
  room.key('ArrowRight', 60, { shiftKey: true });
  expect(room.said()).toMatch(/^#/);
  room.key('ArrowLeft', 80, { shiftKey: true });
  room.key('ArrowRight', 1, { shiftKey: true });
  room.key('Enter');
  expect(room.taken).toEqual(['#c02030']);
  room.unmount();
  const again = await taking();
  again.key('Escape');
  expect(again.taken).toEqual([null]);
});

test('the mean of one pixel is that pixel; of five or fifteen it is told apart from it', async () => {
  const room = await taking();
  room.at(100, 100);
  const five = room.said();
  fireEvent.click(screen.getByRole('button', { name: '1 pixel across' }));
  expect(room.said()).toMatch(/^#f0e010/);
  fireEvent.click(screen.getByRole('button', { name: '15 pixels across' }));
  const fifteen = room.said();
  expect(new Set([five, fifteen, room.said()]).size).toBe(2);
  // One yellow pixel among 25 shows; among 225 hardly.
  const redOf = (said: string | null) => Number.parseInt(said!.slice(1, 3), 16);
  expect(redOf(five)).toBeGreaterThan(redOf(fifteen) - 1);
  fireEvent.click(screen.getByRole('button', { name: 'Leave it' }));
  expect(room.taken).toEqual([null]);
});
