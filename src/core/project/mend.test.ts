/** One thing in a file that does not pass the door costs itself at most: what lies beside it is as it was, and a sentence says so. */
import fc from 'fast-check';
import { HIGHEST_LIFT } from '@/core/piece/finish/lift';
import { checkProject, readProject, writeProject } from '@/core/project/file';
import { mend } from '@/core/project/mend';
import type { Project } from '@/core/project/model';
import { projectSchema } from '@/core/project/schema';

import { assetOf, inkPiece, laid, photoOf, quarters, wordsOf } from '../../../scripts/testing/samples';

type Parts = Record<string, unknown>;
type Change = (project: Parts) => void;
const asset = assetOf(quarters(60, 40), 60, 40);
const whole: Project = {
  ...laid(
    [
      photoOf('photo', asset, { x: 60, y: 60, width: 90, height: 60 }),
      wordsOf('words', 'The kite club'),
      { ...inkPiece('ink', 200, 60, 40, 40), groups: ['g'] },
      { ...inkPiece('second', 260, 60, 40, 40), groups: ['g'] },
    ],
    [asset],
  ),
  looks: [{ id: 'look', name: 'Lifted', finish: inkPiece('any').finish }],
};
const page = whole.surfaces[0]!;
const sound: Project = {
  ...whole,
  surfaces: [{ ...page, groups: [{ id: 'g', name: 'Pair' }], guides: [{ axis: 'x', at: 100 }] }] as never,
};
const put = (tree: Parts, way: readonly string[], value: unknown): void => {
  const holder = way.slice(0, -1).reduce<Parts>((part, step) => part[step] as Parts, tree);
  holder[way.at(-1)!] = value;
};
const at =
  (way: string, value: unknown): Change =>
  (project) =>
    put(project, way.split('.'), value);
const damaged = (change: Change): Parts => {
  const copy = structuredClone<unknown>(sound) as Parts;
  change(copy);
  return copy;
};
const mended = (change: Change) => mend(damaged(change), projectSchema as never);

test('what is sound stays as it is, and nothing is told', () => {
  expect(checkProject(structuredClone(sound))).toEqual({ ok: true, value: sound });
});

describe('brought within its limits', () => {
  test.each([
    [
      'a number below',
      at('surfaces.0.pile.0.finish.lift.height', -4),
      (p: Project) => p.surfaces[0]!.pile[0]!.finish.lift.height,
      0,
    ],
    [
      'a number above',
      at('surfaces.0.pile.0.finish.lift.height', 4000),
      (p: Project) => p.surfaces[0]!.pile[0]!.finish.lift.height,
      HIGHEST_LIFT,
    ],
    ['a title', at('title', 'b'.repeat(900)), ({ title }: Project) => title.replace(/b/g, ''), ''],
    [
      'a title of kites',
      at('title', `a${'🪁'.repeat(900)}`),
      ({ title }: Project) => title.isWellFormed(),
      true,
    ],
    [
      'guides beyond number',
      at(
        'surfaces.0.guides',
        Array.from({ length: 9000 }, (_, i) => ({
          axis: 'x',
          at: i % 400,
        })),
      ),
      (p: Project) => p.surfaces[0]!.guides!.length < 9000,
      true,
    ],
  ] as [string, Change, (p: Project) => unknown, unknown][])('%s', (_, change, seen, wanted) => {
    const { project, told } = mended(change)!;
    expect(seen(project)).toEqual(wanted);
    expect(told).toHaveLength(1);
    expect(told[0]).toMatch(/It was brought within the limit\.$/);
    expect(project.surfaces[0]!.pile).toHaveLength(4);
  });
});

describe('set aside, the smallest thing there is', () => {
  const left = ({ surfaces, looks }: Project) => ({
    pieces: surfaces.flatMap(({ pile }) => pile.map(({ id }) => id)),
    groups: surfaces.flatMap(({ groups }) => groups.map(({ id }) => id)),
    guides: surfaces.flatMap(({ guides = [] }) => guides.map(({ axis }) => axis)),
    looks: looks?.map(({ id }) => id),
  });
  const all = left(sound);
  test.each([
    ['a piece', at('surfaces.0.pile.1.material', { kind: 'teapot' }), { pieces: ['photo', 'ink', 'second'] }],
    [
      'two pieces, one after the other',
      (p: Parts) => [0, 1].forEach((i) => at(`surfaces.0.pile.${i}.outline`, null)(p)),
      { pieces: ['ink', 'second'] },
    ],
    ['a group', at('surfaces.0.groups.0.name', 7), { groups: [] }],
    ['a guide', at('surfaces.0.guides.0.axis', 'z'), { guides: [] }],
    ['the only look', at('looks.0.finish', 'shiny'), { looks: undefined }],
    ['a second page', at('surfaces.1', 'page'), {}],
  ] as [string, Change, object][])('%s', (_, change, rest) => {
    const { project, told } = mended(change)!;
    expect(left(project)).toEqual({ ...all, ...rest });
    expect(told.every((each) => each.endsWith('It was set aside.'))).toBe(true);
    expect(new Set(told).size).toBe(told.length);
  });

  test('all pages: nothing is left of it', () => {
    expect(mended(at('surfaces', ['page']))).toBeNull();
    expect(checkProject(damaged(at('surfaces', ['page'])))).toMatchObject({
      ok: false,
      message: /nothing in it/ as never,
    });
  });
});

describe('as in a new project', () => {
  test.each([
    [
      'the light of a page',
      at('surfaces.0.light', 'noon'),
      (p: Project) => typeof p.surfaces[0]!.light.direction,
      'number',
    ],
    ['its ground', at('surfaces.0.ground', 12), (p: Project) => p.surfaces[0]!.ground, '#ffffff'],
    [
      'its note, which it need not have',
      at('surfaces.0.note', ['a']),
      (p: Project) => 'note' in p.surfaces[0]!,
      false,
    ],
    ['the unit', at('unit', 'ell'), ({ unit }: Project) => unit, 'in'],
  ] as [string, Change, (p: Project) => unknown, unknown][])('%s', (_, change, seen, wanted) => {
    const { project, told } = mended(change)!;
    expect(seen(project)).toEqual(wanted);
    expect(told).toEqual([expect.stringMatching(/It is as in a new project now\.$/)]);
    expect(project.surfaces[0]!.pile).toEqual(sound.surfaces[0]!.pile);
  });
});

test.each([
  ['the project', ''],
  ['a page, which is all there is', 'surfaces.0.'],
  ['a piece', 'surfaces.0.pile.0.'],
  ['where it lies', 'surfaces.0.pile.2.placement.'],
  ['a group', 'surfaces.0.groups.0.'],
  ['a guide', 'surfaces.0.guides.0.'],
])('what nothing knows of %s is left out, and nothing with it', (_, of) => {
  const read = checkProject(damaged((p) => ['flavour', 'weight'].forEach((key) => at(`${of}${key}`, 3)(p))));
  expect(read).toEqual({
    ok: true,
    value: sound,
    mended: [expect.stringMatching(/“flavour”, “weight”, which nothing knows\. It was left out\.$/)],
  });
});

/** Every place in a tree, with the way there. */
const placesIn = (value: unknown, way: string[] = []): string[][] =>
  value && typeof value === 'object'
    ? Object.entries(value).flatMap(([key, inner]) => [[...way, key], ...placesIn(inner, [...way, key])])
    : [];

test('whatever stands anywhere in a file: it opens or says why, and the other pieces of its page are untouched', () => {
  const places = placesIn(sound).filter(([step]) => step !== 'assets');
  const junk = fc.constantFrom<unknown>(
    null,
    true,
    -1,
    1e12,
    Number.MAX_SAFE_INTEGER,
    'x',
    '',
    'x'.repeat(3000),
    [],
    {},
    [null],
    { id: 'x' },
  );
  fc.assert(
    fc.property(fc.constantFrom(...places), junk, (way, value) => {
      const spoiled = structuredClone<unknown>(sound) as Parts;
      put(spoiled, way, value);
      const read = checkProject(spoiled);
      if (!read.ok)
        return void expect(read.message).toMatch(/^The project inside this file is damaged: .+\.$/);
      expect(readProject(writeProject(read.value))).toEqual({ ok: true, value: read.value });
      const [top, , part, at] = way;
      if (top !== 'surfaces' || part !== 'pile' || at === undefined) return;
      const others = (project: Project) =>
        project.surfaces[0]!.pile.filter(({ id }) =>
          page.pile.some((piece, i) => piece.id === id && i !== Number(at)),
        );
      expect(others(read.value).map(({ id }) => id)).toEqual(others(sound).map(({ id }) => id));
    }),
    { numRuns: 75 },
  );
});
