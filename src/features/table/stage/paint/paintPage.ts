/** A page, or a part of it, as a small picture: for the shelf, for versions side by side, for what a choice would do. */
import type { Box } from '@/core/geometry/box';
import { compose, growth, scaling, translation } from '@/core/geometry/matrix';
import { drawClear, drawSurface } from '@/core/page/draw';
import { toolsFor } from '@/core/page/outlines';
import type { Project, Surface } from '@/core/project/model';
import type { Typesetter } from '@/core/text/typesetter';
import type { DrawnPiece } from '@/core/picture/picture';
import { drawPieces } from '@/output/pixels/draw';
import type { DrawingSource } from '@/output/pixels/marks';
import { browser } from '@/output/platform';
import type { PictureShelf } from '@/features/table/keeping/pictures';

type Asked = [
  project: Project,
  surface: Surface,
  typesetter: Typesetter,
  shelf: PictureShelf,
  side: number,
  part?: Box,
  /** As a paper by itself, clear where it has openings. */
  clear?: boolean,
];

/** The trim, or `part` of it (page points), `side` pixels at its longer side. What is not decoded yet is grey. */
export function paintPage(...asked: Asked): OffscreenCanvas {
  const { canvas, pieces, draw } = begin(...asked);
  draw(pieces);
  return canvas;
}

/** Pieces painted before the table gets its turn. */
const IN_ONE_TURN = 60;

/** The same, a few pieces at a time, so that nothing waits for it. */
export async function paintPageInTurns(...asked: Asked): Promise<OffscreenCanvas> {
  const { canvas, pieces, draw } = begin(...asked);
  for (let at = 0; at < pieces.length; at += IN_ONE_TURN) {
    if (at) await new Promise((resolve) => setTimeout(resolve));
    draw(pieces.slice(at, at + IN_ONE_TURN));
  }
  return canvas;
}

function begin(
  ...[
    project,
    surface,
    typesetter,
    shelf,
    side,
    part = { x: 0, y: 0, width: surface.width, height: surface.height },
    clear = false,
  ]: Asked
) {
  const tools = toolsFor(project, typesetter);
  const { pieces } = clear ? drawClear(surface, tools) : drawSurface(surface, tools);
  const scale = side / Math.max(part.width, part.height);
  const canvas = new OffscreenCanvas(
    Math.max(1, Math.round(part.width * scale)),
    Math.max(1, Math.round(part.height * scale)),
  );
  const context = canvas.getContext('2d')!;
  if (!clear) {
    context.fillStyle = surface.ground;
    context.fillRect(0, 0, canvas.width, canvas.height);
  }
  const view = compose(scaling(scale), translation(-part.x, -part.y));
  const source: DrawingSource = {
    platform: browser,
    font: typesetter.font,
    treatmentPixels: side * side,
    drawing: (sha, mark) => {
      const asset = project.assets[sha];
      return asset && shelf.drawing(asset, mark);
    },
    image: (sha, mark) => {
      const asset = project.assets[sha];
      // No more of it than is shown here: a mosaic has hundreds.
      return (
        asset && shelf.take(asset, growth(mark.matrix) * scale * Math.max(asset.width, asset.height), mark)
      );
    },
  };
  const draw = (some: readonly DrawnPiece[]) => drawPieces(context, some, view, source);
  return { canvas, pieces, draw };
}
