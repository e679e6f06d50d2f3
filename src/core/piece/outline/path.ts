/** Any drawn shape, stretched to the piece's box. */
import { number, object, string } from 'yup';
import type { Box, Size } from '@/core/geometry/box';
import { compose, scaling, translation } from '@/core/geometry/matrix';
import { parsePath, pathBounds, transformPath, type Path } from '@/core/geometry/path';
import type { OutlineKind } from '@/core/piece/outline/kind';
import { shortened } from '@/core/text/named';

export interface PathOutline {
  kind: 'path';
  /** SVG path data without arcs, in any unit. */
  data: string;
  /** What of the drawing's plane is stretched to the box; its own extent without. */
  frame?: Box;
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

/** Characters of what a shape is called. */
const LONGEST_NAME = 80;

/** What a shape is called that was cut from what is called so. */
export const shapeName = (called: string): string => shortened(called, LONGEST_NAME) || 'Shape';

/** Characters of path data. */
export const LONGEST_PATH = 1_000_000;

const far = number().min(-1e6).max(1e6).required();
const side = number().moreThan(0).max(1e6).required();

export const path: OutlineKind<PathOutline> = {
  kind: 'path',
  name: 'Shape',
  schema: object({
    kind: string().oneOf(['path']).required(),
    data: string().max(LONGEST_PATH).test('path', 'a cut is not a readable path', isReadablePath).required(),
    name: string().max(LONGEST_NAME).required(),
    frame: object({ x: far, y: far, width: side, height: side }).noUnknown().default(undefined).optional(),
  }).noUnknown(),
  says: ({ name }) => name,
  cut: ({ data, frame }, size) => {
    const drawn = parsePath(data);
    return { path: stretched(drawn, frame ?? pathBounds(drawn), size) };
  },
};

/** A drawing whose `frame` is stretched to a box of this size about the origin. */
export function stretched(drawn: Path, { x, y, width, height }: Box, size: Size): Path {
  return transformPath(
    compose(scaling(size.width / width, size.height / height), translation(-x - width / 2, -y - height / 2)),
    drawn,
  );
}
