/** What every task lays over the page, contributed by task; within a layer in this order, the lowest first. */
import type { Overlay } from '@/features/table/stage/overlay';
import { COLOUR_OVERLAYS } from '@/features/table/tasks/colour/overlays';
import { CUTTING_OVERLAYS } from '@/features/table/tasks/cutting/overlays';
import { LINES_OVERLAYS } from '@/features/table/tasks/lines/overlays';
import { LOOKING_OVERLAYS } from '@/features/table/tasks/looking/overlays';
import { PHOTOS_OVERLAYS } from '@/features/table/tasks/photos/overlays';
import { WORDS_OVERLAYS } from '@/features/table/tasks/words/overlays';

export const OVERLAYS: readonly Overlay[] = [
  ...CUTTING_OVERLAYS,
  ...LINES_OVERLAYS,
  ...PHOTOS_OVERLAYS,
  ...WORDS_OVERLAYS,
  ...LOOKING_OVERLAYS,
  ...COLOUR_OVERLAYS,
];
