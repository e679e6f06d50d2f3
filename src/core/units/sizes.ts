/** Finished sizes a layout can be started at. ISO 216 gives A3 and A4; the rest are the trade's album sizes. */
import { fail, ok, type Result } from '@/core/result';
import { formatSize, toPoints, type Unit } from '@/core/units/lengths';

export interface PageSize {
  id: string;
  name: string;
  /** What it is usually for, in a few words. */
  use: string;
  width: number;
  height: number;
  unit: Unit;
}

/** A size to begin with, its sides in its own unit. */
export const size = (
  id: string,
  name: string,
  use: string,
  width: number,
  height: number,
  unit: Unit,
): PageSize => ({
  id,
  name,
  use,
  width: toPoints(width, unit),
  height: toPoints(height, unit),
  unit,
});

export const LAYOUT_SIZES: readonly PageSize[] = [
  size('12x12', '12 x 12 in', 'the classic album page', 12, 12, 'in'),
  size('8x8', '8 x 8 in', 'a small square album', 8, 8, 'in'),
  size('8.5x11', '8.5 x 11 in', 'a sheet of letter paper', 8.5, 11, 'in'),
  size('6x8', '6 x 8 in', 'a pocket album', 6, 8, 'in'),
  size('a4', 'A4', '210 x 297 mm', 210, 297, 'mm'),
  size('a3', 'A3', '297 x 420 mm', 297, 420, 'mm'),
];

/** Sides a layout may have: one inch to five feet. */
export const SMALLEST_SIDE = toPoints(1, 'in');
export const LARGEST_SIDE = toPoints(60, 'in');

/** Checks a finished size (points); says which side is out of range and what the range is. */
export function checkSize(
  width: number,
  height: number,
  unit: Unit,
  most = LARGEST_SIDE,
): Result<{ width: number; height: number }> {
  const range = unit === 'mm' ? `25.4 to ${(most * 25.4) / 72} mm` : `1 to ${most / 72} in`;
  for (const [side, length] of [
    ['Width', width],
    ['Height', height],
  ] as const) {
    if (!Number.isFinite(length)) return fail(`${side} is missing.`);
    if (length < SMALLEST_SIDE - 1e-6) return fail(`${side} is too small: a page side measures ${range}.`);
    if (length > most + 1e-6) return fail(`${side} is too large: a page side measures ${range}.`);
  }
  return ok({ width, height });
}

/** The size's own name if it is one of the list (`A4`), else its measures. */
export function nameOfSize(width: number, height: number, unit: Unit): string {
  const known = LAYOUT_SIZES.find(
    (s) => Math.abs(s.width - width) < 0.01 && Math.abs(s.height - height) < 0.01,
  );
  return known?.name ?? formatSize({ width, height }, unit);
}
