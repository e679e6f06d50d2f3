/** The crossings of the one piece that is selected, found anew when the page or the selection changes. */
import { useMemo } from 'react';
import { toolsFor } from '@/core/page/outlines';
import { crossingsOf, type Crossing } from '@/core/page/tuck';
import { useSession } from '@/features/table/room/context';
import { shownProject, shownSurface } from '@/features/table/room/session';

export function useCrossings(): readonly Crossing[] {
  const project = useSession(shownProject);
  const { pile } = useSession(shownSurface);
  const typesetter = useSession((session) => session.typesetter);
  const id = useSession(({ selection }) => (selection.length === 1 ? selection[0] : undefined));
  return useMemo(
    () => (id ? crossingsOf(pile, id, toolsFor(project, typesetter)) : []),
    [project, pile, typesetter, id],
  );
}
