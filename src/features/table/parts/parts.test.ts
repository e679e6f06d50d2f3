/** Numbers as they are typed into fields, and what is carried by drag and drop. */
import fc from 'fast-check';
import { readCarried, isCarried, writeCarried, type Carried } from '@/features/table/parts/carry';
import {
  FARTHEST,
  measureWithin,
  numberWithin,
  percentWithin,
  readDegrees,
  tellsApart,
  wholeWithin,
} from '@/features/table/parts/measures';
import type { Result } from '@/core/result';
import { assetOf, inkPiece, photoOf, quarters, wordsOf } from '../../../../scripts/testing/samples';

const said = <T>(result: Result<T>) => (result.ok ? result.value : result.message);

describe('lengths', () => {
  test('are read in the unit of the project or their own, also as arithmetic, and told in it where they are too much', () => {
    const read = measureWithin('in', 9, 720);
    expect(said(read('2'))).toBe(144);
    expect(said(read('25.4 mm'))).toBeCloseTo(72, 9);
    expect(said(read('4.25 / 2'))).toBeCloseTo(153, 9);
    expect(said(read('0.1'))).toBe('At least 0.125 in.');
    expect(said(read('10.01'))).toBe('At most 10 in.');
    expect(said(measureWithin('mm', 72 / 25.4, 720)('0.5'))).toBe('At least 1 mm.');
    expect(said(read('wide'))).toMatch(/^“wide” is not a length/);
    expect(said(read(''))).toMatch(/is not a length/);
  });

  test('the limits themselves are taken, in any unit they are typed in', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 400 }),
        fc.integer({ min: 1, max: 400 }),
        fc.constantFrom('in' as const, 'mm' as const),
        (a, b, unit) => {
          const points = unit === 'in' ? 72 : 72 / 25.4;
          const [least, most] = [Math.min(a, b) * points, Math.max(a, b) * points];
          const read = measureWithin(unit, least, most);
          expect(read(String(Math.min(a, b))).ok).toBe(true);
          expect(read(String(Math.max(a, b))).ok).toBe(true);
          expect(read(String(Math.max(a, b) + 1)).ok).toBe(false);
          expect(read(String(Math.min(a, b) - 1)).ok).toBe(false);
        },
      ),
    );
    expect(FARTHEST).toBe(120 * 72);
  });
});

test.each([
  ['4', 4],
  ['-12,5', -12.5],
  [' 90° ', 90],
  ['3600', 3600],
  ['3601', 'Degrees, such as 4 or -12.5.'],
  ['', 'Degrees, such as 4 or -12.5.'],
  ['  ', 'Degrees, such as 4 or -12.5.'],
  ['a quarter', 'Degrees, such as 4 or -12.5.'],
  ['NaN', 'Degrees, such as 4 or -12.5.'],
  ['Infinity', 'Degrees, such as 4 or -12.5.'],
])('degrees: “%s” is %s', (typed, read) => {
  expect(said(readDegrees(typed))).toBe(read);
});

describe('counts, numbers and shares', () => {
  test('whole numbers are whole, and within what is asked', () => {
    const read = wholeWithin(1, 24);
    expect(['1', ' 24 ', '12'].map((text) => said(read(text)))).toEqual([1, 24, 12]);
    for (const text of ['0', '25', '1.5', '', ' ', 'two', '1,5', '-3', '1e9'])
      expect(said(read(text))).toBe('A whole number from 1 to 24.');
  });

  test('numbers with comma or point', () => {
    const read = numberWithin(-2, 2.5);
    expect(['-2', '2,5', ' 0.25 '].map((text) => said(read(text)))).toEqual([-2, 2.5, 0.25]);
    for (const text of ['-2.01', '2,51', '', 'much', '1.2.3'])
      expect(said(read(text))).toBe('A number from -2 to 2.5.');
  });

  test('percent come as shares, with their sign or without; the ends of what is allowed are allowed', () => {
    const read = percentWithin(0.05, 1);
    expect(['5', '100 %', '62,5'].map((text) => said(read(text)))).toEqual([0.05, 1, 0.625]);
    for (const text of ['4.9', '101', '', '%', 'half']) expect(said(read(text))).toBe('From 5 to 100 %.');
    for (let share = 1; share <= 100; share++)
      expect(percentWithin(share / 100, share / 100)(String(share)).ok).toBe(true);
  });

  test('whatever is typed is a number within the limits or a sentence', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 8 }), (text) => {
        for (const read of [
          wholeWithin(1, 24),
          numberWithin(-2, 2.5),
          percentWithin(0, 1),
          readDegrees,
          measureWithin('in', 0, 720),
        ]) {
          const result = read(text);
          if (result.ok) expect(Number.isFinite(result.value)).toBe(true);
          else expect(result.message).toMatch(/\.$/);
        }
      }),
      { numRuns: 150 },
    );
  });
});

test('things of one name are told apart by their size and what they are of', () => {
  const asset = assetOf(quarters(60, 40), 60, 40);
  expect(tellsApart(inkPiece('a', 0, 0, 576, 288), 'in')).toMatch(/^8 x 4 in, /);
  expect(tellsApart(photoOf('p', asset, { x: 0, y: 0, width: 144, height: 72 }), 'in')).toMatch(
    /^2 x 1 in, photo/,
  );
  expect(tellsApart(photoOf('p', asset, { x: 0, y: 0, width: 72, height: 72 }), 'mm')).toMatch(
    /^25.4 x 25.4 mm/,
  );
  expect(tellsApart(wordsOf('w', 'Ebb'), 'in')).not.toBe(tellsApart(inkPiece('a'), 'in'));
});

describe('what is carried', () => {
  /** As a browser gives it: types are known while it hovers, data once it is dropped. */
  const transfer = () => {
    const data = new Map<string, string>();
    return {
      effectAllowed: 'all',
      get types() {
        return [...data.keys()];
      },
      setData: (type: string, text: string) => void data.set(type, text),
      getData: (type: string) => data.get(type) ?? '',
    } as unknown as DataTransfer;
  };

  test.each([
    { kind: 'gathered', compartment: 'photos', sha: 'a'.repeat(64) },
    { kind: 'supply', id: 'windward paper-1' },
    { kind: 'words', role: 'title' },
  ] as Carried[])('is read as it was written: $kind', (carried) => {
    const hand = transfer();
    expect(isCarried(hand)).toBe(false);
    writeCarried(hand, carried);
    expect(isCarried(hand)).toBe(true);
    expect(hand.effectAllowed).toBe('copy');
    expect(readCarried(hand)).toEqual(carried);
  });

  test('files and texts of other programs are none of ours; what is garbled is nothing', () => {
    const other = transfer();
    other.setData('text/plain', '{"kind":"supply","id":"x"}');
    expect([isCarried(other), readCarried(other)]).toEqual([false, null]);
    const garbled = transfer();
    writeCarried(garbled, { kind: 'supply', id: 'x' });
    garbled.setData(garbled.types[0]!, '{"kind":');
    expect(readCarried(garbled)).toBeNull();
  });
});
