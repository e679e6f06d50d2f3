/** How leaves hang together, and the room that takes: nothing that is to be read lies where holes are punched. */
import type { Size } from '@/core/geometry/box';
import { ellipsePath, rectanglePath, type Path } from '@/core/geometry/path';
import type { Sides } from '@/core/geometry/sides';
import type { Bound } from '@/core/product/product';
import { toPoints } from '@/core/units/lengths';

export const BINDINGS = {
  wire: { name: 'Wire' },
  spiral: { name: 'Spiral' },
  holes: { name: 'Two holes' },
  hook: { name: 'A hook' },
} as const;
export type BindingKind = keyof typeof BINDINGS;

/** The edge of a leaf that is bound. */
export type BoundEdge = 'top' | 'left' | 'bottom';

const mm = (length: number): number => toPoints(length, 'mm');

interface Punching {
  /** How far from the edge nothing may lie that is to be read. */
  depth: number;
  /** Middles of the holes along an edge of a length, and how far they lie from it. */
  along(length: number): number[];
  inset: number;
  hole(x: number, y: number): Path;
  /** How much of the edge is kept free, about its middle; all of it without. */
  wide?: number;
}

const round =
  (diameter: number) =>
  (x: number, y: number): Path =>
    ellipsePath({ x: x - diameter / 2, y: y - diameter / 2, width: diameter, height: diameter });

/** As many as there is room for at a pitch, about the middle, none nearer to a corner than half a pitch. */
const pitched =
  (pitch: number) =>
  (length: number): number[] => {
    const count = Math.max(1, Math.floor(length / pitch));
    return Array.from({ length: count }, (_, i) => length / 2 + (i - (count - 1) / 2) * pitch);
  };

/**
 * Wire: three square holes of 4 mm to the inch; spiral: four round ones to the inch; a nail's hole of 6 mm for hanging (common
 * practice, no source). Two holes: ISO 838, 6 mm wide, 80 mm apart, 12 mm from the edge (from memory).
 */
const PUNCHED: Record<BindingKind, Punching> = {
  wire: {
    ...{ depth: mm(12), inset: mm(6), along: pitched(toPoints(1 / 3, 'in')) },
    hole: (x, y) => rectanglePath({ x: x - mm(2), y: y - mm(2), width: mm(4), height: mm(4) }),
  },
  spiral: { depth: mm(11), inset: mm(5.5), along: pitched(toPoints(1 / 4, 'in')), hole: round(mm(4)) },
  holes: {
    ...{ depth: mm(20), inset: mm(12), hole: round(mm(6)) },
    along: (length) => {
      const apart = Math.min(mm(80), length / 2);
      return [length / 2 - apart / 2, length / 2 + apart / 2];
    },
  },
  hook: { depth: mm(16), inset: mm(9), along: (length) => [length / 2], hole: round(mm(6)), wide: mm(30) },
};

/** What a binding takes of a paper along one of its edges, or along a level line across it, on both sides of that. */
export function boundAlong(kind: BindingKind, { width, height }: Size, edge: BoundEdge | number): Bound[] {
  const { depth, inset, along, hole, wide } = PUNCHED[kind];
  const length = edge === 'left' ? height : width;
  const from = wide === undefined ? 0 : Math.max(0, (length - wide) / 2);
  const long = Math.min(length, wide ?? length);
  const level = (y: number, down: 1 | -1): Bound => ({
    box: { x: from, y: down > 0 ? y : y - depth, width: long, height: depth },
    holes: along(length).map((x) => hole(x, y + down * inset)),
  });
  if (edge === 'left')
    return [
      {
        box: { x: 0, y: from, width: depth, height: long },
        holes: along(length).map((y) => hole(inset, y)),
      },
    ];
  if (edge === 'top') return [level(0, 1)];
  if (edge === 'bottom') return [level(height, -1)];
  return [level(edge, -1), level(edge, 1)];
}

/** The safe area that leaves, of a paper bound at an edge: nothing for a line across it. */
export const boundSafe = (kind: BindingKind, edge: BoundEdge | number): Partial<Sides> =>
  typeof edge === 'number' ? {} : { [edge]: PUNCHED[kind].depth };
