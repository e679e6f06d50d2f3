/** Writes into finished PNG and JPEG files what canvases leave out: the print density, and which RGB they are in. */
import { pngChunks } from '@/core/bytes/chunks';

const INCH_IN_METRES = 0.0254;
const CRC_TABLE = Uint32Array.from({ length: 256 }, (_, n) => {
  let c = n;
  for (let k = 0; k < 8; k++) c = c & 1 ? 0xedb88320 ^ (c >>> 1) : c >>> 1;
  return c >>> 0;
});

/** CRC-32 of PNG chunks (W3C PNG Specification, annex D). */
function crc32(bytes: Uint8Array): number {
  let crc = 0xffffffff;
  for (const byte of bytes) crc = CRC_TABLE[(crc ^ byte) & 0xff]! ^ (crc >>> 8);
  return (crc ^ 0xffffffff) >>> 0;
}

function chunk(type: string, data: Uint8Array): Uint8Array {
  const out = new Uint8Array(12 + data.length);
  const view = new DataView(out.buffer);
  view.setUint32(0, data.length);
  for (let i = 0; i < 4; i++) out[4 + i] = type.charCodeAt(i);
  out.set(data, 8);
  view.setUint32(8 + data.length, crc32(out.subarray(4, 8 + data.length)));
  return out;
}

/** End of the IHDR chunk: 8 bytes of signature, 25 of header. */
const AFTER_HEADER = 33;

/** Chunks in whose place others are written. */
const RESTATED = new Set(['sRGB', 'pHYs', 'gAMA', 'cHRM', 'iCCP']);

/** The PNG with pHYs (`ppi` in pixels a metre) and sRGB (perceptual intent) chunks; others of the kind are dropped. */
export function pngWithDensity(png: Uint8Array, ppi: number): Uint8Array[] {
  const physical = new Uint8Array(9);
  const perMetre = Math.round(ppi / INCH_IN_METRES);
  new DataView(physical.buffer).setUint32(0, perMetre);
  new DataView(physical.buffer).setUint32(4, perMetre);
  physical[8] = 1;
  const parts = [png.subarray(0, AFTER_HEADER), chunk('sRGB', new Uint8Array([0])), chunk('pHYs', physical)];
  for (const { name, from, end } of pngChunks(png)) {
    if (name === 'IDAT') return [...parts, png.subarray(from)];
    if (from >= AFTER_HEADER && !RESTATED.has(name)) parts.push(png.subarray(from, end));
  }
  throw new RangeError('A PNG without picture data.');
}

/** The JPEG with its JFIF header stating `ppi` (ITU-T T.871, 10.1). */
export function jpegWithDensity(jpeg: Uint8Array, ppi: number): Uint8Array[] {
  const header = new Uint8Array([
    0xff,
    0xe0,
    0,
    16,
    0x4a,
    0x46,
    0x49,
    0x46,
    0,
    1,
    2,
    1,
    ppi >> 8,
    ppi & 255,
    ppi >> 8,
    ppi & 255,
    0,
    0,
  ]);
  const hasJfif = jpeg[2] === 0xff && jpeg[3] === 0xe0;
  const rest = hasJfif ? 4 + ((jpeg[4]! << 8) | jpeg[5]!) : 2;
  return [jpeg.subarray(0, 2), header, jpeg.subarray(rest)];
}

/** A JPEG in parts, with a profile after the first two, its header (ICC.1:2022, annex B.4: APP2, in one part). */
export function jpegWithProfile([start, header, ...rest]: Uint8Array[], profile: Uint8Array): Uint8Array[] {
  const name = [...'ICC_PROFILE'].map((c) => c.charCodeAt(0));
  const length = 2 + name.length + 3 + profile.length;
  const marker = new Uint8Array([0xff, 0xe2, length >> 8, length & 255, ...name, 0, 1, 1]);
  return [start!, header!, marker, profile, ...rest.map(withoutProfile)];
}

/** What an encoder may have said of its colours goes: APP2 segments at the beginning of `rest`, which follows a file's header. */
function withoutProfile(rest: Uint8Array): Uint8Array {
  let at = 0;
  while (rest[at] === 0xff && rest[at + 1] === 0xe2) at += 2 + ((rest[at + 2]! << 8) | rest[at + 3]!);
  return rest.subarray(at);
}
