/** How much room pieces take on the page, by their true outlines. */
import { unite, type Box } from '@/core/geometry/box';
import { pathBounds, transformPath } from '@/core/geometry/path';
import { outlineOf, type DrawingTools } from '@/core/page/outlines';
import { outlineKind } from '@/core/piece/outline';
import { extentOf, placementMatrix } from '@/core/piece/placement/placement';
import type { Piece } from '@/core/piece/piece';

/**
 * The upright box round a piece's turned outline, points: a turned disc takes no more room than one that lies straight.
 * Words in lines count by their box, which is what a hand takes hold of. Strokes and shadows are not counted.
 */
export function trueExtent(piece: Piece, tools: DrawingTools): Box {
  const { outline, placement, finish } = piece;
  const { typesetter } = tools;
  if (outlineKind(outline).byBox) return extentOf(placement);
  const { x, y, width, height, turn, mirror } = placement;
  let known = cut.get(outline);
  if (
    !known ||
    known.width !== width ||
    known.height !== height ||
    known.turn !== turn ||
    known.mirror !== mirror ||
    known.finish !== finish ||
    known.typesetter !== typesetter
  ) {
    const lying = placementMatrix({ ...placement, x: 0, y: 0 });
    const box = pathBounds(transformPath(lying, outlineOf(piece, tools).path));
    known = { width, height, turn, mirror, finish, typesetter, box };
    cut.set(outline, known);
  }
  return { ...known.box, x: known.box.x + x, y: known.box.y + y };
}

/** The last box of each outline, about its middle: while things only move, nothing need be cut anew. */
const cut = new WeakMap<
  Piece['outline'],
  Pick<Piece['placement'], 'width' | 'height' | 'turn' | 'mirror'> &
    Pick<Piece, 'finish'> &
    Pick<DrawingTools, 'typesetter'> & { box: Box }
>();

/** The box round several pieces. Throws TypeError for none. */
export const extentOfAll = (pieces: readonly Piece[], tools: DrawingTools): Box =>
  pieces.map((piece) => trueExtent(piece, tools)).reduce(unite);
