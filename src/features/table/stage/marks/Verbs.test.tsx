/** @jest-environment ./scripts/testing/screen.mjs */
import { expect, test } from '@jest/globals';
import { screen } from '@testing-library/react';
import { Verbs } from '@/features/table/stage/marks/Verbs';
import { TopBar } from '@/features/table/room/TopBar';
import { useSession } from '@/features/table/room/context';
import { selectedPieces } from '@/features/table/session';
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

test('every button of the bar that does the same as a key names a key that does it', async () => {
  const room = await seated(<TopBar onMake={() => {}} onSaveFile={() => {}} />, [inkPiece('a')]);
  expect(room.store.getState().show.keys).toBe(false);
  await room.press('Keys and how-to');
  expect(room.store.getState().show.keys).toBe(true);
});
