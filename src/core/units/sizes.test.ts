/** Finished sizes: those one begins with, the names they go by, and what is too small or too large, in words. */
import fc from 'fast-check';
import { checkSize, LARGEST_SIDE, LAYOUT_SIZES, nameOfSize, SMALLEST_SIDE } from '@/core/units/sizes';
import { toPoints } from '@/core/units/lengths';

test('A3 and A4 are those of ISO 216, in whole millimetres; A3 is two of A4', () => {
  const of = (id: string) => LAYOUT_SIZES.find((each) => each.id === id)!;
  const mm = ({ width, height }: { width: number; height: number }) =>
    [width, height].map((side) => Math.round((side * 25.4) / 72));
  expect([mm(of('a4')), mm(of('a3'))]).toEqual([
    [210, 297],
    [297, 420],
  ]);
  expect(of('8.5x11')).toMatchObject({ width: 612, height: 792, unit: 'in' });
  expect(of('12x12')).toMatchObject({ width: 864, height: 864 });
  expect(new Set(LAYOUT_SIZES.map(({ id }) => id)).size).toBe(LAYOUT_SIZES.length);
});

test('each is called by its name, to a hundredth of a point; turned, or any other, by its measures', () => {
  for (const { name, width, height, unit } of LAYOUT_SIZES) {
    expect(nameOfSize(width, height, unit)).toBe(name);
    expect(nameOfSize(width + 0.009, height - 0.009, unit)).toBe(name);
    expect(nameOfSize(width + 0.02, height, unit)).not.toBe('A4');
  }
  const [wide, high] = [toPoints(297, 'mm'), toPoints(210, 'mm')];
  expect(nameOfSize(wide, high, 'mm')).toBe('297 x 210 mm');
});

test('a side from an inch to five feet is taken, whichever it is; what is not says which side, and what is possible', () => {
  const side = fc.double({ min: SMALLEST_SIDE, max: LARGEST_SIDE, noNaN: true });
  fc.assert(
    fc.property(side, side, fc.constantFrom('in', 'mm'), (width, height, unit) => {
      expect(checkSize(width, height, unit)).toEqual({ ok: true, value: { width, height } });
      expect(checkSize(width, LARGEST_SIDE + 0.1, unit)).toMatchObject({
        message: expect.stringMatching(/^Height is too large/),
      });
      expect(checkSize(SMALLEST_SIDE - 0.1, height, unit)).toMatchObject({
        message: expect.stringMatching(/^Width is too small/),
      });
    }),
    { numRuns: 20 },
  );
  const says = (width: number, height: number, unit: 'in' | 'mm', most?: number) => {
    const found = checkSize(width, height, unit, most);
    return found.ok ? null : found.message;
  };
  expect(says(71, 72, 'in')).toBe('Width is too small: a page side measures 1 to 60 in.');
  expect(says(72, 9999, 'mm')).toBe('Height is too large: a page side measures 25.4 to 1524 mm.');
  expect(says(72, toPoints(31, 'in'), 'in', toPoints(30, 'in'))).toBe(
    'Height is too large: a page side measures 1 to 30 in.',
  );
  expect(says(NaN, 72, 'in')).toBe('Width is missing.');
  expect(says(72, Infinity, 'in')).toBe('Height is missing.');
  // What a hand or a file is off by a millionth is no fault.
  expect(says(SMALLEST_SIDE - 1e-7, LARGEST_SIDE + 1e-7, 'in')).toBeNull();
});
