/** Inks, and pictures in other colours. */
import { NEEDS, opens, type Command } from '@/features/table/tasks/command';

export const COLOUR: readonly Command[] = [
  opens('Pages', 'Shift I', 'Inks of this page', 'inks', {
    more: 'Each with where it is, changed everywhere at once',
  }),
  opens('Pieces', 'Shift R', 'Recolour', 'recolour', { more: 'All or parts of pictures' }),
  opens('Pieces', 'Shift C', 'Colour a stamp in', 'colourIn', { more: 'Beneath its lines' }),
  opens('Pieces', undefined, 'Colours across pieces', 'across', {
    more: 'From ink to ink, or each a little different',
    needs: NEEDS.two,
  }),
];
