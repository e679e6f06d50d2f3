/** Two pages in each other's place. */
import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { swapPages, type PageAt } from '@/core/book/pages';
import type { Piece } from '@/core/piece/piece';
import { readProject, writeProject } from '@/core/project/file';
import { perform, startHistory } from '@/core/project/history';
import type { Project } from '@/core/project/model';
import { book, spreadsOf } from '../../../scripts/testing/books';
import { inkPiece } from '../../../scripts/testing/samples';

/** A book of 8 x 8 in with these on the first spreads; x from the spread's left, a page is 576 wide. */
function withPiles(...piles: Piece[][]): Project {
  const start = book();
  const ids = spreadsOf(start).map(({ id }) => id);
  return {
    ...start,
    surfaces: start.surfaces.map((surface) => {
      const at = ids.indexOf(surface.id);
      return at >= 0 && piles[at] ? { ...surface, pile: piles[at] } : surface;
    }),
  };
}
const swapped = (project: Project, a: PageAt, b: PageAt): Project => {
  const edit = swapPages(project, a, b);
  if (!edit.ok) throw new Error(edit.message);
  return perform(startHistory(project), edit.value, 0).project;
};
const at = (project: Project, spread: number, side: PageAt['side']): PageAt => ({
  surface: spreadsOf(project)[spread]!.id,
  side,
});
const seen = (project: Project, spread: number) =>
  spreadsOf(project)[spread]!.pile.map(({ id, placement: { x, y } }) => [id, Math.round(x), Math.round(y)]);

test('by hand: the left page of one with the right page of another; grounds keep their bleed outside, both lie in the same order', () => {
  const project = withPiles(
    [
      inkPiece('ground', -9, -9, 585, 594),
      inkPiece('small', 100, 50, 40, 40),
      inkPiece('other', 700, 50, 40, 40),
    ],
    [inkPiece('whole', -9, -9, 1170, 594), inkPiece('far', 1000, 300, 50, 50)],
  );
  const after = swapped(project, at(project, 0, 'left'), at(project, 1, 'right'));
  expect(seen(after, 0)).toEqual([
    ['far', 449, 325],
    ['other', 720, 70],
  ]);
  // The ground reached 9 pt over the left edge, and reaches as far over the right one.
  expect(seen(after, 1)).toEqual([
    ['whole', 576, 288],
    ['ground', Math.round(576 + 288 + 4.5), 288],
    ['small', 696, 70],
  ]);
});

test('any pages: swapped twice all lies where it lay, nothing on any other page moves, and it is read again the same', () => {
  const box = fc.tuple(fc.boolean(), fc.integer({ min: 20, max: 480 }), fc.integer({ min: 20, max: 480 }));
  const pile = (name: string) =>
    fc
      .array(box, { maxLength: 5 })
      .map((all) => all.map(([right, x, y], i) => inkPiece(`${name}${i}`, x + (right ? 576 : 0), y, 60, 40)));
  const page = fc.record({ spread: fc.nat(2), side: fc.constantFrom<PageAt['side']>('left', 'right') });
  fc.assert(
    fc.property(pile('a'), pile('b'), pile('c'), page, page, (a, b, c, one, two) => {
      fc.pre(one.spread !== two.spread || one.side !== two.side);
      const project = withPiles(a, b, c);
      const ends = [at(project, one.spread, one.side), at(project, two.spread, two.side)] as const;
      const once = swapped(project, ...ends);
      expect(readProject(writeProject(once))).toEqual({ ok: true, value: once });
      const others = (of: Project) =>
        of.surfaces.filter(({ id }) => ends.every(({ surface }) => surface !== id));
      expect(others(once)).toEqual(others(project));
      const all = (of: Project) => [0, 1, 2].map((i) => seen(of, i).sort());
      expect(all(swapped(once, ...ends))).toEqual(all(project));
    }),
    { numRuns: 30 },
  );
});

test('a group goes along whole, with its name; so do letters that hang together and what passes under what', () => {
  const inGroup = (id: string, x: number, extra: Partial<Piece> = {}) =>
    inkPiece(id, x, 50, 40, 40, { groups: ['outer', 'inner'], ...extra });
  const plain = withPiles(
    [
      inGroup('a', 20),
      inGroup('b', 80, { tucks: [{ under: 'a', x: 0.1, y: 0 }] }),
      inkPiece('c', 800, 20, 40, 40),
    ],
    [inkPiece('d', 30, 30, 40, 40)],
  );
  const [first] = spreadsOf(plain);
  const groups = [
    { id: 'outer', name: 'Bunting' },
    { id: 'inner', name: 'Two flags' },
  ];
  const project = {
    ...plain,
    surfaces: plain.surfaces.map((one) => (one.id === first!.id ? { ...one, groups } : one)),
  };
  expect(readProject(writeProject(project))).toEqual({ ok: true, value: project });
  for (const spread of [0, 1] as const) {
    const after = swapped(project, at(project, 0, 'left'), at(project, spread, 'right'));
    const there = spreadsOf(after)[spread]!;
    expect(there.groups).toEqual(groups);
    expect(
      there.pile
        .filter((piece) => piece.groups)
        .map(({ id, groups: of, tucks }) => [id, of, tucks?.[0]?.under]),
    ).toEqual([
      ['a', ['outer', 'inner'], undefined],
      ['b', ['outer', 'inner'], 'a'],
    ]);
    if (spread) expect(spreadsOf(after)[0]!.groups).toEqual([]);
    expect(readProject(writeProject(after))).toEqual({ ok: true, value: after });
    const back = swapped(after, at(after, 0, 'left'), at(after, spread, 'right'));
    expect(spreadsOf(back).map(({ groups: of }) => of)).toEqual(
      spreadsOf(project).map(({ groups: of }) => of),
    );
  }
});

test('what lies over both pages, is locked, stands alone, or is grouped across is refused in words', () => {
  const piece = inkPiece('banner', 500, 50, 200, 40);
  const project = withPiles(
    [piece],
    [inkPiece('a', 20, 20, 40, 40, { groups: ['g'] }), inkPiece('b', 700, 20, 40, 40, { groups: ['g'] })],
  );
  const says = (of: Project, a: PageAt, b: PageAt) => {
    const edit = swapPages(of, a, b);
    return edit.ok ? edit.value.label : edit.message;
  };
  expect(says(project, at(project, 0, 'left'), at(project, 2, 'left'))).toBe(
    '“banner” lies over the middle of Pages 2–3: these pages go together only.',
  );
  expect(says(project, at(project, 1, 'left'), at(project, 2, 'left'))).toMatch(
    /^A group lies on more than one/,
  );
  const locked = { ...project, surfaces: project.surfaces.map((each) => ({ ...each, locked: true })) };
  expect(says(locked, at(project, 1, 'left'), at(project, 2, 'left'))).toBe(
    'Pages 4–5 is locked: it stays as it is.',
  );
  const first = project.surfaces[1]!;
  expect(says(project, { surface: first.id, side: 'left' }, at(project, 2, 'left'))).toMatch(
    /^Page 1 stands alone/,
  );
  expect(says(project, at(project, 2, 'left'), at(project, 3, 'right'))).toBe('swap page 6 and 9');
});
