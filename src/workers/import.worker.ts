/** A picture file in; its facts and smaller copies out. Decodes, turns upright, hashes; stores nothing. */
import { expose } from 'comlink';
import {
  LONGEST_PICTURE_SIDE,
  meaningfulDensity,
  readHeader,
  type PictureHeader,
} from '@/core/pixels/header';
import { MOST_PIXELS } from '@/core/project/file';
import type { Asset } from '@/core/picture/asset';
import { fail, ok, type Result } from '@/core/result';
import { PRINT_PPI } from '@/core/units/lengths';

/** Longest sides of the smaller copies, pixels: for the workbox, and for the page on the screen. */
export const THUMB_SIDE = 320;
export const SCREEN_SIDE = 1600;

export interface Imported {
  asset: Asset;
  proxies: { thumb: Blob; screen: Blob; full?: Blob };
}

/** Says in words that follow the file's name why it was refused. */
async function importPicture(file: Blob, name: string): Promise<Result<Imported>> {
  const bytes = new Uint8Array(await file.arrayBuffer());
  const header = readHeader(bytes);
  if (!header.ok) return header;
  const { type, ppi } = header.value;
  const [sha, notes] = await Promise.all([
    digest(bytes),
    type === 'image/heic' ? NO_NOTES : cameraNotes(bytes),
  ]);
  const turned = (notes.orientation ?? 1) >= 5;
  let bitmap: ImageBitmap;
  let stored = header.value;
  let full: Blob | undefined;
  try {
    const quick =
      notes.orientation === undefined || notes.orientation === 1
        ? await decodeReduced(bytes, header.value)
        : null;
    if (quick) bitmap = quick;
    else {
      if (type === 'image/heic') {
        const picture = await decodeHeic(bytes);
        if (!picture.ok) return picture;
        bitmap = picture.value;
        full = await encode(bitmap, bitmap.width, bitmap.height, 'image/jpeg', 0.95);
      } else bitmap = await createImageBitmap(new Blob([bytes], { type }));
      stored = {
        ...stored,
        width: turned ? bitmap.height : bitmap.width,
        height: turned ? bitmap.width : bitmap.height,
      };
    }
  } catch {
    return fail('is damaged: the picture in it cannot be decoded');
  }
  const asset: Asset = {
    sha,
    type,
    name: name.slice(0, 400),
    bytes: bytes.length,
    width: stored.width,
    height: stored.height,
    orientation: notes.orientation ?? 1,
    ppi: ppi === PRINT_PPI ? (notes.ppi ?? ppi) : ppi,
    ...(notes.taken ? { taken: notes.taken } : {}),
  };
  const copies = type === 'image/png' || type === 'image/webp' ? 'image/webp' : 'image/jpeg';
  const screen = await smaller(bitmap, SCREEN_SIDE);
  bitmap.close();
  const thumb = await smaller(screen, THUMB_SIDE);
  const proxies = {
    screen: await encode(screen, screen.width, screen.height, copies, 0.86),
    thumb: await encode(thumb, thumb.width, thumb.height, copies, 0.82),
    ...(full ? { full } : {}),
  };
  screen.close();
  thumb.close();
  return ok({ asset, proxies });
}

/**
 * A large upright JPEG decoded at no more size than the screen copy needs: the decoder can leave out detail in eighths
 * (ITU-T T.81 blocks are 8 x 8), which takes a third of the time. Null where that is not possible.
 */
async function decodeReduced(
  bytes: Uint8Array<ArrayBuffer>,
  { type, width, height }: PictureHeader,
): Promise<ImageBitmap | null> {
  const eighths = Math.ceil((8 * SCREEN_SIDE) / Math.max(width, height));
  if (type !== 'image/jpeg' || eighths > 6 || typeof ImageDecoder === 'undefined') return null;
  const decoder = new ImageDecoder({
    data: bytes,
    type,
    desiredWidth: Math.ceil((width * eighths) / 8),
    desiredHeight: Math.ceil((height * eighths) / 8),
  });
  try {
    const { image } = await decoder.decode();
    const scale = SCREEN_SIDE / Math.max(width, height);
    const small = await createImageBitmap(image, {
      resizeWidth: Math.round(width * scale),
      resizeHeight: Math.round(height * scale),
      resizeQuality: 'medium',
    });
    image.close();
    return small;
  } finally {
    decoder.close();
  }
}

async function digest(bytes: Uint8Array<ArrayBuffer>): Promise<string> {
  const hash = new Uint8Array(await crypto.subtle.digest('SHA-256', bytes));
  return Array.from(hash, (byte) => byte.toString(16).padStart(2, '0')).join('');
}

interface Notes {
  orientation?: number;
  taken?: string;
  ppi?: number;
}
/** A HEIC's turn is done by its decoder. */
const NO_NOTES: Notes = {};

async function cameraNotes(bytes: Uint8Array): Promise<Notes> {
  const { parse } = (await import('exifr/dist/full.esm.mjs')).default;
  const notes = await parse(bytes, {
    pick: ['Orientation', 'DateTimeOriginal', 'CreateDate', 'XResolution', 'ResolutionUnit'],
    translateValues: false,
    reviveValues: false,
  }).catch(() => undefined);
  const orientation = Number(notes?.Orientation);
  const date = /^(\d{4}):(\d\d):(\d\d) (\d\d:\d\d:\d\d)/.exec(
    String(notes?.DateTimeOriginal ?? notes?.CreateDate ?? ''),
  );
  // Exif 2.32: a resolution unit of 3 is centimetres, else inches.
  const density = Number(notes?.XResolution) * (Number(notes?.ResolutionUnit) === 3 ? 2.54 : 1);
  return {
    ppi: density > 0 ? meaningfulDensity(density) : undefined,
    orientation:
      Number.isInteger(orientation) && orientation >= 1 && orientation <= 8 ? orientation : undefined,
    taken: date && date[1] !== '0000' ? `${date[1]}-${date[2]}-${date[3]}T${date[4]}` : undefined,
  };
}

async function decodeHeic(bytes: Uint8Array): Promise<Result<ImageBitmap>> {
  const { default: load } = await import('libheif-js/libheif-wasm/libheif-bundle.mjs');
  const [image] = new (load().HeifDecoder)().decode(bytes);
  if (!image) return fail('is damaged: the picture in it cannot be decoded');
  const width = image.get_width();
  const height = image.get_height();
  if (width * height > MOST_PIXELS || Math.max(width, height) > LONGEST_PICTURE_SIDE)
    return fail(`is ${width} x ${height} pixels: more than can be opened safely`);
  const pixels = await new Promise<ImageData | null>((resolve) =>
    image.display(new ImageData(width, height), resolve),
  );
  return pixels
    ? ok(await createImageBitmap(pixels))
    : fail('is damaged: the picture in it cannot be decoded');
}

async function smaller(bitmap: ImageBitmap, longest: number): Promise<ImageBitmap> {
  const scale = longest / Math.max(bitmap.width, bitmap.height);
  if (scale >= 1) return createImageBitmap(bitmap);
  return createImageBitmap(bitmap, {
    resizeWidth: Math.max(1, Math.round(bitmap.width * scale)),
    resizeHeight: Math.max(1, Math.round(bitmap.height * scale)),
    resizeQuality: 'medium',
  });
}

function encode(
  bitmap: ImageBitmap,
  width: number,
  height: number,
  type: string,
  quality: number,
): Promise<Blob> {
  const canvas = new OffscreenCanvas(width, height);
  canvas.getContext('2d')!.drawImage(bitmap, 0, 0);
  return canvas.convertToBlob({ type, quality });
}

const importer = { importPicture };
export type Importer = typeof importer;
expose(importer);
