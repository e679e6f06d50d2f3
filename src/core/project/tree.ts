/** A page's pile seen as pieces and groups within groups; changing the tree and laying it flat again keeps groups together. */
import type { Piece } from '@/core/piece/piece';
import type { Group, Surface } from '@/core/project/model';

export type Node = PieceNode | GroupNode;
export interface PieceNode {
  kind: 'piece';
  id: string;
  piece: Piece;
}
export interface GroupNode {
  kind: 'group';
  id: string;
  group: Group;
  /** Bottom first. */
  children: Node[];
}

type Piled = Pick<Surface, 'pile' | 'groups'>;

/**
 * The pile as a tree, bottom first. A group stands where its lowest piece lies; groups that are not known are passed over,
 * so that any file gives a sound tree.
 */
export function treeOf({ pile, groups }: Piled): Node[] {
  const known = new Map(groups.map((group) => [group.id, group]));
  const roots: Node[] = [];
  const nodes = new Map<string, GroupNode>();
  for (const piece of pile) {
    let siblings = roots;
    for (const id of new Set(piece.groups ?? [])) {
      const group = known.get(id);
      if (!group) continue;
      let node = nodes.get(id);
      if (!node) {
        node = { kind: 'group', id, group, children: [] };
        nodes.set(id, node);
        siblings.push(node);
      }
      siblings = node.children;
    }
    siblings.push({ kind: 'piece', id: piece.id, piece });
  }
  return roots;
}

/** The pieces under a node, bottom first. */
export const piecesUnder = (node: Node): Piece[] =>
  node.kind === 'piece' ? [node.piece] : node.children.flatMap(piecesUnder);

/** Rows and columns that are no more so many times the same number of pieces are a plain group: they cannot be laid anew. */
function sound(group: Group, held: number): Group {
  const { repeat, ...plain } = group;
  return repeat && held % (repeat.columns * repeat.rows) ? plain : group;
}

/** Pile and groups of a tree; groups without pieces go. Pieces that stay as they were are the same objects. */
export function flatten(nodes: readonly Node[]): Piled {
  const pile: Piece[] = [];
  const groups: Group[] = [];
  const walk = (node: Node, path: readonly string[]): void => {
    if (node.kind === 'piece') {
      const { groups: before, ...bare } = node.piece;
      const same = (before ?? []).join() === path.join();
      pile.push(same ? node.piece : path.length ? { ...bare, groups: [...path] } : bare);
    } else if (piecesUnder(node).length) {
      groups.push(sound(node.group, piecesUnder(node).length));
      node.children.forEach((child) => walk(child, [...path, node.id]));
    }
  };
  nodes.forEach((node) => walk(node, []));
  return { pile, groups };
}

/** The page with its groups lying together and no empty ones: itself, if that is how it is. */
export function tidied<P extends Piled>(page: P): P {
  const { pile, groups } = flatten(treeOf(page));
  const same = <T>(a: readonly T[], b: readonly T[]) =>
    a.length === b.length && a.every((one, i) => one === b[i]);
  return same(pile, page.pile) && same(groups, page.groups) ? page : { ...page, pile, groups };
}

/** The nodes lying side by side in a group, or on the bare page for null; empty if there is no such group. */
export function childrenOf(nodes: readonly Node[], group: string | null): readonly Node[] {
  if (group === null) return nodes;
  for (const node of nodes) {
    if (node.kind !== 'group') continue;
    if (node.id === group) return node.children;
    const found = childrenOf(node.children, group);
    if (found.length) return found;
  }
  return [];
}

/** The tree with `change` done to the children of one group (null: the page itself). */
export function changeChildren(
  nodes: readonly Node[],
  group: string | null,
  change: (children: readonly Node[]) => readonly Node[],
): Node[] {
  if (group === null) return [...change(nodes)];
  return nodes.map((node) =>
    node.kind === 'piece'
      ? node
      : {
          ...node,
          children:
            node.id === group ? [...change(node.children)] : changeChildren(node.children, group, change),
        },
  );
}

/**
 * What is taken hold of when a piece is pressed, while the group `entered` is open: the outermost group within it that
 * holds the piece, or the piece itself.
 */
export function unitOf({ id, groups = [] }: Piece, entered: string | null): string {
  const inside = entered === null ? 0 : groups.indexOf(entered) + 1;
  return groups[inside] ?? id;
}

/** Ids of all pieces that belong to the same units as these, in the pile's order. */
export function wholeUnits(pile: readonly Piece[], ids: readonly string[], entered: string | null): string[] {
  const wanted = new Set(ids);
  const units = new Set(pile.filter(({ id }) => wanted.has(id)).map((piece) => unitOf(piece, entered)));
  return pile.filter((piece) => units.has(unitOf(piece, entered))).map(({ id }) => id);
}

/** Pieces as the units they are taken in: each group together, each other piece alone; bottom first. */
export function unitsOf(pieces: readonly Piece[], entered: string | null): Piece[][] {
  const units = new Map<string, Piece[]>();
  for (const piece of pieces) {
    const unit = unitOf(piece, entered);
    units.set(unit, [...(units.get(unit) ?? []), piece]);
  }
  return [...units.values()];
}
