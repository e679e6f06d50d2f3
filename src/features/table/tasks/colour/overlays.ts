/** What colour lays over the page: the brush that marks, and the dropper. */
import type { Overlay } from '@/features/table/stage/overlay';
import { fetched } from '@/ui/fetched';

export const COLOUR_OVERLAYS: readonly Overlay[] = [
  {
    name: 'marking',
    layer: 'top',
    when: ({ marking }) => marking !== null,
    Shown: fetched('Marking', () => import('@/features/table/tasks/colour/Marking').then((m) => m.Marking)),
  },
  {
    name: 'dropper',
    layer: 'top',
    when: ({ dropper }) => dropper !== null,
    Shown: fetched('Taking a colour', () =>
      import('@/features/table/tasks/colour/Dropper').then((m) => m.Dropper),
    ),
  },
];
