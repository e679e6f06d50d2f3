/** The sheets of this task, each fetched when it is first wanted. */
import { fetched } from '@/ui/fetched';

export const WORDS_SHEETS = {
  fonts: fetched('Letters', () =>
    import('@/features/table/tasks/words/FontsSheet').then((m) => m.FontsSheet),
  ),
  sentiments: fetched('Sentiments', () =>
    import('@/features/table/tasks/words/SentimentsSheet').then((m) => m.SentimentsSheet),
  ),
  letters: fetched('Letters of an alphabet', () =>
    import('@/features/table/tasks/words/LettersSheet').then((m) => m.LettersSheet),
  ),
  find: fetched('Find and replace', () =>
    import('@/features/table/tasks/words/FindSheet').then((m) => m.FindSheet),
  ),
  living: fetched('Living words', () =>
    import('@/features/table/tasks/words/LivingSheet').then((m) => m.LivingSheet),
  ),
};
