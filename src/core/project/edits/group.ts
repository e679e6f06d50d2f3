/** Edits of groups and of the order of the pile, where groups stay together. */
import type { Draft } from 'immer';
import type { Piece } from '@/core/piece/piece';
import { naming, type Edit } from '@/core/project/edits/edit';
import { surfaceOf, type Group, type Project, type Surface } from '@/core/project/model';
import {
  changeChildren,
  childrenOf,
  flatten,
  piecesUnder,
  treeOf,
  unitOf,
  type GroupNode,
  type Node,
} from '@/core/project/tree';

/** Lays a changed tree flat on the page. */
function lay(surface: Draft<Surface>, nodes: readonly Node[]): void {
  const { pile, groups } = flatten(nodes);
  surface.pile = pile as Draft<Piece>[];
  surface.groups = groups as Draft<Group>[];
}

const onTree =
  (surfaceId: string, change: (nodes: readonly Node[]) => readonly Node[]) =>
  (project: Draft<Project>): void => {
    const surface = surfaceOf(project, surfaceId);
    lay(surface, change(treeOf(surface as Surface)));
  };

/**
 * Puts pieces together as one, at the place of the topmost. `pieces` may lie in groups: those that are whole go in as groups,
 * as seen while `entered` is open.
 */
export const groupPieces = (
  surfaceId: string,
  pieces: readonly Piece[],
  group: Group,
  entered: string | null,
): Edit => ({
  label: `group ${naming(pieces)}`,
  apply: onTree(surfaceId, (nodes) => {
    const units = new Set(pieces.map((piece) => unitOf(piece, entered)));
    return changeChildren(nodes, entered, (siblings) => {
      const chosen = siblings.filter(({ id }) => units.has(id));
      if (!chosen.length) return siblings;
      const made: GroupNode = { kind: 'group', id: group.id, group, children: [...chosen] };
      const top = chosen.at(-1)!;
      return siblings.flatMap((node) => (node === top ? [made] : units.has(node.id) ? [] : [node]));
    });
  }),
});

/** Takes groups apart; what was in them lies where it lay. */
export const ungroup = (surfaceId: string, groups: readonly string[]): Edit => {
  const apart = (nodes: readonly Node[]): Node[] =>
    nodes.flatMap((node): Node[] => {
      if (node.kind === 'piece') return [node];
      const children = apart(node.children);
      return groups.includes(node.id) ? children : [{ ...node, children }];
    });
  return {
    label: groups.length === 1 ? 'ungroup' : `ungroup ${groups.length} groups`,
    apply: onTree(surfaceId, apart),
  };
};

export const renameGroup = (surfaceId: string, id: string, name: string): Edit => ({
  label: 'rename group',
  apply(project) {
    const group = surfaceOf(project, surfaceId).groups.find((one) => one.id === id);
    if (group) group.name = name;
  },
});

/** A step up or down among what lies beside it, or all the way. */
export type PileMove = 'up' | 'down' | 'top' | 'bottom';

/** Moves the units that hold these pieces within the group they lie in, as seen while `entered` is open. */
export const movePile = (
  surfaceId: string,
  pieces: readonly Piece[],
  move: PileMove,
  entered: string | null,
): Edit => ({
  label:
    move === 'up' || move === 'down'
      ? `${move === 'up' ? 'raise' : 'lower'} ${naming(pieces)}`
      : `move ${naming(pieces)} to the ${move}`,
  apply: onTree(surfaceId, (nodes) => {
    const units = new Set(pieces.map((piece) => unitOf(piece, entered)));
    return changeChildren(nodes, entered, (siblings) => shifted(siblings, units, move));
  }),
});

function shifted(siblings: readonly Node[], units: ReadonlySet<string>, move: PileMove): readonly Node[] {
  const chosen = siblings.filter(({ id }) => units.has(id));
  const rest = siblings.filter(({ id }) => !units.has(id));
  if (move === 'top') return [...rest, ...chosen];
  if (move === 'bottom') return [...chosen, ...rest];
  const next = move === 'up' ? [...siblings].reverse() : [...siblings];
  // Each changes places with its neighbour unless that one is moving too.
  for (let i = 1; i < next.length; i++)
    if (units.has(next[i]!.id) && !units.has(next[i - 1]!.id))
      [next[i - 1], next[i]] = [next[i]!, next[i - 1]!];
  return move === 'up' ? next.reverse() : next;
}

/**
 * Lays pieces or groups (`ids`, by their own ids) directly above or below another piece or group, and into the group that
 * one lies in; into a group itself, at its top, with `inside`.
 */
export const layBeside = (
  surfaceId: string,
  ids: readonly string[],
  where: 'above' | 'below' | 'inside',
  target: string,
): Edit => ({
  label: 'change order',
  apply: onTree(surfaceId, (nodes) => {
    const moving = new Set(ids);
    const taken: Node[] = [];
    const without = (list: readonly Node[]): Node[] =>
      list.flatMap((node): Node[] => {
        if (moving.has(node.id)) {
          taken.push(node);
          return [];
        }
        return [node.kind === 'piece' ? node : { ...node, children: without(node.children) }];
      });
    const left = without(nodes);
    const put = (list: readonly Node[]): Node[] =>
      list.flatMap((node): Node[] => {
        const inner =
          node.kind === 'piece'
            ? node
            : {
                ...node,
                children: [...put(node.children), ...(where === 'inside' && node.id === target ? taken : [])],
              };
        if (node.id !== target || where === 'inside') return [inner];
        return where === 'above' ? [inner, ...taken] : [...taken, inner];
      });
    const result = put(left);
    // A group cannot be laid inside itself: its target went with it.
    const whole = (list: readonly Node[]) => list.flatMap(piecesUnder).length;
    return whole(result) === whole(nodes) ? result : nodes;
  }),
});

/** The groups that are wholly among these pieces, and inside none that is: what “ungroup” takes apart. */
export function groupsAmong(
  surface: Pick<Surface, 'pile' | 'groups'>,
  ids: readonly string[],
  entered: string | null,
): string[] {
  const chosen = new Set(ids);
  return childrenOf(treeOf(surface), entered)
    .filter((node) => node.kind === 'group' && piecesUnder(node).every(({ id }) => chosen.has(id)))
    .map(({ id }) => id);
}
