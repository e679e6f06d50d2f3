/** The sheets of this task, each fetched when it is first wanted. */
import { fetched } from '@/ui/fetched';

export const PHOTOS_SHEETS = {
  desk: fetched('The photo desk', () =>
    import('@/features/table/tasks/photos/desk/PhotoDesk').then((m) => m.PhotoDesk),
  ),
  proposals: fetched('Arrangements', () =>
    import('@/features/table/tasks/photos/ProposalsSheet').then((m) => m.ProposalsSheet),
  ),
  mosaic: fetched('Mosaic', () =>
    import('@/features/table/tasks/photos/MosaicSheet').then((m) => m.MosaicSheet),
  ),
  tone: fetched('Light and tone', () =>
    import('@/features/table/tasks/photos/ToneSheet').then((m) => m.ToneSheet),
  ),
  contact: fetched('Contact sheets', () =>
    import('@/features/table/tasks/photos/ContactSheet').then((m) => m.ContactSheet),
  ),
};
