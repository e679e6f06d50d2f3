/** Words too pale on what lies behind them, as the page looks: its pixels know of photos, papers and shadows. */
import { rgbOf } from '@/core/color/hex';
import { LUMA, toLinear } from '@/core/color/srgb';
import { apply } from '@/core/geometry/matrix';
import { evenColour } from '@/core/piece/material';
import { isWritten } from '@/core/piece/outline';
import type { Piece } from '@/core/piece/piece';
import { placementMatrix } from '@/core/piece/placement/placement';
import type { Surface } from '@/core/project/model';
import { on, type Finding } from '@/core/proof/check';

/** A page from above, sRGB with 8 bits (RGBA): all of its trim. */
export interface PagePixels {
  data: Uint8ClampedArray;
  width: number;
  height: number;
}

/** Contrast that words need, and large ones (WCAG 2.2, 1.4.3: from 18 pt, or 14 pt in bold). */
const [NEEDED, NEEDED_LARGE] = [4.5, 3];

/** Relative luminance of 8-bit sRGB (WCAG 2.2). */
export const luminance = (r: number, g: number, b: number): number =>
  [r, g, b].reduce((sum, value, i) => sum + LUMA[i]! * toLinear(value / 255), 0);

/** From 1 to 21 (WCAG 2.2). */
export const contrast = (a: number, b: number): number => (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);

/** Places that are looked at in a piece's box, across and down. */
const [ACROSS, DOWN] = [48, 24];
/** A pixel that is no farther than this from the ink in any channel is of the letters. */
const ALIKE = 20;
/** With fewer places than this share that differ from the ink, words and what is behind them are one. */
const LEAST_BEHIND = 0.05;

/** What is behind a piece's words: the middle of how much it stands off their ink; null where it cannot be told. */
function standsOff(
  piece: Piece,
  ink: string,
  page: Surface,
  { data, width, height }: PagePixels,
): number | null {
  const [r, g, b] = rgbOf(ink).map((value) => 255 * value) as [number, number, number];
  const own = luminance(r, g, b);
  const lies = placementMatrix(piece.placement);
  const found: number[] = [];
  let looked = 0;
  for (let i = 0; i < ACROSS * DOWN; i++) {
    const place = apply(lies, {
      x: ((i % ACROSS) / (ACROSS - 1) - 0.5) * piece.placement.width,
      y: (Math.floor(i / ACROSS) / (DOWN - 1) - 0.5) * piece.placement.height,
    });
    const [x, y] = [Math.floor((place.x / page.width) * width), Math.floor((place.y / page.height) * height)];
    if (x < 0 || y < 0 || x >= width || y >= height) continue;
    looked++;
    const at = 4 * (y * width + x);
    const [pr, pg, pb] = [data[at]!, data[at + 1]!, data[at + 2]!];
    if (Math.max(Math.abs(pr - r), Math.abs(pg - g), Math.abs(pb - b)) > ALIKE)
      found.push(contrast(own, luminance(pr, pg, pb)));
  }
  if (!looked) return null;
  if (found.length < LEAST_BEHIND * looked) return 1;
  // Where letters end, a pixel is a little of both: the middle one is not.
  return found.sort((one, other) => one - other)[found.length >> 1]!;
}

/** Words in one ink, of any page, that stand off too little from what lies behind them. */
export function paleWords(page: Surface, pixels: PagePixels): Finding[] {
  return page.pile.flatMap((piece) => {
    const { outline, material, placement } = piece;
    if (placement.hidden || !isWritten(outline) || !outline.text.trim()) return [];
    const ink = evenColour(material);
    if (!ink || outline.spans?.some((span) => 'ink' in span && span.ink)) return [];
    const off = standsOff(piece, ink, page, pixels);
    const needed = outline.size >= 18 || (outline.bold && outline.size >= 14) ? NEEDED_LARGE : NEEDED;
    return off !== null && off < needed
      ? [
          on(
            piece,
            `Pale on what lies behind: a contrast of ${off.toFixed(1)} to 1, where letters of this size want ${needed}.`,
            off < NEEDED_LARGE,
          ),
        ]
      : [];
  });
}
