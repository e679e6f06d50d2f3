/** Numbers as they are typed into fields, with limits said in words. */
import { fail, ok, type Result } from '@/core/result';
import { materialSays } from '@/core/piece/material';
import type { Piece } from '@/core/piece/piece';
import { formatLength, formatSize, parseMeasure, type Unit } from '@/core/units/lengths';

/** Ten feet from the page is as far as a piece can be put. */
export const FARTHEST = 8640;

/** To the middle of the page, as buttons. */
export const CENTRES = [
  ['centre', 'Centre across'],
  ['middle', 'Centre down'],
] as const;

/** Reads a length, or arithmetic with lengths, between two limits (points). */
export const measureWithin =
  (unit: Unit, least: number, most: number) =>
  (text: string): Result<number> => {
    const read = parseMeasure(text, unit);
    if (!read.ok) return read;
    if (read.value < least) return fail(`At least ${formatLength(least, unit, true)}.`);
    return read.value > most ? fail(`At most ${formatLength(most, unit, true)}.`) : read;
  };

export const readDegrees = (text: string): Result<number> => {
  const value = Number(text.replace(',', '.').replace('°', '').trim());
  return Number.isFinite(value) && Math.abs(value) <= 3600 && text.trim() !== ''
    ? ok(value)
    : fail('Degrees, such as 4 or -12.5.');
};

/** Reads a whole number between two limits. */
export const wholeWithin =
  (least: number, most: number) =>
  (text: string): Result<number> => {
    const value = Number(text.trim());
    return Number.isInteger(value) && value >= least && value <= most && text.trim() !== ''
      ? ok(value)
      : fail(`A whole number from ${least} to ${most}.`);
  };

/** Reads a number between two limits. */
export const numberWithin =
  (least: number, most: number) =>
  (text: string): Result<number> => {
    const value = Number(text.replace(',', '.').trim());
    return value >= least && value <= most && text.trim() !== ''
      ? ok(value)
      : fail(`A number from ${least} to ${most}.`);
  };

/** Reads a percentage between two limits, as a share. */
export const percentWithin =
  (least: number, most: number) =>
  (text: string): Result<number> => {
    const value = Number(text.replace(',', '.').replace('%', '').trim()) / 100;
    return text.trim() !== '' && value >= least - 1e-9 && value <= most + 1e-9
      ? ok(value)
      : fail(`From ${Math.round(least * 100)} to ${Math.round(most * 100)} %.`);
  };

/** What tells pieces of one name apart: `8 x 4 in, photo`. */
export const tellsApart = ({ placement, material, role }: Piece, unit: Unit): string =>
  [formatSize(placement, unit), materialSays(material, unit) ?? role].join(', ');
