/** The sheets of this task, each fetched when it is first wanted. */
import { fetched } from '@/ui/fetched';

export const STEPS_SHEETS = {
  steps: fetched('Steps', () => import('@/features/table/tasks/steps/StepsSheet').then((m) => m.StepsSheet)),
  versions: fetched('Versions', () =>
    import('@/features/table/tasks/steps/VersionsSheet').then((m) => m.VersionsSheet),
  ),
};
