/** What is laid over the page to look at it. */
import { shownSurface } from '@/features/table/session';
import type { Overlay } from '@/features/table/stage/overlay';
import { fetched } from '@/ui/fetched';

export const LOOKING_OVERLAYS: readonly Overlay[] = [
  {
    name: 'lamp',
    layer: 'marks',
    when: (session) => session.show.lamp && !session.readOnly && !shownSurface(session).locked,
    Shown: fetched('The lamp', () => import('@/features/table/stage/marks/Lamp').then((m) => m.Lamp)),
  },
  {
    name: 'peek',
    layer: 'top',
    when: ({ peeking }) => peeking !== null,
    Shown: fetched('The list of what lies here', () =>
      import('@/features/table/stage/marks/PeekList').then((m) => m.PeekList),
    ),
  },
  {
    name: 'loupe',
    layer: 'top',
    when: ({ show }) => show.loupe,
    Shown: fetched('The loupe', () => import('@/features/table/stage/marks/Loupe').then((m) => m.Loupe)),
  },
];
