/** What is wrong with a project, in the words of the hobby: which thing it is, what of it, and by how much. */
import { ValidationError } from 'yup';
import { capital, complaint, stepsOf, whichThing } from '@/core/project/complaint';
import { projectSchema } from '@/core/project/schema';
import { first } from '../../../scripts/testing/first';

type Path = readonly (string | number)[];

/** A copy of the project that has something of everything, with another value at a path. */
function put<T>(of: T, [key, ...rest]: Path, value: unknown): T {
  if (key === undefined) return value as T;
  const copy = (Array.isArray(of) ? [...of] : { ...of }) as Record<string | number, unknown>;
  copy[key] = put(copy[key], rest, value);
  return copy as T;
}
function says(path: Path, value: unknown): string {
  const project = put(first, path, value);
  try {
    projectSchema.validateSync(project, { strict: true });
    return 'nothing';
  } catch (error) {
    if (error instanceof ValidationError) return complaint(project, error);
    throw error;
  }
}
const at = (id: string) => first.surfaces[0]!.pile.findIndex((piece) => piece.id === id);
const [PAGE, SECOND] = first.surfaces.map(({ name }) => `“${name}”`) as [string, string];

describe('the thing', () => {
  test.each([
    [['surfaces', '0'], PAGE],
    [['surfaces', '0', 'pile', String(at('ink')), 'placement', 'x'], `“ink” on ${PAGE}`],
    [['surfaces', '1', 'pile', '0', 'outline'], `“w2” on ${SECOND}`],
    [['surfaces', '0', 'groups', '0', 'name'], `the group “Two” on ${PAGE}`],
    [['surfaces', '0', 'guides', '3', 'at'], `a guide of ${PAGE}`],
    [['surfaces', '7', 'name'], 'page 8'],
    [['surfaces', '0', 'pile', '99', 'name'], `a piece on ${PAGE}`],
    [['surfaces'], 'the project'],
    [['looks', '0', 'finish'], 'the look “Plain”'],
    [['styles', '0', 'size'], 'the text style “Label”'],
    [['fonts', '0', 'bytes'], 'the font “Quill”'],
    [['profiles', '0', 'name'], 'the colour profile “Press”'],
    [['guides', '0', 'at'], 'a guide'],
    [['title'], 'the project'],
    [['nothing', 'known'], 'the project'],
  ] as const)('%j is %s', (path, thing) => expect(whichThing(first, path)).toBe(thing));

  test('a very long name is cut, one that is none is left out, and whatever is asked there is an answer', () => {
    const long = put(first, ['surfaces', 0, 'name'], 'k'.repeat(500));
    expect(whichThing(long, ['surfaces', '0'])).toBe(`“${'k'.repeat(60)}”`);
    expect(whichThing(put(first, ['surfaces', 0, 'name'], ''), ['surfaces', '0'])).toBe('page 1');
    expect(whichThing(put(first, ['surfaces', 0, 'name'], 7), ['surfaces', '0'])).toBe('page 1');
    for (const broken of [null, undefined, 7, 'x', [], { surfaces: null }, { surfaces: [null] }])
      expect(whichThing(broken, ['surfaces', '0', 'pile', '0'])).toMatch(/^a piece on page 1$/);
  });
});

test('a path is its steps, however it is written', () => {
  expect(stepsOf('surfaces[0].pile[3].name')).toEqual(['surfaces', '0', 'pile', '3', 'name']);
  expect(stepsOf('assets["ab12"].name')).toEqual(['assets', 'ab12', 'name']);
  expect(stepsOf('')).toEqual([]);
});

describe('what is wrong', () => {
  const ink = ['surfaces', 0, 'pile', at('ink')] as const;
  const words = ['surfaces', 0, 'pile', at('words')] as const;
  test.each([
    [
      'a place too far away',
      [...ink, 'placement', 'x'],
      1e7,
      /^“ink” on “.*”: its place across would be 10,000,000: [\d,]+ is the most$/,
    ],
    [
      'no width',
      [...ink, 'placement', 'width'],
      0,
      /^“ink” on “.*”: its width would be 0: [\d.]+ is the least$/,
    ],
    ['no number at all', [...ink, 'placement', 'y'], 'low', /^“ink” on “.*”: its place down cannot be read$/],
    [
      'a long name',
      [...ink, 'name'],
      'k'.repeat(900),
      /^“k{60}” on “.*”: its name would be 900 letters long: \d+ is the most$/,
    ],
    [
      'letters too large',
      [...words, 'outline', 'size'],
      9000,
      /^“words” on “.*”: the size of its letters would be 9,000: 2,000 is the most$/,
    ],
    [
      'a family nobody knows',
      [...words, 'outline', 'family'],
      'quill',
      /^“words” on “.*”: its cut is not a family this version knows$/,
    ],
    [
      'a kind nobody knows',
      [...ink, 'material'],
      { kind: 'felt' },
      /^“ink” on “.*”: what it is made of is a .* this version does not know$/,
    ],
    [
      'an ink that is none',
      [...ink, 'material', 'colour'],
      'crimson',
      /^“ink” on “.*”: its ink cannot be read$/,
    ],
    [
      'a bleed below nothing',
      ['surfaces', 0, 'bleed', 'left'],
      -1,
      /^“.*”: the bleed would be -1: 0 is the least$/,
    ],
    [
      'a title too long',
      ['title'],
      'k'.repeat(5000),
      /^the project: its title would be 5,000 letters long: \d+ is the most$/,
    ],
    [
      'a look beyond its limits',
      ['looks', 0, 'finish', 'opacity'],
      2,
      /^the look “Plain”: its opacity would be 2: 1 is the most$/,
    ],
    ['no pages', ['surfaces'], [], /^the project: the list of pages would be 0: 1 is the least$/],
  ] as const)('%s', (_, path, value, sentence) => expect(says(path, value)).toMatch(sentence));

  test('a list of pictures whose names do not fit is damaged', () => {
    const [asset] = Object.values(first.assets);
    expect(says(['assets'], { ...first.assets, ['0'.repeat(64)]: asset })).toBe(
      'the list of pictures is damaged',
    );
  });

  test('what is right has nothing wrong with it', () => {
    expect(says(['title'], 'Kites')).toBe('nothing');
  });
});

test('a sentence begins with a capital, whatever it begins with', () => {
  expect([capital('the look'), capital('“a”'), capital(''), capital('élan')]).toEqual([
    'The look',
    '“a”',
    '',
    'Élan',
  ]);
});
