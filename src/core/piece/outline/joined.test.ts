/** Letters as one shape for a cutter: all that is written hangs together, nothing of it is lost, no letter is in another's place. */
import fc from 'fast-check';
import { areaOf, common, pathOfRings, polygons, signedArea } from '@/core/geometry/offset';
import { pathBounds } from '@/core/geometry/path';
import { joinedPath, joinedSchema, type Joined } from '@/core/piece/outline/joined';
import { lettersOf } from '@/core/text/runs';
import { nodeTypesetter } from '../../../../scripts/node/platform';

const typesetter = await nodeTypesetter();
const SIZE = 40;
const set = (text: string, family = 'bitter', more: object = {}) =>
  typesetter.set(text, { family, size: SIZE, align: 'left', leading: 1.2, ...more }, null).runs;
const shape = (text: string, joined: Joined, family?: string, more?: object) =>
  joinedPath(set(text, family, more), joined, typesetter);
const TOUCH: Joined = { how: 'touch', at: 0, thick: 0.1 };
const BAR: Joined = { how: 'bar', at: 0.25, thick: 0.08 };
/** How many pieces a cutter would lift off. */
const pieces = (path: ReturnType<typeof shape>) =>
  polygons(path).filter((ring) => signedArea(ring) > 0).length;

test.each(['bitter', 'caveat', 'lobster', 'atkinson-hyperlegible-next'])(
  'in %s whatever is written hangs together, in either way',
  (family) => {
    const text = fc.string({ unit: fc.constantFrom(...'abgijkäößAIJQ!?;:%="“'), minLength: 1, maxLength: 7 });
    fc.assert(
      fc.property(text, fc.constantFrom(TOUCH, BAR), (word, how) => {
        expect(pieces(shape(word, how, family))).toBe(1);
      }),
      { numRuns: 12 },
    );
  },
);

test('dots and accents are tied in by bars a share of the size wide', () => {
  expect(pieces(set('i').length ? typesetter.outline(set('i')) : [])).toBe(2);
  const alone = typesetter.outline(set('i'));
  const tied = shape('i', TOUCH);
  expect(pieces(tied)).toBe(1);
  // The tie is all that was added: narrower than a stem, and no longer than the way to the dot.
  const added = areaOf(tied) - areaOf(alone);
  expect(added).toBeGreaterThan(0);
  expect(added).toBeLessThan(0.06 * SIZE * (0.35 * SIZE));
  const box = pathBounds(tied);
  expect(box.height).toBeCloseTo(pathBounds(alone).height, 1);
});

test('letters that touch are pushed together, their middle stays, and no letter is pushed through another', () => {
  const text = 'nunu';
  const apart = pathBounds(typesetter.outline(set(text)));
  const path = shape(text, TOUCH);
  const box = pathBounds(path);
  expect(box.width).toBeLessThan(apart.width);
  expect(box.x + box.width / 2).toBeCloseTo(apart.x + apart.width / 2, 3);
  // Of what the letters cover by themselves hardly anything lies on each other.
  const letters = lettersOf(set(text)).reduce((sum, own) => sum + areaOf(typesetter.outline(own)), 0);
  expect(areaOf(path) / letters).toBeGreaterThan(0.97);
  expect(areaOf(path)).toBeLessThan(letters);
});

test('spaces are closed like every other gap: two words become one shape', () => {
  const words = shape('no no', TOUCH);
  expect(pieces(words)).toBe(1);
  expect(pathBounds(words).width).toBeLessThan(
    pathBounds(typesetter.outline(set('no no'))).width - 0.15 * SIZE,
  );
});

test('letters set wide apart come together all the same', () => {
  const wide = pathBounds(shape('wave', TOUCH, 'bitter', { tracking: 1 }));
  const usual = pathBounds(shape('wave', TOUCH));
  expect(wide.width).toBeCloseTo(usual.width, 1);
});

describe('on a bar', () => {
  test('it lies where it is asked, as thick as asked, from the first letter to the last, and letters stay where they are', () => {
    const runs = set('sun');
    const plain = pathBounds(typesetter.outline(runs));
    const path = joinedPath(runs, BAR, typesetter);
    expect(pathBounds(path).x).toBeCloseTo(plain.x, 3);
    expect(pathBounds(path).width).toBeCloseTo(plain.width, 3);
    const baseline = runs[0]!.glyphs[0]!.y;
    const [middle, half] = [baseline - 0.25 * SIZE, 0.04 * SIZE];
    const strip = (from: number, to: number) =>
      common(
        path,
        pathOfRings([
          [
            { x: plain.x, y: from },
            { x: plain.x + plain.width, y: from },
            { x: plain.x + plain.width, y: to },
            { x: plain.x, y: to },
          ],
        ]),
      );
    const within = strip(middle - half, middle + half);
    expect(within).toHaveLength(1);
    expect(Math.abs(signedArea(within[0]!)) / (plain.width * 2 * half)).toBeCloseTo(1, 2);
    expect(strip(middle - half - 2, middle - half - 1).length).toBeGreaterThan(1);
  });

  test('each line has its own; lines that do not touch are tied to each other', () => {
    const two = shape('sun\nset', BAR);
    expect(pieces(two)).toBe(1);
    expect(pathBounds(two).height).toBeGreaterThan(1.2 * SIZE);
  });
});

test('of spaces alone, or nothing, there is nothing to cut', () => {
  for (const text of ['', ' ', ' \n ']) for (const how of [TOUCH, BAR]) expect(shape(text, how)).toEqual([]);
});

test('the door holds it to its limits', () => {
  const ok = (joined: unknown) => joinedSchema.isValidSync(joined, { strict: true });
  expect([TOUCH, BAR, { how: 'bar', at: -0.5, thick: 0.5 }].every(ok)).toBe(true);
  for (const wrong of [
    { how: 'glue', at: 0, thick: 0.1 },
    { how: 'bar', at: -0.51, thick: 0.1 },
    { how: 'bar', at: 1.01, thick: 0.1 },
    { how: 'bar', at: 0, thick: 0.01 },
    { how: 'bar', at: 0, thick: 0.51 },
    { how: 'bar', at: 0 },
    { ...BAR, colour: '#000000' },
  ])
    expect(ok(wrong)).toBe(false);
});

describe('letter by letter', () => {
  test('each letter with its marks is one, spaces are none', () => {
    const of = (text: string) =>
      lettersOf(set(text)).map((own) =>
        own.flatMap(({ glyphs }) => glyphs.map(({ text: says }) => says)).join(''),
      );
    expect(of('no el')).toEqual(['n', 'o', 'e', 'l']);
    expect(of('\n a\n')).toEqual(['a']);
    expect(of('')).toEqual([]);
  });

  test('a letter keeps the ink, size and font of its stretch', () => {
    const spans = [{ start: 1, end: 2, scale: 2, ink: '#123456' }];
    const runs = typesetter.set(
      'aba',
      { family: 'bitter', size: 10, align: 'left', leading: 1.2, spans },
      null,
    ).runs;
    expect(lettersOf(runs).map(([run]) => [run!.size, run!.ink])).toEqual([
      [10, undefined],
      [20, '#123456'],
      [10, undefined],
    ]);
  });
});
