/** Page to Picture: the only way from the model to anything that can be seen. */
import { boxOfPoints, corners, outset, type Box } from '@/core/geometry/box';
import { apply, translation, compose } from '@/core/geometry/matrix';
import { pathBounds } from '@/core/geometry/path';
import { reachOf, type DrawnPiece, type ImageMark, type Mark, type Picture } from '@/core/picture/picture';
import { cutOf, type DrawingTools } from '@/core/page/outlines';
import { tuckedOn, type Tucked } from '@/core/page/tuck';
import { marksOver, marksUnder } from '@/core/piece/finish';
import type { PageLight } from '@/core/piece/finish/light';
import { materialKind, type Material } from '@/core/piece/material';
import type { InkedLetters } from '@/core/piece/outline/kind';
import type { Cut } from '@/core/piece/material/kind';
import type { Piece } from '@/core/piece/piece';
import { placementMatrix } from '@/core/piece/placement/placement';
import type { Surface } from '@/core/project/model';

/** The pieces that show, bottom first. Hidden ones are left out. */
export const drawSurface = (surface: Surface, tools: DrawingTools): Picture => ({
  title: surface.name,
  trim: { width: surface.width, height: surface.height },
  bleed: surface.bleed,
  ground: surface.ground,
  pieces: drawPile(surface, tools),
});

function drawPile({ pile, light }: Surface, tools: DrawingTools): DrawnPiece[] {
  const tucked = tuckedOn(pile, light, tools);
  return pile
    .filter((piece) => !piece.placement.hidden)
    .map((piece) => drawPiece(piece, light, tools, tucked.get(piece.id)));
}

/** One piece by itself, or as far as what it is tucked under leaves it to be seen. */
export function drawPiece(piece: Piece, light: PageLight, tools: DrawingTools, tucked?: Tucked): DrawnPiece {
  const { placement, finish } = piece;
  const matrix = placementMatrix(placement);
  const { path, face, inked, more } = cutOf(piece, tools);
  const kind = materialKind(piece.material);
  const cut = cutFor(piece, tools);
  const whole: Mark[] = [
    ...marksUnder(finish, light, path, matrix, tools),
    // Torn paper is white inside.
    ...(face ? [{ mark: 'fill' as const, path, colour: BARE }] : []),
    ...(inked ? lettersInOrder(inked, piece.material, cut) : kind.fill(piece.material, cut)),
    ...(more ?? []),
    ...marksOver(finish, light, { path, face }, matrix),
  ];
  const marks = tucked
    ? [
        ...whole.map((mark) => ({ ...mark, within: [...(mark.within ?? []), tucked.within] })),
        ...tucked.shadows,
      ]
    : whole;
  return {
    id: piece.id,
    name: piece.name,
    matrix,
    opacity: finish.opacity,
    ...(finish.blend ? { blend: finish.blend } : {}),
    marks,
    bounds: boundsOf(marks, matrix),
    words: piece.outline.kind === 'glyphs' ? piece.outline.text : undefined,
  };
}

/** Letters in several inks, in the order they are read: so they stand in a PDF. A material that is no ink lies beneath them. */
function lettersInOrder(inked: readonly InkedLetters[], material: Material, cut: Cut): Mark[] {
  const base = material.kind === 'ink' ? material.colour : undefined;
  return [
    ...(base === undefined ? materialKind(material).fill(material, cut) : []),
    ...inked.flatMap(({ ink = base, path, words }): Mark[] =>
      ink === undefined ? [] : [{ mark: 'fill', colour: ink, path, words }],
    ),
  ];
}

const cutFor = (piece: Piece, tools: DrawingTools): Cut => {
  const { path, face, plain, soft, words } = cutOf(piece, tools);
  const { typesetter, asset } = tools;
  return { size: piece.placement, path: face ?? plain ?? path, soft, words, typesetter, asset };
};

/** How a piece shows its picture: where the picture lies in the piece, and what cuts it; null if it shows none. */
export function pictureOn(piece: Piece, tools: DrawingTools): ImageMark | null {
  const marks = materialKind(piece.material).fill(piece.material, cutFor(piece, tools));
  return marks.find((mark) => mark.mark === 'image') ?? null;
}

function boundsOf(marks: readonly Mark[], matrix: DrawnPiece['matrix']): Box {
  const reached = marks.flatMap((mark) => {
    const { path, by, offset } = reachOf(mark);
    const map = compose(matrix, translation(offset.x, offset.y));
    return corners(outset(pathBounds(path), by)).map((corner) => apply(map, corner));
  });
  return boxOfPoints(reached);
}

/** The inside of torn paper. */
const BARE = '#f8f5ee';
