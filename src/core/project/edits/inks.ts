/** Edits of the inks of a page. */
import { GROUND, inkSlots, slotKey } from '@/core/inks/used';
import type { Edit } from '@/core/project/edits/edit';
import { surfaceOf } from '@/core/project/model';
import type { InkPart } from '@/core/piece/answers';
import type { Piece } from '@/core/piece/piece';

const OF_FINISH: ReadonlySet<InkPart> = new Set(['stroke', 'mat', 'treatment', 'trail']);

/**
 * Puts other colours in the place of inks, wherever on the page they are used, all at once: two may change places. Locked
 * pieces stay as they are, and so does all but `only` these places (`slotsOf`). A piece that wore a look wears it no more if its
 * finish changed.
 */
export const recolour = (
  surfaceId: string,
  inks: ReadonlyMap<string, string>,
  only?: ReadonlySet<string>,
): Edit => ({
  label: inks.size === 1 ? 'change ink of the page' : `change ${inks.size} inks of the page`,
  apply(project) {
    const surface = surfaceOf(project, surfaceId);
    if (!only || only.has(GROUND)) surface.ground = inks.get(surface.ground) ?? surface.ground;
    for (const piece of surface.pile) {
      if (piece.placement.locked) continue;
      for (const { part, colour, set } of inkSlots(piece as Piece)) {
        const next = inks.get(colour);
        if (!next || next === colour || (only && !only.has(slotKey(piece.id, part)))) continue;
        set(next);
        if (OF_FINISH.has(part)) delete piece.look;
      }
    }
  },
});
