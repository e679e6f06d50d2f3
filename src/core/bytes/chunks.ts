/** Files made of named chunks: PNG (W3C PNG third edition, 5.3) and RIFF (RFC 9649, 2.3). A chunk that is cut off is left out. */
import { joined } from '@/core/bytes/joined';
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

/** 1/2.2, as gAMA states it, in 100,000ths; programs round it. */
const isUsualGamma = (gamma: number): boolean => Math.abs(gamma - 45_455) <= 30;
/** White, red, green and blue of sRGB as cHRM states them, in 100,000ths (IEC 61966-2-1). */
const SRGB_POINTS = [31_270, 32_900, 64_000, 33_000, 30_000, 60_000, 15_000, 6_000];

/**
 * A PNG that states the gamma and primaries of sRGB without naming it, as some programs write it, with sRGB named in their
 * place; null for any other. Browsers read such a gamma as an exact power, which darkens shadows; other programs take it for sRGB.
 */
export function namedSrgb(bytes: Uint8Array): Uint8Array<ArrayBuffer> | null {
  if (!isPng(bytes)) return null;
  const chunks = [...pngChunks(bytes)];
  const find = (name: string) => chunks.find((chunk) => chunk.name === name);
  const word = ({ data }: Chunk, i: number) => new DataView(data.buffer, data.byteOffset).getUint32(4 * i);
  const [gamma, points] = [find('gAMA'), find('cHRM')];
  if (!gamma || gamma.data.length !== 4 || !isUsualGamma(word(gamma, 0))) return null;
  if (['iCCP', 'sRGB', 'cICP'].some(find)) return null;
  const near = (point: number, i: number) => Math.abs(word(points!, i) - point) <= 100;
  if (points && (points.data.length !== 32 || !SRGB_POINTS.every(near))) return null;
  const kept = chunks.filter((chunk) => chunk !== points);
  const parts = kept.map((chunk) => (chunk === gamma ? SRGB_CHUNK : bytes.subarray(chunk.from, chunk.end)));
  return joined([Uint8Array.from(PNG_SIGNATURE), ...parts]);
}

/** sRGB with the perceptual intent, and its checksum. */
const SRGB_CHUNK = Uint8Array.of(0, 0, 0, 1, 0x73, 0x52, 0x47, 0x42, 0, 0xae, 0xce, 0x1c, 0xe9);
