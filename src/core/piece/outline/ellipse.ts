import { object, string } from 'yup';
import { centredBox } from '@/core/geometry/box';
import { ellipsePath } from '@/core/geometry/path';
import type { OutlineKind } from '@/core/piece/outline/kind';

export interface EllipseOutline {
  kind: 'ellipse';
}

export const ellipse: OutlineKind<EllipseOutline> = {
  kind: 'ellipse',
  name: 'Ellipse',
  schema: object({ kind: string().oneOf(['ellipse']).required() }).noUnknown(),
  cut: (_, size) => ({ path: ellipsePath(centredBox(size)) }),
};
