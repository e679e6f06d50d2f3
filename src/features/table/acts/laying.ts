/** Laying things on the page. */
import type { Box } from '@/core/geometry/box';
import type { Asset } from '@/core/picture/asset';
import { coverOf, panelsOn } from '@/core/product';
import { backgroundPiece, photoPiece, stripPiece, type Spot } from '@/core/project/create';
import { gather } from '@/core/project/edits/gather';
import { layBackground, layPieces } from '@/core/project/edits/pile';
import { toPoints } from '@/core/units/lengths';
import { newId } from '@/features/shared/ids';
import type { Session, SessionStore } from '@/features/table/session';
import { toPage } from '@/features/table/stage/hand/view';
import { page } from '@/features/table/acts/choosing';
import { panelNow } from '@/features/table/acts/looking';

/** Where a copy lies beside its original. */
export const COPY_OFFSET = toPoints(0.25, 'in');

/**
 * The middle of the panel that is close up; else of what is seen of the page, or of the panel there if it is seen whole:
 * nobody means the fold. Where that goes through the middle it is the cover, or on other sides the panel read last.
 */
export function middle(session: Session): Spot {
  const panel = panelNow(session);
  if (panel) return middleOf(panel.box);
  const { view, stage, aside, history } = session;
  const now = page(session);
  const from = toPage(view, { x: aside, y: 0 });
  const to = toPage(view, { x: stage.width, y: stage.height });
  const along = (low: number, high: number, whole: number): number =>
    low < whole && high > 0 ? (Math.max(low, 0) + Math.min(high, whole)) / 2 : whole / 2;
  const spot = { x: along(from.x, to.x, now.width), y: along(from.y, to.y, now.height) };
  const panels = panelsOn(history.project, now);
  if (panels.length < 2) return spot;
  const cover = coverOf(history.project);
  const there =
    panels.find(({ box: { x, y, width, height } }) => {
      const [left, top] = [spot.x - x, spot.y - y];
      return left > 1 && left < width - 1 && top > 1 && top < height - 1;
    }) ?? (cover.surface.id === now.id ? cover.panel : panels.at(-1)!);
  const { x, y, width, height } = there.box;
  const whole = x >= from.x && y >= from.y && x + width <= to.x && y + height <= to.y;
  return whole ? middleOf(there.box) : spot;
}

const middleOf = ({ x, y, width, height }: Box): Spot => ({ x: x + width / 2, y: y + height / 2 });

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
  session.perform(layPieces(session.surfaceId, [piece], [asset]), { selection: [piece.id] });
}

export function coverWithPaper(store: SessionStore, asset: Asset): void {
  const session = store.getState();
  const piece = backgroundPiece(newId(), asset, page(session));
  session.perform(withPaper(asset, layBackground(session.surfaceId, piece, [asset])), {
    selection: [piece.id],
  });
}

export function layStrip(store: SessionStore, asset: Asset, spot?: Spot): void {
  const session = store.getState();
  const piece = stripPiece(newId(), asset, page(session), spot ?? freeSpot(session));
  session.perform(withPaper(asset, layPieces(session.surfaceId, [piece], [asset])), {
    selection: [piece.id],
  });
}

/** A paper that is used belongs to the project from then on. */
const withPaper = (asset: Asset, edit: ReturnType<typeof layPieces>): ReturnType<typeof layPieces> => ({
  ...edit,
  apply(project) {
    gather('papers', [asset]).apply(project);
    edit.apply(project);
  },
});
