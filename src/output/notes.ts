/** Picture files without what cameras and programs noted in them: places, days, serial numbers, small second pictures. */

/** Of a JPEG only these application segments are of use to who shows it: JFIF, ICC profile, Adobe's colour transform. */
const SHOWN: Record<number, string> = { 0xe0: 'JFIF\0', 0xe2: 'ICC_PROFILE\0', 0xee: 'Adobe' };

/** Of a PNG these ancillary chunks say how it looks (PNG third edition, 11.3); all others only tell of it. */
const SEEN = new Set(['tRNS', 'cHRM', 'gAMA', 'iCCP', 'sBIT', 'sRGB', 'cICP', 'bKGD', 'pHYs']);

/** A JPEG or PNG file without its notes, every pixel as it was; any other, or one that cannot be followed, as it is. */
export function unnoted(bytes: Uint8Array): Uint8Array {
  const kept = unnotedParts(bytes);
  const length = kept.reduce((sum, part) => sum + part.length, 0);
  if (length === bytes.length) return bytes;
  const whole = new Uint8Array(length);
  let at = 0;
  for (const part of kept) {
    whole.set(part, at);
    at += part.length;
  }
  return whole;
}

/** The same in parts that follow each other, of which none is copied. */
export const unnotedParts = (bytes: Uint8Array): Uint8Array[] =>
  (bytes[0] === 0xff && bytes[1] === 0xd8 ? jpegParts(bytes) : isPng(bytes) ? pngParts(bytes) : null) ?? [
    bytes,
  ];

/** Segments of ITU-T T.81, annex B; what lies beyond the end of the image is none of it. */
function jpegParts(bytes: Uint8Array): Uint8Array[] | null {
  const kept = [bytes.subarray(0, 2)];
  for (let at = 2; at + 4 <= bytes.length;) {
    if (bytes[at] !== 0xff) return null;
    const marker = bytes[at + 1]!;
    if (marker === 0xff) {
      at += 1;
      continue;
    }
    if (marker === 0xd9) break;
    const end = at + 2 + ((bytes[at + 2]! << 8) | bytes[at + 3]!);
    if (end > bytes.length || end < at + 4) return null;
    if (staysIn(bytes, marker, at + 4)) kept.push(bytes.subarray(at, end));
    at = end;
    if (marker !== 0xda) continue;
    // What is scanned goes on to the next marker that is neither stuffing nor a restart.
    const from = at;
    // The platform's own search: a photo is millions of bytes.
    do at = bytes.indexOf(0xff, at === from ? at : at + 1);
    while (at >= 0 && at + 1 < bytes.length && !isMarker(bytes[at + 1]!));
    if (at < 0 || at + 1 >= bytes.length) at = bytes.length;
    kept.push(bytes.subarray(from, at));
  }
  kept.push(Uint8Array.of(0xff, 0xd9));
  return kept;
}

const isMarker = (byte: number) => byte !== 0 && byte !== 0xff && !(byte >= 0xd0 && byte <= 0xd7);

function staysIn(bytes: Uint8Array, marker: number, at: number): boolean {
  if (marker === 0xfe) return false;
  if (marker < 0xe0 || marker > 0xef) return true;
  const name = SHOWN[marker];
  return name !== undefined && [...name].every((c, i) => bytes[at + i] === c.charCodeAt(0));
}

const isPng = (bytes: Uint8Array) =>
  [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a].every((byte, i) => bytes[i] === byte);

function pngParts(bytes: Uint8Array): Uint8Array[] | null {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const kept = [bytes.subarray(0, 8)];
  for (let at = 8; at + 12 <= bytes.length;) {
    const end = at + 12 + view.getUint32(at);
    if (end > bytes.length) return null;
    const name = String.fromCharCode(...bytes.subarray(at + 4, at + 8));
    // A capital first letter is a critical chunk.
    if (/^[A-Z]/.test(name) || SEEN.has(name)) kept.push(bytes.subarray(at, end));
    at = end;
    if (name === 'IEND') break;
  }
  return kept;
}
