/** What is all but straight, or all but in line: too little to be meant, enough to be seen. */
import type { Size } from '@/core/geometry/box';
import type { Piece } from '@/core/piece/piece';
import { on, type Check, type Finding } from '@/core/proof/check';
import { formatLength, type Unit } from '@/core/units/lengths';

/** Degrees, and points (0.02 in). */
const NEARLY_STRAIGHT = 0.4;
const NEARLY_IN_LINE = 1.44;
/** What is nearer cannot be seen. */
const [STRAIGHT, IN_LINE] = [0.02, 0.36];
/** More pieces than this are not compared with each other. */
const MOST = 300;

/** How far a piece is turned from the nearest right angle, degrees. */
const offStraight = ({ placement: { turn } }: Piece): number => turn - 90 * Math.round(turn / 90);

interface Edges {
  piece: Piece;
  left: number;
  right: number;
  top: number;
  bottom: number;
}

/** The edges of what lies straight, and has edges to be seen. */
function edgesOf(piece: Piece): Edges[] {
  const { x, y, turn } = piece.placement;
  if (piece.outline.kind !== 'rectangle' || Math.abs(offStraight(piece)) > STRAIGHT) return [];
  const upright = Math.round(turn / 90) % 2 === 0;
  const { width, height } = piece.placement;
  const [w, h] = upright ? [width, height] : [height, width];
  return [{ piece, left: x - w / 2, right: x + w / 2, top: y - h / 2, bottom: y + h / 2 }];
}

const NAMED = ['left', 'right', 'top', 'bottom'] as const;

function outOfLine(a: Edges, b: Edges, page: Size, unit: Unit): Finding[] {
  for (const edge of NAMED) {
    const off = Math.abs(a[edge] - b[edge]);
    // What is trimmed off is out of line with nothing.
    const most = edge === 'left' || edge === 'right' ? page.width : page.height;
    if (Math.min(a[edge], b[edge]) < 1 || Math.max(a[edge], b[edge]) > most - 1) continue;
    if (off > IN_LINE && off <= NEARLY_IN_LINE)
      return [
        on(
          a.piece,
          `Its ${edge} edge is ${formatLength(off, unit, true)} out of line with ${b.piece.name || 'another piece'}.`,
          false,
        ),
      ];
  }
  return [];
}

export const NEAR_MISS: Check = {
  id: 'near miss',
  look({ seen, surface, project: { unit } }) {
    const turned = seen.flatMap((piece) => {
      const off = Math.abs(offStraight(piece));
      return off > STRAIGHT && off <= NEARLY_STRAIGHT
        ? [on(piece, `Turned by ${Number(off.toFixed(2))} degrees: all but straight.`, false)]
        : [];
    });
    const straight = seen.length > MOST ? [] : seen.flatMap(edgesOf);
    // Each piece is told once, by the first it is out of line with.
    const lines = straight.flatMap((a, i) => {
      for (const b of straight.slice(0, i)) {
        const [found] = outOfLine(a, b, surface, unit);
        if (found) return [found];
      }
      return [];
    });
    return [...turned, ...lines];
  },
};
