/** Decodes HEIC by itself: what its decoder takes of memory, and what it may do with a bad file, ends with it. */
import { expose, transfer } from 'comlink';
import load from 'libheif-js/libheif-wasm/libheif-bundle.mjs';
import type { Result } from '@/core/result';
import { heicPixels, type HeicPixels } from '@/workers/heic';

async function decode(bytes: Uint8Array): Promise<Result<HeicPixels>> {
  const pixels = await heicPixels(bytes, load());
  return pixels.ok ? transfer(pixels, [pixels.value.data.buffer]) : pixels;
}

const decoder = { decode };
export type HeicDecoder = typeof decoder;
expose(decoder);
