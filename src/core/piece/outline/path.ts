/** Any drawn shape, stretched to the piece's box. */
import { object, string } from 'yup';
import { compose, scaling, translation } from '@/core/geometry/matrix';
import { parsePath, pathBounds, transformPath, type Path } from '@/core/geometry/path';
import type { OutlineKind } from '@/core/piece/outline/kind';

export interface PathOutline {
  kind: 'path';
  /** SVG path data without arcs, in any unit: its own extent is what is stretched to the box. */
  data: string;
  /** What the shape is called. */
  name: string;
}

/** Whether path data can be read and encloses something. */
export const isReadablePath = (data: string | undefined): boolean => {
  try {
    const { width, height } = pathBounds(parsePath(data ?? ''));
    return width > 0 && height > 0;
  } catch {
    return false;
  }
};

export const path: OutlineKind<PathOutline> = {
  kind: 'path',
  name: 'Shape',
  schema: object({
    kind: string().oneOf(['path']).required(),
    data: string().max(200_000).test('path', 'a cut is not a readable path', isReadablePath).required(),
    name: string().max(80).required(),
  }).noUnknown(),
  cut: ({ data }, size) => ({ path: fitted(parsePath(data), size) }),
};

function fitted(drawn: Path, size: { width: number; height: number }): Path {
  const { x, y, width, height } = pathBounds(drawn);
  return transformPath(
    compose(scaling(size.width / width, size.height / height), translation(-x - width / 2, -y - height / 2)),
    drawn,
  );
}
