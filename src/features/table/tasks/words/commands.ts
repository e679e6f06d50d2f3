/** Words and letters. */
import * as act from '@/features/table/acts';
import { opens, type Command } from '@/features/table/tasks/command';

export const WORDS: readonly Command[] = [
  { keys: 'T', does: 'Write a title', group: 'Pieces', run: (store) => act.startWords(store, 'title') },
  {
    keys: 'J',
    does: 'Write journaling',
    group: 'Pieces',
    run: (store) => act.startWords(store, 'journaling'),
  },
  opens('Pieces', 'Shift F', 'Letters: all families, in the words being written', 'fonts'),
  opens('Pieces', 'Shift L', 'Letters of an alphabet: type words, each letter a piece', 'letters'),
  opens('Pieces', 'Shift Q', 'Sentiments and quotes', 'sentiments'),
  {
    keys: 'Shift W',
    does: 'Who and when: a caption from names and dates of the photos',
    group: 'Pieces',
    run: (store) => act.layCaption(store),
  },
  {
    keys: 'Shift U',
    does: 'Words along the outline that is selected',
    group: 'Pieces',
    run: (store) => act.runAlong(store),
  },
  {
    keys: 'Ctrl B',
    does: 'Bold letters, of what is marked or of all',
    group: 'Pieces',
    run: (store) => act.toggleFace(store, 'bold'),
  },
  {
    keys: 'Ctrl I',
    does: 'Italic letters',
    group: 'Pieces',
    run: (store) => act.toggleFace(store, 'italic'),
  },
  opens('Looking', 'Ctrl F', 'Find and replace words in all pages', 'find'),
];
