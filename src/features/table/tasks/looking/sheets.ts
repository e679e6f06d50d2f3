/** The sheets of this task, each fetched when it is first wanted. */
import { fetched } from '@/ui/fetched';

export const LOOKING_SHEETS = {
  held: fetched('In the hand', () =>
    import('@/features/table/tasks/looking/HeldSheet').then((m) => m.HeldSheet),
  ),
  guides: fetched('Guides', () =>
    import('@/features/table/tasks/looking/GuidesSheet').then((m) => m.GuidesSheet),
  ),
  screen: fetched('True size', () =>
    import('@/features/table/tasks/looking/ScreenSheet').then((m) => m.ScreenSheet),
  ),
};
