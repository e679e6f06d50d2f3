/** Files made of named chunks: PNG (W3C PNG third edition, 5.3) and RIFF (RFC 9649, 2.3). A chunk that is cut off is left out. */
import { partsFrom, type Part } from '@/core/bytes/parts';

export interface Chunk extends Part {
  /** Four characters. */
  name: string;
  data: Uint8Array;
}

const nameAt = (bytes: Uint8Array, at: number): string => String.fromCharCode(...bytes.subarray(at, at + 4));
const PNG_SIGNATURE = [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a];
const RIFF_HEADER = 12;

export const isPng = (bytes: Uint8Array): boolean => PNG_SIGNATURE.every((byte, i) => bytes[i] === byte);

/** From the first chunk up to and with `IEND`; each from its length to its checksum. */
export function pngChunks(bytes: Uint8Array): Generator<Chunk, void> {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  let ended = false;
  return partsFrom(PNG_SIGNATURE.length, bytes.length, (from) => {
    if (ended || from + 12 > bytes.length) return null;
    const end = from + 12 + view.getUint32(from);
    if (end > bytes.length) return null;
    const name = nameAt(bytes, from + 4);
    ended = name === 'IEND';
    return { name, from, data: bytes.subarray(from + 8, end - 4), end };
  });
}

/** Chunks of a RIFF file, each from its name to its padding. */
export function riffChunks(bytes: Uint8Array): Generator<Chunk, void> {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  return partsFrom(RIFF_HEADER, bytes.length, (from) => {
    if (from + 8 > bytes.length) return null;
    const length = view.getUint32(from + 4, true);
    const end = from + 8 + length;
    if (end > bytes.length) return null;
    const data = bytes.subarray(from + 8, end);
    return { name: nameAt(bytes, from), from, data, end: end + (length % 2) };
  });
}
