/** A Picture as pixels on a canvas, piece by piece. */
import { madeOf, type Picture } from '@/core/picture/picture';
import { fail, ok, type Result } from '@/core/result';
import { ppiOf, type MakeOptions } from '@/output/formats';
import { AROUND, onDesk } from '@/output/pixels/desk';
import { drawPieces, LONGEST_SIDE, sheetOf } from '@/output/pixels/draw';
import { DecodedShelf } from '@/output/pixels/shelf';
import type { Canvas, Context } from '@/output/platform';
import type { Progress, Stock } from '@/output/stock';

export type Fine = Pick<MakeOptions, 'ppi' | 'side' | 'withBleed' | 'desk'>;

export interface Rendered {
  canvas: Canvas & CanvasImageSource;
  context: Context;
  /** Pixels per inch it came to. */
  ppi: number;
}

/** @param ground what is beneath it all; nothing without */
export async function rendered(
  picture: Picture,
  { withBleed, desk, ...fine }: Fine,
  ground: string | null,
  stock: Stock,
  progress: Progress,
): Promise<Result<Rendered>> {
  const page = ppiOf(fine, madeOf(picture, withBleed));
  const ppi = desk ? page * (1 - 2 * AROUND) : page;
  const sheet = sheetOf(picture, ppi, withBleed);
  const longest = Math.max(sheet.width, sheet.height);
  if (longest > LONGEST_SIDE) {
    const most = Math.floor((ppi * LONGEST_SIDE) / longest / 10) * 10;
    return fail(
      `At ${Math.round(ppi)} ppi this page is ${sheet.width} x ${sheet.height} pixels; a picture file can be made up to ${LONGEST_SIDE} a side. Choose ${most} ppi or less, or make a PDF.`,
    );
  }
  const { canvas, context } = stock.platform.canvas(sheet.width, sheet.height);
  if (ground !== null) {
    context.fillStyle = ground;
    context.fillRect(0, 0, sheet.width, sheet.height);
  }
  const shelf = new DecodedShelf(picture, stock);
  try {
    for (const [i, piece] of picture.pieces.entries()) {
      progress(
        i / picture.pieces.length,
        `Drawing ${piece.name || 'a piece'}, ${i + 1} of ${picture.pieces.length}`,
      );
      const open = await shelf.openFor(i);
      drawPieces(context, [piece], sheet.view, {
        platform: stock.platform,
        font: stock.font,
        image: (key) => open.get(key),
        drawing: stock.drawing,
      });
      shelf.closeAfter(i);
    }
  } finally {
    shelf.closeAll();
  }
  return ok({ ...(desk ? onDesk(canvas, stock.platform) : { canvas, context }), ppi });
}
