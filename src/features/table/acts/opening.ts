/** Going into what is chosen: its group, its words, its picture, its points. */
import { isDrawn } from '@/core/project/lines';
import { isWritten } from '@/core/piece/outline';
import { chosen, enter } from '@/features/table/acts/choosing';
import { startReshaping } from '@/features/table/acts/drawing';
import { writeOn } from '@/features/table/acts/words';
import type { SessionStore } from '@/features/table/session';
import { canSlide, startSliding } from '@/features/table/acts/slide';

/** Opens the group that is selected, at the piece `only` if one is named; else writes on, slides or reshapes the piece. */
export function goInto(store: SessionStore, only?: string): unknown {
  if (enter(store, only)) return;
  const session = store.getState();
  const [piece] = chosen(session);
  if (!piece || piece.placement.locked || session.readOnly) return;
  if (isWritten(piece.outline)) return writeOn(store, piece);
  if (isDrawn(piece)) return session.openSheet('lines');
  if (canSlide(piece)) return startSliding(store, piece);
  return startReshaping(store);
}
