/** The sheets of this task, each fetched when it is first wanted. */
import { fetched } from '@/ui/fetched';

export const LINES_SHEETS = {
  lines: fetched('Paint and thread', () =>
    import('@/features/table/tasks/lines/LinesSheet').then((m) => m.LinesSheet),
  ),
};
