/** Pieces on which more ink would lie than the paper bears. */
import type { DrawingTools } from '@/core/page/outlines';
import { piecesAt } from '@/core/page/pick';
import type { Piece } from '@/core/piece/piece';
import type { HeavyPlace } from '@/core/press/heavy';
import type { Surface } from '@/core/project/model';
import type { Finding } from '@/core/proof/check';

/** A finding for each piece that lies uppermost where too much ink is; `most` is what the paper bears, percent. */
export function heavyInk(
  page: Surface,
  places: readonly HeavyPlace[],
  most: number,
  tools: DrawingTools,
): Finding[] {
  const on = new Map<Piece | null, number>();
  for (const { x, y, ink } of places) {
    const [piece = null] = piecesAt(page.pile, { x: x * page.width, y: y * page.height }, 0, tools);
    on.set(piece, Math.max(on.get(piece) ?? 0, ink));
  }
  return [...on].map(([piece, ink]) => ({
    piece,
    name: piece?.name ?? 'The page itself',
    warns: true,
    says: `Up to ${Math.round(ink)} % of ink, and the paper bears ${most} %: it dries slowly and rubs off on what lies against it. Lighten its darkest parts.`,
    cure: 'show',
  }));
}
