/** The sheets of this task, each fetched when it is first wanted. */
import { fetched } from '@/ui/fetched';

export const COLOUR_SHEETS = {
  inks: fetched('Inks of this page', () =>
    import('@/features/table/tasks/colour/InksSheet').then((m) => m.InksSheet),
  ),
  recolour: fetched('Recolour', () =>
    import('@/features/table/tasks/colour/RecolourSheet').then((m) => m.RecolourSheet),
  ),
  colourIn: fetched('Colour in', () =>
    import('@/features/table/tasks/colour/ColourInSheet').then((m) => m.ColourInSheet),
  ),
  across: fetched('Colours across pieces', () =>
    import('@/features/table/tasks/colour/AcrossSheet').then((m) => m.AcrossSheet),
  ),
};
