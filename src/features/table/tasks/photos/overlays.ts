/** What photos lay over the page: the picture that is slid, and the line along what shall be level. */
import type { Overlay } from '@/features/table/stage/overlay';
import { fetched } from '@/ui/fetched';

export const PHOTOS_OVERLAYS: readonly Overlay[] = [
  {
    name: 'sliding',
    layer: 'beneath',
    when: ({ mode }) => mode.kind === 'slide',
    Shown: fetched('Sliding the photo', () =>
      import('@/features/table/stage/marks/Sliding').then((m) => m.Sliding),
    ),
  },
  {
    name: 'horizon',
    layer: 'marks',
    when: ({ mode }) => mode.kind === 'slide' && Boolean(mode.level),
    Shown: fetched('Levelling', () => import('@/features/table/stage/marks/Horizon').then((m) => m.Horizon)),
  },
];
