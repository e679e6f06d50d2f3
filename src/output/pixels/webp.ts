/** Several WebP pictures as one that moves (RFC 9649, 2.5 to 2.7). */
import { riffChunks } from '@/core/bytes/chunks';
import type { Size } from '@/core/geometry/box';

interface Frame {
  /** A still picture of the size of all. */
  webp: Uint8Array;
  /** Milliseconds. */
  lasts: number;
}

const word = (text: string): number[] => [...text].map((c) => c.charCodeAt(0));
const little = (value: number, bytes: number): number[] =>
  Array.from({ length: bytes }, (_, i) => Math.floor(value / 256 ** i) & 255);

/** A chunk: its name, its length, its bytes, filled up to an even number. */
function chunk(name: string, parts: readonly (Uint8Array | readonly number[])[]): Uint8Array {
  const length = parts.reduce((sum, part) => sum + part.length, 0);
  const made = new Uint8Array(8 + length + (length % 2));
  made.set([...word(name), ...little(length, 4)]);
  let at = 8;
  for (const part of parts) {
    made.set(part, at);
    at += part.length;
  }
  return made;
}

/** The chunks of a still picture that hold its pixels: `VP8 `, `VP8L` and `ALPH`. */
const pixelsOf = (webp: Uint8Array): Uint8Array[] =>
  [...riffChunks(webp)]
    .filter(({ name }) => ['VP8 ', 'VP8L', 'ALPH'].includes(name))
    .map(({ from, end }) => webp.subarray(from, end));

/** Over and over; every picture replaces the one before it. */
export function animated({ width, height }: Size, frames: readonly Frame[]): Uint8Array {
  const size = [...little(width - 1, 3), ...little(height - 1, 3)];
  const chunks = [
    // It moves, and nothing else is said of it.
    chunk('VP8X', [[0b10, 0, 0, 0, ...size]]),
    chunk('ANIM', [[255, 255, 255, 255, 0, 0]]),
    ...frames.map(({ webp, lasts }) =>
      // At the corner, neither blended with what was there nor cleared away.
      chunk('ANMF', [[...little(0, 6), ...size, ...little(lasts, 3), 0b10], ...pixelsOf(webp)]),
    ),
  ];
  return chunk('RIFF', [word('WEBP'), ...chunks]);
}
