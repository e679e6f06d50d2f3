/** Decoded pictures for the screen: small copies first, the whole file only where zooming needs it. */
import { Bounded } from '@/core/bounded';
import type { Size } from '@/core/geometry/box';
import type { Dye } from '@/core/dye/dye';
import type { Worn } from '@/core/picture/picture';
import { uprightSize, type Asset } from '@/core/picture/asset';
import { placedWorn, wornPixels, openDrawing, type PlacedDrawing } from '@/output/drawings';
import { browser, uprightBitmap, type Drawable } from '@/output/platform';
import { proxyBlob, readableBlob } from '@/storage/assets';
import type { ProxyLevel } from '@/storage/database';

/** Gigabytes of memory, as far as the browser says: 8 at most. */
const MEMORY =
  typeof navigator === 'undefined' ? 8 : ((navigator as { deviceMemory?: number }).deviceMemory ?? 4);
/** Bytes all decoded copies may take, and all that were worked out of them in an ink, tone or dye. */
const MOST_DECODED = MEMORY * 96e6;
const MOST_WORKED = MEMORY * 32e6;
const SCREEN_SIDE = 1600;
/** What is shown no larger is drawn from the smallest copy: it costs a fraction to make smaller still. */
const THUMB_SIDE = 320;
/** Which copy stands in for one that is not there yet. */
const LEVELS: readonly ProxyLevel[] = ['screen', 'full', 'thumb'];
/** A small copy serves until it would be stretched by more than this. */
const STRETCH = 1.25;
/** So many inks of one drawing are kept. */
const MOST_WORN = 6;
/** A picture that could not be fetched or decoded is tried again after this long, milliseconds, and twice as long each time. */
const TRY_AGAIN = 1500;
const LONGEST_WAIT = 60_000;

export class PictureShelf {
  private readonly decoded = new Bounded<ImageBitmap>(
    MOST_DECODED,
    ({ width, height }) => 4 * width * height,
    (_, key) => this.asked.delete(key),
  );
  private readonly drawings = new Map<string, PlacedDrawing>();
  private readonly worns = new Bounded<Drawable>(MOST_WORKED, ({ width, height }) => 4 * width * height);
  private readonly wornDrawings = new WeakMap<PlacedDrawing, Map<string, PlacedDrawing>>();
  /** Dyes are compared by which they are: what they mark may be long. */
  private readonly dyeNames = new WeakMap<readonly Dye[], number>();
  private dyesNamed = 0;
  /** What was sent for, and is there or on its way. */
  private readonly asked = new Map<string, Promise<void>>();
  private readonly failed = new Map<string, number>();
  private readonly listeners = new Set<(sha: string) => void>();

  /** Hears of every picture that becomes sharper or arrives. */
  onArrival(listener: (sha: string) => void): () => void {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  }

  /** The best copy at hand for a picture whose longest side covers `pixels` on the screen; sends for a better one. */
  take(asset: Asset, pixels: number, worn: Worn = {}): (Drawable & { whole: Size }) | undefined {
    const whole = uprightSize(asset);
    const longest = Math.max(whole.width, whole.height);
    const wanted: ProxyLevel =
      longest > SCREEN_SIDE && pixels > SCREEN_SIDE * STRETCH && asset.type !== 'image/svg+xml'
        ? 'full'
        : pixels <= THUMB_SIDE
          ? 'thumb'
          : 'screen';
    const best = this.decoded.get(`${asset.sha} ${wanted}`);
    if (!best) void this.fetch(asset.sha, wanted);
    const level = best ? wanted : LEVELS.find((each) => this.decoded.get(`${asset.sha} ${each}`));
    const bitmap = level && this.decoded.get(`${asset.sha} ${level}`);
    if (!bitmap) return undefined;
    const plain = { source: bitmap, width: bitmap.width, height: bitmap.height };
    return {
      ...(worn.ink || worn.tone || worn.dyes
        ? this.worn(`${asset.sha} ${level}`, plain, worn, pixels)
        : plain),
      whole,
    };
  }

  /** The drawing behind a picture that is one, if it is at hand; sends for it. */
  drawing(asset: Asset, worn: Worn = {}): PlacedDrawing | undefined {
    if (asset.type !== 'image/svg+xml') return undefined;
    const plain = this.drawings.get(asset.sha);
    if (!plain) void this.open(asset);
    if (!plain || !(worn.ink || worn.dyes)) return plain;
    const kept = keptOf(this.wornDrawings, plain);
    return keptLast(kept, this.keyOf(worn), () => placedWorn(plain, worn));
  }

  private open(asset: Asset): Promise<void> {
    return this.once(asset.sha, () => this.read(asset));
  }

  private async read(asset: Asset): Promise<void> {
    const bytes = await (await readableBlob(asset.sha))?.arrayBuffer();
    const drawing = bytes && (await openDrawing(asset, new Uint8Array(bytes)));
    if (!drawing) throw new Error('It is not here, or cannot be read.');
    this.drawings.set(asset.sha, drawing);
    this.listeners.forEach((listener) => listener(asset.sha));
  }

  /** It may still be on its way into the store, or the store be busy: nothing is given up for good. */
  private askAgain(key: string): void {
    const times = (this.failed.get(key) ?? 0) + 1;
    this.failed.set(key, times);
    setTimeout(
      () => {
        this.asked.delete(key);
        // Whoever still shows it asks again.
        this.listeners.forEach((listener) => listener(key.split(' ')[0]!));
      },
      Math.min(LONGEST_WAIT, TRY_AGAIN * 2 ** (times - 1)),
    );
  }

  /** The smallest copy, decoded: shared with all that is painted. */
  async small(sha: string): Promise<ImageBitmap | undefined> {
    await this.fetch(sha, 'thumb');
    return this.decoded.get(`${sha} thumb`);
  }

  /** Does something once, however often it is asked for. */
  private once(key: string, work: () => Promise<void>): Promise<void> {
    const known = this.asked.get(key);
    if (known) return known;
    const doing = work().then(
      () => void this.failed.delete(key),
      () => this.askAgain(key),
    );
    this.asked.set(key, doing);
    return doing;
  }

  /** Waits until all these are at hand as they are drawn on a screen, or cannot be had. */
  async ready(assets: readonly Asset[]): Promise<void> {
    await Promise.all(
      assets.map((asset) =>
        asset.type === 'image/svg+xml' ? this.open(asset) : this.fetch(asset.sha, 'screen'),
      ),
    );
  }

  private keyOf({ ink, tone, fit, dyes }: Worn): string {
    const named = dyes && (this.dyeNames.get(dyes) ?? ++this.dyesNamed);
    if (dyes) this.dyeNames.set(dyes, named!);
    return JSON.stringify({ ink, tone, fit, named });
  }

  /** A tone or dye is worked out no larger than it is shown, so that a slider is followed. */
  private worn(of: string, plain: Drawable, worn: Worn, pixels: number): Drawable {
    const longest = Math.max(plain.width, plain.height);
    // In steps of a half more, so that a little zooming needs no other.
    const side = Math.min(longest, 1.5 ** Math.ceil(Math.log(Math.max(64, pixels)) / Math.log(1.5)));
    const scale = worn.ink ? 1 : side / longest;
    const key = `${of} ${scale} ${this.keyOf(worn)}`;
    const known = this.worns.get(key);
    if (known) return known;
    const made = wornPixels(plain, worn, browser, scale);
    this.worns.set(key, made);
    return made;
  }

  private fetch(sha: string, level: ProxyLevel): Promise<void> {
    return this.once(`${sha} ${level}`, () => this.decode(sha, level));
  }

  private async decode(sha: string, level: ProxyLevel): Promise<void> {
    const key = `${sha} ${level}`;
    const blob =
      level === 'full'
        ? await readableBlob(sha)
        : ((await proxyBlob(sha, level)) ?? (await readableBlob(sha)));
    if (!blob) throw new Error('It is not here.');
    this.decoded.set(key, await uprightBitmap(blob));
    this.listeners.forEach((listener) => listener(sha));
  }
}

/** What is kept of something, however it is worn. */
function keptOf<K extends object, V>(all: WeakMap<K, Map<string, V>>, of: K): Map<string, V> {
  const kept = all.get(of) ?? new Map<string, V>();
  all.set(of, kept);
  return kept;
}

/** What is kept under a key, or made now; the one used last is the last in the row, and the first in it goes. */
function keptLast<V>(kept: Map<string, V>, key: string, make: () => V): V {
  const known = kept.get(key) ?? make();
  kept.delete(key);
  kept.set(key, known);
  if (kept.size > MOST_WORN) kept.delete(kept.keys().next().value!);
  return known;
}
