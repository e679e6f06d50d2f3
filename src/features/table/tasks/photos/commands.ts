/** Photos: told apart, arranged, toned, exchanged. */
import * as act from '@/features/table/acts';
import { NEEDS, opens, type Command } from '@/features/table/tasks/command';

export const PHOTOS: readonly Command[] = [
  opens('Pieces', 'Shift D', 'Photo desk', 'desk', {
    more: 'Every photo by time, with stars, names and what is alike',
  }),
  opens('Pieces', 'Shift A', 'Arrange photos', 'proposals', { more: 'Proposals for as many as there are' }),
  opens('Pieces', 'Shift M', 'Photo mosaic', 'mosaic', { more: 'Photos in cells, a picture over them' }),
  opens('Pieces', 'Shift T', 'Light and tone', 'tone', {
    more: 'Of photos: the darkest and palest parts, warmth, old prints',
  }),
  { keys: 'Shift S', name: 'Let two photos change places', group: 'Pieces', run: act.swapChosen },
  {
    group: 'Pieces',
    name: 'Make places for photos',
    more: 'Of what is selected',
    needs: NEEDS.piece,
    run: act.makePlaces,
  },
  opens('Pages', undefined, 'Contact sheets', 'contact', { more: 'Of all photos', needs: act.NO_PAGES }),
];
