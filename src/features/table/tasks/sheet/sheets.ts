/** The sheets of this task, each fetched when it is first wanted. */
import { fetched } from '@/ui/fetched';

export const SHEET_SHEETS = {
  paper: fetched('Sheet and paper', () =>
    import('@/features/table/tasks/sheet/PaperSheet').then((m) => m.PaperSheet),
  ),
};
