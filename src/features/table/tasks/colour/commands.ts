/** Inks, and pictures in other colours. */
import { opens, type Command } from '@/features/table/tasks/command';

export const COLOUR: readonly Command[] = [
  opens('Pages', 'Shift I', 'Inks of this page: each with where it is, changed everywhere at once', 'inks'),
  opens('Pieces', 'Shift R', 'Recolour: all or parts of pictures', 'recolour'),
  opens('Pieces', 'Shift C', 'Colour a stamp in, beneath its lines', 'colourIn'),
  opens('Pieces', undefined, 'Colours across pieces: from ink to ink, or each a little different', 'across'),
];
