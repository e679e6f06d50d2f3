/** Pictures of a page decoded one after the other, as it is drawn. */
import type { Size } from '@/core/geometry/box';
import { uprightSize } from '@/core/picture/asset';
import { imagesOf, type Picture } from '@/core/picture/picture';
import type { Drawable } from '@/output/platform';
import { letGo, type Workshop } from '@/output/stock';

/** Pieces whose pictures are decoded ahead of the one being drawn. */
const AHEAD = 3;

/** Holds decoded only what the next pieces need: a book's worth would not fit in memory. */
export class DecodedShelf {
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
