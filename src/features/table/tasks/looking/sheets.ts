/** The sheets of this task, each fetched when it is first wanted. */
import { fetched } from '@/ui/fetched';

export const LOOKING_SHEETS = {
  guides: fetched('Guides', () =>
    import('@/features/table/tasks/looking/GuidesSheet').then((m) => m.GuidesSheet),
  ),
  screen: fetched('True size', () =>
    import('@/features/table/tasks/looking/ScreenSheet').then((m) => m.ScreenSheet),
  ),
};
