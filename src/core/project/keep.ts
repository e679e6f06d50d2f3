/** Pieces taken off a page to be kept as a supply. */
import { outset, unite, type Box } from '@/core/geometry/box';
import type { Piece } from '@/core/piece/piece';
import { extentOf } from '@/core/piece/placement/placement';
import type { Surface } from '@/core/project/model';

/**
 * Some pieces as a sheet of their own, as large as they are, with no ground and no shadows beneath them: those come anew
 * wherever the supply is laid. A single piece is turned upright. Throws RangeError for no pieces.
 */
export function sheetOfPieces(surface: Surface, pieces: readonly Piece[]): Surface {
  if (!pieces.length) throw new RangeError('No pieces to keep.');
  const [only] = pieces;
  const upright =
    pieces.length === 1 ? [{ ...only!, placement: { ...only!.placement, turn: 0 } }] : [...pieces];
  const box = upright.map(reach).reduce(unite);
  // What lies lowest throws no shadow on anything; what lies on it does.
  const pile = upright.map((piece, i): Piece => {
    const { placement, finish } = piece;
    return {
      ...piece,
      finish: i === 0 ? { ...finish, lift: { ...finish.lift, shadow: false } } : finish,
      placement: { ...placement, x: placement.x - box.x, y: placement.y - box.y, hidden: false },
    };
  });
  return { ...surface, width: box.width, height: box.height, bleed: 0, safe: 0, ground: 'transparent', pile };
}

const reach = ({ placement, finish }: Piece): Box => outset(extentOf(placement), finish.stroke?.width ?? 0);
