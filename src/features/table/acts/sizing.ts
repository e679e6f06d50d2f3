/** Sizes by number: what follows, what keeps its proportions, and words, whose letters are another matter than their box. */
import { isInk } from '@/core/piece/material';
import { punchOf } from '@/core/piece/outline/punches';
import { FAR, SMALLEST_PIECE } from '@/core/piece/placement/placement';
import type { Piece } from '@/core/piece/piece';
import { naming, together, type Edit } from '@/core/project/edits/edit';
import { placePiece, reflowWords, scaleWords } from '@/core/project/edits/place';
import type { Session, SessionStore } from '@/features/table/session';

export type BoxSide = 'width' | 'height';

/** Whether a piece keeps its proportions until a person says otherwise: what shows a picture or has a shape of its own. */
export const keepsProportions = ({ outline, material }: Piece): boolean =>
  outline.kind !== 'glyphs' &&
  (!(isInk(material) || material.kind === 'paper') ||
    (outline.kind === 'punch' && punchOf(outline.punch).keeps));

/**
 * A piece `value` points wide or high, its upper left corner or its middle kept. In `proportion` the other side follows, and
 * with words their letters; otherwise words are set anew in their column, and a height that is given is kept.
 */
function sized(
  session: Session,
  piece: Piece,
  side: BoxSide,
  value: number,
  proportion: boolean,
  anchor: 'corner' | 'middle',
): Edit | null {
  const { surfaceId, typesetter } = session;
  const { x, y, width, height } = piece.placement;
  const most = proportion ? FAR / Math.max(width, height) : Infinity;
  const least = proportion ? SMALLEST_PIECE / Math.min(width, height) : 0;
  const scale = Math.min(most, Math.max(least, value / piece.placement[side]));
  const corner = anchor === 'corner' ? 0.5 : 0;
  const across = side === 'width' || proportion ? scale : 1;
  const down = side === 'height' || proportion ? scale : 1;
  const to = {
    ...piece.placement,
    width: width * across,
    height: height * down,
    x: x + width * (across - 1) * corner,
    y: y + height * (down - 1) * corner,
  };
  if (piece.outline.kind !== 'glyphs') return placePiece(surfaceId, piece, 'resize', to);
  return proportion
    ? scaleWords(surfaceId, piece, to)
    : reflowWords(surfaceId, piece, to, side === 'height', typesetter);
}

export function sizeTo(
  store: SessionStore,
  piece: Piece,
  side: BoxSide,
  value: number,
  proportion: boolean,
): void {
  const edit = sized(store.getState(), piece, side, value, proportion, 'corner');
  if (edit) store.getState().perform(edit);
}

/** The same for several, about the middle of each. */
export function sizeEach(
  store: SessionStore,
  pieces: readonly Piece[],
  side: BoxSide,
  value: number,
  proportion: boolean,
): void {
  const session = store.getState();
  const edits = pieces.flatMap((piece) => sized(session, piece, side, value, proportion, 'middle') ?? []);
  session.perform(together(`resize ${naming(pieces)}`, edits));
}
