/** A Picture to pixels in a file: PNG and JPEG. */
import type { Size } from '@/core/geometry/box';
import { uprightSize } from '@/core/picture/asset';
import { imagesOf, madeOf, type Picture } from '@/core/picture/picture';
import { fail, ok } from '@/core/result';
import { ppiOf } from '@/output/formats';
import { jpegWithDensity, pngWithDensity } from '@/output/pixels/density';
import { drawPieces, LONGEST_SIDE, sheetOf } from '@/output/pixels/draw';
import type { Canvas, Context, Drawable, Platform } from '@/output/platform';
import { JPEG_QUALITY, letGo, type Maker, type PixelType, type Workshop } from '@/output/stock';

export const makePng = pixelsAs('image/png', pngWithDensity);
export const makeJpeg = pixelsAs('image/jpeg', jpegWithDensity);
/** It says nothing of inches: it is for screens. */
export const makeWebp = pixelsAs('image/webp', (bytes) => [bytes]);

function pixelsAs(type: PixelType, withDensity: (bytes: Uint8Array, ppi: number) => Uint8Array[]): Maker {
  return async ([first], { withBleed, ...fine }, stock, progress) => {
    const picture = first!;
    const ppi = ppiOf(fine, madeOf(picture, withBleed));
    const sheet = sheetOf(picture, ppi, withBleed);
    const longest = Math.max(sheet.width, sheet.height);
    if (longest > LONGEST_SIDE) {
      const most = Math.floor((ppi * LONGEST_SIDE) / longest / 10) * 10;
      return fail(
        `At ${Math.round(ppi)} ppi this page is ${sheet.width} x ${sheet.height} pixels; a picture file can be made up to ${LONGEST_SIDE} a side. Choose ${most} ppi or less, or make a PDF.`,
      );
    }
    const { canvas, context } = stock.platform.canvas(sheet.width, sheet.height);
    const clear = picture.ground === null && type === 'image/png';
    if (!clear) {
      context.fillStyle = picture.ground ?? '#ffffff';
      context.fillRect(0, 0, sheet.width, sheet.height);
    }
    const shelf = new DecodedShelf(picture, stock);
    try {
      for (const [i, piece] of picture.pieces.entries()) {
        progress((0.75 * i) / picture.pieces.length, `Drawing ${i + 1} of ${picture.pieces.length} pieces`);
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
    progress(0.8, 'Packing the picture');
    const whole = clear ? trimmed(canvas, context, stock.platform) : canvas;
    return ok(withDensity(await stock.encode(whole, type, JPEG_QUALITY), Math.round(ppi)));
  };
}

/** A picture without the rows and columns at its sides in which there is nothing at all. */
function trimmed(canvas: Canvas & CanvasImageSource, context: Context, platform: Platform): Canvas {
  const { width, height } = canvas;
  const { data } = context.getImageData(0, 0, width, height);
  const reach = { left: width, top: height, right: -1, bottom: -1 };
  for (let y = 0, at = 3; y < height; y++)
    for (let x = 0; x < width; x++, at += 4) {
      if (data[at] === 0) continue;
      reach.left = Math.min(reach.left, x);
      reach.right = Math.max(reach.right, x);
      reach.top = Math.min(reach.top, y);
      reach.bottom = y;
    }
  if (reach.right < 0) return canvas;
  const made = platform.canvas(reach.right - reach.left + 1, reach.bottom - reach.top + 1);
  made.context.drawImage(canvas, -reach.left, -reach.top);
  return made.canvas;
}

/** Pieces whose pictures are decoded ahead of the one being drawn. */
const AHEAD = 3;

/** Holds decoded only what the next pieces need: a book's worth would not fit in memory. */
class DecodedShelf {
  private readonly opening = new Map<string, Promise<Drawable & { whole: Size }>>();
  private readonly lastUse = new Map<string, number>();

  constructor(
    private readonly picture: Picture,
    private readonly shop: Workshop,
  ) {
    picture.pieces.forEach((_, i) => this.filesAt(i).forEach((sha) => this.lastUse.set(sha, i)));
  }

  async openFor(index: number): Promise<Map<string, Drawable & { whole: Size }>> {
    for (let i = index; i <= index + AHEAD && i < this.picture.pieces.length; i++)
      for (const sha of this.filesAt(i)) if (!this.opening.has(sha)) this.opening.set(sha, this.decode(sha));
    return new Map(
      await Promise.all(this.filesAt(index).map(async (sha) => [sha, await this.opening.get(sha)!] as const)),
    );
  }

  closeAfter(index: number): void {
    for (const sha of this.filesAt(index)) {
      if (this.lastUse.get(sha) !== index) continue;
      void this.opening.get(sha)?.then(letGo);
      this.opening.delete(sha);
    }
  }

  /** What was decoded ahead, when nothing more is drawn. */
  closeAll(): void {
    for (const decoded of this.opening.values()) void decoded.then(letGo, () => {});
    this.opening.clear();
  }

  /** Files to decode; drawings need none of it. */
  private filesAt(index: number): string[] {
    return this.picture.pieces[index]!.marks.flatMap((mark) =>
      imagesOf(mark).flatMap(({ asset }) => (this.shop.asset(asset).type === 'image/svg+xml' ? [] : [asset])),
    );
  }

  private async decode(sha: string): Promise<Drawable & { whole: Size }> {
    return { ...(await this.shop.decode(sha)), whole: uprightSize(this.shop.asset(sha)) };
  }
}
