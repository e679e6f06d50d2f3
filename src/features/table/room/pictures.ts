/** Decoded pictures for the screen: small copies first, the whole file only where zooming needs it. */
import type { Size } from '@/core/geometry/box';
import { uprightSize, type Asset } from '@/core/picture/asset';
import type { Drawable } from '@/output/platform';
import { proxyBlob, readableBlob } from '@/storage/assets';
import type { ProxyLevel } from '@/storage/database';

/** Whole files held decoded at once; each takes about 50 MB. */
const MOST_WHOLE = 5;
const SCREEN_SIDE = 1600;
/** A small copy serves until it would be stretched by more than this. */
const STRETCH = 1.25;

export class PictureShelf {
  private readonly decoded = new Map<string, ImageBitmap>();
  private readonly asked = new Set<string>();
  private readonly wholes: string[] = [];
  private readonly listeners = new Set<(sha: string) => void>();

  /** Hears of every picture that becomes sharper or arrives. */
  onArrival(listener: (sha: string) => void): () => void {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  }

  /** The best copy at hand for a picture whose longest side covers `pixels` on the screen; sends for a better one. */
  take(asset: Asset, pixels: number): (Drawable & { whole: Size }) | undefined {
    const whole = uprightSize(asset);
    const longest = Math.max(whole.width, whole.height);
    const wanted: ProxyLevel = longest > SCREEN_SIDE && pixels > SCREEN_SIDE * STRETCH ? 'full' : 'screen';
    const best = this.decoded.get(`${asset.sha} ${wanted}`);
    if (!best) void this.fetch(asset.sha, wanted);
    const bitmap = best ?? this.decoded.get(`${asset.sha} screen`) ?? this.decoded.get(`${asset.sha} full`);
    return bitmap && { source: bitmap, width: bitmap.width, height: bitmap.height, whole };
  }

  /** Waits until small copies of all these are at hand, or cannot be had. */
  async ready(shas: readonly string[]): Promise<void> {
    await Promise.all(shas.map((sha) => this.fetch(sha, 'screen')));
  }

  private async fetch(sha: string, level: ProxyLevel): Promise<void> {
    const key = `${sha} ${level}`;
    if (this.asked.has(key)) return;
    this.asked.add(key);
    const blob =
      level === 'full'
        ? await readableBlob(sha)
        : ((await proxyBlob(sha, level)) ?? (await readableBlob(sha)));
    if (!blob) {
      // It may still be on its way into the store.
      setTimeout(() => this.asked.delete(key), 1500);
      return;
    }
    this.decoded.set(key, await createImageBitmap(blob));
    if (level === 'full') this.makeRoom(key);
    this.listeners.forEach((listener) => listener(sha));
  }

  private makeRoom(newest: string): void {
    this.wholes.push(newest);
    while (this.wholes.length > MOST_WHOLE) {
      const oldest = this.wholes.shift()!;
      this.decoded.get(oldest)?.close();
      this.decoded.delete(oldest);
      this.asked.delete(oldest);
    }
  }
}
