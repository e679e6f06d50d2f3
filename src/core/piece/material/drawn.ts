/** What lines were drawn in: each line has its own inks, threads and ribbons. */
import { object, string } from 'yup';
import type { MaterialKind } from '@/core/piece/material/kind';

export interface DrawnMaterial {
  kind: 'drawn';
}

export const drawn: MaterialKind<DrawnMaterial> = {
  kind: 'drawn',
  name: 'As drawn',
  schema: object({ kind: string().oneOf(['drawn']).required() }).noUnknown(),
  // Paint comes from a printer.
  printed: true,
  fill: (_, { drawn: marks, path }) => marks?.() ?? [{ mark: 'fill', path, colour: '#25232a' }],
};
