/** What a person can do on the table, by hand, key or button: one function each. */
import type { Asset } from '@/core/picture/asset';
import { backgroundPiece, photoPiece, stripPiece, wordsPiece, type Spot } from '@/core/project/create';
import { gather } from '@/core/project/edits/gather';
import { layBackground, layPieces, removePieces, restack } from '@/core/project/edits/pile';
import { hidePieces, lockPieces, mirrorPieces, movePieces } from '@/core/project/edits/place';
import { writeWords } from '@/core/project/edits/make';
import { surfaceOf } from '@/core/project/model';
import { wantedSize, type GlyphsOutline } from '@/core/piece/outline/glyphs';
import type { Piece } from '@/core/piece/piece';
import { toPoints } from '@/core/units/lengths';
import { newId } from '@/features/shared/ids';
import { settledPieces, type Session, type SessionStore } from '@/features/table/room/session';
import { fitted, nextZoom, toPage, TRUE_SIZE, zoomed } from '@/features/table/stage/view';

/** A hundredth of an inch, or with Shift ten. */
export const NUDGE = toPoints(0.01, 'in');
/** Where a copy lies beside its original. */
const COPY_OFFSET = toPoints(0.25, 'in');

const page = (session: Session) => surfaceOf(session.history.project, session.surfaceId);
const chosen = (session: Session): Piece[] => settledPieces(session, session.selection);
const unlocked = (session: Session): Piece[] => chosen(session).filter((piece) => !piece.placement.locked);

/** The middle of what is seen of the page. */
export function middle(session: Session): Spot {
  const { width, height } = page(session);
  const seen = toPage(session.view, { x: session.stage.width / 2, y: session.stage.height / 2 });
  const inside = seen.x > 0 && seen.x < width && seen.y > 0 && seen.y < height;
  return inside ? seen : { x: width / 2, y: height / 2 };
}

/** The middle, or a step beside it for each thing that lies just there: nothing is laid exactly over another. */
export function freeSpot(session: Session): Spot {
  const { pile, width, height } = page(session);
  let spot = middle(session);
  const taken = () =>
    pile.some(
      (piece) =>
        Math.hypot(piece.placement.x - spot.x, piece.placement.y - spot.y) < COPY_OFFSET / 2 &&
        piece.placement.width < width,
    );
  while (taken() && spot.x < width - COPY_OFFSET && spot.y < height - COPY_OFFSET)
    spot = { x: spot.x + COPY_OFFSET, y: spot.y + COPY_OFFSET };
  return spot;
}

export function layPhoto(store: SessionStore, asset: Asset, spot?: Spot): void {
  const session = store.getState();
  const piece = photoPiece(newId(), asset, page(session), spot ?? freeSpot(session));
  session.perform(layPieces(session.surfaceId, [piece], [asset]));
  store.getState().select([piece.id]);
}

export function coverWithPaper(store: SessionStore, asset: Asset): void {
  const session = store.getState();
  const piece = backgroundPiece(newId(), asset, page(session));
  session.perform(withPaper(asset, layBackground(session.surfaceId, piece, [asset])));
  store.getState().select([piece.id]);
}

export function layStrip(store: SessionStore, asset: Asset, spot?: Spot): void {
  const session = store.getState();
  const piece = stripPiece(newId(), asset, page(session), spot ?? freeSpot(session));
  session.perform(withPaper(asset, layPieces(session.surfaceId, [piece], [asset])));
  store.getState().select([piece.id]);
}

/** A paper that is used belongs to the project from then on. */
const withPaper = (asset: Asset, edit: ReturnType<typeof layPieces>): ReturnType<typeof layPieces> => ({
  ...edit,
  apply(project) {
    gather('papers', [asset]).apply(project);
    edit.apply(project);
  },
});

const WORDS: Record<
  'title' | 'journaling',
  { outline: Omit<GlyphsOutline, 'size'>; share: number; colour: string }
> = {
  title: {
    outline: { kind: 'glyphs', text: '', family: 'great-vibes', align: 'left', leading: 1.15, wrap: false },
    share: 0.09,
    colour: '#9e2b45',
  },
  journaling: {
    outline: { kind: 'glyphs', text: '', family: 'caveat', align: 'left', leading: 1.2, wrap: true },
    share: 0.022,
    colour: '#25232a',
  },
};

/** Lays empty words and begins writing on the page; words left empty are taken away again. */
export function startWords(store: SessionStore, role: 'title' | 'journaling', spot?: Spot): void {
  const session = store.getState();
  if (session.readOnly) return;
  const { outline, share, colour } = WORDS[role];
  const { width } = page(session);
  const size = Math.max(9, Math.round(width * share));
  const piece = wordsPiece(
    newId(),
    role,
    { ...outline, size },
    colour,
    spot ?? middle(session),
    session.typesetter,
  );
  const column = role === 'journaling' ? width * 0.4 : size * 2;
  const laid = {
    ...piece,
    placement: { ...piece.placement, width: column, height: size * outline.leading },
  };
  session.perform(layPieces(session.surfaceId, [laid], [], undefined, 'write'));
  store.setState({ selection: [laid.id], mode: { kind: 'write', id: laid.id } });
}

export function rewrite(store: SessionStore, id: string, to: Partial<GlyphsOutline>): void {
  const session = store.getState();
  const [piece] = settledPieces(session, [id]);
  if (!piece || piece.outline.kind !== 'glyphs') return;
  session.perform(
    writeWords(
      session.surfaceId,
      piece,
      to,
      wantedSize({ ...piece.outline, ...to }, piece.placement, session.typesetter),
    ),
  );
}

/** Ends writing: words that were left empty go. */
export function stopWriting(store: SessionStore): void {
  const session = store.getState();
  const { mode } = session;
  if (mode.kind !== 'write') return;
  store.setState({ mode: { kind: 'pick' } });
  const [piece] = settledPieces(session, [mode.id]);
  if (piece?.outline.kind === 'glyphs' && piece.outline.text.trim() === '') {
    session.perform(removePieces(session.surfaceId, [piece]));
    store.getState().select([]);
  }
}

export function nudge(store: SessionStore, dx: number, dy: number): void {
  const session = store.getState();
  const pieces = unlocked(session);
  if (pieces.length) session.perform(movePieces(session.surfaceId, pieces, dx, dy));
}

export function remove(store: SessionStore): void {
  const session = store.getState();
  const pieces = unlocked(session);
  if (pieces.length) session.perform(removePieces(session.surfaceId, pieces));
  store.getState().select([]);
}

/** Copies of pieces with ids of their own, moved by `by` points right and down. */
const copiesOf = (pieces: readonly Piece[], by: number): Piece[] =>
  pieces.map((piece) => ({
    ...structuredClone(piece),
    id: newId(),
    placement: { ...piece.placement, x: piece.placement.x + by, y: piece.placement.y + by, locked: false },
  }));

function layCopies(
  store: SessionStore,
  pieces: readonly Piece[],
  assets: readonly Asset[],
  verb: string,
): void {
  const session = store.getState();
  session.perform(layPieces(session.surfaceId, pieces, assets, undefined, verb));
  if (!session.readOnly) store.getState().select(pieces.map((piece) => piece.id));
}

export function duplicate(store: SessionStore): void {
  const pieces = chosen(store.getState());
  if (pieces.length) layCopies(store, copiesOf(pieces, COPY_OFFSET), [], 'duplicate');
}

export function copy(store: SessionStore): void {
  const session = store.getState();
  const pieces = chosen(session);
  if (!pieces.length) return;
  const assets = pieces.flatMap((piece) =>
    'asset' in piece.material ? (session.history.project.assets[piece.material.asset] ?? []) : [],
  );
  store.setState({ copied: { pieces: structuredClone(pieces), assets } });
}

export function cut(store: SessionStore): void {
  copy(store);
  remove(store);
}

export function paste(store: SessionStore): void {
  const { copied, surfaceId, history } = store.getState();
  if (!copied) return;
  const taken = surfaceOf(history.project, surfaceId).pile;
  // Beside the original if it is still there, else where it was.
  const beside = copied.pieces.some((piece) => taken.some((other) => other.id === piece.id));
  const pieces = copiesOf(copied.pieces, beside ? COPY_OFFSET : 0);
  layCopies(store, pieces, copied.assets, 'paste');
  // The next copy lies beside this one.
  store.setState({ copied: { ...copied, pieces } });
}

export function mirror(store: SessionStore): void {
  const session = store.getState();
  const pieces = unlocked(session);
  if (pieces.length) session.perform(mirrorPieces(session.surfaceId, pieces));
}

export function toggleLock(store: SessionStore, pieces = chosen(store.getState())): void {
  const session = store.getState();
  if (pieces.length)
    session.perform(lockPieces(session.surfaceId, pieces, !pieces.every((piece) => piece.placement.locked)));
}

export function toggleHidden(store: SessionStore, pieces = chosen(store.getState())): void {
  const session = store.getState();
  if (pieces.length)
    session.perform(hidePieces(session.surfaceId, pieces, !pieces.every((piece) => piece.placement.hidden)));
}

/** One step up or down in the pile, or all the way. */
export function shiftInPile(store: SessionStore, by: 1 | -1 | 'top' | 'bottom'): void {
  const session = store.getState();
  const [id] = session.selection;
  const { pile } = page(session);
  const from = pile.findIndex((piece) => piece.id === id);
  if (from < 0) return;
  const to =
    by === 'top' ? pile.length - 1 : by === 'bottom' ? 0 : Math.max(0, Math.min(pile.length - 1, from + by));
  if (to !== from) session.perform(restack(session.surfaceId, id!, to));
}

/** The next piece of the pile, or the one before. */
export function step(store: SessionStore, by: 1 | -1): void {
  const session = store.getState();
  const pile = page(session).pile.filter((piece) => !piece.placement.hidden);
  if (!pile.length) return;
  const at = pile.findIndex((piece) => piece.id === session.selection[0]);
  session.select([pile[(at + by + pile.length + (at < 0 && by < 0 ? 1 : 0)) % pile.length]!.id]);
}

export function zoomBy(store: SessionStore, direction: 1 | -1): void {
  const { view, stage } = store.getState();
  store.setState({
    view: zoomed(view, nextZoom(view.zoom, direction), { x: stage.width / 2, y: stage.height / 2 }),
  });
}

export function zoomFit(store: SessionStore): void {
  const session = store.getState();
  store.setState({ view: fitted(page(session), session.stage) });
}

export function zoomTrue(store: SessionStore): void {
  const { view, stage } = store.getState();
  store.setState({ view: zoomed(view, TRUE_SIZE, { x: stage.width / 2, y: stage.height / 2 }) });
}
