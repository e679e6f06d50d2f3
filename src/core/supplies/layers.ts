/** Stamps in two layers: lines, and the tone beneath them, of one size, called alike. */
import type { Asset } from '@/core/picture/asset';

const TONE = ', tone';

/** Where one of two lies that are made to fit, seen from the other; null if they are not. */
export function fitsOn(one: Asset, other: Asset): 'beneath' | 'above' | null {
  if (one.width !== other.width || one.height !== other.height) return null;
  if (one.name === other.name + TONE) return 'beneath';
  return other.name === one.name + TONE ? 'above' : null;
}
