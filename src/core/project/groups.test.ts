import fc from 'fast-check';
import type { Piece } from '@/core/piece/piece';
import { copiesOf } from '@/core/project/copies';
import { groupPieces, groupsAmong, layBeside, movePile, ungroup } from '@/core/project/edits/group';
import { lockPage, movePage, addPage, removePage } from '@/core/project/edits/page';
import { removePieces } from '@/core/project/edits/pile';
import { firstCell, repeatPieces, repeatProblem } from '@/core/project/edits/repeat';
import { matchesOf, matchPieces } from '@/core/project/edits/match';
import { checkProject } from '@/core/project/file';
import { perform, startHistory, undo } from '@/core/project/history';
import { newSurface, type Project, type Repeat } from '@/core/project/model';
import { flatten, piecesUnder, treeOf, unitsOf, wholeUnits } from '@/core/project/tree';
import { placedAt } from '@/core/piece/placement/placement';
import type { Edit } from '@/core/project/edits/edit';
import { project as sample } from '../../../scripts/testing/samples';

const disc = (id: string, x = 0): Piece => ({
  id,
  name: id,
  role: 'mat',
  material: { kind: 'ink', colour: '#9e2b45' },
  outline: { kind: 'ellipse' },
  finish: { lift: { height: 0.3, shadow: true }, stroke: null, opacity: 1 },
  placement: placedAt({ x, y: 0, width: 20, height: 10 }),
});
const start = (ids: string): Project => {
  const base = sample();
  return {
    ...base,
    surfaces: [
      { ...base.surfaces[0]!, id: 's', pile: [...ids].map((id, i) => disc(id, 30 * i)), groups: [] },
    ],
  };
};
const done = (project: Project, ...edits: Edit[]): Project =>
  edits.reduce((history, edit) => perform(history, edit, 0), startHistory(project)).project;
const page = (project: Project) => project.surfaces[0]!;
const order = (project: Project) =>
  page(project)
    .pile.map(({ id }) => id)
    .join('');
const pick = (project: Project, ids: string) => page(project).pile.filter(({ id }) => ids.includes(id));
const group = (project: Project, ids: string, id: string, entered: string | null = null) =>
  done(project, groupPieces('s', pick(project, ids), { id, name: id }, entered));

describe('groups', () => {
  test('lie together where the topmost of them lay, nest, and come apart where they are', () => {
    const one = group(start('abcdef'), 'be', 'G');
    expect(order(one)).toBe('acdbef');
    const two = group(one, 'fbe', 'H');
    expect(page(two).pile.map(({ groups }) => (groups ?? []).join('>'))).toEqual([
      '',
      '',
      '',
      'H>G',
      'H>G',
      'H',
    ]);
    expect(groupsAmong(page(two), ['b', 'e', 'f'], null)).toEqual(['H']);
    expect(groupsAmong(page(two), ['b', 'e'], 'H')).toEqual(['G']);
    const apart = done(two, ungroup('s', ['H']));
    expect(page(apart).groups.map(({ id }) => id)).toEqual(['G']);
    expect(order(apart)).toBe('acdbef');
  });

  test('are taken as one from outside, and piece by piece while they are open', () => {
    const two = group(group(start('abcdef'), 'be', 'G'), 'bef', 'H');
    expect(wholeUnits(page(two).pile, ['e'], null).join('')).toBe('bef');
    expect(wholeUnits(page(two).pile, ['e'], 'H').join('')).toBe('be');
    expect(wholeUnits(page(two).pile, ['e'], 'G').join('')).toBe('e');
    expect(unitsOf(page(two).pile, null).map((unit) => unit.length)).toEqual([1, 1, 1, 3]);
  });

  test('a step in the pile passes a whole neighbour; a slab laid into a group belongs to it', () => {
    const one = group(start('abcdef'), 'be', 'G');
    const raise = (
      from: Project,
      ids: string,
      move: Parameters<typeof movePile>[2],
      entered: string | null = null,
    ) => order(done(from, movePile('s', pick(from, ids), move, entered)));
    expect(raise(one, 'd', 'up')).toBe('acbedf');
    expect(raise(one, 'f', 'down')).toBe('acdfbe');
    expect(raise(one, 'be', 'bottom')).toBe('beacdf');
    expect(raise(one, 'b', 'up', 'G')).toBe('acdebf');
    expect(raise(one, 'cd', 'up')).toBe('abecdf');
    const into = done(one, layBeside('s', ['a'], 'above', 'b'));
    expect(order(into)).toBe('cdbaef');
    expect(pick(into, 'a')[0]!.groups).toEqual(['G']);
    const out = done(into, layBeside('s', ['a', 'b'], 'below', 'c'));
    expect(order(out)).toBe('bacdef');
    expect(pick(out, 'a')[0]!.groups).toBeUndefined();
    // A group laid inside itself stays as it was.
    expect(order(done(one, layBeside('s', ['G'], 'inside', 'G')))).toBe('acdbef');
  });

  test('whatever is grouped, moved, taken apart or deleted: all stays, groups stay together, and undo goes back', () => {
    const deed = fc.record({
      kind: fc.constantFrom('group', 'ungroup', 'up', 'down', 'top', 'bottom', 'inside', 'above', 'delete'),
      ids: fc.uniqueArray(fc.constantFrom(...'abcdefgh'), { minLength: 1, maxLength: 4 }),
      to: fc.constantFrom(...'abcdefgh', 'g0', 'g1', 'g2'),
    });
    fc.assert(
      fc.property(fc.array(deed, { maxLength: 12 }), (deeds) => {
        let history = startHistory(start('abcdefgh'));
        const first = history.project;
        let deleted = 0;
        deeds.forEach(({ kind, ids, to }, i) => {
          const pieces = pick(history.project, wholeUnits(page(history.project).pile, ids, null).join(''));
          if (!pieces.length) return;
          const edit =
            kind === 'group'
              ? groupPieces('s', pieces, { id: `g${i}`, name: '' }, null)
              : kind === 'ungroup'
                ? ungroup('s', [to])
                : kind === 'inside' || kind === 'above'
                  ? layBeside('s', ids, kind, to)
                  : kind === 'delete'
                    ? removePieces('s', pieces)
                    : movePile('s', pieces, kind as 'up', null);
          if (kind === 'delete') deleted += pieces.length;
          history = perform(history, edit, i * 1e6);
        });
        const { pile, groups } = page(history.project);
        expect(pile.length + deleted).toBe(8);
        expect(flatten(treeOf({ pile, groups })).pile).toEqual(pile);
        expect(
          treeOf({ pile, groups })
            .flatMap(piecesUnder)
            .map(({ id }) => id),
        ).toEqual(pile.map(({ id }) => id));
        expect(checkProject(structuredClone(history.project) as never, 3)).toMatchObject({ ok: true });
        while (history.done) history = undo(history);
        expect(history.project).toEqual(first);
      }),
      { numRuns: 30 },
    );
  });
});

describe('copies', () => {
  test('have ids of their own; a whole group is copied, a part of one is not', () => {
    const one = group(start('abc'), 'ab', 'G');
    let n = 0;
    const copy = (ids: string) => copiesOf(pick(one, ids), page(one), () => `n${(n += 1)}`, { x: 5, y: 0 });
    const whole = copy('ab');
    expect(whole.groups).toHaveLength(1);
    expect(whole.pieces.map(({ groups }) => groups)).toEqual([[whole.groups[0]!.id], [whole.groups[0]!.id]]);
    expect(whole.pieces[0]!.placement.x - pick(one, 'a')[0]!.placement.x).toBe(5);
    expect(copy('a').pieces[0]!.groups).toBeUndefined();
  });
});

describe('rows and columns', () => {
  const repeat: Repeat = { columns: 4, rows: 3, gapX: 6, gapY: 2, shift: 13 };
  let n = 0;
  const lay = (from: Project, ids: string, numbers: Repeat) => {
    const box = { x: 0, y: 0, width: 20, height: 10 };
    return done(
      from,
      repeatPieces(
        's',
        pick(from, ids),
        box,
        { id: 'R', name: 'R', repeat: numbers },
        0,
        () => `c${(n += 1)}`,
      ),
    );
  };
  test('stand where one would reckon them by hand, every second row shifted', () => {
    const laid = lay(start('ab'), 'a', repeat);
    const at = page(laid)
      .pile.filter(({ groups }) => groups?.includes('R'))
      .map(({ placement: { x, y } }) => [x, y]);
    expect(at).toHaveLength(12);
    expect([at[1], at[4], at[5], at[8]]).toEqual([
      [10 + 26, 5],
      [10 + 13, 5 + 12],
      [10 + 13 + 26, 5 + 12],
      [10, 5 + 24],
    ]);
  });
  test('grow, turn and fade from one to the next, each about the middle of its cell', () => {
    const stack = lay(start('a'), 'a', { ...repeat, columns: 3, rows: 1, scale: 0.5, turn: 10, fade: 0.5 });
    const { pile } = page(stack);
    expect(
      pile.map(({ placement }) => [placement.x, placement.width, placement.height, placement.turn]),
    ).toEqual([
      [10, 20, 10, 0],
      [36, 10, 5, 10],
      [62, 5, 2.5, 20],
    ]);
    expect(pile.map(({ finish }) => finish.opacity)).toEqual([1, 0.5, 0.25]);
    expect(checkProject(stack).ok).toBe(true);
  });
  test('one of them is deleted alone; what is left is a group that stays as it is', () => {
    const laid = lay(start('a'), 'a', repeat);
    const all = page(laid).pile;
    const left = done(laid, removePieces('s', [all[2]!]));
    expect(page(left).pile).toHaveLength(all.length - 1);
    expect(page(left).groups).toEqual([{ id: 'R', name: 'R' }]);
  });
  test('are made anew with other numbers from the first cell, groups in it copied; nothing else moves', () => {
    const inner = group(start('abc'), 'ab', 'G');
    const many = lay(inner, 'ab', repeat);
    expect(page(many).pile).toHaveLength(2 * 12 + 1);
    expect(new Set(page(many).pile.map(({ groups }) => groups?.[1])).size - 1).toBe(12);
    const cell = firstCell(
      page(many).pile,
      page(many).groups.find(({ id }) => id === 'R')!,
    );
    expect(cell.map(({ id }) => id).join('')).toBe('ab');
    const fewer = lay(many, 'ab', { ...repeat, columns: 2, rows: 1, gapX: -4 });
    expect(page(fewer).pile).toHaveLength(5);
    expect(page(fewer).pile[2]!.placement.x).toBe(10 + 16);
    expect(checkProject(structuredClone(fewer) as never, 3)).toMatchObject({ ok: true });
    const apart = done(fewer, ungroup('s', ['R']));
    expect(page(apart).pile).toHaveLength(5);
  });
  test('ten thousand are refused with the limit', () => {
    expect(repeatProblem({ ...repeat, columns: 100, rows: 100 }, 1, 0)).toEqual({
      ok: false,
      message: 'That makes 10,000 pieces; up to 2,000 can be made.',
    });
  });
});

test('a size, an angle, a place or an ink is taken over; what a piece cannot have is passed over', () => {
  const base = start('ab');
  const from: Piece = {
    ...disc('z'),
    material: { kind: 'ink', colour: '#2f6f68' },
    placement: { ...placedAt({ x: 100, y: 50, width: 40, height: 40 }, 12) },
  };
  expect(matchesOf(from)).not.toContain('words');
  const get = (what: Parameters<typeof matchPieces>[3]) =>
    page(done(base, matchPieces('s', from, pick(base, 'a'), what))).pile[0]!;
  expect(get('turn').placement).toMatchObject({ turn: 12, x: 10 });
  expect(get('width').placement).toMatchObject({ width: 40, height: 20, x: 10 });
  expect(get('x').placement).toMatchObject({ x: 120, y: 5 });
  expect(get('ink').material).toMatchObject({ colour: '#2f6f68' });
});

test('pages are added, copied, moved and taken away by number; one with a name keeps it', () => {
  const base = start('a');
  const fresh = newSurface('t', 'Page 9', base.surfaces[0]!, 'in');
  const named = { ...fresh, id: 'u', name: 'Beach' };
  const many = done(base, addPage(fresh, 's'), addPage(named));
  expect(many.surfaces.map(({ name }) => name)).toEqual(['Page 1', 'Page 2', 'Beach']);
  expect(done(many, movePage('u', 0)).surfaces.map(({ name }) => name)).toEqual([
    'Beach',
    'Page 2',
    'Page 3',
  ]);
  expect(done(many, removePage('s')).surfaces.map(({ name }) => name)).toEqual(['Page 1', 'Beach']);
  expect(done(base, removePage('s')).surfaces).toHaveLength(1);
  expect(page(done(base, lockPage('s', true))).locked).toBe(true);
});
