/** Laying things on the page, and beginning and ending words. */
import type { Asset } from '@/core/picture/asset';
import { backgroundPiece, photoPiece, stripPiece, wordsPiece, type Spot } from '@/core/project/create';
import { gather } from '@/core/project/edits/gather';
import { layBackground, layPieces, removePieces } from '@/core/project/edits/pile';
import { writeWords } from '@/core/project/edits/make';
import { wantedSize, type GlyphsOutline } from '@/core/piece/outline/glyphs';
import { toPoints } from '@/core/units/lengths';
import { newId } from '@/features/shared/ids';
import { settledPieces, type Session, type SessionStore } from '@/features/table/room/session';
import { toPage } from '@/features/table/stage/view';
import { page } from '@/features/table/room/actions/choosing';

/** Where a copy lies beside its original. */
export const COPY_OFFSET = toPoints(0.25, 'in');

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
