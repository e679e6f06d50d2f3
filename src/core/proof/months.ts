/** Days to remember that find no room in their month. */
import { setNotes } from '@/core/piece/material/month/draw';
import { on, type Check } from '@/core/proof/check';

export const MONTHS: Check = {
  id: 'months',
  look: ({ seen, typesetter }) =>
    seen.flatMap((piece) => {
      if (piece.material.kind !== 'month') return [];
      const over = setNotes(piece.material, piece.placement, typesetter).filter((day) => day.over > 0);
      if (!over.length) return [];
      const said = over
        .slice(0, 3)
        .map(({ place, notes, over: count }) => `${count} of ${notes.length} on day ${place.cell.day}`);
      const more = over.length > 3 ? `, and on ${over.length - 3} more days` : '';
      return [on(piece, `What days are finds no room: ${said.join(', ')}${more}.`)];
    }),
};
