/** The sheets of this task, each fetched when it is first wanted. */
import { fetched } from '@/ui/fetched';

export const PIECES_SHEETS = {
  rows: fetched('Rows and columns', () =>
    import('@/features/table/tasks/pieces/RowsSheet').then((m) => m.RowsSheet),
  ),
  match: fetched('Match', () => import('@/features/table/tasks/pieces/Choices').then((m) => m.MatchSheet)),
  pages: fetched('Copy to pages', () =>
    import('@/features/table/tasks/pieces/Choices').then((m) => m.PagesSheet),
  ),
};
