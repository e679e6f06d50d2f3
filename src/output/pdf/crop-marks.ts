/** Where the paper is cut and folded, as marks beside it; and numbers as a PDF writes them. */
import type { Size } from '@/core/geometry/box';
import type { Sides } from '@/core/geometry/sides';
import type { Fold } from '@/core/picture/picture';

const MARK_LENGTH = 18;

export const n = (value: number): string => String(Math.round(value * 1e4) / 1e4);

/**
 * Hairlines at the trim's corners, beginning outside the bleed (or 3 pt out), in the four inks at full strength; where the
 * paper is scored and folded they are dashed.
 */
export function marksAt({ width, height }: Size, bleed: Sides, folds: readonly Fold[]): string {
  const away = (side: keyof Sides) => Math.max(bleed[side], 3) + 2;
  const mark = (axis: Fold['axis'], at: number, from: number, by: number) =>
    axis === 'x'
      ? `${n(at)} ${n(from)} m ${n(at)} ${n(from + by)} l`
      : `${n(from)} ${n(at)} m ${n(from + by)} ${n(at)} l`;
  const both = (axis: Fold['axis'], at: number): string[] => {
    const [first, last, side] =
      axis === 'x' ? (['top', 'bottom', height] as const) : (['left', 'right', width] as const);
    return [mark(axis, at, -away(first), -MARK_LENGTH), mark(axis, at, side + away(last), MARK_LENGTH)];
  };
  const lines = [...[0, width].flatMap((x) => both('x', x)), ...[0, height].flatMap((y) => both('y', y))];
  const dashed = folds.flatMap(({ axis, at }) => both(axis, at));
  const scored = dashed.length ? ` [3 2] 0 d ${dashed.join(' ')} S` : '';
  return `q 1 1 1 1 K 0.25 w ${lines.join(' ')} S${scored} Q`;
}
