/** What a picture file says of itself in its first bytes, read without decoding it. */
import { isPng, pngChunks } from '@/core/bytes/chunks';
import { EOI, isFrame, jpegParts, SOS, startsWith } from '@/core/bytes/jpeg';
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
    stillType(head) !== null ||
    (text(0, 4) === 'RIFF' && text(8, 12) === 'WEBP') ||
    HEIC.test(text(4, 12)) ||
    /<svg[\s>]/i.test(text(0, HEAD));
  return known ? 'picture' : null;
}

/** What comes in as a still of another kind, by its first bytes: moving or rare pictures that browsers decode. */
export function stillType(bytes: Uint8Array): 'image/gif' | 'image/bmp' | 'image/avif' | null {
  const text = (from: number, to: number) => String.fromCharCode(...bytes.subarray(from, to));
  if (/^GIF8[79]a/.test(text(0, 6))) return 'image/gif';
  if (/^ftypavi[fs]/.test(text(4, 12))) return 'image/avif';
  // BMP has no more of a signature; the size of its second header follows (40 to 124).
  return text(0, 2) === 'BM' && bytes[14]! >= 40 && bytes[14]! <= 124 && bytes[15] === 0 ? 'image/bmp' : null;
}

const HEIC = /^ftyp(heic|heix|hevc|heim|heis|mif1|msf1)/;

function recognise(bytes: Uint8Array): Result<PictureHeader> {
  const text = (from: number, to: number) => String.fromCharCode(...bytes.subarray(from, to));
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  if (bytes[0] === 0xff && bytes[1] === 0xd8) return jpegHeader(bytes);
  if (isPng(bytes)) return pngHeader(bytes);
  if (text(0, 4) === 'RIFF' && text(8, 12) === 'WEBP') return webpHeader(bytes, view);
  if (/^(II\*\0|MM\0\*)/.test(text(0, 4)))
    return fail('is a TIFF picture, which browsers cannot show. Save it as JPEG or PNG');
  if (HEIC.test(text(4, 12))) return ok({ type: 'image/heic', width: 0, height: 0, ppi: PRINT_PPI });
  if (/<svg[\s>]/i.test(text(0, Math.min(bytes.length, 1000))))
    return fail('is an SVG drawing that cannot be read');
  return fail(
    'is not a picture this program knows; pictures can be JPEG, PNG, WebP, HEIC, AVIF, GIF, BMP or SVG',
  );
}

const CUT_OFF = 'is cut off: the end of the picture is missing';

function jpegHeader(bytes: Uint8Array): Result<PictureHeader> {
  let size: { width: number; height: number; press?: boolean } | undefined;
  let ppi = PRINT_PPI;
  try {
    for (const { marker, data, end } of jpegParts(bytes)) {
      if (marker === 0xe0 && startsWith(data, 'JFIF\0')) {
        // Units (1 per inch, 2 per centimetre), then the density across (ITU-T T.871, 10.1).
        const density = (data[8]! << 8) | data[9]!;
        ppi = meaningfulDensity(density * (data[7] === 2 ? 2.54 : data[7] === 1 ? 1 : 0));
      }
      if (isFrame(marker)) {
        if (data.length < 6) return fail('is a damaged JPEG');
        const kind = unusualKind(marker, data[0]!);
        if (kind) return fail(`is a JPEG that browsers cannot show (${kind}). ${SAVE_AGAIN}`);
        size = {
          height: (data[1]! << 8) | data[2]!,
          width: (data[3]! << 8) | data[4]!,
          ...(data[5] === 4 ? { press: true } : {}),
        };
      }
      if (marker !== SOS) continue;
      if (!size?.width || !size.height) return fail('is a damaged JPEG');
      return endsAfter(bytes, end) ? ok({ type: 'image/jpeg', ...size, ppi }) : fail(CUT_OFF);
    }
  } catch {
    return fail('is a damaged JPEG');
  }
  return fail(CUT_OFF);
}

const SAVE_AGAIN = 'Open it in a photo program and save it as an ordinary JPEG';

/** Whether the picture's end is marked somewhere after its first scan; some cameras add notes after it. */
function endsAfter(bytes: Uint8Array, at: number): boolean {
  for (let end = bytes.lastIndexOf(EOI); end > at; end = bytes.lastIndexOf(EOI, end - 1))
    if (bytes[end - 1] === 0xff) return true;
  return false;
}

/** What a frame's process and precision are called where no browser decodes them (ITU-T T.81, table B.1). */
function unusualKind(marker: number, bits: number): string | null {
  if (bits !== 8) return `${bits} bits a colour`;
  if (marker >= 0xc9) return 'arithmetic coding';
  if (marker >= 0xc5) return 'several resolutions in one';
  return marker === 0xc3 ? 'lossless' : null;
}

/** A density as stated, or 300 where it is none or one of those that programs write when they know none. */
export const meaningfulDensity = (ppi: number): number =>
  ppi > 96.5 && ppi <= 10_000 ? Math.round(ppi * 100) / 100 : PRINT_PPI;

/** The size and density of a PNG whose last chunk is there; some programs leave bytes after it. */
function pngHeader(bytes: Uint8Array): Result<PictureHeader> {
  let size: { width: number; height: number } | undefined;
  let ppi = PRINT_PPI;
  for (const { name, data } of pngChunks(bytes)) {
    const view = new DataView(data.buffer, data.byteOffset, data.byteLength);
    if (name === 'IHDR' && data.length === 13) size = { width: view.getUint32(0), height: view.getUint32(4) };
    // Pixels a metre.
    if (name === 'pHYs' && data.length === 9 && data[8] === 1)
      ppi = meaningfulDensity(view.getUint32(0) * 0.0254);
    if (name === 'IEND') return size ? ok({ type: 'image/png', ...size, ppi }) : fail('is a damaged PNG');
  }
  return fail(CUT_OFF);
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
