/** Picture files without what cameras and programs noted in them: places, days, serial numbers, small second pictures. */
import { isPng, pngChunks } from '@/core/bytes/chunks';
import { joined, lengthOf } from '@/core/bytes/joined';
import { COMMENT, EOI, jpegParts, SOI, startsWith } from '@/core/bytes/jpeg';

/** Of a JPEG only these application segments are of use to who shows it: JFIF, ICC profile, Adobe's colour transform. */
const SHOWN: Record<number, string> = { 0xe0: 'JFIF\0', 0xe2: 'ICC_PROFILE\0', 0xee: 'Adobe' };

/** Of a PNG these ancillary chunks say how it looks (PNG third edition, 11.3); all others only tell of it. */
const SEEN = new Set(['tRNS', 'cHRM', 'gAMA', 'iCCP', 'sBIT', 'sRGB', 'cICP', 'bKGD', 'pHYs']);

/** A JPEG or PNG file without its notes, every pixel as it was; any other, or one that cannot be followed, as it is. */
export function unnoted(bytes: Uint8Array): Uint8Array {
  const kept = unnotedParts(bytes);
  if (lengthOf(kept) === bytes.length) return bytes;
  return joined(kept);
}

/** The same in parts that follow each other, of which none is copied. */
export const unnotedParts = (bytes: Uint8Array): Uint8Array[] =>
  (bytes[0] === 0xff && bytes[1] === SOI
    ? jpegPartsKept(bytes)
    : isPng(bytes)
      ? pngPartsKept(bytes)
      : null) ?? [bytes];

/** What lies beyond the end of the image is none of it. */
function jpegPartsKept(bytes: Uint8Array): Uint8Array[] | null {
  const kept = [bytes.subarray(0, 2)];
  try {
    for (const { marker, from, data, end } of jpegParts(bytes))
      if (marker !== EOI && isShown(marker, data)) kept.push(bytes.subarray(from, end));
  } catch {
    return null;
  }
  kept.push(Uint8Array.of(0xff, EOI));
  return kept;
}

function isShown(marker: number, data: Uint8Array): boolean {
  if (marker === COMMENT) return false;
  if (marker < 0xe0 || marker > 0xef) return true;
  const name = SHOWN[marker];
  return name !== undefined && startsWith(data, name);
}

function pngPartsKept(bytes: Uint8Array): Uint8Array[] | null {
  const kept = [bytes.subarray(0, 8)];
  let last = '';
  for (const { name, from, end } of pngChunks(bytes)) {
    // A capital first letter is a critical chunk.
    if (/^[A-Z]/.test(name) || SEEN.has(name)) kept.push(bytes.subarray(from, end));
    last = name;
  }
  return last === 'IEND' ? kept : null;
}
