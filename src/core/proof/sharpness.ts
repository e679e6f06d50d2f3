/** How sharply pictures print: effective pixels per inch, and how large is still good. */
import type { Size } from '@/core/geometry/box';
import type { DrawingTools } from '@/core/page/outlines';
import { shownOn } from '@/core/page/shown';
import { materialKind } from '@/core/piece/material';
import type { Piece } from '@/core/piece/piece';
import type { Surface } from '@/core/project/model';
import { on, type Check } from '@/core/proof/check';
import { formatSize, PRINT_PPI, type Unit } from '@/core/units/lengths';

/** Below this the softness is plain to see at reading distance (common practice, no source). */
export const SOFT_PPI = 150;

export interface Sharpness {
  piece: Piece;
  /** Pixels of the file to an inch of paper. */
  ppi: number;
  /** The largest box of the same proportions that still prints at 300 ppi, points. */
  good: Size;
  verdict: 'sharp' | 'fair' | 'soft';
}

/** How a picture piece prints, where it is softest; null for pieces that are not pictures or whose file is missing. */
export function sharpnessOf(piece: Piece, tools: DrawingTools): Sharpness | null {
  const shown = shownOn(piece, tools).filter((one) => one !== null);
  if (!shown.length) return null;
  const { width, height } = piece.placement;
  const ppi = Math.min(...shown.map(({ scale, window }) => 72 / (scale * window.zoom)));
  const share = ppi / PRINT_PPI;
  return {
    piece,
    ppi,
    good: { width: width * share, height: height * share },
    // Half a pixel an inch is nothing to warn of.
    verdict: ppi >= PRINT_PPI - 0.5 ? 'sharp' : ppi >= SOFT_PPI ? 'fair' : 'soft',
  };
}

/** Every picture that prints below 300 ppi, or below what is enough for its kind, softest first. */
export const belowPrint = ({ pile }: Surface, tools: DrawingTools): Sharpness[] =>
  pile
    .filter((piece) => !piece.placement.hidden)
    .map((piece) => sharpnessOf(piece, tools))
    .filter(
      (found): found is Sharpness =>
        found !== null &&
        found.verdict !== 'sharp' &&
        found.ppi < (materialKind(found.piece.material).enough ?? Infinity),
    )
    .sort((a, b) => a.ppi - b.ppi);

/** What is as long as this is not read in the hand, points: 20 inches. */
const POSTER = 1440;

/**
 * Inches from which the eye no longer tells so many pixels an inch apart: one minute of arc between two of them, the acuity of
 * normal sight (a visual acuity of 1.0, ISO 8596). 300 ppi want 11.5 inches.
 */
const sharpFrom = (ppi: number): number => 1 / (ppi * Math.tan(Math.PI / 180 / 60));

/** `142 ppi: soft`, while a hand is at it. */
export const sharpnessInShort = ({ ppi, verdict }: Sharpness): string => `${Math.floor(ppi)} ppi: ${verdict}`;

/** `Prints at 142 ppi: soft at this size. Good up to 6.3 x 4.2 in.` */
export function describeSharpness({ piece, ppi, good, verdict }: Sharpness, unit: Unit): string {
  const words = { sharp: 'sharp', fair: 'fair at this size', soft: 'soft at this size' }[verdict];
  const limit = verdict === 'sharp' ? '' : ` Good up to ${formatSize(good, unit)}.`;
  return `Prints at ${Math.floor(ppi)} ppi: ${words}.${limit}${seenFrom()}`;

  function seenFrom(): string {
    const { width, height } = piece.placement;
    if (verdict === 'sharp' || Math.max(width, height) < POSTER) return '';
    const inches = sharpFrom(ppi);
    return ` On a wall it looks sharp from ${unit === 'in' ? `${Math.ceil(inches)} in` : `${Math.ceil(inches * 2.54)} cm`} away.`;
  }
}

export const SHARP: Check = {
  id: 'sharpness',
  look: ({ surface, tools, project }) =>
    belowPrint(surface, tools).map((found) =>
      on(found.piece, describeSharpness(found, project.unit), found.verdict === 'soft'),
    ),
  clear: `Every photo prints at ${PRINT_PPI} ppi or more.`,
};
