/** Lengths as people write them. Inside the program every length is in points (1/72 in). */
import { fail, ok, type Result } from '@/core/result';

export type Unit = 'in' | 'mm' | 'cm' | 'pt' | 'px';

/** Print resolution the whole program assumes where none is given, pixels per inch (common practice, no source). */
export const PRINT_PPI = 300;

/** Points in one unit. The inch is 25.4 mm exactly (international yard and pound agreement, 1959). */
export function pointsPer(unit: Unit, ppi = PRINT_PPI): number {
  switch (unit) {
    case 'in':
      return 72;
    case 'mm':
      return 72 / 25.4;
    case 'cm':
      return 720 / 25.4;
    case 'pt':
      return 1;
    case 'px':
      return 72 / ppi;
  }
}

export const toPoints = (value: number, unit: Unit, ppi = PRINT_PPI): number => value * pointsPer(unit, ppi);
export const fromPoints = (points: number, unit: Unit, ppi = PRINT_PPI): number =>
  points / pointsPer(unit, ppi);

const SPELLINGS: Record<string, Unit> = {
  '"': 'in',
  '”': 'in',
  '″': 'in',
  in: 'in',
  inch: 'in',
  inches: 'in',
  mm: 'mm',
  cm: 'cm',
  pt: 'pt',
  pts: 'pt',
  px: 'px',
};

const NUMBER = String.raw`\d+(?:[.,]\d+)?|[.,]\d+`;
const LENGTH = new RegExp(
  String.raw`^([+-])?\s*(?:(\d+)\s+(\d+)\s*/\s*(\d+)|(\d+)\s*/\s*(\d+)|(${NUMBER}))\s*([a-z"”″]*)\.?$`,
  'i',
);

/**
 * Reads a length such as `3 1/4 in`, `80mm`, `2.5"`, `-4,5 cm`, `300 px` or, with no unit, in `unit`.
 * Decimal comma and point are both read. Returns points, or a sentence saying what could not be read.
 */
export function parseLength(text: string, unit: Unit, ppi = PRINT_PPI): Result<number> {
  const found = LENGTH.exec(text.trim());
  if (!found) return fail(`“${text.trim()}” is not a length. Try 3 1/4 in, 2.5" or 80 mm.`);
  const [, sign, whole, top, bottom, fractionTop, fractionBottom, decimal, spelling] = found;
  const named = spelling ? SPELLINGS[spelling.toLowerCase()] : unit;
  if (!named) return fail(`“${spelling}” is not a unit known here. Use in, mm, cm, pt or px.`);
  const divisor = Number(bottom ?? fractionBottom ?? 1);
  if (divisor === 0) return fail('A fraction cannot be divided by zero.');
  const value = decimal
    ? Number(decimal.replace(',', '.'))
    : Number(whole ?? 0) + Number(top ?? fractionTop ?? 0) / divisor;
  return ok((sign === '-' ? -1 : 1) * toPoints(value, named, ppi));
}

const DECIMALS: Record<Unit, number> = { in: 2, mm: 1, cm: 2, pt: 1, px: 0 };

/** A length in words, as short as is exact enough to work by: `4.25`, or `4.25 in` with `withUnit`. */
export function formatLength(points: number, unit: Unit, withUnit = false, ppi = PRINT_PPI): string {
  const value = fromPoints(points, unit, ppi);
  // Eighths of an inch are what rulers and print shops say: they keep their third decimal.
  const eighths = unit === 'in' && Math.abs(value * 8 - Math.round(value * 8)) < 1e-6;
  const digits = Number(value.toFixed(eighths ? 3 : DECIMALS[unit]));
  return `${Object.is(digits, -0) ? 0 : digits}${withUnit ? ` ${unit}` : ''}`;
}

/** `4.2 x 1.5 in` */
export const formatSize = (size: { width: number; height: number }, unit: Unit): string =>
  `${formatLength(size.width, unit)} x ${formatLength(size.height, unit)} ${unit}`;
