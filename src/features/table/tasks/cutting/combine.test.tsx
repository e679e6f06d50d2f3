/** Outlines together: what comes of it is said before it is done, and why nothing would. */
import { expect, test } from '@jest/globals';
import { fireEvent, screen } from '@testing-library/react';
import type { Piece } from '@/core/piece/piece';
import { Sheets } from '@/features/table/tasks/Sheets';
import { seated } from '../../../../../scripts/testing/room';
import { inkPiece } from '../../../../../scripts/testing/samples';

const told = () => screen.getAllByRole('status').map(({ textContent }) => textContent);

async function outlines(...pieces: Piece[]) {
  const room = await seated(
    <Sheets />,
    pieces,
    pieces.map(({ id }) => id),
  );
  room.does(() => room.store.getState().openSheet('combine'));
  await screen.findByRole('dialog', { name: 'Outlines' });
  const way = (name: string) => fireEvent.click(screen.getAllByRole('button', { name })[0]!);
  const says = (words: string) => room.when(() => told().some((one) => one?.includes(words)));
  return { ...room, way, says };
}

test('two that overlap: joined, cut out or only where both lie, as is said; one undo brings both back', async () => {
  const { way, says, press, pile, undo, store, does, when } = await outlines(
    inkPiece('low', 0, 0, 100, 100),
    inkPiece('top', 20, 20, 30, 30),
  );
  await says('All as one, of the lowest one’s material. 1 part.');
  way('Cut out');
  await says('1 part, 1 hole.');
  way('Overlap');
  await says('Only where all of them lie. 1 part.');
  // Pressed twice it is done once, and the second press finds nothing amiss.
  for (let i = 0; i < 2; i++) fireEvent.click(screen.getAllByRole('button', { name: 'Overlap' }).at(-1)!);
  await says('Select two pieces or more to combine them.');
  expect(screen.queryByRole('alert')).toBeNull();
  expect(undo()).toBe('keep the overlap of 2 pieces');
  const [left] = pile();
  expect(left!.placement).toMatchObject({ width: 30, height: 30 });
  await press('Grow');
  await when(() => undo()?.startsWith('grow'));
  expect(pile()[0]!.placement.width).toBeCloseTo(48, 1);
  does(() => store.getState().undo());
  does(() => store.getState().undo());
  expect(pile().map(({ id }) => id)).toEqual(['low', 'top']);
});

test('what lies apart has no overlap, and that is said; a hair between two is named, ringed on the page, and closed', async () => {
  const { way, says, press, pile, store, when } = await outlines(
    inkPiece('left', 0, 0, 100, 100),
    inkPiece('right', 100.4, 0, 100, 100),
  );
  way('Overlap');
  await says('They do not overlap, so nothing would be left');
  way('Join');
  await screen.findByText(/“left” and “right” only nearly touch, where the ring is: 0\.0\d+ in apart\./);
  await when(() => store.getState().sought);
  await press('Join and close the gaps');
  await when(() => pile().length === 1);
  expect(pile()[0]!.placement).toMatchObject({ width: 200.4, height: 100 });
  await when(() => !store.getState().sought);
});
