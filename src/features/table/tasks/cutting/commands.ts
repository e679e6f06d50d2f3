/** Outlines: punched, drawn, joined, worked, tucked, traced. */
import * as act from '@/features/table/acts';
import { NEEDS, opens, type Command } from '@/features/table/tasks/command';

export const CUTTING: readonly Command[] = [
  opens('Pieces', 'D', 'Punches', 'punches', { more: 'Cut it to one, or punch a new piece' }),
  opens('Pieces', 'A', 'Draw an outline', 'draw', { more: 'By hand, or cut with scissors' }),
  opens('Pieces', 'X', 'Outlines together', 'combine', {
    more: 'Join, cut out, overlap, divide, grow',
    needs: NEEDS.piece,
  }),
  opens('Pieces', 'F', 'Tuck', 'tuck', {
    more: 'Where it passes over others and where under',
    needs: NEEDS.piece,
  }),
  {
    group: 'Pieces',
    keys: 'Shift X',
    name: 'Cut it out of the paper',
    more: 'Through both sides; once more closes the opening',
    needs: (session) => NEEDS.piece(session) ?? act.NO_OPENINGS(session),
    run: act.toggleOpening,
  },
  { group: 'Pieces', name: 'Move the points of an outline', needs: NEEDS.piece, run: act.startReshaping },
  {
    keys: 'Shift B',
    name: 'All the way round',
    more: 'A ribbon across this face of a card and behind it, kept in step',
    group: 'Pieces',
    needs: act.NO_ROUND,
    run: (store) => act.layRound(store, true),
  },
  opens('Pieces', undefined, 'Template', 'template', { more: 'Cuts papers by the tones of a picture' }),
  opens('Pieces', undefined, 'Trace', 'trace', { more: 'A picture to an outline' }),
];
