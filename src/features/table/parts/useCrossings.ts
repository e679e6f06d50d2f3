/** The crossings of the one piece that is selected, found anew when the page or the selection changes. */
import { useMemo } from 'react';
import { toolsFor } from '@/core/page/outlines';
import { crossingsOf, type Crossing } from '@/core/page/tuck';
import { isBackground } from '@/core/project/edits/pile';
import { useSession } from '@/features/table/room/context';
import { shownProject, shownSurface } from '@/features/table/session';

export function useCrossings(): readonly Crossing[] {
  const project = useSession(shownProject);
  const surface = useSession(shownSurface);
  const typesetter = useSession((session) => session.typesetter);
  const id = useSession(({ selection }) => (selection.length === 1 ? selection[0] : undefined));
  return useMemo(() => {
    if (!id) return [];
    // Nothing passes under the page's own paper.
    const pile = surface.pile.filter((piece) => !isBackground(piece, surface));
    return crossingsOf(pile, id, toolsFor(project, typesetter));
  }, [project, surface, typesetter, id]);
}
