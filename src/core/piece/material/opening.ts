/** Nothing: the outline is cut out of the paper, with all that lies beneath it in the pile. What lies over it stays. */
import { object, string } from 'yup';
import type { MaterialKind } from '@/core/piece/material/kind';

export interface OpeningMaterial {
  kind: 'opening';
}

export const opening: MaterialKind<OpeningMaterial> = {
  kind: 'opening',
  name: 'An opening in the paper',
  cutsOut: true,
  schema: object({ kind: string().oneOf(['opening']).required() }).noUnknown(),
  says: () => 'cut out',
  fill: () => [],
};
