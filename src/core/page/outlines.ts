/** How pieces are cut, worked and matted, in their own frames: what is drawn, taken hold of, and lies over others. */
import type { Box } from '@/core/geometry/box';
import type { Matrix } from '@/core/geometry/matrix';
import type { Path } from '@/core/geometry/path';
import type { Asset } from '@/core/picture/asset';
import type { Fold } from '@/core/picture/picture';
import { sameWork, worked, type Finish } from '@/core/piece/finish';
import { matPaths } from '@/core/piece/finish/mats';
import { strokeReach } from '@/core/piece/finish/stroke';
import { trailsReach } from '@/core/piece/finish/trails';
import { outlineKind, type Outline } from '@/core/piece/outline';
import type { MadeCut } from '@/core/piece/outline/kind';
import type { Piece } from '@/core/piece/piece';
import { behindOn, foldsOn, otherFace, outlineOn } from '@/core/product';
import type { Project, Surface } from '@/core/project/model';
import type { Typesetter } from '@/core/text/typesetter';

/** What drawing needs beside the page itself. */
export interface DrawingTools {
  typesetter: Typesetter;
  asset(sha: string): Asset | undefined;
  /** What else of the product has to do with a surface: its paper's other side, and what lies behind its panels. */
  sides?(surface: Surface): Sides;
}

export interface Sides {
  other: { surface: Surface; through: Matrix } | null;
  behind: { box: Box; surface: Surface; dx: number; dy: number }[];
  folds: readonly Fold[];
  /** Where the paper is cut, if it is no rectangle. */
  paper: Path | null;
}

export const toolsFor = (project: Project, typesetter: Typesetter): DrawingTools => ({
  typesetter,
  asset: (sha) => project.assets[sha],
  sides: (surface) => ({
    other: otherFace(project, surface),
    behind: behindOn(project, surface),
    folds: foldsOn(project, surface),
    paper: outlineOn(project, surface),
  }),
});

/** A cut as it was last made: an outline is another object when anything of it was changed. */
interface Made {
  width: number;
  height: number;
  finish: Finish;
  typesetter: Typesetter;
  cut: MadeCut & { face?: Path };
}
const made = new WeakMap<Outline, Made>();

/** The piece's outline in its own frame, its edge worked. */
export function cutOf(
  { outline, finish, placement }: Piece,
  { typesetter, asset }: DrawingTools,
): Made['cut'] {
  const { width, height } = placement;
  const last = made.get(outline);
  if (
    last?.width === width &&
    last.height === height &&
    sameWork(last.finish, finish) &&
    last.typesetter === typesetter
  )
    return last.cut;
  const plain = outlineKind(outline).cut(outline, { width, height }, typesetter, asset);
  // Where the edge is worked, a picture's soft edge and words as words are gone.
  const cut = worked(finish, plain.path) ?? plain;
  made.set(outline, { width, height, finish, typesetter, cut });
  return cut;
}

/** How far what runs along its edge makes a piece larger, points. */
export const beyondOf = ({ stroke, trails }: Finish): number =>
  Math.max(strokeReach(stroke), trailsReach(trails));

/** The same with its mats, and the room its stroke takes: what a hand can take hold of. */
export function outlineOf(piece: Piece, tools: DrawingTools): { path: Path; reach: number } {
  const { path } = cutOf(piece, tools);
  const mats = matPaths(piece.finish.mats ?? [], path);
  return { path: mats.at(-1) ?? path, reach: beyondOf(piece.finish) };
}
