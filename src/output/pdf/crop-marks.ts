/** Where the paper is cut and folded, as marks beside it; and numbers as a PDF writes them. */
import type { Size } from '@/core/geometry/box';
import type { Sides } from '@/core/geometry/sides';
import type { Fold } from '@/core/picture/picture';
import type { Along, Line } from '@/core/product/imposition';
import { linesBeside } from '@/output/crop-lines';

export const n = (value: number): string => String(Math.round(value * 1e4) / 1e4);

/** Marks at the trim's four sides, and where it is folded. */
export function marksAt(trim: Size, bleed: Sides, folds: readonly Fold[]): string {
  const at = (of: Fold['axis']) => folds.flatMap(({ axis, at }) => (axis === of ? [at] : []));
  return marksAlong(trim, bleed, { x: [0, trim.width], y: [0, trim.height] }, { x: at('x'), y: at('y') });
}

/** Hairlines where the paper is cut, in the four inks at full strength; where it is scored and folded they are dashed. */
export function marksAlong(trim: Size, bleed: Sides, cuts: Along, folds: Along): string {
  const scored = linesBeside(trim, bleed, folds);
  const dashed = scored.length ? ` [3 2] 0 d ${drawn(scored)} S` : '';
  return `q 1 1 1 1 K 0.25 w ${drawn(linesBeside(trim, bleed, cuts))} S${dashed} Q`;
}

/** Hairlines on the paper itself, in the four inks. */
export const ticked = (lines: readonly Line[]): string => `q 1 1 1 1 K 0.25 w ${drawn(lines)} S Q`;

const drawn = (lines: readonly Line[]): string =>
  lines.map(([a, b, c, d]) => `${n(a)} ${n(b)} m ${n(c)} ${n(d)} l`).join(' ');
