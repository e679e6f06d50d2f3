/** A page, or a part of it, as a small picture: for the shelf, for versions side by side, for what a choice would do. */
import type { Box } from '@/core/geometry/box';
import { compose, growth, scaling, translation } from '@/core/geometry/matrix';
import { drawSurface } from '@/core/page/draw';
import { toolsFor } from '@/core/page/outlines';
import type { Project, Surface } from '@/core/project/model';
import type { Typesetter } from '@/core/text/typesetter';
import { drawPieces } from '@/output/pixels/draw';
import { browser } from '@/output/platform';
import type { PictureShelf } from '@/features/table/room/pictures';

/** The trim, or `part` of it (page points), `side` pixels at its longer side. What is not decoded yet is grey. */
export function paintPage(
  project: Project,
  surface: Surface,
  typesetter: Typesetter,
  shelf: PictureShelf,
  side: number,
  part: Box = { x: 0, y: 0, width: surface.width, height: surface.height },
): OffscreenCanvas {
  const { pieces, ground } = drawSurface(surface, toolsFor(project, typesetter));
  const scale = side / Math.max(part.width, part.height);
  const canvas = new OffscreenCanvas(
    Math.max(1, Math.round(part.width * scale)),
    Math.max(1, Math.round(part.height * scale)),
  );
  const context = canvas.getContext('2d')!;
  context.fillStyle = ground;
  context.fillRect(0, 0, canvas.width, canvas.height);
  drawPieces(context, pieces, compose(scaling(scale), translation(-part.x, -part.y)), {
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
  });
  return canvas;
}
