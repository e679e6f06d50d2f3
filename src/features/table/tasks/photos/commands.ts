/** Photos: told apart, arranged, toned, exchanged. */
import * as act from '@/features/table/acts';
import { opens, type Command } from '@/features/table/tasks/command';

export const PHOTOS: readonly Command[] = [
  opens('Pieces', 'Shift D', 'Photo desk: every photo by time, with stars, names and what is alike', 'desk'),
  opens('Pieces', 'Shift A', 'Arrange photos: proposals for as many as there are', 'proposals'),
  opens('Pieces', 'Shift M', 'Photo mosaic: photos in cells, a picture over them', 'mosaic'),
  opens('Pieces', 'Shift T', 'Light and tone of photos', 'tone'),
  { keys: 'Shift S', does: 'Let two photos change places', group: 'Pieces', run: act.swapChosen },
  { group: 'Pieces', does: 'Make places for photos of what is selected', run: act.makePlaces },
  opens('Pages', undefined, 'Contact sheets of all photos', 'contact'),
];
