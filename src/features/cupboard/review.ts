/** How rows are grouped to be looked over: what is doubtful first, then by kind. */
import { KINDS, SUPPLY_KINDS, type SupplyKind } from '@/core/supplies/model';
import { DOUBTFUL } from '@/core/supplies/sort';
import type { Row } from '@/features/cupboard/gathering';

export interface ReviewGroup {
  title: string;
  rows: readonly Row[];
}

export function reviewGroups(rows: readonly Row[]): ReviewGroup[] {
  const doubtful = rows.filter(({ sure }) => sure < DOUBTFUL).sort((a, b) => a.sure - b.sure);
  const groups: ReviewGroup[] = doubtful.length
    ? [{ title: 'Please look at these first', rows: doubtful }]
    : [];
  for (const kind of SUPPLY_KINDS) {
    const mine = rows.filter((row) => row.kind === kind && row.sure >= DOUBTFUL);
    if (mine.length) groups.push({ title: titleOf(kind), rows: mine });
  }
  return groups;
}

const titleOf = (kind: SupplyKind): string => {
  const { many } = KINDS[kind];
  return many[0]!.toUpperCase() + many.slice(1);
};

/** The letter that sorts what is chosen, for each kind a picture can be. */
export const KIND_KEYS: readonly [SupplyKind, string][] = [
  ['photo', 'H'],
  ['paper', 'P'],
  ['cardstock', 'C'],
  ['embellishment', 'E'],
  ['frame', 'F'],
  ['stamp', 'S'],
  ['alphabet', 'L'],
  ['wordart', 'W'],
  ['brush', 'B'],
  ['edge', 'D'],
];
