/** What an edit changed, held to the door: what is past a limit is told with the limit, what cannot be mended is refused in words. */
import fc from 'fast-check';
import type { Piece } from '@/core/piece/piece';
import { LARGEST_LETTERS } from '@/core/text/style';
import { Refused } from '@/core/project/refused';
import { projectSchema, MOST_PIECES, MOST_SURFACES } from '@/core/project/schema';
import { stopsOf } from '@/core/project/sound';
import type { Project } from '@/core/project/model';
import { first } from '../../../scripts/testing/first';
import { inkPiece } from '../../../scripts/testing/samples';

/** The first page with another piece in a place of its pile, or with more fields than it has. */
const withPiece = (at: number, change: (piece: Piece) => unknown, base: Project = first): Project => ({
  ...base,
  surfaces: base.surfaces.map((page, i) =>
    i ? page : { ...page, pile: page.pile.map((piece, k) => (k === at ? (change(piece) as Piece) : piece)) },
  ),
});
const placed = (change: object) => (piece: Piece) => ({
  ...piece,
  placement: { ...piece.placement, ...change },
});
const why = (after: Project): string => {
  try {
    const stops = stopsOf(first, after);
    return stops.length ? 'stopped' : 'sound';
  } catch (error) {
    if (error instanceof Refused) return error.message;
    throw error;
  }
};

test('what is the same object is not looked at; what was changed within the limits is sound', () => {
  expect(stopsOf(first, first)).toEqual([]);
  expect(stopsOf(first, withPiece(0, placed({ x: 12.5, turn: 30 })))).toEqual([]);
  expect(stopsOf(first, { ...first, title: 'Low tide' })).toEqual([]);
});

describe('numbers past their limits are told with the limit', () => {
  test.each([
    ['x', 1e7, 'less'],
    ['x', -1e7, 'more'],
    ['width', 0, 'more'],
    ['height', 1e9, 'less'],
  ] as const)('%s of %d', (field, value, way) => {
    const after = withPiece(0, placed({ [field]: value }));
    const [stop, ...others] = stopsOf(first, after);
    expect(others).toEqual([]);
    expect(stop!.path).toEqual(['surfaces', 0, 'pile', 0, 'placement', field]);
    expect(way === 'less' ? (stop!.value as number) < value : (stop!.value as number) > value).toBe(true);
    // The limit itself is taken, and by the door, too.
    const mended = withPiece(0, placed({ [field]: stop!.value }));
    expect(stopsOf(first, mended)).toEqual([]);
    expect(projectSchema.isValidSync(mended, { strict: true })).toBe(true);
  });

  test('several of one edit are told each; letters by theirs', () => {
    const words = first.surfaces[0]!.pile.findIndex(({ id }) => id === 'words');
    const after = withPiece(words, (piece) => ({
      ...placed({ x: 1e9, y: -1e9 })(piece),
      outline: { ...piece.outline, size: 9000 },
    }));
    const stops = stopsOf(first, after);
    expect(stops.map(({ path }) => path.at(-1)).sort()).toEqual(['size', 'x', 'y']);
    expect(stops.find(({ path }) => path.at(-1) === 'size')!.value).toBe(LARGEST_LETTERS);
  });

  test('what is no number is refused, and so is a part of what is counted whole', () => {
    for (const x of [NaN, Infinity, -Infinity, '12', null])
      expect(why(withPiece(0, placed({ x })))).toMatch(
        /^That cannot be done\. “ink” on “.*”: its place across .*\. Nothing was changed\.$/,
      );
    const half = withPiece(0, (piece) => ({
      ...piece,
      finish: { ...piece.finish, edge: { kind: 'torn', size: 2, core: 1, seed: 1.5 } },
    }));
    expect(why(half)).toMatch(/^That cannot be done/);
  });
});

describe('texts', () => {
  test('with what no file may hold they are told as they would be written', () => {
    expect(stopsOf(first, { ...first, title: 'Ebb\u0000 & flow\ud800' })).toEqual([
      { path: ['title'], value: 'Ebb  & flow ' },
    ]);
  });

  test('too long they are refused, with how long they may be', () => {
    expect(why({ ...first, title: 'e'.repeat(5000) })).toMatch(
      /^That cannot be done\. The project: its title would be 5,000 letters long: \d+ is the most\. Nothing was changed\.$/,
    );
  });

  test('a colour that is none is refused', () => {
    expect(
      why(withPiece(0, (piece) => ({ ...piece, material: { kind: 'ink', colour: 'crimson' } }))),
    ).toMatch(/“ink” on “.*”: its ink cannot be read/);
  });
});

describe('what there may be once', () => {
  test('the same piece twice on a page, the same page twice', () => {
    const [page, ...rest] = first.surfaces;
    const twice = { ...first, surfaces: [{ ...page!, pile: [...page!.pile, page!.pile[0]!] }, ...rest] };
    expect(why(twice)).toBe('That cannot be done: the same thing would lie there twice.');
    expect(why({ ...first, surfaces: [...first.surfaces, first.surfaces[0]!] })).toBe(
      'That cannot be done: the same thing would lie there twice.',
    );
  });

  test('pieces that only change places are not looked at anew; a new one among them is', () => {
    const [page, ...rest] = first.surfaces;
    const turned = { ...first, surfaces: [{ ...page!, pile: [...page!.pile].reverse() }, ...rest] };
    expect(stopsOf(first, turned)).toEqual([]);
    const wrong = { ...inkPiece('new'), placement: { ...inkPiece('new').placement, width: -5 } };
    const more = { ...first, surfaces: [{ ...page!, pile: [wrong, ...page!.pile] }, ...rest] };
    expect(stopsOf(first, more)).toMatchObject([{ path: ['surfaces', 0, 'pile', 0, 'placement', 'width'] }]);
  });
});

describe('what is too many is said before anything is looked at', () => {
  test('pages', () => {
    const many = Array.from({ length: MOST_SURFACES + 1 }, (_, i) => ({
      ...first.surfaces[1]!,
      id: `p${i}`,
    }));
    expect(why({ ...first, surfaces: many })).toBe(
      `A project holds up to ${MOST_SURFACES} pages; that would make ${MOST_SURFACES + 1}. Nothing was changed.`,
    );
  });
  test('pieces', () => {
    const [page, ...rest] = first.surfaces;
    const pile = Array.from({ length: MOST_PIECES + 2 }, (_, i) => inkPiece(`i${i}`));
    expect(why({ ...first, surfaces: [{ ...page!, pile }, ...rest] })).toBe(
      `A page holds up to ${MOST_PIECES} pieces; that would make ${MOST_PIECES + 2}. Nothing was changed.`,
    );
  });
});

describe('pictures', () => {
  const sha = Object.keys(first.assets)[0]!;

  test('a piece that shows one that is not there is named with its page', () => {
    const photo = first.surfaces[0]!.pile.findIndex(({ id }) => id === 'photo');
    const after = withPiece(photo, (piece) => ({
      ...piece,
      material: { ...piece.material, asset: 'f'.repeat(64) },
    }));
    expect(why(after)).toMatch(
      /^That cannot be done: the picture of “photo” on “.*” would be missing\. Nothing was changed\.$/,
    );
  });

  test('one that is taken away while anything shows it is refused, though no piece was touched', () => {
    const { [sha]: _, ...assets } = first.assets;
    expect(why({ ...first, assets, photos: [] })).toMatch(/would be missing/);
    const bare = {
      ...first,
      assets,
      photos: [],
      surfaces: first.surfaces.map((page) => ({ ...page, pile: [] })),
    };
    expect(stopsOf(first, bare)).toEqual([]);
  });
});

test('fields nobody knows, and kinds, are refused; fields of another kind say nothing of this one', () => {
  expect(why(withPiece(0, (piece) => ({ ...piece, glue: true })))).toMatch(/^That cannot be done/);
  expect(why(withPiece(0, (piece) => ({ ...piece, material: { kind: 'felt', colour: '#000000' } })))).toMatch(
    /“ink” on “.*”: what it is made of is a .* this version does not know/,
  );
  const other = withPiece(0, (piece) => ({ ...piece, outline: { kind: 'ellipse' } }));
  expect(stopsOf(first, other)).toEqual([]);
});

test('whatever number is given to whatever has one: what is told is what the door would refuse, and with it the door is passed', () => {
  const paths = numbersIn(first.surfaces[0]!.pile);
  expect(paths.length).toBeGreaterThan(100);
  fc.assert(
    fc.property(
      fc.constantFrom(...paths),
      fc.oneof(
        fc.constantFrom(0, -1, 1, 0.5, 1e-9, 1e9, -1e9, 7200),
        fc.double({ noNaN: true, noDefaultInfinity: true }),
      ),
      (path, value) => {
        const after = {
          ...first,
          surfaces: [
            { ...first.surfaces[0]!, pile: put(first.surfaces[0]!.pile, path, value) },
            ...first.surfaces.slice(1),
          ],
        };
        const passes = projectSchema.isValidSync(after, { strict: true });
        let stops: ReturnType<typeof stopsOf>;
        try {
          stops = stopsOf(first, after);
        } catch (error) {
          expect(error).toBeInstanceOf(Refused);
          expect(passes).toBe(false);
          return;
        }
        expect(stops.length === 0).toBe(passes);
        const mended = stops.reduce(
          (project, stop) => put(project, stop.path.map(String), stop.value),
          after,
        );
        expect(projectSchema.isValidSync(mended, { strict: true })).toBe(true);
      },
    ),
    { numRuns: 60 },
  );
});

/** Where the numbers of a value are. */
function numbersIn(value: unknown, path: string[] = []): string[][] {
  if (typeof value === 'number') return [path];
  return value !== null && typeof value === 'object'
    ? Object.entries(value).flatMap(([key, one]) => numbersIn(one, [...path, key]))
    : [];
}

/** A copy with another value at a path. */
function put<T>(of: T, [key, ...rest]: readonly string[], value: unknown): T {
  if (key === undefined) return value as T;
  const copy = (Array.isArray(of) ? [...of] : { ...of }) as Record<string, unknown>;
  copy[key] = put(copy[key], rest, value);
  return copy as T;
}
