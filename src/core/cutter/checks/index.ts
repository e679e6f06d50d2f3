/** What is checked before it is cut, a check a line, in the order it is told. */
import { BRIDGES } from '@/core/cutter/checks/bridges';
import type { CutCheck, CutFinding, LookedAt } from '@/core/cutter/checks/check';
import { COVERED } from '@/core/cutter/checks/covered';
import { DOUBLED } from '@/core/cutter/checks/doubled';
import { MIDDLES } from '@/core/cutter/checks/middles';
import { OPEN } from '@/core/cutter/checks/open';
import { OUTSIDE } from '@/core/cutter/checks/outside';
import { POINTS } from '@/core/cutter/checks/points';
import { SMALL } from '@/core/cutter/checks/small';

const CHECKS: readonly CutCheck[] = [OUTSIDE, COVERED, OPEN, MIDDLES, SMALL, BRIDGES, DOUBLED, POINTS];

export type Found = CutFinding & { check: string };

export function checkedCuts(looked: LookedAt): { found: Found[]; clear: string[] } {
  const all = CHECKS.map(({ id, look, clear }) => ({ id, clear, found: look(looked) }));
  return {
    found: all.flatMap(({ id, found }) => found.map((finding) => ({ ...finding, check: id }))),
    clear: all.flatMap(({ clear, found }) => (clear && !found.length ? [clear] : [])),
  };
}
