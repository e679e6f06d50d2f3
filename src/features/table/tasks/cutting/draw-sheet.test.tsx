/** Outlines by number and key: set point by point, closed, laid, their points worked; cut in two right across. */
import { expect, test } from '@jest/globals';
import { fireEvent, screen } from '@testing-library/react';
import { About } from '@/features/table/about/About';
import { useRoom } from '@/features/table/room/context';
import { useKeys } from '@/features/table/room/useKeys';
import { Sheets } from '@/features/table/tasks/Sheets';
import type { Piece } from '@/core/piece/piece';
import { seated } from '../../../../../scripts/testing/room';
import { inkPiece } from '../../../../../scripts/testing/samples';

function Keyed() {
  useKeys(useRoom().store);
  return (
    <>
      <Sheets />
      <About />
    </>
  );
}
async function drawing(pieces: readonly Piece[] = [], chosen: readonly string[] = []) {
  const room = await seated(<Keyed />, pieces, chosen);
  const key = (key: string, more = {}) => fireEvent.keyDown(document.body, { key, ...more });
  key('a');
  await screen.findByRole('dialog', { name: 'Draw and cut' });
  return { ...room, key };
}

test('an outline is set point by point; two enclose nothing; its points are gone through, moved, rounded, taken away', async () => {
  const { press, fill, key, pile, store, field, undo, does, when } = await drawing();
  await press('Points');
  const places = ['1 1', '4 1', '4 3', '2.5 3.5', '1 3'].map((place) => place.split(' '));
  for (const [i, [across, down]] of places.entries()) {
    await fill('Next point across', across!);
    await fill('Next point down', down!);
    await press('Add the point');
    if (i !== 1) continue;
    await press('Close it');
    await screen.findByText('Two points enclose nothing: set one more.');
  }
  await press('Close it');
  for (let i = 0; i < 2; i++) fireEvent.click(screen.getByRole('button', { name: 'Lay it' }));
  await when(() => pile().length === 1);
  await new Promise((later) => setTimeout(later, 50));
  expect(pile()).toHaveLength(1);
  expect(pile()[0]!.placement).toMatchObject({ width: 216, height: 180 });
  await press('Shut Draw and cut');
  does(() => store.getState().openRows(new Set(['Cut'] as const)));
  await press('Move its points');
  await screen.findByText(/^5 points\./);
  key('n');
  key('n');
  await screen.findByText('Point 2 of 5.');
  expect(field('Across').value).toBe('4');
  key('ArrowRight', { shiftKey: true });
  expect(field('Across').value).toBe('4.1');
  await fill('Across', '5');
  expect(pile()[0]!.placement.width).toBe(288);
  await fill('Corner radius', '0.5');
  await press('Round it');
  await screen.findByText('Point 2 of 6.');
  key('Delete');
  expect(undo()).toBe('take point away');
  key('Escape');
  expect(store.getState().mode.kind).toBe('pick');
});

test('a piece is cut in two right across it by number; one undo puts it together', async () => {
  const { press, fill, pile, undo, store, does, when } = await drawing(
    [inkPiece('a', 40, 40, 144, 72)],
    ['a'],
  );
  await press('Scissors');
  expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Cut in two' }).disabled).toBe(true);
  await fill('Angle', '90');
  await press('Line right across it');
  // Pressed twice, it is cut once.
  for (let i = 0; i < 2; i++) fireEvent.click(screen.getByRole('button', { name: 'Cut in two' }));
  await when(() => pile().length === 2);
  expect(screen.queryByRole('alert')).toBeNull();
  expect(pile().map(({ placement: { width, height } }) => [width, height])).toEqual([
    [72, 72],
    [72, 72],
  ]);
  expect(undo()).toBe('cut embellishment in two');
  does(() => store.getState().undo());
  expect(pile().map(({ placement }) => placement.width)).toEqual([144]);
});
