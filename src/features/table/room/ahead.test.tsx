/**
 * The list of actions typed into before it was ever fetched.
 * @alone
 */
import { expect, test } from '@jest/globals';
import { fireEvent, waitFor } from '@testing-library/react';
import { useRoom } from '@/features/table/room/context';
import { useKeys } from '@/features/table/room/useKeys';
import { Sheets } from '@/features/table/tasks/Sheets';
import { seated } from '../../../../scripts/testing/room';
import { inkPiece } from '../../../../scripts/testing/samples';

function Keyed() {
  useKeys(useRoom().store);
  return <Sheets />;
}

test('sent off by Enter before the list is there, the first action it finds is done', async () => {
  const room = await seated(<Keyed />, [inkPiece('a')], ['a']);
  fireEvent.keyDown(document.body, { key: 'k', ctrlKey: true });
  for (const key of [...'lay a month', 'Enter', 'x']) fireEvent.keyDown(document.body, { key });
  await waitFor(() =>
    expect(room.store.getState().history.steps.map(({ label }) => label)).toEqual(['lay month']),
  );
  expect(room.store.getState().sheet).toBeNull();
});
