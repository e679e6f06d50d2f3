/** What cutting lays over the page. */
import type { Overlay } from '@/features/table/stage/overlay';
import { fetched } from '@/ui/fetched';

export const CUTTING_OVERLAYS: readonly Overlay[] = [
  {
    name: 'crossings',
    layer: 'marks',
    when: ({ sheet }) => sheet === 'tuck',
    Shown: fetched('Crossings', () =>
      import('@/features/table/stage/marks/Crossings').then((m) => m.Crossings),
    ),
  },
  {
    name: 'knots',
    layer: 'marks',
    when: ({ mode }) => mode.kind === 'reshape',
    Shown: fetched('The points of the outline', () =>
      import('@/features/table/stage/marks/Knots').then((m) => m.Knots),
    ),
  },
  {
    name: 'draw',
    layer: 'marks',
    when: ({ sheet }) => sheet === 'draw',
    Shown: fetched('Drawing', () => import('@/features/table/tasks/cutting/Draw').then((m) => m.Draw)),
  },
];
