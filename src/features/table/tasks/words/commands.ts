/** Words and letters. */
import * as act from '@/features/table/acts';
import { NEEDS, opens, type Command } from '@/features/table/tasks/command';

export const WORDS: readonly Command[] = [
  { keys: 'T', name: 'Write a title', group: 'Pieces', run: (store) => act.startWords(store, 'title') },
  {
    keys: 'J',
    name: 'Write journaling',
    group: 'Pieces',
    run: (store) => act.startWords(store, 'journaling'),
  },
  opens('Pieces', 'Shift F', 'Letters', 'fonts', { more: 'All families, in the words being written' }),
  opens('Pieces', 'Shift L', 'Letters of an alphabet', 'letters', {
    more: 'Type words, each letter a piece',
  }),
  opens('Pieces', 'Shift K', 'Living words', 'living', {
    more: 'Page numbers, the title, names and days that stay true',
  }),
  opens('Pieces', 'Shift Q', 'Sentiments and quotes', 'sentiments'),
  {
    keys: 'Shift W',
    name: 'Who and when',
    more: 'A caption from names and dates of the photos',
    group: 'Pieces',
    run: (store) => act.layCaption(store),
  },
  {
    keys: 'Shift U',
    name: 'Words along an outline',
    more: 'Along the one that is selected',
    group: 'Pieces',
    needs: NEEDS.piece,
    run: (store) => act.runAlong(store),
  },
  {
    keys: 'Ctrl B',
    name: 'Bold letters',
    more: 'Of what is marked, or of all',
    group: 'Pieces',
    needs: NEEDS.piece,
    run: (store) => act.toggleFace(store, 'bold'),
  },
  {
    keys: 'Ctrl I',
    name: 'Italic letters',
    more: 'Of what is marked, or of all',
    group: 'Pieces',
    needs: NEEDS.piece,
    run: (store) => act.toggleFace(store, 'italic'),
  },
  opens('Looking', 'Ctrl F', 'Find and replace', 'find', { more: 'Words in all pages' }),
];
