/** Whatever edits are done, in whatever order, with whatever numbers: what comes of it passes the door. */
import { readdirSync } from 'node:fs';
import fc from 'fast-check';
import type { Piece } from '@/core/piece/piece';
import * as group from '@/core/project/edits/group';
import type { Edit } from '@/core/project/edits/edit';
import * as make from '@/core/project/edits/make';
import * as place from '@/core/project/edits/place';
import { checkProject, readProject, writeProject } from '@/core/project/file';
import type { Project } from '@/core/project/model';
import { goTo, perform, startHistory, type History } from '@/core/project/history';
import { Refused } from '@/core/project/refused';
import { Chance } from '../../../scripts/testing/chance';
import { byChance, EDITS, first } from '../../../scripts/testing/edits';

test('every edit there is stands in the list above', async () => {
  const known = new Set([...Object.keys(EDITS), ...NO_EDITS]);
  for (const name of readdirSync('src/core/project/edits').filter((file) => !file.includes('.test.'))) {
    const exported = await import(`./edits/${name}`);
    for (const [key, value] of Object.entries(exported))
      if (typeof value === 'function') expect([...known]).toContain(key);
  }
});
/** What lies beside the edits without being one. `changePieces` is what most of them are made of. */
const NO_EDITS = [
  ...[
    'changePieces',
    'piecesOf',
    'naming',
    'recut',
    'intoFrame',
    'isDyeable',
    'dyesOf',
    'writtenInFamily',
    'keepInStep',
    'keepShared',
    'pagesFor',
    // What a product is made of: product.test.ts.
    'changeProduct',
    'makeExtra',
    'refit',
    'knowFaces',
    'mayGo',
    'groupsAmong',
    'alikeOnAll',
    'countsInWords',
    // Made of `gather`: project.test.ts.
    'gatherArrived',
  ],
  ...[
    'sameFinish',
    'lookOf',
    'wearing',
    'nameOfWords',
    'rewritten',
    'matchesOf',
    'inkOf',
    'cellBox',
    'renumber',
    'dropEmptyGroups',
  ],
  ...[
    'isBackground',
    'coversPage',
    'scaleContents',
    'repeatProblem',
    'firstCell',
    'stylesOf',
    'styleOf',
    'writingOf',
    'writtenAs',
    'differs',
    'writtenIn',
    'setTone',
  ],
];

/** The history after an edit, the same if it was refused. */
function tried(history: History, { name, edit }: { name: string; edit: Edit }, now: number): History {
  try {
    return perform(history, edit, now);
  } catch (error) {
    if (!(error instanceof Refused)) throw new Error(`${name}: ${(error as Error).stack}`);
    expect(error.message).toMatch(/^[A-Z].*\.$/s);
    return history;
  }
}

/** Rows and columns that could not be laid anew: those that are not so many times the same number of pieces. */
const tornRows = ({ surfaces }: Project): string[] =>
  surfaces.flatMap(({ pile, groups }) =>
    groups.flatMap(({ id, repeat }) => {
      const held = pile.filter((piece) => piece.groups?.includes(id)).length;
      return repeat && held % (repeat.columns * repeat.rows)
        ? [`${held} in ${repeat.columns} x ${repeat.rows}`]
        : [];
    }),
  );

test('any edits in any order, with any numbers and words: what comes of them passes the door as it is', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 2 ** 31 }), (seed) => {
      const chance = new Chance(seed);
      let history: History = startHistory(first);
      for (let i = 0; i < 40; i++) {
        const next = byChance(null, history.project, chance);
        expect(next.edit.label).not.toMatch(/undefined|\[object|^\s*$/);
        history = tried(history, next, i * 5000);
        expect({ ...next, torn: tornRows(history.project) }).toEqual({ ...next, torn: [] });
        if (i % 8 !== 7) continue;
        const written = JSON.parse(JSON.stringify(history.project));
        const read = checkProject(written);
        expect({ ...next, told: read.mended ?? (read.ok ? [] : read.message) }).toEqual({
          ...next,
          told: [],
        });
        expect(read).toEqual({ ok: true, value: written });
      }
      // Every state that undo comes to passes too.
      const back = goTo(history, chance.below(history.done + 1)).project;
      expect(checkProject(back)).toEqual({ ok: true, value: back });
    }),
    { numRuns: Number(process.env.EDIT_RUNS ?? 40) },
  );
}, 600_000);

// Boxes are fitted only where the letters are others than they were: words.test.ts.
test.each(Object.keys(EDITS).filter((name) => name !== 'fitToFonts'))(
  '%s is among them: it changes something',
  (name) => {
    const begin = startHistory(first);
    const changes = (seed: number) => tried(begin, byChance(name, first, new Chance(seed)), 0) !== begin;
    expect(Array.from({ length: 300 }, (_, i) => i).some(changes)).toBe(true);
  },
);

describe('at a limit', () => {
  const start = startHistory(first);
  const s = first.surfaces[0]!.id;
  const words = first.surfaces[0]!.pile[2]!;
  const after = (edit: Edit): Piece => perform(start, edit, 0).project.surfaces[0]!.pile[2]!;

  test('words drawn smaller by a corner stop at 4 pt, their box with them, and the corner that stays stays', () => {
    const { x, y, width, height } = words.placement;
    const to = {
      ...words.placement,
      x: x - 0.45 * width,
      y: y - 0.45 * height,
      width: width / 10,
      height: height / 10,
    };
    const { outline, placement } = after(place.scaleWords(s, words, to));
    expect(outline).toMatchObject({ size: 4 });
    expect(placement.width).toBeCloseTo((width * 4) / 18);
    expect(placement.x - placement.width / 2).toBeCloseTo(x - width / 2);
    expect(placement.y - placement.height / 2).toBeCloseTo(y - height / 2);
  });

  test('what stands between columns grows with the words, so that their lines break where they broke', () => {
    const set = after(make.writeWords(s, words, { columns: { count: 2, gap: 12 } }, words.placement));
    const { width, height } = set.placement;
    const to = { ...set.placement, width: width * 2, height: height * 2 };
    const edit = place.scaleWords(s, set, to);
    const written = perform(
      start,
      make.writeWords(s, words, { columns: { count: 2, gap: 12 } }, words.placement),
      0,
    );
    const { outline } = perform(written, edit, 9000).project.surfaces[0]!.pile[2]!;
    expect(outline).toMatchObject({ size: 36, columns: { count: 2, gap: 24 } });
  });

  test('what is written with characters no file may hold has spaces there, its stretches in their places', () => {
    const spans = [{ start: 3, end: 8, ink: '#2f6f68' }];
    const { outline } = after(
      make.writeWords(s, words, { text: 'to\u0001Kites\u000b\ud83e', spans }, words.placement),
    );
    expect(outline).toMatchObject({ text: 'to Kites  ', spans });
    const file = writeProject(first).replace('Who and when', 'Who\\u0007and when');
    const read = readProject(file);
    expect(read.ok && read.value.surfaces[0]!.pile[2]!.outline).toMatchObject({ text: 'Who and when' });
  });

  test('a group in twelve others goes into no thirteenth; what separates running words is no longer than twenty letters', () => {
    const deep = Array.from({ length: 11 }, (_, i) => i).reduce((history, i) => {
      const { pile: all } = history.project.surfaces[0]!;
      return perform(history, group.groupPieces(s, all, { id: `g${i}`, name: `Group ${i}` }, null), i * 5000);
    }, start);
    const { pile: all } = deep.project.surfaces[0]!;
    const more = group.groupPieces(s, all, { id: 'g12', name: 'Group 12' }, null);
    expect(() => perform(deep, more, 1e6)).toThrow(
      'That cannot be done. “ink” on “Page 1”: the groups it lies in would be 13: 12 is the most. Nothing was changed.',
    );
    const long = make.changeRunning(s, 'round', { between: 'and then once more and' });
    expect(() => perform(start, long, 0)).toThrow(
      /between its words would be 22 letters long: 20 is the most/,
    );
  });
});
