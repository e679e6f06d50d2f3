/** A Picture to pixels in a file: PNG and JPEG. */
import type { Size } from '@/core/geometry/box';
import { uprightSize } from '@/core/picture/asset';
import type { Picture } from '@/core/picture/picture';
import { fail, ok } from '@/core/result';
import { jpegWithDensity, pngWithDensity } from '@/output/pixels/density';
import { drawPieces, LONGEST_SIDE, sheetOf } from '@/output/pixels/draw';
import type { Drawable } from '@/output/platform';
import { JPEG_QUALITY, letGo, type Maker, type Workshop } from '@/output/stock';

export const makePng = pixelsAs('image/png', pngWithDensity);
export const makeJpeg = pixelsAs('image/jpeg', jpegWithDensity);

function pixelsAs(
  type: 'image/png' | 'image/jpeg',
  withDensity: (bytes: Uint8Array, ppi: number) => Uint8Array[],
): Maker {
  return async (picture, { ppi, withBleed }, stock, progress) => {
    const sheet = sheetOf(picture, ppi, withBleed);
    const longest = Math.max(sheet.width, sheet.height);
    if (longest > LONGEST_SIDE) {
      const most = Math.floor((ppi * LONGEST_SIDE) / longest / 10) * 10;
      return fail(
        `At ${ppi} ppi this page is ${sheet.width} x ${sheet.height} pixels; a picture file can be made up to ${LONGEST_SIDE} a side. Choose ${most} ppi or less, or make a PDF.`,
      );
    }
    const { canvas, context } = stock.platform.canvas(sheet.width, sheet.height);
    context.fillStyle = picture.ground;
    context.fillRect(0, 0, sheet.width, sheet.height);
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
    return ok(withDensity(await stock.encode(canvas, type, JPEG_QUALITY), ppi));
  };
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
      mark.mark === 'image' && this.shop.asset(mark.asset).type !== 'image/svg+xml' ? [mark.asset] : [],
    );
  }

  private async decode(sha: string): Promise<Drawable & { whole: Size }> {
    return { ...(await this.shop.decode(sha)), whole: uprightSize(this.shop.asset(sha)) };
  }
}
