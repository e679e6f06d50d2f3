/** What a picture file says of itself in its first bytes, read without decoding it. */
import { MOST_PIXELS, type AssetType } from '@/core/picture/asset';
import { fail, ok, type Result } from '@/core/result';
import { PRINT_PPI } from '@/core/units/lengths';

export interface PictureHeader {
  type: AssetType;
  /** Pixels as stored; 0 for HEIC, whose size is known only after decoding. */
  width: number;
  height: number;
  /** Pixels per inch the file states; 300 where it states none, or only the 72 or 96 that stand for none. */
  ppi: number;
  /** A JPEG in the four colours of a press. */
  press?: boolean;
}

/** Bytes a picture file may have. */
export const MOST_BYTES = 400 * 2 ** 20;

/** Longest side of a picture, pixels: what JPEG can hold at most is 65535; browsers draw less. */
export const LONGEST_PICTURE_SIDE = 25_000;

/**
 * Recognises JPEG (ITU-T T.81), PNG (W3C), WebP (RFC 9649) and HEIC (ISO/IEC 23008-12) by their bytes, never by name.
 * Refuses anything else, cut-off files, and pictures too large to decode safely, in words that follow the file's name.
 */
export function readHeader(bytes: Uint8Array): Result<PictureHeader> {
  if (bytes.length === 0) return fail('is empty (0 bytes)');
  if (bytes.length > MOST_BYTES) return fail(`is larger than ${MOST_BYTES / 2 ** 20} MB`);
  const header = recognise(bytes);
  if (!header.ok) return header;
  const { width, height } = header.value;
  if (width * height > MOST_PIXELS || Math.max(width, height) > LONGEST_PICTURE_SIDE)
    return fail(
      `is ${width} x ${height} pixels: more than can be opened safely (${MOST_PIXELS / 1e6} million, and ${LONGEST_PICTURE_SIDE} a side, are the most)`,
    );
  return header;
}

/** First bytes that are enough to tell what a file is. */
export const HEAD = 1024;

/** What a file is by its first `HEAD` bytes, whatever it is called: a picture, a zip (PKWARE APPNOTE, 4.3.7), or neither. */
export function contentOf(head: Uint8Array): 'picture' | 'zip' | null {
  const text = (from: number, to: number) => String.fromCharCode(...head.subarray(from, to));
  if (text(0, 4) === 'PK\x03\x04') return 'zip';
  const known =
    (head[0] === 0xff && head[1] === 0xd8 && head[2] === 0xff) ||
    text(0, 4) === '\x89PNG' ||
    /^GIF8[79]a/.test(text(0, 6)) ||
    (text(0, 4) === 'RIFF' && text(8, 12) === 'WEBP') ||
    HEIC.test(text(4, 12)) ||
    /<svg[\s>]/i.test(text(0, HEAD));
  return known ? 'picture' : null;
}

const HEIC = /^ftyp(heic|heix|hevc|heim|heis|mif1|msf1)/;

function recognise(bytes: Uint8Array): Result<PictureHeader> {
  const text = (from: number, to: number) => String.fromCharCode(...bytes.subarray(from, to));
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  if (bytes[0] === 0xff && bytes[1] === 0xd8) return jpegHeader(bytes);
  if (text(1, 4) === 'PNG' && bytes.length > 33) {
    if (!pngEnds(bytes, view)) return fail(CUT_OFF);
    return ok({
      type: 'image/png',
      width: view.getUint32(16),
      height: view.getUint32(20),
      ppi: pngDensity(bytes, view),
    });
  }
  if (text(0, 4) === 'RIFF' && text(8, 12) === 'WEBP') return webpHeader(bytes, view);
  if (HEIC.test(text(4, 12))) return ok({ type: 'image/heic', width: 0, height: 0, ppi: PRINT_PPI });
  if (/<svg[\s>]/i.test(text(0, Math.min(bytes.length, 1000))))
    return fail('is an SVG drawing that cannot be read');
  return fail('is not a picture this program knows; pictures can be JPEG, PNG, WebP, HEIC, GIF or SVG');
}

/** `IEND`, as a number. */
const IEND = 0x49454e44;

const CUT_OFF = 'is cut off: the end of the picture is missing';

function jpegHeader(bytes: Uint8Array): Result<PictureHeader> {
  let size: { width: number; height: number; press?: boolean } | undefined;
  let ppi = PRINT_PPI;
  for (let at = 2; at + 9 < bytes.length;) {
    if (bytes[at] !== 0xff) return fail('is a damaged JPEG');
    const marker = bytes[at + 1]!;
    if (marker === 0xff) {
      at += 1;
      continue;
    }
    if (marker === 0xe0 && bytes[at + 4] === 0x4a) {
      // JFIF: units (1 per inch, 2 per centimetre), then the density across (ITU-T T.871, 10.1).
      const density = (bytes[at + 12]! << 8) | bytes[at + 13]!;
      ppi = meaningfulDensity(density * (bytes[at + 11] === 2 ? 2.54 : bytes[at + 11] === 1 ? 1 : 0));
    }
    const frame = marker >= 0xc0 && marker <= 0xcf && ![0xc4, 0xc8, 0xcc].includes(marker);
    if (frame)
      size = {
        height: (bytes[at + 5]! << 8) | bytes[at + 6]!,
        width: (bytes[at + 7]! << 8) | bytes[at + 8]!,
        ...(bytes[at + 9] === 4 ? { press: true } : {}),
      };
    if (marker === 0xda) {
      // The picture must end with an end-of-image marker; some cameras add notes after it.
      for (let end = bytes.length - 2; end > at; end--)
        if (bytes[end] === 0xff && bytes[end + 1] === 0xd9)
          return size?.width && size.height
            ? ok({ type: 'image/jpeg', ...size, ppi })
            : fail('is a damaged JPEG');
      return fail(CUT_OFF);
    }
    at += 2 + ((bytes[at + 2]! << 8) | bytes[at + 3]!);
  }
  return fail(CUT_OFF);
}

/** A density as stated, or 300 where it is none or one of those that programs write when they know none. */
export const meaningfulDensity = (ppi: number): number =>
  ppi > 96.5 && ppi <= 10_000 ? Math.round(ppi * 100) / 100 : PRINT_PPI;

/** Whether the last chunk is there whole; some programs leave bytes after it. */
function pngEnds(bytes: Uint8Array, view: DataView): boolean {
  for (let at = 8; at + 12 <= bytes.length; at += 12 + view.getUint32(at))
    if (view.getUint32(at + 4) === IEND) return true;
  return false;
}

/** The pHYs chunk: pixels a metre, before the picture data. */
function pngDensity(bytes: Uint8Array, view: DataView): number {
  for (let at = 33; at + 12 < bytes.length; at += 12 + view.getUint32(at)) {
    const type = String.fromCharCode(...bytes.subarray(at + 4, at + 8));
    if (type === 'pHYs' && bytes[at + 16] === 1) return meaningfulDensity(view.getUint32(at + 8) * 0.0254);
    if (type === 'IDAT') break;
  }
  return PRINT_PPI;
}

function webpHeader(bytes: Uint8Array, view: DataView): Result<PictureHeader> {
  if (bytes.length < 30 || view.getUint32(4, true) + 8 > bytes.length) return fail(CUT_OFF);
  const kind = String.fromCharCode(...bytes.subarray(12, 16));
  const three = (at: number) => bytes[at]! | (bytes[at + 1]! << 8) | (bytes[at + 2]! << 16);
  if (kind === 'VP8X')
    return ok({ type: 'image/webp', width: three(24) + 1, height: three(27) + 1, ppi: PRINT_PPI });
  if (kind === 'VP8L') {
    const bits = view.getUint32(21, true);
    return ok({
      type: 'image/webp',
      width: (bits & 0x3fff) + 1,
      height: ((bits >> 14) & 0x3fff) + 1,
      ppi: PRINT_PPI,
    });
  }
  return ok({
    type: 'image/webp',
    width: view.getUint16(26, true) & 0x3fff,
    height: view.getUint16(28, true) & 0x3fff,
    ppi: PRINT_PPI,
  });
}
