/** Sliding and zooming a picture behind its cut, in the page's own directions. */
import { contains, rectanglePath } from '@/core/geometry/path';
import { apply, invert, linear, type Point } from '@/core/geometry/matrix';
import { toolsFor } from '@/core/page/outlines';
import { shownOn, type Shown } from '@/core/page/shown';
import { uprightSize } from '@/core/picture/asset';
import { materialKind } from '@/core/piece/material';
import { closer, levelled, slid, type Window } from '@/core/piece/material/window';
import type { Piece } from '@/core/piece/piece';
import { placementMatrix } from '@/core/piece/placement/placement';
import type { Edit } from '@/core/project/edits/edit';
import { slidePicture } from '@/core/project/edits/make';
import { settledPieces, shownProject, type Session, type SessionStore } from '@/features/table/session';

/** Whether there is a picture behind a piece's cut. */
export const canSlide = ({ material }: Piece): boolean => materialKind(material).behind !== undefined;

export const startSliding = (store: SessionStore, { id }: Piece): void =>
  store.getState().setMode({ kind: 'slide', id });

/** The piece whose picture is being slid, if one is. */
export const slidPiece = (session: Session): Piece | undefined =>
  session.mode.kind === 'slide' ? settledPieces(session, [session.mode.id])[0] : undefined;

const shownNow = (session: Session, piece: Piece): (Shown | null)[] =>
  shownOn(piece, toolsFor(shownProject(session), session.typesetter));

/** Which of a piece's pictures is being slid, and how many there are. */
function partNow(session: Session, piece: Piece): { shown: Shown; part: number; parts: number } | null {
  const all = shownNow(session, piece);
  const wanted = session.mode.kind === 'slide' ? (session.mode.part ?? 0) : 0;
  const part = Math.min(wanted, all.length - 1);
  const shown = all[part];
  return shown ? { shown, part, parts: all.length } : null;
}

/** The picture being slid, where it shows. */
export const slidPicture = (session: Session, piece: Piece): Shown | null =>
  partNow(session, piece)?.shown ?? null;

/** The place of a piece's pictures that lies at a point of the page, its box counted; null if none does. */
export function partAt(session: Session, piece: Piece, point: Point): number | null {
  const own = apply(invert(placementMatrix(piece.placement)), point);
  const at = shownNow(session, piece).findIndex((shown) => shown && contains(rectanglePath(shown.box), own));
  return at < 0 ? null : at;
}

/** Goes on to the next of the pictures behind letters, or back; false if there is but one. */
export function stepPart(store: SessionStore, by: 1 | -1): boolean {
  const session = store.getState();
  const piece = slidPiece(session);
  const now = piece && partNow(session, piece);
  if (!now || session.mode.kind !== 'slide' || now.parts < 2) return false;
  store.getState().setMode({ ...session.mode, part: (now.part + by + now.parts) % now.parts });
  return true;
}

/** Pushes the picture by points right and down on the page. */
export const pushed = (session: Session, piece: Piece, by: Point): Edit | null =>
  windowEdit(session, piece, ({ window, asset, box, scale }) =>
    slid(window, apply(linear(invert(placementMatrix(piece.placement))), by), uprightSize(asset), box, scale),
  );

/** Brings the picture closer by a factor about a point of the page, or about the middle of the cut. */
export const nearer = (session: Session, piece: Piece, factor: number, about?: Point): Edit | null =>
  windowEdit(session, piece, ({ window, asset, box, scale }) => {
    const middle = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
    const own = about ? apply(invert(placementMatrix(piece.placement)), about) : middle;
    const from = { x: own.x - middle.x, y: own.y - middle.y };
    return closer(window, factor, from, uprightSize(asset), box, scale);
  });

/** Turns the picture so that what was drawn along on the page lies level in its place. */
export const levelledAlong = (session: Session, piece: Piece, from: Point, to: Point): Edit | null => {
  const back = invert(placementMatrix(piece.placement));
  const edit = windowEdit(session, piece, ({ window }) =>
    levelled(window, apply(back, from), apply(back, to)),
  );
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

function windowEdit(session: Session, piece: Piece, change: (shown: Shown) => Window): Edit | null {
  const now = partNow(session, piece);
  return now && slidePicture(session.surfaceId, piece, change(now.shown), now.part, now.parts);
}
