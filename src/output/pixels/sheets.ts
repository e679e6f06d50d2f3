/** Sheets of paper as pixels, for a browser's own print: pages laid on them as they are in a PDF. */
import { compose, scaling, translation, type Matrix } from '@/core/geometry/matrix';
import type { Box, Size } from '@/core/geometry/box';
import { withBleed } from '@/core/geometry/sides';
import { registerMarks } from '@/core/cutter/register';
import { tilesOf } from '@/core/packing/tiles';
import type { Picture } from '@/core/picture/picture';
import type { Line } from '@/core/product/imposition';
import { fail, ok, type Result } from '@/core/result';
import type { MakeOptions } from '@/output/formats';
import { rendered } from '@/output/pixels/rendered';
import { JPEG_QUALITY, type Progress, type Stock } from '@/output/stock';

/** One side of a sheet, lengths in points. */
interface Laid {
  paper: Size;
  placed: readonly { page: number; map: Matrix; seen: Box }[];
  ticks: readonly Line[];
}

export interface SheetPicture {
  /** Points. */
  paper: Size;
  jpeg: Uint8Array;
}

const NOTHING: Line[] = [];

function laidOut(pictures: readonly Picture[], { sheets, tiled, cropMarks }: MakeOptions): Result<Laid[]> {
  if (sheets)
    return ok(
      sheets.sheets.map(({ trim, placed, ticks }) => ({
        ...{ paper: trim, placed },
        ticks: (cropMarks && ticks) || NOTHING,
      })),
    );
  const all: Laid[] = [];
  for (const [i, { trim }] of pictures.entries()) {
    const page = i + 1;
    if (!tiled) {
      const seen = { x: 0, y: 0, ...trim };
      all.push({ paper: trim, placed: [{ page, map: [1, 0, 0, 1, 0, 0], seen }], ticks: NOTHING });
      continue;
    }
    const tiles = tilesOf(trim, tiled);
    if (!tiles.ok) return fail(tiles.message);
    for (const { paper, part, at, scale } of tiles.value) {
      const map: Matrix = [scale, 0, 0, scale, at.x - scale * part.x, at.y - scale * part.y];
      const seen = { ...at, width: scale * part.width, height: scale * part.height };
      all.push({ paper, placed: [{ page, map, seen }], ticks: NOTHING });
    }
  }
  return ok(all);
}

/** Each side in its order, a JPEG; pages are drawn as they are needed, as a book would not fit in memory. */
export async function sheetPictures(
  pictures: readonly Picture[],
  options: MakeOptions,
  stock: Stock,
  progress: Progress,
): Promise<Result<SheetPicture[]>> {
  const laid = laidOut(pictures, options);
  if (!laid.ok) return laid;
  const { ppi } = options;
  const dots = ppi / 72;
  const made: SheetPicture[] = [];
  for (const [i, { paper, placed, ticks }] of laid.value.entries()) {
    progress(i / laid.value.length, `Sheet ${i + 1} of ${laid.value.length}`);
    const { canvas, context } = stock.platform.canvas(
      Math.round(paper.width * dots),
      Math.round(paper.height * dots),
    );
    context.fillStyle = '#ffffff';
    context.fillRect(0, 0, canvas.width, canvas.height);
    for (const { page, map, seen } of placed) {
      const picture = pictures[page - 1]!;
      const drawn = await rendered(
        picture,
        { ppi, withBleed: true },
        picture.ground ?? '#ffffff',
        stock,
        () => {},
      );
      if (!drawn.ok) return drawn;
      const from = withBleed({ ...picture.trim, bleed: picture.bleed });
      context.save();
      context.beginPath();
      context.rect(seen.x * dots, seen.y * dots, seen.width * dots, seen.height * dots);
      context.clip();
      // From the page's own pixels to points of it, to the sheet, to the sheet's pixels.
      context.setTransform(...compose(scaling(dots), map, translation(from.x, from.y), scaling(1 / dots)));
      context.drawImage(drawn.value.canvas, 0, 0);
      context.restore();
    }
    context.fillStyle = '#000000';
    for (const { x, y, width, height } of options.squares ? registerMarks(paper) : [])
      context.fillRect(x * dots, y * dots, width * dots, height * dots);
    context.lineWidth = 0.5 * dots;
    context.beginPath();
    for (const [x1, y1, x2, y2] of ticks) {
      context.moveTo(x1 * dots, y1 * dots);
      context.lineTo(x2 * dots, y2 * dots);
    }
    context.stroke();
    made.push({ paper, jpeg: await stock.encode(canvas, 'image/jpeg', JPEG_QUALITY) });
  }
  return ok(made);
}
