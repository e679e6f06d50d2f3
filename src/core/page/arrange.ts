/** Where things go when they are aligned, spaced, set round a circle or repeated. Boxes and lengths in points. */
import type { Box, Size } from '@/core/geometry/box';
import type { Point } from '@/core/geometry/matrix';
import type { Repeat } from '@/core/project/model';

/** How far each thing has to be moved, in the order they were given. */
export type Moves = Point[];

export type AlignTo = 'left' | 'centre' | 'right' | 'top' | 'middle' | 'bottom';

/** Which way an alignment moves, and the share of a box that is brought to line up. */
const ALIGN: Record<AlignTo, { axis: 'x' | 'y'; share: number }> = {
  left: { axis: 'x', share: 0 },
  centre: { axis: 'x', share: 0.5 },
  right: { axis: 'x', share: 1 },
  top: { axis: 'y', share: 0 },
  middle: { axis: 'y', share: 0.5 },
  bottom: { axis: 'y', share: 1 },
};

const sideOf = { x: 'width', y: 'height' } as const;
const along = (axis: 'x' | 'y', by: number): Point => (axis === 'x' ? { x: by, y: 0 } : { x: 0, y: by });

/** Brings the same edge or middle of every box to that of `frame`. */
export function align(boxes: readonly Box[], to: AlignTo, frame: Box): Moves {
  const { axis, share } = ALIGN[to];
  const at = (box: Box) => box[axis] + share * box[sideOf[axis]];
  return boxes.map((box) => along(axis, at(frame) - at(box)));
}

/**
 * Spaces boxes along an axis in the order they lie. With `gap` that much air comes between neighbours, from the first on;
 * without, the first and last stay and the air between is shared out equally (it may be less than none).
 */
export function distribute(boxes: readonly Box[], axis: 'x' | 'y', gap?: number): Moves {
  const side = sideOf[axis];
  const order = boxes
    .map((_, i) => i)
    .sort((a, b) => boxes[a]![axis] + boxes[a]![side] / 2 - (boxes[b]![axis] + boxes[b]![side] / 2));
  const moves: Moves = boxes.map(() => ({ x: 0, y: 0 }));
  if (boxes.length < 2) return moves;
  const first = boxes[order[0]!]!;
  const last = boxes[order.at(-1)!]!;
  const taken = boxes.reduce((sum, box) => sum + box[side], 0);
  const air = gap ?? (last[axis] + last[side] - first[axis] - taken) / (boxes.length - 1);
  let next = first[axis];
  for (const i of order) {
    moves[i] = along(axis, next - boxes[i]![axis]);
    next += boxes[i]![side] + air;
  }
  return moves;
}

export interface Arc {
  centre: Point;
  radius: number;
  /** Degrees clockwise from straight up, of the first thing's middle. */
  from: number;
  /** Degrees from the first to the last, clockwise; 360 is a whole circle, on which the last does not fall on the first. */
  sweep: number;
}

/** Where the middles of `count` things come to lie on an arc, equally far apart, with how far each is turned, degrees. */
export function onArc(count: number, { centre, radius, from, sweep }: Arc): (Point & { turn: number })[] {
  const whole = Math.abs(sweep) >= 360;
  const step = count > 1 ? (whole ? Math.sign(sweep) * 360 : sweep) / (whole ? count : count - 1) : 0;
  return Array.from({ length: count }, (_, i) => {
    const turn = from + i * step;
    const radians = (turn * Math.PI) / 180;
    return { x: centre.x + radius * Math.sin(radians), y: centre.y - radius * Math.cos(radians), turn };
  });
}

/** How far each cell of rows and columns lies from the first, row by row; `cell` is the box that is repeated. */
export function cells({ columns, rows, gapX, gapY, shift }: Repeat, cell: Size): Point[] {
  return Array.from({ length: rows * columns }, (_, i) => {
    const row = Math.floor(i / columns);
    return {
      x: (i % columns) * (cell.width + gapX) + (row % 2 ? shift : 0),
      y: row * (cell.height + gapY),
    };
  });
}

/** The room rows and columns take. */
export function sizeOfCells(repeat: Repeat, cell: Size): Size {
  const at = cells(repeat, cell);
  const span = (axis: 'x' | 'y') =>
    Math.max(...at.map((point) => point[axis])) - Math.min(...at.map((point) => point[axis]));
  return { width: span('x') + cell.width, height: span('y') + cell.height };
}
