/** Sliding and zooming a picture behind its cut, in the page's own directions. */
import { apply, invert, linear, type Point } from '@/core/geometry/matrix';
import { uprightSize } from '@/core/picture/asset';
import { pictureScale } from '@/core/piece/material';
import { closer, levelled, slid, type Window } from '@/core/piece/material/window';
import type { Piece } from '@/core/piece/piece';
import { placementMatrix } from '@/core/piece/placement/placement';
import type { Edit } from '@/core/project/edits/edit';
import { slidePicture } from '@/core/project/edits/make';
import { settledPieces, type Session, type SessionStore } from '@/features/table/room/session';

/** The piece whose picture is being slid, if one is. */
export const slidPiece = (session: Session): Piece | undefined =>
  session.mode.kind === 'slide' ? settledPieces(session, [session.mode.id])[0] : undefined;

/** Pushes the picture by points right and down on the page. */
export const pushed = (session: Session, piece: Piece, by: Point): Edit | null =>
  windowEdit(session, piece, (window, picture, scale) =>
    slid(
      window,
      apply(linear(invert(placementMatrix(piece.placement))), by),
      picture,
      piece.placement,
      scale,
    ),
  );

/** Brings the picture closer by a factor about a point of the page, or about the middle of the cut. */
export const nearer = (session: Session, piece: Piece, factor: number, about?: Point): Edit | null =>
  windowEdit(session, piece, (window, picture, scale) => {
    const own = about ? apply(invert(placementMatrix(piece.placement)), about) : { x: 0, y: 0 };
    return closer(window, factor, own, picture, piece.placement, scale);
  });

/** Turns the picture so that what was drawn along on the page lies level in its place. */
export const levelledAlong = (session: Session, piece: Piece, from: Point, to: Point): Edit | null => {
  const back = invert(placementMatrix(piece.placement));
  const edit = windowEdit(session, piece, (window) => levelled(window, apply(back, from), apply(back, to)));
  return edit && { ...edit, label: `level ${piece.role}` };
};

/** One push or zoom of what is being slid; says whether there was anything to slide. */
export function slideNow(
  store: SessionStore,
  edit: (session: Session, piece: Piece) => Edit | null,
): boolean {
  const session = store.getState();
  const piece = slidPiece(session);
  const done = piece && edit(session, piece);
  if (done) session.perform(done);
  return Boolean(piece);
}

function windowEdit(
  { surfaceId, history }: Session,
  piece: Piece,
  change: (window: Window, picture: { width: number; height: number }, scale: number) => Window,
): Edit | null {
  if (!('window' in piece.material)) return null;
  const { material, placement } = piece;
  const asset = history.project.assets[material.asset];
  if (!asset) return null;
  const scale = pictureScale(material, asset, placement);
  return slidePicture(surfaceId, piece, change(material.window, uprightSize(asset), scale));
}
