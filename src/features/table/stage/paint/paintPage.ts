/** A page, or a part of it, as a small picture: for the shelf, for versions side by side, for what a choice would do. */
import type { Box } from '@/core/geometry/box';
import { compose, growth, scaling, translation } from '@/core/geometry/matrix';
import { drawClear, drawSurface } from '@/core/page/draw';
import { toolsFor } from '@/core/page/outlines';
import { assetsIn } from '@/core/piece/assets';
import { behindOn } from '@/core/product';
import type { Project, Surface } from '@/core/project/model';
import type { Typesetter } from '@/core/text/typesetter';
import { uprightSize, type Asset } from '@/core/picture/asset';
import type { DrawnPiece, ImageMark } from '@/core/picture/picture';
import { wornPixels } from '@/output/drawings';
import { drawPieces } from '@/output/pixels/draw';
import type { DrawingSource } from '@/output/pixels/marks';
import { browser, browserWide, type Drawable, type Platform } from '@/output/platform';
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
  /** Some of it reaches beyond sRGB: all of it is painted in Display P3. */
  wide?: WidePictures | null,
];

export interface WidePictures {
  /** A picture in Display P3; those that do not need it are in sRGB as ever. */
  take(sha: string): OffscreenCanvas | undefined;
}

/** The pictures that are seen on a page, through its openings too: what else arrives changes nothing of it. */
export const shownOn = (project: Project, surface: Surface): ReadonlySet<string> =>
  new Set(
    [surface, ...behindOn(project, surface).map((behind) => behind.surface)].flatMap(({ pile }) =>
      pile.flatMap(assetsIn),
    ),
  );

/** The trim, or `part` of it (page points), `side` pixels at its longer side. What is not decoded yet is grey. */
export function paintPage(...asked: Asked): OffscreenCanvas {
  const { canvas, pieces, draw } = begin(...asked);
  draw(pieces);
  return canvas;
}

/** Milliseconds it paints before the table gets its turn. */
const ONE_TURN = 10;
/** Milliseconds after which it goes on though the table is never idle. */
const AT_LATEST = 150;

/** When nothing else is to be done: while something moves, its frames come first. */
const leisure = (): Promise<unknown> =>
  new Promise((resolve) => {
    // Not every browser says when it is idle.
    if (typeof requestIdleCallback === 'undefined') setTimeout(resolve);
    else requestIdleCallback(resolve, { timeout: AT_LATEST });
  });

/** The same, a few pieces at a time, so that nothing waits for it; null once it is no longer `wanted`. */
export async function paintPageInTurns(
  asked: Asked,
  wanted: () => boolean = () => true,
): Promise<OffscreenCanvas | null> {
  const { canvas, context, pieces, draw } = begin(...asked);
  let since = performance.now();
  for (const piece of pieces) {
    draw([piece]);
    // Canvases put off what is drawn until it is looked at: a turn would take no time, and the last one all of it.
    context.getImageData(0, 0, 1, 1);
    if (performance.now() - since < ONE_TURN) continue;
    await leisure();
    if (!wanted()) return null;
    since = performance.now();
  }
  return canvas;
}

/** Pixels at its longer side up to which a drawing is shown as the picture that was made of it, a little larger. */
const AS_PICTURE = 700;

function begin(
  ...[
    project,
    surface,
    typesetter,
    shelf,
    side,
    part = { x: 0, y: 0, width: surface.width, height: surface.height },
    clear = false,
    wide = null,
  ]: Asked
) {
  const tools = toolsFor(project, typesetter);
  const { pieces } = clear ? drawClear(surface, tools) : drawSurface(surface, tools);
  const scale = side / Math.max(part.width, part.height);
  const canvas = new OffscreenCanvas(
    Math.max(1, Math.round(part.width * scale)),
    Math.max(1, Math.round(part.height * scale)),
  );
  // So small it is painted by the processor: nothing is fetched back from elsewhere.
  const context = canvas.getContext('2d', {
    willReadFrequently: true,
    colorSpace: wide ? 'display-p3' : 'srgb',
  })!;
  if (!clear) {
    context.fillStyle = surface.ground;
    context.fillRect(0, 0, canvas.width, canvas.height);
  }
  const view = compose(scaling(scale), translation(-part.x, -part.y));
  const pixelsOf = (asset: Asset, mark: ImageMark) =>
    growth(mark.matrix) * scale * Math.max(asset.width, asset.height);
  const platform = wide ? browserWide : browser;
  const source: DrawingSource = {
    platform,
    font: typesetter.font,
    treatmentPixels: side * side,
    drawing: (sha, mark) => {
      const asset = project.assets[sha];
      // A pattern has thousands of lines: small, its picture is as good, and there at once.
      return asset && pixelsOf(asset, mark) > AS_PICTURE ? shelf.drawing(asset, mark) : undefined;
    },
    image: (sha, mark) => {
      const asset = project.assets[sha];
      // No more of it than is shown here: a mosaic has hundreds.
      if (!asset) return undefined;
      const reaching = wide?.take(sha);
      if (reaching) return worn(reaching, asset, mark, platform);
      return shelf.take(asset, pixelsOf(asset, mark), mark);
    },
  };
  const draw = (some: readonly DrawnPiece[]) => drawPieces(context, some, view, source);
  return { canvas, context, pieces, draw };
}

/** A picture as its mark wears it. */
function worn(source: OffscreenCanvas, asset: Asset, mark: ImageMark, platform: Platform) {
  const plain: Drawable = { source, width: source.width, height: source.height };
  const { ink, tone, dyes } = mark;
  return {
    ...(ink || tone || dyes ? wornPixels(plain, mark, platform) : plain),
    whole: uprightSize(asset),
  };
}
