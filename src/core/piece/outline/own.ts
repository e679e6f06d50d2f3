/** A picture's own edge, where it stops being transparent: it catches clicks and throws the shadow, and cuts nothing. */
import { number, object, string } from 'yup';
import { centredBox } from '@/core/geometry/box';
import { compose, scaling, translation } from '@/core/geometry/matrix';
import { parsePath, rectanglePath, transformPath } from '@/core/geometry/path';
import type { OutlineKind } from '@/core/piece/outline/kind';
import { isReadablePath } from '@/core/piece/outline/path';

export interface OwnOutline {
  kind: 'own';
  /** Path data in the picture's upright pixels. */
  data: string;
  /** The picture's size, pixels: it is what is stretched to the piece's box. */
  width: number;
  height: number;
}

const side = number().min(1).max(100_000).required();

export const own: OutlineKind<OwnOutline> = {
  kind: 'own',
  name: 'Its own edge',
  schema: object({
    kind: string().oneOf(['own']).required(),
    data: string().max(200_000).test('path', 'a cut is not a readable path', isReadablePath).required(),
    width: side,
    height: side,
  }).noUnknown(),
  cut: ({ data, width, height }, size) => ({
    path: transformPath(
      compose(scaling(size.width / width, size.height / height), translation(-width / 2, -height / 2)),
      parsePath(data),
    ),
    soft: rectanglePath(centredBox(size)),
  }),
};
