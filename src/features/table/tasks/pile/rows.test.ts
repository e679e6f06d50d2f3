/** What is dragged in the pile comes to lie where the eye expects it, in the group it is dropped into, and takes nothing apart. */
import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { layBeside } from '@/core/project/edits/group';
import { perform, startHistory } from '@/core/project/history';
import type { Group, Surface } from '@/core/project/model';
import type { Piece } from '@/core/piece/piece';
import { tidied, treeOf, type Node } from '@/core/project/tree';
import {
  dropAt,
  isChosen,
  isTouched,
  nameOfNode,
  rowsOf,
  type PileRow,
} from '@/features/table/tasks/pile/rows';
import { inkPiece, laid } from '../../../../../scripts/testing/samples';

/** Pieces in groups within groups, at most three deep: each is told which of a few ways down it lies. */
const WAYS = [[], ['a'], ['a', 'b'], ['a', 'b', 'c'], ['d'], ['d', 'e']] as const;
const page: fc.Arbitrary<Surface> = fc
  .array(fc.constantFrom(...WAYS), { minLength: 2, maxLength: 9 })
  .map((ways): Surface => {
    const pile = ways.map((groups, i): Piece => ({
      ...inkPiece(`p${i}`),
      ...(groups.length ? { groups: [...groups] } : {}),
    }));
    const used = [...new Set(ways.flat())];
    const groups = used.map((id): Group => ({ id, name: `Group ${id}` }));
    const [surface] = laid(pile).surfaces;
    return tidied({ ...surface!, groups });
  });
const unfolded = fc.subarray(['a', 'b', 'c', 'd', 'e']).map((ids) => new Set<string>(ids));

const projectOf = (surface: Surface) => ({ ...laid([]), surfaces: [surface] });
const after = (
  surface: Surface,
  ids: readonly string[],
  where: 'above' | 'below' | 'inside',
  target: string,
) =>
  perform(startHistory(projectOf(surface)), layBeside(surface.id, ids, where, target), 0).project
    .surfaces[0]!;
const shown = (surface: Surface, open: ReadonlySet<string>): PileRow[] => rowsOf(treeOf(surface), open);
const at = (rows: readonly PileRow[], id: string) => rows.findIndex(({ node }) => node.id === id);
/** Whether a node lies in another, however deep. */
const holds = (node: Node, id: string): boolean =>
  node.kind === 'group' && node.children.some((child) => child.id === id || holds(child, id));
const pathOf = (surface: Surface, { ids, depth }: PileRow) =>
  (surface.pile.find(({ id }) => id === ids[0])!.groups ?? []).slice(0, depth);

test('wherever a row is dropped, it lies beside that row or in it, nothing is lost, and groups lie together', () => {
  fc.assert(
    fc.property(page, unfolded, fc.nat(), fc.nat(), (surface, open, one, other) => {
      const rows = shown(surface, open);
      const [from, onto] = [rows[one % rows.length]!, rows[other % rows.length]!];
      fc.pre(from !== onto);
      const where = dropAt(rows, open, from.node.id, onto.node.id);
      const now = after(surface, [from.node.id], where, onto.node.id);
      expect(now.pile.map(({ id }) => id).sort()).toEqual(surface.pile.map(({ id }) => id).sort());
      expect(tidied(now)).toBe(now);
      // A group is not laid into itself.
      if (holds(from.node, onto.node.id)) return expect(now.pile).toEqual(surface.pile);
      const rowsNow = shown(now, open);
      const [moved, target] = [at(rowsNow, from.node.id), at(rowsNow, onto.node.id)];
      const row = rowsNow[moved]!;
      // What was in the group that is gone with its last piece is the same piece still.
      if (target < 0) return undefined;
      expect(row.ids).toEqual(from.ids);
      const path = pathOf(now, rowsNow[target]!);
      if (where === 'inside') {
        return expect([moved, pathOf(now, row)]).toEqual([target + 1, [...path, onto.node.id]]);
      }
      expect(pathOf(now, row)).toEqual(path);
      if (where === 'above') expect(moved).toBeLessThan(target);
      else expect(moved).toBeGreaterThan(target);
      // Nothing of the same group lies between the two.
      const between = rowsNow.slice(Math.min(moved, target) + 1, Math.max(moved, target));
      expect(between.filter(({ depth }) => depth <= row.depth)).toEqual([]);
      return undefined;
    }),
    { numRuns: 200 },
  );
});

test('several that are dragged together keep their order, whatever lay between them', () => {
  fc.assert(
    fc.property(page, fc.nat(), fc.constantFrom('above', 'below'), (surface, other, where) => {
      const rows = shown(surface, new Set());
      fc.pre(rows.length > 2);
      const target = rows[other % rows.length]!;
      const moved = rows.filter((row, i) => row !== target && i % 2 === 0);
      fc.pre(moved.length > 1);
      const now = after(
        surface,
        moved.map(({ node }) => node.id),
        where as 'above',
        target.node.id,
      );
      const order = shown(now, new Set()).map(({ node }) => node.id);
      const first = order.indexOf(target.node.id) + (where === 'above' ? -moved.length : 1);
      expect(order.slice(first, first + moved.length)).toEqual(moved.map(({ node }) => node.id));
    }),
  );
});

test('rows are what is open: each group once, its pieces beneath it, each piece once if all are unfolded', () => {
  fc.assert(
    fc.property(page, unfolded, (surface, open) => {
      const all = shown(surface, new Set(['a', 'b', 'c', 'd', 'e']));
      expect(all.flatMap(({ node }) => (node.kind === 'piece' ? node.id : []))).toEqual(
        surface.pile.map(({ id }) => id).reverse(),
      );
      const rows = shown(surface, open);
      expect(new Set(rows.map(({ node }) => node.id)).size).toBe(rows.length);
      for (const [i, { node, depth }] of rows.entries()) {
        expect(nameOfNode(node)).toMatch(/^(Group [a-e]|p\d)$/);
        const beneath = rows[i + 1];
        const deeper = node.kind === 'group' && open.has(node.id);
        if (deeper) expect(beneath?.depth).toBe(depth + 1);
        else if (beneath) expect(beneath.depth).toBeLessThanOrEqual(depth);
      }
    }),
  );
});

test('a row is chosen when all it stands for is, and touched when any of it is', () => {
  fc.assert(
    fc.property(page, fc.infiniteStream(fc.boolean()), (surface, coins) => {
      const selection = surface.pile.flatMap(({ id }) => (coins.next().value ? [id] : []));
      for (const row of shown(surface, new Set())) {
        const among = row.ids.filter((id) => selection.includes(id)).length;
        expect([isChosen(row, selection), isTouched(row, selection)]).toEqual([
          among === row.ids.length,
          among > 0,
        ]);
      }
    }),
  );
});
