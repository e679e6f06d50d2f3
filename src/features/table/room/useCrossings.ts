/** The crossings of the selected piece, found anew when the page or the selection changes. */
import { useMemo } from 'react';
import type { Crossing } from '@/core/page/tuck';
import { crossings } from '@/features/table/room/actions';
import { useRoom, useSession } from '@/features/table/room/context';
import { shownSurface } from '@/features/table/room/session';

export function useCrossings(): readonly Crossing[] {
  const { store } = useRoom();
  const { pile } = useSession(shownSurface);
  const selection = useSession((session) => session.selection);
  // eslint-disable-next-line react-hooks/exhaustive-deps -- what they are found in
  return useMemo(() => crossings(store.getState()), [store, pile, selection]);
}
