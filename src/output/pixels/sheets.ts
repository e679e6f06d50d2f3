/** Sheets of paper as pixels, for a browser's own print: pages laid on them as they are in a PDF. */
import { compose, scaling, translation, type Matrix, type Point } from '@/core/geometry/matrix';
import { transformBox, type Box, type Size } from '@/core/geometry/box';
import { withBleed } from '@/core/geometry/sides';
import { registerMarks } from '@/core/cutter/register';
import { tileMarks, type TileMark } from '@/core/packing/tile-marks';
import { tilesOf } from '@/core/packing/tiles';
import type { Picture } from '@/core/picture/picture';
import type { Line } from '@/core/product/imposition';
import { fail, ok, type Result } from '@/core/result';
import { linesBeside, paperAround } from '@/output/crop-lines';
import type { MakeOptions } from '@/output/formats';
import type { Context } from '@/output/platform';
import { rendered } from '@/output/pixels/rendered';
import { JPEG_QUALITY, type Progress, type Stock } from '@/output/stock';

/** One side of a sheet, lengths in points. */
interface Laid {
  paper: Size;
  /** What is left of it once it is cut. */
  trim: Size;
  /** Where the upper left corner of what is left of it lies on the paper. */
  origin: Point;
  placed: readonly { page: number; map: Matrix; seen: Box }[];
  /** Cuts, and folds, which are dashed; from the origin. */
  lines: readonly Line[];
  dashed: readonly Line[];
  marks: readonly TileMark[];
}

export interface SheetPicture {
  /** Points. */
  paper: Size;
  jpeg: Uint8Array;
}

const BARE = { origin: { x: 0, y: 0 }, lines: [], dashed: [], marks: [] };

function laidOut(pictures: readonly Picture[], { sheets, tiled, cropMarks }: MakeOptions): Result<Laid[]> {
  if (sheets)
    return ok(
      sheets.sheets.map(({ trim, bleed, placed, cuts, folds, ticks }) => {
        // Ticks lie on the paper; lines lie beside what is cut from it.
        if (!cropMarks || ticks)
          return { ...BARE, paper: trim, trim, placed, lines: (cropMarks && ticks) || [] };
        const around = paperAround(trim, bleed, true);
        return {
          ...BARE,
          ...{ paper: around, trim, placed, origin: { x: -around.x, y: -around.y } },
          ...{ lines: linesBeside(trim, bleed, cuts), dashed: linesBeside(trim, bleed, folds) },
        };
      }),
    );
  const all: Laid[] = [];
  for (const [i, { trim }] of pictures.entries()) {
    const page = i + 1;
    if (!tiled) {
      const seen = { x: 0, y: 0, ...trim };
      all.push({ ...BARE, paper: trim, trim, placed: [{ page, map: [1, 0, 0, 1, 0, 0], seen }] });
      continue;
    }
    const tiles = tilesOf(trim, tiled);
    if (!tiles.ok) return fail(tiles.message);
    for (const tile of tiles.value) {
      const { paper, part, at, scale } = tile;
      const map: Matrix = [scale, 0, 0, scale, at.x - scale * part.x, at.y - scale * part.y];
      const seen = { ...at, width: scale * part.width, height: scale * part.height };
      const marks = tileMarks(tile, tiles.value, tiled).map(({ box, ink }) => ({
        ...{ ink, box: transformBox(map, box) },
      }));
      all.push({ ...BARE, paper, trim: paper, placed: [{ page, map, seen }], marks });
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
  for (const [i, { paper, trim, origin, placed, lines, dashed, marks }] of laid.value.entries()) {
    progress(i / laid.value.length, `Sheet ${i + 1} of ${laid.value.length}`);
    const { canvas, context } = stock.platform.canvas(
      Math.round(paper.width * dots),
      Math.round(paper.height * dots),
    );
    context.fillStyle = '#ffffff';
    context.fillRect(0, 0, canvas.width, canvas.height);
    const sheet = compose(scaling(dots), translation(origin.x, origin.y));
    context.setTransform(...sheet);
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
      context.rect(seen.x, seen.y, seen.width, seen.height);
      context.clip();
      // From the page's own pixels to points of it, to the sheet, to the sheet's pixels.
      context.setTransform(...compose(sheet, map, translation(from.x, from.y), scaling(1 / dots)));
      context.drawImage(drawn.value.canvas, 0, 0);
      context.restore();
    }
    for (const { box, ink } of marks) {
      context.fillStyle = ink;
      context.fillRect(box.x, box.y, box.width, box.height);
    }
    context.fillStyle = '#000000';
    for (const { x, y, width, height } of options.squares ? registerMarks(trim) : [])
      context.fillRect(x, y, width, height);
    stroke(context, lines, []);
    stroke(context, dashed, [3, 2]);
    made.push({ paper, jpeg: await stock.encode(canvas, 'image/jpeg', JPEG_QUALITY) });
  }
  return ok(made);
}

function stroke(context: Context, lines: readonly Line[], dashes: number[]): void {
  context.lineWidth = 0.5;
  context.setLineDash(dashes);
  context.beginPath();
  for (const [x1, y1, x2, y2] of lines) {
    context.moveTo(x1, y1);
    context.lineTo(x2, y2);
  }
  context.stroke();
}
