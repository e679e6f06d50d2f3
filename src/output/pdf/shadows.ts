/** Shadows as soft masks, each shape of one once, however often it falls. */
import type { PDFRef } from '@cantoo/pdf-lib';
import { scaling, type Matrix } from '@/core/geometry/matrix';
import type { ShadowMark } from '@/core/picture/picture';
import type { Colours } from '@/output/pdf/colours';
import { embedMask } from '@/output/pdf/pictures';
import type { Packer } from '@/output/pdf/stream';
import { shadowBitmap } from '@/output/pixels/shadow';
import type { Platform } from '@/output/platform';

interface Fallen {
  ref: PDFRef;
  /** From the unit square to the piece's frame. */
  map: Matrix;
}

const EVERYWHERE = { x: -1e6, y: -1e6, width: 2e6, height: 2e6 };
/** Shapes of more points than this are seldom met twice. */
const SIMPLE = 4000;

export class Shadows {
  private readonly known = new Map<string, Fallen | null>();

  constructor(
    private readonly packer: Packer,
    private readonly platform: Platform,
    private readonly colours: Colours,
  ) {}

  /** Null where nothing of it is seen. */
  async of(mark: ShadowMark): Promise<Fallen | null> {
    const { path, grow, blur, offset, colour } = mark;
    const key = JSON.stringify([path, grow, blur, offset, colour]);
    const known = this.known.get(key);
    if (known !== undefined) return known;
    const made = await this.make(mark);
    if (key.length < SIMPLE) this.known.set(key, made);
    return made;
  }

  private async make(mark: ShadowMark): Promise<Fallen | null> {
    // As coarse as shows no steps once it is interpolated: two pixels to a standard deviation.
    const scale = Math.min(200 / 72, Math.max(40 / 72, 2 / mark.blur));
    const bitmap = shadowBitmap(mark, scaling(scale), this.platform, EVERYWHERE);
    if (!bitmap) return null;
    const { x, y, width, height } = bitmap;
    const pixels = bitmap.context.getImageData(0, 0, width, height);
    return {
      ref: await embedMask(this.packer, pixels, mark.colour, this.colours),
      map: [width / scale, 0, 0, -height / scale, x / scale, (y + height) / scale],
    };
  }
}
