/** The files a picture shows, as every output gets them: by what they wear, decoded, drawn. */
import type { Condition } from '@/core/press/conditions';
import type { OpenLcms } from '@/core/press/lcms';
import { uprightSize, type Asset } from '@/core/picture/asset';
import { imagesOf, withImages, type ImageMark, type Picture, type Worn } from '@/core/picture/picture';
import type { Result } from '@/core/result';
import type { OpenFont } from '@/core/text/shaper';
import { openDrawing, placedWorn, wornPixels, type PlacedDrawing } from '@/output/drawings';
import type { MakeOptions } from '@/output/formats';
import type { EncodeGrey } from '@/output/pdf/four-scans';
import type { Canvas, Drawable, Platform } from '@/output/platform';

export type PixelType = 'image/png' | 'image/jpeg' | 'image/webp';

/** What differs between a worker and Node. */
export interface Workshop {
  platform: Platform;
  font(name: string): OpenFont;
  /** The subsetter of fonts, as WebAssembly. */
  subsetter(): Promise<BufferSource>;
  asset(sha: string): Asset;
  /** The file's own bytes. */
  bytes(sha: string): Promise<Uint8Array>;
  /** The same in parts that follow each other, as they go into a file. */
  parts?(sha: string): Promise<Uint8Array[]>;
  /** The file decoded at full size, upright, in sRGB; with its own colour values where it is wanted `asStored`. */
  decode(sha: string, asStored?: boolean): Promise<Drawable>;
  /** The ICC profile of a print condition. */
  profile(condition: Condition): Promise<Uint8Array>;
  lcms: OpenLcms;
  greyJpeg(): Promise<EncodeGrey>;
  encode(canvas: Canvas, type: PixelType, quality: number): Promise<Uint8Array>;
  now: Date;
}

export interface CheckedWorkshop extends Workshop {
  parts(sha: string): Promise<Uint8Array[]>;
  /**
   * Reads a JPEG that is to be copied. If that can't be done, `asset`, `bytes` and `parts` answer from then on with what takes
   * its place.
   */
  check(sha: string): Promise<void>;
}

export type Progress = (share: number, doing: string) => void;

/** Makes a finished file of pictures, at least one, in parts that follow each other. */
export type Maker = (
  pictures: readonly Picture[],
  options: MakeOptions,
  stock: Stock,
  progress: Progress,
) => Promise<Result<Uint8Array[]>>;

/** Quality of a JPEG that is made of pixels, 0 to 1. */
export const JPEG_QUALITY = 0.93;

export const filesOf = (pictures: readonly Picture[]): string[] => [
  ...new Set(
    pictures.flatMap(({ pieces }) =>
      pieces.flatMap(({ marks }) => marks.flatMap((mark) => imagesOf(mark).map(({ asset }) => asset))),
    ),
  ),
];

/** A workshop that knows files by what they wear, too, and has read those that are drawn. */
export interface Stock extends CheckedWorkshop {
  drawing(key: string): PlacedDrawing | undefined;
}

interface Stamped extends CheckedWorkshop {
  worn(key: string): Worn | undefined;
}

/** The pictures with a name for whatever a file wears, and the stock that knows those names. */
export async function stockFor(
  of: readonly Picture[],
  shop: CheckedWorkshop,
): Promise<{ pictures: readonly Picture[]; stock: Stock }> {
  const { pictures, shop: worn } = stampedStock(of, shop);
  const drawings = await openDrawings(pictures, worn);
  return { pictures, stock: { ...worn, drawing: (key) => drawings.get(key) } };
}

/** Everything drawn that the pictures show, read, and as it is worn. */
async function openDrawings(
  pictures: readonly Picture[],
  shop: Stamped,
): Promise<ReadonlyMap<string, PlacedDrawing>> {
  const drawings = new Map<string, PlacedDrawing>();
  for (const key of filesOf(pictures)) {
    const asset = shop.asset(key);
    if (asset.type !== 'image/svg+xml') continue;
    const drawing = await openDrawing(asset, await shop.bytes(key));
    const worn = shop.worn(key);
    if (drawing) drawings.set(key, worn ? placedWorn(drawing, worn) : drawing);
  }
  return drawings;
}

/** The pictures with every stamped, toned or dyed file under a name of its own, and a workshop that knows those names. */
function stampedStock(
  pictures: readonly Picture[],
  shop: CheckedWorkshop,
): { pictures: readonly Picture[]; shop: Stamped } {
  const keys = new Map<string, string>();
  const files = new Map<string, { sha: string; worn: Worn }>();
  const named = (mark: ImageMark): ImageMark => {
    if (!(mark.ink || mark.tone || mark.dyes)) return mark;
    const { ink, tone, fit, dyes, ...plain } = mark;
    const worn: Worn = { ink, tone, fit, dyes };
    const says = mark.asset + JSON.stringify(worn);
    const key = keys.get(says) ?? `${mark.asset} ${keys.size + 1}`;
    keys.set(says, key);
    files.set(key, { sha: mark.asset, worn });
    return { ...plain, asset: key };
  };
  const shaOf = (key: string): string => files.get(key)?.sha ?? key;
  const wornOf = (key: string): Worn | undefined => files.get(key)?.worn;
  const decode = async (key: string, asStored?: boolean): Promise<Drawable> => {
    const worn = wornOf(key);
    const decoded = await shop.decode(shaOf(key), asStored && !worn);
    if (!worn || decoded.missing) return decoded;
    const made = wornPixels(decoded, worn, shop.platform);
    if (made.source !== decoded.source) letGo(decoded);
    return made;
  };
  const asWritten = (key: string): 'image/png' | 'image/jpeg' | null => {
    const worn = wornOf(key);
    const { type } = shop.asset(shaOf(key));
    if (!worn || type === 'image/svg+xml') return null;
    // What is stamped or may be clear in places keeps its transparency; a photo stays a photo.
    return worn.ink || type === 'image/png' || type === 'image/webp' ? 'image/png' : 'image/jpeg';
  };
  const bytes = async (key: string): Promise<Uint8Array> => {
    const type = asWritten(key);
    if (!type) return shop.bytes(shaOf(key));
    const { source, width, height, missing } = await decode(key);
    const { canvas, context } = shop.platform.canvas(width, height);
    if (missing) {
      context.fillStyle = '#ffffff';
      context.fillRect(0, 0, width, height);
    }
    context.drawImage(source, 0, 0);
    return shop.encode(canvas, type, TONED_QUALITY);
  };
  return {
    pictures: pictures.map((picture) => ({
      ...picture,
      pieces: picture.pieces.map((piece) => ({
        ...piece,
        marks: piece.marks.map((mark) => withImages(mark, named)),
      })),
    })),
    shop: {
      ...shop,
      worn: wornOf,
      decode,
      asset(key) {
        const asset = shop.asset(shaOf(key));
        const type = asWritten(key);
        return type ? { ...asset, ...uprightSize(asset), orientation: 1, type } : asset;
      },
      bytes,
      parts: async (key) => (asWritten(key) ? [await bytes(key)] : shop.parts(shaOf(key))),
      check: async (key) => (asWritten(key) ? undefined : shop.check(shaOf(key))),
    },
  };
}
/** Quality of a JPEG that is written anew because its photo wears a tone. */
const TONED_QUALITY = 0.95;

/** A decoded picture holds its pixels until it is told that they are not wanted any more. */
export const letGo = ({ source }: Pick<Drawable, 'source'>): void => {
  if ('close' in source) source.close();
};
