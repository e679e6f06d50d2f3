/** SVG’s lengths, transforms, shapes and view boxes, as its standard says (SVG 1.1, chapters 4, 7 and 9). */
import fc from 'fast-check';
import svgpath from 'svgpath';
import { apply, type Matrix } from '@/core/geometry/matrix';
import { areaOf } from '@/core/geometry/offset';
import { parsePath, pathBounds } from '@/core/geometry/path';
import {
  alongOf,
  boxIn,
  fitted,
  lengthIn,
  points,
  shapeData,
  spelledOut,
  transformOf,
} from '@/core/drawing/shapes';

const VIEW = { width: 200, height: 100 };
const path = (name: string, attributes: Record<string, string>) =>
  parsePath(
    svgpath(shapeData(name, attributes, VIEW)!)
      .unarc()
      .toString(),
  );
const near = (matrix: Matrix, wanted: readonly number[]) =>
  matrix.forEach((value, i) => expect(value).toBeCloseTo(wanted[i]!, 6));

describe('lengths', () => {
  test.each([
    ['96', 72],
    ['96px', 72],
    ['1in', 72],
    [' 2.54 cm ', 72],
    ['25.4MM', 72],
    ['6pc', 72],
    ['1e1pt', 10],
    ['0', null],
    ['-3in', null],
    ['50%', null],
    ['auto', null],
    ['', null],
    [undefined, null],
  ])('of the whole: %s is %s points', (text, length) => {
    const found = points(text);
    if (length === null) expect(found).toBeNull();
    else expect(found).toBeCloseTo(length, 9);
  });

  test('of a part: in user units, with a unit, in percent across, down and along', () => {
    expect(lengthIn('12', 200)).toBe(12);
    expect(lengthIn('-.5', 200)).toBe(-0.5);
    expect(lengthIn('1in', 200)).toBeCloseTo(96, 9);
    expect(lengthIn('25%', 200)).toBe(50);
    expect(lengthIn('nothing', 200, 7)).toBe(7);
    expect(lengthIn(undefined, 200)).toBe(0);
    expect(alongOf({ width: 300, height: 400 })).toBeCloseTo(500 / Math.SQRT2, 9);
  });
});

describe('shapes', () => {
  test('a rectangle is its box; rounded it loses (4 − π) r² of its area', () => {
    expect(pathBounds(path('rect', { x: '10', y: '20', width: '60', height: '30' }))).toEqual({
      x: 10,
      y: 20,
      width: 60,
      height: 30,
    });
    const round = path('rect', { width: '60', height: '30', rx: '5' });
    expect(areaOf(round)).toBeCloseTo(1800 - (4 - Math.PI) * 25, 0);
    // One radius stands for both, no radius is more than half of its side.
    expect(shapeData('rect', { width: '60', height: '30', ry: '5' }, VIEW)).toBe(
      shapeData('rect', { width: '60', height: '30', rx: '5' }, VIEW),
    );
    expect(areaOf(path('rect', { width: '60', height: '30', rx: '500' }))).toBeCloseTo(Math.PI * 30 * 15, -1);
    expect(shapeData('rect', { width: '0', height: '30' }, VIEW)).toBe('');
    expect(shapeData('rect', { width: '-4', height: '30' }, VIEW)).toBe('');
  });

  test('circles and ellipses have their areas; of no radius there is nothing', () => {
    expect(areaOf(path('circle', { cx: '40', cy: '30', r: '20' }))).toBeCloseTo(Math.PI * 400, -1);
    expect(areaOf(path('ellipse', { cx: '40', cy: '30', rx: '20', ry: '10' }))).toBeCloseTo(
      Math.PI * 200,
      -1,
    );
    expect(pathBounds(path('circle', { cx: '50%', cy: '50%', r: '10' })).x).toBeCloseTo(90, 3);
    expect(shapeData('circle', { r: '0' }, VIEW)).toBe('');
    expect(shapeData('ellipse', { rx: '4' }, VIEW)).toBe('');
  });

  test('lines and points, closed and open; an odd number at the end is left out', () => {
    expect(shapeData('line', { x1: '1', y1: '2', x2: '3', y2: '4' }, VIEW)).toBe('M1 2L3 4');
    expect(shapeData('polygon', { points: '0,0 10,0 10,10' }, VIEW)).toBe('M0 0 10 0 10 10Z');
    expect(shapeData('polyline', { points: '0 0 10-5 7' }, VIEW)).toBe('M0 0 10 -5');
    expect(shapeData('polyline', { points: '3' }, VIEW)).toBe('');
    expect(shapeData('path', {}, VIEW)).toBe('');
    expect(shapeData('text', {}, VIEW)).toBeNull();
  });
});

describe('transforms', () => {
  test.each([
    ['translate(10 20)', [1, 0, 0, 1, 10, 20]],
    ['translate(10)', [1, 0, 0, 1, 10, 0]],
    ['scale(2)', [2, 0, 0, 2, 0, 0]],
    ['scale(2,-3)', [2, 0, 0, -3, 0, 0]],
    ['rotate(90)', [0, 1, -1, 0, 0, 0]],
    ['rotate(90 10 0)', [0, 1, -1, 0, 10, -10]],
    ['skewX(45)', [1, 0, 1, 1, 0, 0]],
    ['matrix(1 2 3 4 5 6)', [1, 2, 3, 4, 5, 6]],
    ['translate(10) scale(2)', [2, 0, 0, 2, 10, 0]],
    ['scale(2) translate(10)', [2, 0, 0, 2, 20, 0]],
    ['', [1, 0, 0, 1, 0, 0]],
  ])('%s', (list, matrix) => near(transformOf(list), matrix));
});

describe('a view box in its viewport (SVG 1.1, 7.8)', () => {
  const box = [10, 20, 100, 100];
  const corner = (aspect: string) => apply(fitted(box, VIEW, aspect), { x: 10, y: 20 });
  const far = (aspect: string) => apply(fitted(box, VIEW, aspect), { x: 110, y: 120 });
  test.each([
    ['', 50, 0, 150, 100],
    ['xMinYMin meet', 0, 0, 100, 100],
    ['xMaxYMid', 100, 0, 200, 100],
    ['xMidYMid slice', 0, -50, 200, 150],
    ['xMidYMin slice', 0, 0, 200, 200],
    ['xMidYMax slice', 0, -100, 200, 100],
    ['none', 0, 0, 200, 100],
    ['defer none', 0, 0, 200, 100],
  ])('%s', (aspect, x1, y1, x2, y2) => {
    expect(
      [corner(aspect), far(aspect)]
        .flatMap(({ x, y }) => [x, y])
        .map((value) => Math.round(value * 1e6) / 1e6),
    ).toEqual([x1, y1, x2, y2]);
  });

  test('is four numbers with an area, or none', () => {
    expect(boxIn('0 0 20 10')).toEqual([0, 0, 20, 10]);
    expect(boxIn(' -5,-5 , 20,10 ')).toEqual([-5, -5, 20, 10]);
    for (const none of ['', '0 0 20', '0 0 0 10', '0 0 20 -1', '0 0 20 x', '1 2 3 4 5', undefined])
      expect(boxIn(none)).toBeNull();
  });
});

describe('commands that go on for long', () => {
  const numbers = (count: number) => Array.from({ length: count }, (_, i) => (i * 7) % 31).join(' ');
  test('say the same with their letters written out, lines after a move', () => {
    fc.assert(
      fc.property(fc.constantFrom(...'MLHVCSQTmlhvcsqt'), (letter) => {
        const each = { m: 2, l: 2, h: 1, v: 1, c: 6, s: 4, q: 4, t: 2 }[letter.toLowerCase()]!;
        const begin = /m/i.test(letter) ? '' : 'M1 1';
        const short = `${begin}${letter}${numbers(4 * each)}`;
        const long = `${begin}${letter}${numbers(2400 * each)}`;
        expect(spelledOut(short)).toBe(short);
        const written = spelledOut(long);
        expect(written.match(/[a-z]/gi)!.length).toBeGreaterThan(1000);
        expect(parsePath(written)).toEqual(parsePath(long));
      }),
      { numRuns: 16 },
    );
  });
  test('of arcs are too much, whose flags may stand without a space', () => {
    expect(() => spelledOut(`M0 0A${numbers(7 * 900)}`)).toThrow('goes on for too long');
  });
});
