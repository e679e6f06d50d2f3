/**
 * The keyboard of the table over its sheets: what is pressed where, and what comes of it.
 * @alone
 */
import { expect, test } from '@jest/globals';
import { fireEvent, screen } from '@testing-library/react';
import { useRoom } from '@/features/table/room/context';
import { useKeys } from '@/features/table/room/useKeys';
import { Sheets } from '@/features/table/tasks/Sheets';
import { seated } from '../../../../scripts/testing/room';
import { inkPiece } from '../../../../scripts/testing/samples';

function Keyed() {
  useKeys(useRoom().store);
  return <Sheets />;
}

test('what is typed before the list of actions is there is for the list, not for the table', async () => {
  const room = await seated(<Keyed />, [inkPiece('a')], ['a']);
  fireEvent.keyDown(document.body, { key: 'k', ctrlKey: true });
  // P would open the punches, M mirror the piece, Delete take it away.
  for (const key of ['p', 'm', 'Backspace', 'a', 'g', 'e', 'Delete'])
    fireEvent.keyDown(document.body, { key });
  const field = await screen.findByRole<HTMLInputElement>('combobox', { name: 'What shall be done?' });
  expect(field.value).toBe('page');
  expect(screen.getAllByRole('option')[0]!.textContent).toMatch(/page/i);
  expect(room.store.getState().sheet).toBe('actions');
  expect(room.piece('a').placement.mirror).toBe(false);
});
