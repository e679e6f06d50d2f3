/** The sheets of this task, each fetched when it is first wanted. */
import { fetched } from '@/ui/fetched';

export const CUTTING_SHEETS = {
  punches: fetched('Punches', () =>
    import('@/features/table/tasks/cutting/PunchesSheet').then((m) => m.PunchesSheet),
  ),
  draw: fetched('Draw and cut', () =>
    import('@/features/table/tasks/cutting/DrawSheet').then((m) => m.DrawSheet),
  ),
  combine: fetched('Outlines', () =>
    import('@/features/table/tasks/cutting/CombineSheet').then((m) => m.CombineSheet),
  ),
  tuck: fetched('Tuck', () => import('@/features/table/tasks/cutting/TuckSheet').then((m) => m.TuckSheet)),
  template: fetched('Template', () =>
    import('@/features/table/tasks/cutting/TemplateSheet').then((m) => m.TemplateSheet),
  ),
  trace: fetched('Trace', () =>
    import('@/features/table/tasks/cutting/TraceSheet').then((m) => m.TraceSheet),
  ),
};
