/** What drawing lines lays over the page. */
import type { Overlay } from '@/features/table/stage/overlay';
import { fetched } from '@/ui/fetched';

export const LINES_OVERLAYS: readonly Overlay[] = [
  {
    name: 'lines',
    layer: 'above',
    when: ({ sheet }) => sheet === 'lines',
    Shown: fetched('Drawing', () =>
      import('@/features/table/tasks/lines/DrawLines').then((m) => m.DrawLines),
    ),
  },
];
