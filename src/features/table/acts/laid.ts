/** How things out of the workbox and the cupboard come to the page, each kind in its own way. */
import type { Asset } from '@/core/picture/asset';
import { toolsFor } from '@/core/page/outlines';
import { piecesAt } from '@/core/page/pick';
import { artPiece, exchanged, type ArtCompartment, type Spot } from '@/core/project/create';
import { copiesOf } from '@/core/project/copies';
import { together, type Edit } from '@/core/project/edits/edit';
import { bringFonts } from '@/core/project/edits/fonts';
import { gather } from '@/core/project/edits/gather';
import { coversPage, exchangePiece, layPieces } from '@/core/project/edits/pile';
import {
  freeOpening,
  isEmptyPlace,
  openingAt,
  photoBehind,
  sketchOn,
  type Opening,
} from '@/core/project/frames';
import { surfaceOf, type Compartment, type Project, type Surface } from '@/core/project/model';
import { newId } from '@/features/shared/ids';
import { freeSpot, layPhoto } from '@/features/table/acts';
import { settledPieces, type Session, type SessionStore } from '@/features/table/session';

const page = (session: Session) => surfaceOf(session.history.project, session.surfaceId);

/** What is laid belongs to the workbox from then on. */
const gathered = (compartment: Compartment, asset: Asset, edit: Edit): Edit => ({
  ...edit,
  apply(project) {
    gather(compartment, [asset]).apply(project);
    edit.apply(project);
  },
});

/** A thing of its own at its true size: stamped flat, or lying in its own edge. */
export function layArt(store: SessionStore, asset: Asset, compartment: ArtCompartment, spot?: Spot): void {
  const session = store.getState();
  const piece = artPiece(newId(), asset, compartment, spot ?? freeSpot(session));
  session.perform(gathered(compartment, asset, layPieces(session.surfaceId, [piece], [asset])), {
    selection: [piece.id],
  });
}

/**
 * A photo to where it belongs: the opening, empty place or other photo it was dropped on; the place that is selected; else
 * the bare page.
 */
export function bringPhoto(store: SessionStore, asset: Asset, spot?: Spot): void {
  const session = store.getState();
  const { pile } = page(session);
  const { assets } = session.history.project;
  const [chosen] = settledPieces(session, session.selection);
  const under = spot
    ? piecesAt(pile, spot, 0, toolsFor(session.history.project, session.typesetter))
    : chosen
      ? [chosen]
      : [];
  const opening = spot ? openingAt(pile, assets, spot) : chosen && freeOpening(chosen, pile, assets);
  if (opening) return layBehind(store, asset, opening);
  const place = under.find((piece) => isEmptyPlace(piece) && !piece.placement.locked);
  if (place) return exchange(store, asset, 'photos', place.id);
  // What lies uppermost where it was dropped, if that is a photo: it keeps place, size and cut.
  const [top] = spot ? under : [];
  if (top?.material.kind === 'photo' && !top.placement.locked && !coversPage(top, page(session)))
    return exchange(store, asset, 'photos', top.id);
  layPhoto(store, asset, spot);
}

/** A photo behind a frame: just beneath it in the pile; a photo already there lies beneath the new one. */
function layBehind(store: SessionStore, asset: Asset, opening: Opening): void {
  const session = store.getState();
  const piece = photoBehind(newId(), asset, opening);
  const at = page(session).pile.findIndex(({ id }) => id === opening.frame.id);
  session.perform(
    gathered('photos', asset, {
      ...layPieces(session.surfaceId, [piece], [asset], at),
      label: 'frame photo',
    }),
  );
  store.getState().select([piece.id]);
}

/** Another material in the place of a piece, which keeps its place, size and cut. */
export function exchange(
  store: SessionStore,
  asset: Asset,
  compartment: Compartment,
  id = store.getState().selection[0],
): void {
  const session = store.getState();
  const [piece] = settledPieces(session, id ? [id] : []);
  if (!piece || piece.placement.locked) return;
  const next = exchanged(piece, asset, compartment);
  session.perform(gathered(compartment, asset, exchangePiece(session.surfaceId, piece, next, [asset])), {
    selection: [piece.id],
  });
}

/** Pieces that were kept, as they were made, about a spot: with their pictures, groups and own fonts. */
export function layKept(store: SessionStore, kept: Project, spot?: Spot): void {
  const session = store.getState();
  const sheet = kept.surfaces[0]!;
  const to = spot ?? freeSpot(session);
  const { pieces, groups } = copiesOf(sheet.pile, sheet, newId, {
    x: to.x - sheet.width / 2,
    y: to.y - sheet.height / 2,
  });
  const lay = layPieces(session.surfaceId, pieces, Object.values(kept.assets), undefined, 'lay', groups);
  session.perform(together(lay.label, [bringFonts(kept.fonts ?? []), lay]), {
    selection: pieces.map(({ id }) => id),
  });
}

/** A sketch's places over the page, to be filled. */
export function laySketch(store: SessionStore, sketch: Surface): void {
  const session = store.getState();
  const pieces = sketchOn(page(session), sketch, newId);
  session.perform({ ...layPieces(session.surfaceId, pieces), label: 'lay sketch' }, { selection: [] });
}
