/** How things out of the workbox and the cupboard come to the page, each kind in its own way. */
import { mixed } from '@/core/color/hex';
import { safeArea } from '@/core/geometry/sides';
import type { Asset } from '@/core/picture/asset';
import { toolsFor } from '@/core/page/outlines';
import { piecesAt } from '@/core/page/pick';
import { sideBySide } from '@/core/page/side-by-side';
import { uprightSize } from '@/core/picture/asset';
import type { Piece } from '@/core/piece/piece';
import { toPoints } from '@/core/units/lengths';
import {
  artPiece,
  exchanged,
  photoPiece,
  stripPiece,
  type ArtCompartment,
  type Spot,
} from '@/core/project/create';
import { copiesOf, wholeCopy } from '@/core/project/copies';
import { naming, together, type Edit } from '@/core/project/edits/edit';
import { setFact } from '@/core/project/edits/facts';
import { bringFonts } from '@/core/project/edits/fonts';
import { gather } from '@/core/project/edits/gather';
import { groupPieces } from '@/core/project/edits/group';
import { isDrawn, whereTied } from '@/core/project/lines';
import { addPage, becomePage } from '@/core/project/edits/page';
import { coversPage, exchangePiece, layPieces } from '@/core/project/edits/pile';
import {
  fittedOn,
  freeOpening,
  isEmptyPlace,
  openingAt,
  photoBehind,
  sketchOn,
  type Opening,
} from '@/core/project/frames';
import { COMPARTMENTS, surfaceOf, type Compartment, type Project, type Surface } from '@/core/project/model';
import { fitsOn } from '@/core/supplies/layers';
import { newId } from '@/features/shared/ids';
import { freeSpot, layPhoto, middle } from '@/features/table/acts';
import { gathered } from '@/features/table/acts/gathered';
import { mayHavePages, pageAfter, toPageAt } from '@/features/table/acts/pages';
import { settledPieces, type Session, type SessionStore } from '@/features/table/session';

const page = (session: Session) => surfaceOf(session.history.project, session.surfaceId);

/** A thing of its own at its true size: stamped flat, or lying in its own edge. */
export function layArt(store: SessionStore, asset: Asset, compartment: ArtCompartment, spot?: Spot): void {
  const session = store.getState();
  if (!spot && compartment === 'bits' && tie(session, asset)) return;
  if (!spot && compartment === 'stamps' && layer(session, asset)) return;
  const piece = artPiece(newId(), asset, compartment, spot ?? freeSpot(session));
  session.perform(gathered(compartment, asset, layPieces(session.surfaceId, [piece], [asset])), {
    selection: [piece.id],
  });
}

/** A bow, a knot, a charm on the drawn ribbon that is selected: from then on they are one. Says whether there was one. */
function tie(session: Session, asset: Asset): boolean {
  const [ribbon, ...more] = settledPieces(session, session.selection);
  if (!ribbon || more.length || !isDrawn(ribbon) || ribbon.placement.locked || ribbon.groups) return false;
  const at = whereTied(ribbon);
  if (!at) return false;
  const bow = artPiece(newId(), asset, 'bits', at);
  const tied = { ...bow, placement: { ...bow.placement, turn: at.turn } };
  const both = [ribbon, tied];
  session.perform(
    together(`tie ${naming([tied])} on`, [
      gather('bits', [asset]),
      layPieces(session.surfaceId, [tied], [asset]),
      groupPieces(session.surfaceId, both, { id: newId(), name: 'Tied' }, session.entered),
    ]),
    { selection: both.map(({ id }) => id) },
  );
  return true;
}

/** The lines of a stamp on the tone that is selected, or a tone beneath its lines: from then on they are one. */
function layer(session: Session, asset: Asset): boolean {
  const [other, ...more] = settledPieces(session, session.selection);
  if (!other || more.length || other.placement.locked || other.groups || other.material.kind !== 'art')
    return false;
  const known = session.history.project.assets[other.material.asset];
  const lies = known && fitsOn(asset, known);
  if (!lies) return false;
  const fresh = artPiece(newId(), asset, 'stamps', other.placement);
  const { ink } = other.material;
  // A tone in the ink of its lines would hide them.
  const material =
    lies === 'beneath' && ink ? { ...fresh.material, ink: mixed(ink, '#ffffff', PALE) } : fresh.material;
  const piece = { ...fresh, material, placement: { ...other.placement } };
  const at = page(session).pile.findIndex(({ id }) => id === other.id) + (lies === 'above' ? 1 : 0);
  const both = lies === 'above' ? [other, piece] : [piece, other];
  session.perform(
    together(`lay ${naming([piece])} ${lies} ${naming([other])}`, [
      gather('stamps', [asset]),
      layPieces(session.surfaceId, [piece], [asset], at),
      groupPieces(session.surfaceId, both, { id: newId(), name: both[1]!.name }, session.entered),
    ]),
    { selection: both.map(({ id }) => id) },
  );
  return true;
}
/** How much of white there is in a tone that is laid beneath lines, 0 to 1. */
const PALE = 0.62;

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
    { selection: [piece.id] },
  );
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

/** How nearly a picture must be of the page’s proportions to fill it, and how wide its true size must be beside the page. */
const LIKE_THE_PAGE = 0.012;
const WIDE = 0.6;

/** Whether a picture could be meant to fill the page: of its proportions, large, no photo of a camera, and for the bare page. */
export function couldFill(store: SessionStore, asset: Asset, spot?: Spot): boolean {
  const session = store.getState();
  const { pile, width, height } = page(session);
  const own = uprightSize(asset);
  const alike = Math.abs(own.width / own.height / (width / height) - 1) < LIKE_THE_PAGE;
  if (!alike || asset.taken || (72 * own.width) / asset.ppi < WIDE * width) return false;
  if (!spot) return !settledPieces(session, session.selection).some(isEmptyPlace);
  const under = piecesAt(pile, spot, 0, toolsFor(session.history.project, session.typesetter));
  return under.every((piece) => coversPage(piece, page(session)));
}

/** A picture over the whole page, to its trim. */
export function fillPage(store: SessionStore, asset: Asset, compartment: Compartment): void {
  const session = store.getState();
  const { width, height } = page(session);
  const lies = lying(asset, compartment, session, { x: width / 2, y: height / 2 });
  const piece = { ...lies, placement: { ...lies.placement, width, height } };
  session.perform(gathered(compartment, asset, layPieces(session.surfaceId, [piece], [asset])), {
    selection: [piece.id],
  });
}

/** How a picture of a compartment comes to lie. */
const lying = (asset: Asset, compartment: Compartment, session: Session, spot: Spot): Piece =>
  compartment === 'photos'
    ? photoPiece(newId(), asset, page(session), spot)
    : compartment === 'papers'
      ? stripPiece(newId(), asset, page(session), spot)
      : artPiece(newId(), asset, compartment, spot);

export interface Together {
  asset: Asset;
  compartment: Compartment;
}

/** Room between things that are laid at once. */
const BETWEEN = toPoints(0.25, 'in');

/** Several pictures at once, side by side in rows about the middle of what is seen, one step. */
export function layTogether(store: SessionStore, all: readonly Together[]): void {
  const session = store.getState();
  const inside = safeArea(page(session));
  const pieces = all.map(({ asset, compartment }) => lying(asset, compartment, session, middle(session)));
  const spots = sideBySide(
    pieces.map(({ placement }) => placement),
    inside,
    BETWEEN,
  );
  const laid = pieces.map((piece, i) => ({
    ...piece,
    placement: { ...piece.placement, x: spots[i]!.x + inside.x, y: spots[i]!.y + inside.y },
  }));
  session.perform(
    together(`lay ${naming(laid)}`, [
      ...all.map(({ asset, compartment }) => gather(compartment, [asset])),
      layPieces(
        session.surfaceId,
        laid,
        all.map(({ asset }) => asset),
      ),
    ]),
    { selection: laid.map(({ id }) => id) },
  );
}

/** What a ready-made page brings along: its pictures, where they lie in the workbox, and fonts. */
const withIts = (made: Project, edit: Edit): Edit =>
  together(edit.label, [
    bringFonts(made.fonts ?? []),
    ...COMPARTMENTS.map((name) =>
      gather(
        name,
        made[name].flatMap((sha) => made.assets[sha] ?? []),
      ),
    ),
    {
      label: '',
      apply(project) {
        for (const asset of Object.values(made.assets)) project.assets[asset.sha] ??= structuredClone(asset);
        for (const fact of made.facts ?? [])
          if (!project.facts?.some(({ id }) => id === fact.id)) setFact(fact).apply(project);
      },
    },
    edit,
  ]);

/** A ready-made page fitted to the one that is shown: in its place, or as a page more after it. */
export function layPage(store: SessionStore, made: Project, more: boolean): void {
  const session = store.getState();
  const now = page(session);
  const [first] = made.surfaces;
  if (!first || session.readOnly) return;
  if (!more && now.locked) return session.touchLocked();
  if (more && !mayHavePages(store)) return;
  const { ground, light } = first;
  const whole = { ...wholeCopy({ ...first, pile: fittedOn(now, first) }, newId), ground, light };
  const gone = { selection: [], entered: null };
  if (!more) return void session.perform(withIts(made, becomePage(now.id, whole)), gone);
  const fresh = pageAfter(session);
  const added = addPage({ ...fresh, ...whole }, now.id);
  session.perform(withIts(made, { ...added, label: 'lay a ready-made page' }));
  toPageAt(store, fresh.id);
}

/** A sketch's places over the page, to be filled. */
export function laySketch(store: SessionStore, sketch: Surface): void {
  const session = store.getState();
  const pieces = sketchOn(page(session), sketch, newId);
  session.perform({ ...layPieces(session.surfaceId, pieces), label: 'lay sketch' }, { selection: [] });
}
