/**
 * All ready outlines, by family. A new punch is a few lines in its family's file. Pages kept for decades name them: what an
 * id draws changes only where it was wrong, a better drawing gets another name (`punches.test.ts`).
 */
import { arches } from '@/core/piece/outline/punches/arches';
import { arrows } from '@/core/piece/outline/punches/arrows';
import { banners } from '@/core/piece/outline/punches/banners';
import { corners } from '@/core/piece/outline/punches/corners';
import { lace } from '@/core/piece/outline/punches/lace';
import { leaves } from '@/core/piece/outline/punches/leaves';
import { plain } from '@/core/piece/outline/punches/plain';
import type { Punch } from '@/core/piece/outline/punches/punch';
import { rounds } from '@/core/piece/outline/punches/rounds';
import { shore } from '@/core/piece/outline/punches/shore';
import { stars } from '@/core/piece/outline/punches/stars';
import { tags } from '@/core/piece/outline/punches/tags';

export const PUNCHES: readonly Punch[] = [
  ...plain,
  ...rounds,
  ...corners,
  ...tags,
  ...banners,
  ...arches,
  ...stars,
  ...leaves,
  ...shore,
  ...arrows,
  ...lace,
];

const BY_ID = new Map(PUNCHES.map((punch) => [punch.id, punch]));

/** Throws RangeError for an id there is none of: ids are checked at the door. */
export function punchOf(id: string): Punch {
  const found = BY_ID.get(id);
  if (!found) throw new RangeError(`There is no punch “${id}”.`);
  return found;
}
