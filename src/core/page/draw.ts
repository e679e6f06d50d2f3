/** Page to Picture: the only way from the model to anything that can be seen. */
import { boxOfPoints, corners, outset, type Box } from '@/core/geometry/box';
import { apply, translation, compose } from '@/core/geometry/matrix';
import { pathBounds } from '@/core/geometry/path';
import type { Asset } from '@/core/picture/asset';
import { reachOf, type DrawnPiece, type Mark, type Picture } from '@/core/picture/picture';
import { marksOver, marksUnder } from '@/core/piece/finish';
import { strokeReach } from '@/core/piece/finish/stroke';
import type { PageLight } from '@/core/piece/finish/light';
import { materialKind } from '@/core/piece/material';
import { outlineKind } from '@/core/piece/outline';
import type { Piece } from '@/core/piece/piece';
import { placementMatrix } from '@/core/piece/placement/placement';
import type { Project, Surface } from '@/core/project/model';
import type { Typesetter } from '@/core/text/typesetter';

/** What drawing needs beside the page itself. */
export interface DrawingTools {
  typesetter: Typesetter;
  asset(sha: string): Asset | undefined;
}

export const toolsFor = (project: Project, typesetter: Typesetter): DrawingTools => ({
  typesetter,
  asset: (sha) => project.assets[sha],
});

/** The pieces that show, bottom first. Hidden ones are left out. */
export const drawSurface = (surface: Surface, tools: DrawingTools): Picture => ({
  title: surface.name,
  trim: { width: surface.width, height: surface.height },
  bleed: surface.bleed,
  ground: surface.ground,
  pieces: surface.pile
    .filter((piece) => !piece.placement.hidden)
    .map((piece) => drawPiece(piece, surface.light, tools)),
});

export function drawPiece(piece: Piece, light: PageLight, tools: DrawingTools): DrawnPiece {
  const { placement, finish } = piece;
  const matrix = placementMatrix(placement);
  const { path, soft, words } = outlineKind(piece.outline).cut(piece.outline, placement, tools.typesetter);
  const marks: Mark[] = [
    ...marksUnder(finish, light, path, matrix),
    materialKind(piece.material).fill(piece.material, {
      size: placement,
      path,
      soft,
      words,
      asset: tools.asset,
    }),
    ...marksOver(finish, path),
  ];
  return {
    id: piece.id,
    name: piece.name,
    matrix,
    opacity: finish.opacity,
    marks,
    bounds: boundsOf(marks, matrix),
    words: piece.outline.kind === 'glyphs' ? piece.outline.text : undefined,
  };
}

function boundsOf(marks: readonly Mark[], matrix: DrawnPiece['matrix']): Box {
  const reached = marks.flatMap((mark) => {
    const { path, by, offset } = reachOf(mark);
    const map = compose(matrix, translation(offset.x, offset.y));
    return corners(outset(pathBounds(path), by)).map((corner) => apply(map, corner));
  });
  return boxOfPoints(reached);
}

/** The piece's outline in its own frame, with the room its stroke takes: what a hand can take hold of. */
export const outlineOf = (piece: Piece, tools: DrawingTools) => ({
  path: outlineKind(piece.outline).cut(piece.outline, piece.placement, tools.typesetter).path,
  reach: strokeReach(piece.finish.stroke),
});
