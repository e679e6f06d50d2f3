/** Where a part lies on which mat. */
import { apply, type Point } from '@/core/geometry/matrix';
import type { Laid, Mat, Part } from '@/core/cutter/model';

export interface Lies {
  mat: number;
  laid: Laid;
}

export const everywhere = (mats: readonly Mat[]): Lies[] =>
  mats.flatMap(({ laid }, mat) => laid.map((each) => ({ mat, laid: each })));

/** Where a point of a part's page is on its mat; on none where it lies nowhere. */
export function placedAt(
  mats: readonly Mat[],
  part: string,
  point: (part: Part) => Point,
): { mat: number | null; at: Point } {
  const found = everywhere(mats).find(({ laid }) => laid.part.id === part);
  return found
    ? { mat: found.mat, at: apply(found.laid.map, point(found.laid.part)) }
    : { mat: null, at: { x: 0, y: 0 } };
}

export const middle = ({ box }: Part): Point => ({ x: box.x + box.width / 2, y: box.y + box.height / 2 });

/** What was found on parts, together for those that are of the same pieces. */
export function byPieces<T extends Lies>(found: readonly T[]): T[][] {
  const together = new Map<string, T[]>();
  for (const each of found) {
    const { pieces, id } = each.laid.part;
    const key = pieces.join(' ') || id;
    together.set(key, [...(together.get(key) ?? []), each]);
  }
  return [...together.values()];
}
