/** The sheets of this task, each fetched when it is first wanted. */
import { fetched } from '@/ui/fetched';

export const CUTTER_SHEETS = {
  cutter: fetched('Cutter', () =>
    import('@/features/table/tasks/cutter/CutterSheet').then((m) => m.CutterSheet),
  ),
  outlines: fetched('Outlines from a file', () =>
    import('@/features/table/tasks/cutter/OutlinesSheet').then((m) => m.OutlinesSheet),
  ),
  mix: fetched('Deal among papers', () =>
    import('@/features/table/tasks/cutter/MixSheet').then((m) => m.MixSheet),
  ),
};
