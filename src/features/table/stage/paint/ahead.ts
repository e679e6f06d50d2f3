/** Pictures of the pages before and after are made ready while nobody waits: what is turned to is there at once. */
import { assetsIn } from '@/core/piece/assets';
import type { PictureShelf } from '@/features/table/keeping/pictures';
import { shownProject, type Session } from '@/features/table/session';

/** Pieces of a page that are made ready: a mosaic has hundreds. */
const MOST = 40;
/** A photo reaches beyond the cut it is seen in. */
const BEYOND = 1.3;

export function fetchAhead(session: Session, shelf: PictureShelf): void {
  const { surfaces, assets } = shownProject(session);
  const at = surfaces.findIndex(({ id }) => id === session.surfaceId);
  const scale = BEYOND * session.view.zoom * (window.devicePixelRatio || 1);
  for (const near of [surfaces[at + 1], surfaces[at - 1]])
    for (const piece of near?.pile.slice(0, MOST) ?? []) {
      const { width, height } = piece.placement;
      for (const sha of assetsIn(piece)) {
        const asset = assets[sha];
        if (!asset) continue;
        if (asset.type === 'image/svg+xml') shelf.drawing(asset);
        else shelf.take(asset, Math.max(width, height) * scale);
      }
    }
}
