/** The pile as rows from the top: groups with what is in them beneath, as far as they are open. */
import type { Piece } from '@/core/piece/piece';
import { piecesUnder, type Node } from '@/core/project/tree';

export interface PileRow {
  node: Node;
  /** How many groups it lies in. */
  depth: number;
  /** All pieces it stands for, bottom first, and their ids. */
  pieces: readonly Piece[];
  ids: readonly string[];
}

/** What it is called in the pile. */
export const nameOfNode = (node: Node): string =>
  node.kind === 'group' ? node.group.name || 'Group' : node.piece.name || node.piece.role;

export function rowsOf(nodes: readonly Node[], open: ReadonlySet<string>, depth = 0): PileRow[] {
  return [...nodes].reverse().flatMap((node) => {
    const pieces = piecesUnder(node);
    const row = { node, depth, pieces, ids: pieces.map(({ id }) => id) };
    return node.kind === 'group' && open.has(node.id)
      ? [row, ...rowsOf(node.children, open, depth + 1)]
      : [row];
  });
}

/**
 * Where a row that is dropped on another comes to lie: dragged down it comes beneath it, or into it if it is an open group;
 * dragged up, above it.
 */
export function dropAt(
  rows: readonly PileRow[],
  open: ReadonlySet<string>,
  from: string,
  onto: string,
): 'above' | 'below' | 'inside' {
  const at = (id: string) => rows.findIndex(({ node }) => node.id === id);
  if (at(onto) < at(from)) return 'above';
  const target = rows[at(onto)]!.node;
  return target.kind === 'group' && open.has(target.id) ? 'inside' : 'below';
}

/** Whether all a row stands for is among what is selected. */
export const isChosen = ({ ids }: PileRow, selection: readonly string[]): boolean =>
  ids.length > 0 && ids.every((id) => setOf(selection).has(id));

/** Whether any of it is. */
export const isTouched = ({ ids }: PileRow, selection: readonly string[]): boolean =>
  ids.some((id) => setOf(selection).has(id));

/** A selection is asked for by every row, and stays as it is while a piece is dragged. */
const SETS = new WeakMap<readonly string[], ReadonlySet<string>>();
function setOf(selection: readonly string[]): ReadonlySet<string> {
  const known = SETS.get(selection) ?? new Set(selection);
  SETS.set(selection, known);
  return known;
}
