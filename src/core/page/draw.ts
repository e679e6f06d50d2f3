/** Page to Picture: the only way from the model to anything that can be seen. */
import { boxOfPoints, corners, outset, type Box } from '@/core/geometry/box';
import { apply, translation, compose } from '@/core/geometry/matrix';
import { pathBounds, type Path } from '@/core/geometry/path';
import type { Asset } from '@/core/picture/asset';
import { reachOf, type DrawnPiece, type Mark, type Picture } from '@/core/picture/picture';
import { marksOver, marksUnder, worked } from '@/core/piece/finish';
import type { Edge } from '@/core/piece/finish/edge';
import { matPaths } from '@/core/piece/finish/mats';
import { strokeReach } from '@/core/piece/finish/stroke';
import type { PageLight } from '@/core/piece/finish/light';
import { materialKind } from '@/core/piece/material';
import { outlineKind, type Outline } from '@/core/piece/outline';
import type { MadeCut } from '@/core/piece/outline/kind';
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
  const { path, face, soft, words } = cutOf(piece, tools);
  const marks: Mark[] = [
    ...marksUnder(finish, light, path, matrix, tools.asset),
    // Torn paper is white inside.
    ...(face ? [{ mark: 'fill' as const, path, colour: BARE }] : []),
    materialKind(piece.material).fill(piece.material, {
      size: placement,
      path: face ?? path,
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
    ...(finish.blend ? { blend: finish.blend } : {}),
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

/** The inside of torn paper. */
const BARE = '#f8f5ee';

/** A cut as it was last made: an outline is another object when anything of it was changed. */
interface Made {
  width: number;
  height: number;
  edge: Edge | undefined;
  typesetter: Typesetter;
  cut: MadeCut & { face?: Path };
}
const made = new WeakMap<Outline, Made>();

/** The piece's outline in its own frame, its edge worked. */
export function cutOf({ outline, finish, placement }: Piece, { typesetter }: DrawingTools): Made['cut'] {
  const { width, height } = placement;
  const { edge } = finish;
  const last = made.get(outline);
  if (last?.width === width && last.height === height && last.edge === edge && last.typesetter === typesetter)
    return last.cut;
  const plain = outlineKind(outline).cut(outline, { width, height }, typesetter);
  // Where the edge is worked, a picture's soft edge and words as words are gone.
  const cut = edge ? worked(finish, plain.path) : plain;
  made.set(outline, { width, height, edge, typesetter, cut });
  return cut;
}

/** The same with its mats, and the room its stroke takes: what a hand can take hold of. */
export function outlineOf(piece: Piece, tools: DrawingTools): { path: Path; reach: number } {
  const { path } = cutOf(piece, tools);
  const mats = matPaths(piece.finish.mats ?? [], path);
  return { path: mats.at(-1) ?? path, reach: strokeReach(piece.finish.stroke) };
}
