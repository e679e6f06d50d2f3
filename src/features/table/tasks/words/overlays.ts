/** Where one writes: there at once, as a key that is pressed next is meant for it. */
import type { Overlay } from '@/features/table/stage/overlay';
import { Writing } from '@/features/table/tasks/words/Writing';

export const WORDS_OVERLAYS: readonly Overlay[] = [
  { name: 'writing', layer: 'above', when: ({ mode }) => mode.kind === 'write', Shown: Writing },
];
