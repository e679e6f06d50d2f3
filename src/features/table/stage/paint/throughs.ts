/** What is seen through openings of the page: each as a bitmap, kept until it, or what lies behind, is another. */
import { compose, translation, type Matrix } from '@/core/geometry/matrix';
import { drawThrough } from '@/core/page/draw';
import type { toolsFor } from '@/core/page/outlines';
import type { PageLight } from '@/core/piece/finish/light';
import type { Piece } from '@/core/piece/piece';
import type { Surface } from '@/core/project/model';
import { drawPieces, pixelBounds } from '@/output/pixels/draw';
import type { DrawingSource } from '@/output/pixels/marks';

/** Where it lies from the view's origin. */
interface SeenBitmap {
  piece: Piece;
  scale: number;
  light: PageLight;
  behind: readonly unknown[];
  bitmap: OffscreenCanvas;
  x: number;
  y: number;
}

interface Looking {
  surface: Surface;
  /** What lies behind the page, for comparing. */
  behind: readonly unknown[];
  view: Matrix;
  tools: ReturnType<typeof toolsFor>;
  source: DrawingSource;
}

export class Throughs {
  private readonly seen = new Map<string, SeenBitmap>();

  /** Something behind may be another. Tells whether anything was seen through. */
  clear(): boolean {
    const any = this.seen.size > 0;
    this.seen.clear();
    return any;
  }

  lay(context: CanvasRenderingContext2D, piece: Piece, looking: Looking): void {
    const { surface, behind, view } = looking;
    const known = this.seen.get(piece.id);
    const same =
      known?.piece === piece &&
      known.scale === view[0] &&
      known.light === surface.light &&
      known.behind === behind;
    const seen = same ? known : seenNow(piece, looking);
    this.seen.set(piece.id, seen);
    context.drawImage(seen.bitmap, Math.round(view[4]) + seen.x, Math.round(view[5]) + seen.y);
  }
}

function seenNow(piece: Piece, { surface, behind, view, tools, source }: Looking): SeenBitmap {
  const scale = view[0];
  const drawn = drawThrough(piece, surface, tools);
  const origin: Matrix = [scale, 0, 0, scale, 0, 0];
  // All of it is seen within the opening.
  const { x, y, width, height } = pixelBounds(drawn[0]!, origin);
  const bitmap = new OffscreenCanvas(Math.max(1, width), Math.max(1, height));
  drawPieces(bitmap.getContext('2d')!, drawn, compose(translation(-x, -y), origin), source);
  return { piece, scale, light: surface.light, behind, bitmap, x, y };
}
