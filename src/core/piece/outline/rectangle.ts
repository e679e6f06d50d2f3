import { number, object, string } from 'yup';
import { centredBox } from '@/core/geometry/box';
import { rectanglePath } from '@/core/geometry/path';
import type { OutlineKind } from '@/core/piece/outline/kind';
import { formatLength } from '@/core/units/lengths';

export interface RectangleOutline {
  kind: 'rectangle';
  /** Radius of rounded corners, points; at most half the shorter side is used. */
  radius: number;
}

export const rectangle: OutlineKind<RectangleOutline> = {
  kind: 'rectangle',
  name: 'Rectangle',
  schema: object({
    kind: string().oneOf(['rectangle']).required(),
    radius: number().min(0).max(4320).required(),
  }).noUnknown(),
  scaled: (outline, scale) => ({ ...outline, radius: outline.radius * scale }),
  says: ({ radius }, unit) => (radius ? `Rectangle, corners ${formatLength(radius, unit, true)}` : undefined),
  cut: ({ radius }, size) => ({ path: rectanglePath(centredBox(size), radius) }),
};
