import fc from 'fast-check';
import {
  formatLength,
  fromPoints,
  parseLength,
  parseMeasure,
  toPoints,
  type Unit,
} from '@/core/units/lengths';
import { checkSize, LAYOUT_SIZES, nameOfSize } from '@/core/units/sizes';

const units: Unit[] = ['in', 'mm', 'cm', 'pt', 'px'];
const read = (text: string, unit: Unit = 'in') => {
  const answer = parseLength(text, unit);
  return answer.ok ? answer.value : answer.message;
};

describe('lengths', () => {
  test.each([
    ['3 1/4 in', 234],
    ['2.5"', 180],
    ['80mm', (80 * 72) / 25.4],
    ['4,5 cm', (45 * 72) / 25.4],
    ['-1/2', -36],
    ['300 px', 72],
    ['12 pt', 12],
    ['.5 inches', 36],
    ['2½ in', 180],
    ['¾"', 54],
    ['⅜', 27],
    ['3\u00a01⁄4 in', 234],
    ['\u22121/2', -36],
    ['８０ mm', (80 * 72) / 25.4],
  ])('reads %s', (text, points) => expect(read(text)).toBeCloseTo(points, 9));

  test.each(['', 'wide', '3 1/0', '4 feet', '1 2 3', '3/'])('refuses %p in words', (text) =>
    expect(typeof read(text)).toBe('string'),
  );

  test('one inch is 25.4 mm exactly (international yard and pound agreement, 1959)', () => {
    expect(toPoints(25.4, 'mm')).toBeCloseTo(toPoints(1, 'in'), 12);
  });

  test('what is written is read back, to the precision shown', () => {
    const steps = { in: 0.72, mm: 0.29, cm: 0.29, pt: 0.1, px: 0.24 };
    fc.assert(
      fc.property(
        fc.double({ min: -5000, max: 5000, noNaN: true }),
        fc.constantFrom(...units),
        (points, unit) => {
          expect(Math.abs((read(formatLength(points, unit, true)) as number) - points)).toBeLessThanOrEqual(
            steps[unit],
          );
        },
      ),
    );
  });

  test('to points and back', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -1e4, max: 1e4, noNaN: true }),
        fc.constantFrom(...units),
        fc.integer({ min: 36, max: 1200 }),
        (value, unit, ppi) => {
          expect(fromPoints(toPoints(value, unit, ppi), unit, ppi)).toBeCloseTo(value, 8);
        },
      ),
    );
  });

  test('eighths of an inch keep their third decimal', () => expect(formatLength(9, 'in')).toBe('0.125'));
});

describe('arithmetic where a length is wanted', () => {
  const worked = (text: string, unit: Unit = 'in') => {
    const answer = parseMeasure(text, unit);
    return answer.ok ? answer.value : answer.message;
  };

  test.each([
    ['4.25/2', 153],
    ['2½ + ¼', 198],
    ['12 \u2212 ½', 828],
    ['3 1/4 in + 2 mm', 234 + 144 / 25.4],
    ['(12 - 2*0.5)/3', 264],
    ['12 - 1/2', 828],
    ['8/4/2', 72],
    ['2 x 3,5', 504],
    ['2 × 1 1/2"', 216],
    ['-3 + 5', 144],
    ['10 cm / 4', 720 / 10.16],
    ['6 in / 2 in', 216],
  ])('%s', (text, points) => expect(worked(text)).toBeCloseTo(points, 6));

  test.each([
    ['2 in * 3 in', 'is not a length'],
    ['2 / (3 in)', 'is not a length'],
    ['4/0', 'could not be worked out'],
    ['(4 - 4) / (3 - 3)', 'could not be worked out'],
    ['3 +', 'could not be worked out'],
    ['(3 + 2', 'could not be worked out'],
    ['3 + feet', 'could not be worked out'],
    ['3 in + 2 in * 4 in', 'could not be worked out'],
    ['feet', 'is not a length'],
  ])('%s cannot be, and that is said', (text, why) => expect(worked(text)).toContain(why));

  /** A sum, as it is typed and what it comes to: in points to a power of one for lengths, of none for numbers. */
  interface Sum {
    text: string;
    n: number;
    power: number;
  }
  const short = (value: number) => String(Number(value.toFixed(3)));
  const number = fc.double({ min: 0.5, max: 40, noNaN: true }).map((value): Sum => {
    const text = short(value);
    return { text, n: Number(text), power: 0 };
  });
  const length = fc
    .tuple(number, fc.constantFrom(...units))
    .map(([{ text, n }, unit]): Sum => ({ text: `${text} ${unit}`, n: toPoints(n, unit), power: 1 }));
  const bracketed = ({ text, ...rest }: Sum): Sum => ({ text: `(${text})`, ...rest });
  /** As the field does: a plain number beside a length is in the field’s own unit, which is millimetres here. */
  const inPoints = ({ n, power }: Sum) => (power ? n : toPoints(n, 'mm'));
  const { sum } = fc.letrec<{ sum: Sum; term: Sum }>((tie) => ({
    term: fc.oneof({ depthSize: 'small' }, length, number, tie('sum').map(bracketed)),
    sum: fc.oneof(
      { depthSize: 'small' },
      length,
      fc.tuple(tie('term'), tie('term'), fc.constantFrom('+', '-')).map(([a, b, sign]): Sum => {
        const plain = a.power === 0 && b.power === 0;
        const [x, y] = plain ? [a.n, b.n] : [inPoints(a), inPoints(b)];
        return { text: `${a.text} ${sign} ${b.text}`, n: sign === '+' ? x + y : x - y, power: plain ? 0 : 1 };
      }),
      fc
        .tuple(tie('term'), number)
        .map(([a, b]): Sum => ({ text: `${a.text} * ${b.text}`, n: a.n * b.n, power: a.power })),
      fc.tuple(tie('term'), number).map(
        // In brackets: of two plain numbers a stroke makes a fraction.
        ([a, b]): Sum => ({ text: `(${a.text}) / ${b.text}`, n: a.n / b.n, power: a.power }),
      ),
    ),
  }));

  test('whatever is added, taken off, multiplied and divided, it comes to what it should', () => {
    fc.assert(
      fc.property(sum, (asked) => {
        const wanted = inPoints(asked);
        expect(Math.abs((worked(asked.text, 'mm') as number) - wanted)).toBeLessThan(
          1e-6 * Math.max(1, Math.abs(wanted)),
        );
      }),
      { numRuns: 150 },
    );
  });

  test('whatever is typed, it is a length or a sentence', () => {
    const typed = fc
      .array(fc.constantFrom(...'0123456789.,+-*/()x×·"″” inmcptx'), { maxLength: 14 })
      .map((all) => all.join(''));
    fc.assert(
      fc.property(typed, (text) => {
        const answer = parseMeasure(text, 'in');
        expect(answer.ok ? Number.isFinite(answer.value) : /\.$/.test(answer.message)).toBe(true);
      }),
      { numRuns: 250 },
    );
  });
});

describe('sizes', () => {
  test('A4 and A3 are those of ISO 216: 210 x 297 and 297 x 420 mm', () => {
    const mm = (id: string) => {
      const size = LAYOUT_SIZES.find((s) => s.id === id)!;
      return [fromPoints(size.width, 'mm'), fromPoints(size.height, 'mm')];
    };
    expect(mm('a4')[0]).toBeCloseTo(210, 9);
    expect(mm('a4')[1]).toBeCloseTo(297, 9);
    expect(mm('a3')).toEqual([expect.closeTo(297, 9), expect.closeTo(420, 9)]);
  });

  test('a 12 x 12 in page is 3600 pixels at 300 ppi (common practice, no source)', () => {
    expect(fromPoints(LAYOUT_SIZES[0]!.width, 'px')).toBe(3600);
  });

  test.each([
    [71, 100, false],
    [72, 4320, true],
    [72, 4321, false],
    [Number.NaN, 100, false],
  ])('a page of %p x %p pt: allowed %p', (width, height, allowed) =>
    expect(checkSize(width, height, 'in').ok).toBe(allowed),
  );

  test('known sizes go by their name', () => {
    expect(nameOfSize(595.2756, 841.8898, 'mm')).toBe('A4');
    expect(nameOfSize(500, 300, 'in')).toBe('6.94 x 4.17 in');
  });
});
