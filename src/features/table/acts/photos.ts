/** Photos among themselves: arranged by proposal, swapped, put into empty places. */
import { assetsIn } from '@/core/piece/assets';
import { keepsOutline } from '@/core/piece/outline';
import type { Box } from '@/core/geometry/box';
import type { Asset } from '@/core/picture/asset';
import type { Piece } from '@/core/piece/piece';
import { photoPiece } from '@/core/project/create';
import { isBackground } from '@/core/project/edits/pile';
import type { Edit } from '@/core/project/edits/edit';
import { arrangePhotos, emptyPlaces, swapPhotos } from '@/core/project/edits/photos';
import { byTime, freeArea, photosOn, shapeOf, waitingPhotos } from '@/core/project/photos';
import { ok, type Result } from '@/core/result';
import { croppedIn, fill, type FillOrder } from '@/core/proposals/fill';
import { MOST_PHOTOS } from '@/core/proposals/propose';
import { newId } from '@/features/shared/ids';
import { toggleLock } from '@/features/table/acts/changing';
import { chosen, page, refuse } from '@/features/table/acts/choosing';
import type { Session, SessionStore } from '@/features/table/session';

/** As much of a session as tells what is where. */
export type Shown = Pick<Session, 'history' | 'surfaceId' | 'selection'>;

/** A photo that may be arranged: on the page already, or waiting in the workbox. */
export interface Arrangeable {
  asset: Asset;
  piece: Piece | null;
}

export interface PhotosHere {
  onPage: Arrangeable[];
  waiting: Arrangeable[];
  /** Photos that lie on other pages alone: they may come here as well, if somebody asks for them. */
  elsewhere: Arrangeable[];
  /** Photos that stay as they are, whatever is arranged. */
  staying: Piece[];
  places: Piece[];
}

/** `wanted` are photos, by SHA-256, that may come to this page though they lie on another already. */
export function photosHere(session: Shown, wanted: readonly string[] = []): PhotosHere {
  const { project } = session.history;
  const { movable, staying, places } = photosOn(page(session), project.assets);
  const onPage = movable.flatMap((piece) => {
    const asset = piece.material.kind === 'photo' && project.assets[piece.material.asset];
    return asset ? [{ asset, piece }] : [];
  });
  const asked = new Set(wanted);
  onPage.forEach(({ asset }) => asked.delete(asset.sha));
  const waiting = waitingPhotos(project);
  waiting.forEach(({ sha }) => asked.delete(sha));
  const again = byTime([...asked].flatMap((sha) => project.assets[sha] ?? []));
  const known = new Set([
    ...page(session).pile.flatMap(assetsIn),
    ...[...waiting, ...again].map(({ sha }) => sha),
  ]);
  const others = project.photos.filter((sha) => !known.has(sha)).flatMap((sha) => project.assets[sha] ?? []);
  return {
    onPage,
    waiting: [...waiting, ...again].map((asset) => ({ asset, piece: null })),
    elsewhere: byTime(others).map((asset) => ({ asset, piece: null })),
    staying,
    places,
  };
}

export type Where = 'page' | 'free' | 'places';

/** Where photos may go if not into places: the page within a margin, or its largest part on which nothing else lies. */
export function areaFor(session: Shown, which: Where, margin: number): Box | null {
  const surface = page(session);
  const { onPage, places } = photosHere(session);
  const without = new Set([...onPage.map(({ piece }) => piece!.id), ...places.map(({ id }) => id)]);
  if (which === 'free') return freeArea(surface, margin, without);
  const box = {
    x: margin,
    y: margin,
    width: surface.width - 2 * margin,
    height: surface.height - 2 * margin,
  };
  return box.width > 0 && box.height > 0 ? box : null;
}

/** A proposal laid into an area of the page, as an edit, and the ids of what it lays. */
export function arrangement(
  session: Shown,
  photos: readonly Arrangeable[],
  boxes: readonly Box[],
  area: Box,
): { edit: Edit; ids: string[] } {
  const surface = page(session);
  const placed = photos.map(({ asset, piece }, i) => {
    const box = { ...boxes[i]!, x: area.x + boxes[i]!.x, y: area.y + boxes[i]!.y };
    return { piece: piece ?? photoPiece(newId(), asset, surface, box), box };
  });
  const fresh = photos.filter(({ piece }) => !piece).map(({ asset }) => asset);
  return { edit: arrangePhotos(surface.id, placed, fresh), ids: placed.map(({ piece }) => piece.id) };
}

/** Two selected photos change places. */
export function swapChosen(store: SessionStore): Result<number> {
  const session = store.getState();
  const pieces = chosen(session).filter(({ material }) => material.kind === 'photo');
  const [a, b] = pieces;
  if (pieces.length !== 2 || !a || !b) return refuse(store, 'Select two photos to let them change places.');
  const locked = pieces.filter(({ placement }) => placement.locked);
  if (locked.length)
    return refuse(store, locked.length === 2 ? 'Both are locked.' : 'One of the two is locked.', {
      label: 'Unlock',
      run: () => toggleLock(store, locked),
    });
  session.perform(swapPhotos(session.surfaceId, [a, b]));
  return ok(2);
}

/** What is selected becomes places for photos; words do not. */
export function makePlaces(store: SessionStore): Result<number> {
  const session = store.getState();
  const pieces = chosen(session).filter(
    ({ placement, outline }) => !placement.locked && !keepsOutline(outline) && outline.kind !== 'own',
  );
  if (!pieces.length)
    return refuse(store, 'Select what shall be a place for a photo: a cut piece or a photo.');
  session.perform(emptyPlaces(session.surfaceId, pieces));
  return ok(pieces.length);
}

export interface Placing {
  pairs: { place: Piece; asset: Asset }[];
  /** Photos that find no place. */
  over: Asset[];
  /** The share of the photos that is cropped away, as in `Measures`. */
  cropped: number;
}

/** Which photo would go into which empty place, and which would be left out. */
export function filling(places: readonly Piece[], assets: readonly Asset[], order: FillOrder): Placing {
  const photos = byTime(assets);
  const boxes = places.map(({ placement }) => placement);
  const shapes = photos.map(shapeOf);
  const filled = fill(
    boxes,
    shapes,
    order,
    photos.map(({ notes }) => notes?.stars ?? 0),
    photos.map(({ faces }) => faces),
  );
  const used = new Set(filled);
  return {
    pairs: places.flatMap((place, p) => {
      const asset = photos[filled[p]!];
      return asset ? [{ place, asset }] : [];
    }),
    over: photos.filter((_, i) => !used.has(i)),
    cropped: croppedIn(boxes, shapes, filled),
  };
}

/** The same photo may lie on the page more than once. */
export const keyOf = ({ asset, piece }: Arrangeable): string => piece?.id ?? asset.sha;

/** What is arranged to begin with: the photos that are wanted or selected, or all on the page, or all that are waiting. */
export function firstTaken(
  session: Shown,
  { onPage, waiting }: PhotosHere,
  wanted: readonly string[],
): ReadonlySet<string> {
  if (wanted.length) {
    const asked = new Set(wanted);
    return new Set([...onPage, ...waiting].filter(({ asset }) => asked.has(asset.sha)).map(keyOf));
  }
  const selected = new Set(session.selection);
  const chosenOnes = onPage.filter(({ piece }) => selected.has(piece!.id));
  const some = chosenOnes.length > 1 ? chosenOnes : onPage.length > 1 ? onPage : [...onPage, ...waiting];
  return new Set(some.slice(0, MOST_PHOTOS).map(keyOf));
}

/** Where photos go to begin with: into places kept free, or where nothing lies, or all over the page. */
export const firstWhere = (session: Shown, here: PhotosHere): Where =>
  here.places.length && here.waiting.length ? 'places' : somethingLies(session, here) ? 'free' : 'page';

/** Whether anything but the photos and a paper under all of it lies on the page. */
function somethingLies(session: Shown, { onPage, places }: PhotosHere): boolean {
  const surface = page(session);
  const photos = new Set([...onPage.map(({ piece }) => piece!.id), ...places.map(({ id }) => id)]);
  return surface.pile.some(
    (piece) => !photos.has(piece.id) && !piece.placement.hidden && !isBackground(piece, surface),
  );
}
