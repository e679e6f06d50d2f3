/** Silhouettes on a field of 100 x 100 that Little One’s card, felt and wood are cut to. */
import { ring, starPath } from './pen';

export const LITTLE: readonly string[] = [
  // A round star.
  'M50 4C56 4 60 30 66 34C72 38 98 38 98 44C98 50 78 60 76 66C74 74 84 92 78 96C72 98 56 82 50 82C44 82 28 98 22 96C16 92 26 74 24 66C22 60 2 50 2 44C2 38 28 38 34 34C40 30 44 4 50 4Z',
  // A crescent.
  'M64 4C26 8 6 38 16 68C26 96 62 104 88 80C62 84 42 68 42 44C42 26 50 12 64 4Z',
  // A heart.
  'M50 94C18 68 4 52 4 32C4 12 34 2 50 26C66 2 96 12 96 32C96 52 82 68 50 94Z',
  // A hare, seen from the side.
  'M38 40C30 22 28 8 34 4C42 4 48 20 50 34C54 20 60 6 68 6C72 12 66 28 58 40C72 46 74 60 68 68C86 72 94 90 88 96H26C12 96 8 82 20 74C24 70 28 68 32 66C24 56 28 46 38 40Z',
  // A cloud on a string.
  `M26 60C6 60 4 38 20 34C18 16 42 8 52 22C62 6 86 14 84 34C100 38 96 60 78 60ZM${'49 62H51V98H49Z'}`,
  // A rosette.
  `${starPath(50, 40, 38, 32, 16)}${ring(50, 40, 20)}M34 66L22 98L36 90L44 98L50 74ZM66 66L78 98L64 90L56 98L50 74Z`,
];
