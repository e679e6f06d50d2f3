import fc from 'fast-check';
import { formatLength, fromPoints, parseLength, toPoints, type Unit } from '@/core/units/lengths';
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
