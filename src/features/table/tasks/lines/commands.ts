/** Lines drawn by hand: paint, stamps, thread, ribbon. */
import { opens, type Command } from '@/features/table/tasks/command';

export const LINES: readonly Command[] = [
  opens('Pieces', '3', 'Draw in paint or thread', 'lines', {
    more: 'Drawn on the page with a tip, a needle or a spool',
  }),
];
