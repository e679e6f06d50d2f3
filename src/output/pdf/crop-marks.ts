/** Where the paper is cut and folded, as marks beside it; and numbers as a PDF writes them. */
import type { Size } from '@/core/geometry/box';
import type { Sides } from '@/core/geometry/sides';
import type { Fold } from '@/core/picture/picture';
import type { Along, Line } from '@/core/product/imposition';

const MARK_LENGTH = 18;

export const n = (value: number): string => String(Math.round(value * 1e4) / 1e4);

/** Marks at the trim's four sides, and where it is folded. */
export function marksAt(trim: Size, bleed: Sides, folds: readonly Fold[]): string {
  const at = (of: Fold['axis']) => folds.flatMap(({ axis, at }) => (axis === of ? [at] : []));
  return marksAlong(trim, bleed, { x: [0, trim.width], y: [0, trim.height] }, { x: at('x'), y: at('y') });
}

/**
 * Hairlines where the paper is cut, beginning outside the bleed (or 3 pt out), in the four inks at full strength; where it is
 * scored and folded they are dashed.
 */
export function marksAlong({ width, height }: Size, bleed: Sides, cuts: Along, folds: Along): string {
  const away = (side: keyof Sides) => Math.max(bleed[side], 3) + 2;
  const upright = (x: number) => [
    `${n(x)} ${n(-away('top'))} m ${n(x)} ${n(-away('top') - MARK_LENGTH)} l`,
    `${n(x)} ${n(height + away('bottom'))} m ${n(x)} ${n(height + away('bottom') + MARK_LENGTH)} l`,
  ];
  const level = (y: number) => [
    `${n(-away('left'))} ${n(y)} m ${n(-away('left') - MARK_LENGTH)} ${n(y)} l`,
    `${n(width + away('right'))} ${n(y)} m ${n(width + away('right') + MARK_LENGTH)} ${n(y)} l`,
  ];
  const lines = ({ x, y }: Along) => [...x.flatMap(upright), ...y.flatMap(level)].join(' ');
  const scored = folds.x.length + folds.y.length ? ` [3 2] 0 d ${lines(folds)} S` : '';
  return `q 1 1 1 1 K 0.25 w ${lines(cuts)} S${scored} Q`;
}

/** Hairlines on the paper itself, in the four inks. */
export const ticked = (lines: readonly Line[]): string =>
  `q 1 1 1 1 K 0.25 w ${lines.map(([a, b, c, d]) => `${n(a)} ${n(b)} m ${n(c)} ${n(d)} l`).join(' ')} S Q`;
