/** Lengths as people write them. Inside the program every length is in points (1/72 in). */
import { fail, ok, type Result } from '@/core/result';

export type Unit = 'in' | 'mm' | 'cm' | 'pt' | 'px';

/** Print resolution the whole program assumes where none is given, pixels per inch (common practice, no source). */
export const PRINT_PPI = 300;

/** Points in one unit. The inch is 25.4 mm exactly (international yard and pound agreement, 1959). */
function pointsPer(unit: Unit, ppi = PRINT_PPI): number {
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

/** As other keyboards write it: `2½` is 2 1/2, and a minus sign a minus. */
const plainly = (text: string): string =>
  text
    .replace(/(\d)(?=[\u00bc-\u00be\u2150-\u215e])/g, '$1 ')
    .replace(/[\u00bc-\u00be\u2150-\u215e\uff00-\uffef]/g, (each) => each.normalize('NFKC'))
    .replaceAll('\u2044', '/')
    .replaceAll('\u2212', '-');

/**
 * Reads what people type where a length is wanted: a length, or arithmetic with lengths and numbers, `4.25/2`,
 * `3 1/4 in + 2 mm`, `(12 - 2*0.5)/3`. A sum without any unit is in `unit`. Returns points, or says what could not be read.
 */
export function parseMeasure(text: string, unit: Unit): Result<number> {
  const plain = parseLength(text, unit);
  const typed = plainly(text);
  if (plain.ok || !/[+*/()×·]|\d\s*x\s*\d|.\s*-/i.test(typed)) return plain;
  const tokens = tokensOf(typed);
  if (!tokens) return fail(`“${text.trim()}” could not be worked out. Try 4.25/2 or 3 in + 5 mm.`);
  let at = 0;
  const take = (...wanted: string[]): string | undefined =>
    typeof tokens[at] === 'string' && wanted.includes(tokens[at] as string)
      ? (tokens[at++] as string)
      : undefined;
  /** A number in points to the power of `unit`: 0 a plain number, 1 a length. */
  type Value = { n: number; power: number };
  const value = (): Value | null => {
    if (take('-')) {
      const inner = value();
      return inner && { ...inner, n: -inner.n };
    }
    take('+');
    if (take('(')) {
      const inner = sum();
      return inner && take(')') ? inner : null;
    }
    const token = tokens[at];
    if (typeof token !== 'object') return null;
    at += 1;
    return token.unit ? { n: toPoints(token.n, token.unit), power: 1 } : { n: token.n, power: 0 };
  };
  const product = (): Value | null => {
    let left = value();
    for (let sign = take('*', '/'); left && sign; sign = take('*', '/')) {
      const right = value();
      if (!right) return null;
      left =
        sign === '*'
          ? { n: left.n * right.n, power: left.power + right.power }
          : { n: left.n / right.n, power: left.power - right.power };
    }
    return left;
  };
  const sum = (): Value | null => {
    let left = product();
    for (let sign = take('+', '-'); left && sign; sign = take('+', '-')) {
      const right = product();
      if (!right) return null;
      // A plain number beside a length is meant in the field's own unit.
      const alike = left.power === right.power;
      const length = (one: Value) => (alike || one.power === 1 ? one.n : toPoints(one.n, unit));
      if (!alike && Math.max(left.power, right.power) !== 1) return null;
      left = {
        n: length(left) + (sign === '+' ? 1 : -1) * length(right),
        power: Math.max(left.power, right.power),
      };
    }
    return left;
  };
  const result = sum();
  if (!result || at < tokens.length || !Number.isFinite(result.n))
    return fail(`“${text.trim()}” could not be worked out. Try 4.25/2 or 3 in + 5 mm.`);
  if (result.power !== 0 && result.power !== 1) return fail(`“${text.trim()}” is not a length.`);
  return ok(result.power === 1 ? result.n : toPoints(result.n, unit));
}

type Token = string | { n: number; unit?: Unit };

const TOKEN = new RegExp(
  String.raw`\s*(?:(\d+)\s+(\d+)\s*/\s*(\d+)|(\d+)\s*/\s*(\d+)(?![.,\d])|(${NUMBER})|([-+*/()×·x]))(?:\s*(in|inch|inches|mm|cm|pts?|px|["”″]))?`,
  'iy',
);

/** Numbers with their units, and signs; null if there is anything else. */
function tokensOf(text: string): Token[] | null {
  const tokens: Token[] = [];
  const trimmed = text.trim();
  TOKEN.lastIndex = 0;
  while (TOKEN.lastIndex < trimmed.length) {
    const found = TOKEN.exec(trimmed);
    if (!found) return null;
    const [, whole, top, bottom, fractionTop, fractionBottom, decimal, sign, spelling] = found;
    if (sign) {
      if (spelling) return null;
      tokens.push(/[×·x]/i.test(sign) ? '*' : sign);
      continue;
    }
    if (fractionTop && tokens.at(-1) === '/') {
      // What is divided twice is divided from the left: 3 / 2 / 4 is no half.
      tokens.push({ n: Number(fractionTop) }, '/');
      const unit = spelling && SPELLINGS[spelling.toLowerCase()];
      tokens.push(unit ? { n: Number(fractionBottom), unit } : { n: Number(fractionBottom) });
      continue;
    }
    const n = decimal
      ? Number(decimal.replace(',', '.'))
      : Number(whole ?? 0) + Number(top ?? fractionTop) / Number(bottom ?? fractionBottom);
    tokens.push(spelling ? { n, unit: SPELLINGS[spelling.toLowerCase()]! } : { n });
  }
  return tokens;
}

/**
 * Reads a length such as `3 1/4 in`, `80mm`, `2.5"`, `-4,5 cm`, `300 px` or, with no unit, in `unit`.
 * Decimal comma and point are both read. Returns points, or a sentence saying what could not be read.
 */
export function parseLength(text: string, unit: Unit, ppi = PRINT_PPI): Result<number> {
  const found = LENGTH.exec(plainly(text).trim());
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

const SIDES = ['top', 'right', 'bottom', 'left'] as const;

/** `0.125 in all round`, or `0.125 in at the top, right and left` where there is less at the others. */
export function formatSides(by: Record<(typeof SIDES)[number], number>, unit: Unit): string {
  const lengths = [...new Set(SIDES.map((side) => by[side]))];
  if (lengths.length === 1) return `${formatLength(lengths[0]!, unit, true)} all round`;
  return lengths
    .filter((length) => length > 0)
    .map((length) => {
      const at = SIDES.filter((side) => by[side] === length);
      const listed = [at.slice(0, -1).join(', '), at.at(-1)].filter(Boolean).join(' and ');
      return `${formatLength(length, unit, true)} at the ${listed}`;
    })
    .join(', ');
}

/** `4.2 x 1.5 in` */
export const formatSize = (size: { width: number; height: number }, unit: Unit): string =>
  `${formatLength(size.width, unit)} x ${formatLength(size.height, unit)} ${unit}`;
