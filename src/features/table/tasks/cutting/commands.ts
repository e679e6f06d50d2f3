/** Outlines: punched, drawn, joined, worked, tucked, traced. */
import * as act from '@/features/table/acts';
import { opens, type Command } from '@/features/table/tasks/command';

export const CUTTING: readonly Command[] = [
  opens('Pieces', 'D', 'Punches: cut it to one, or punch a new piece', 'punches'),
  opens('Pieces', 'A', 'Draw an outline by hand, or cut with scissors', 'draw'),
  opens('Pieces', 'X', 'Outlines: join, cut out, overlap, divide, grow', 'combine'),
  opens('Pieces', 'F', 'Tuck: where it passes over others and where under', 'tuck'),
  { group: 'Pieces', does: 'Move the points of an outline', run: act.startReshaping },
  opens('Pieces', undefined, 'Cut papers by the tones of a picture', 'template'),
  opens('Pieces', undefined, 'Trace a picture to an outline', 'trace'),
];
