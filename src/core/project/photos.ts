/** What photos a page has, which of them may be arranged, and which are waiting. */
import { overlaps, type Box } from '@/core/geometry/box';
import { uprightSize, type Asset } from '@/core/picture/asset';
import type { Piece } from '@/core/piece/piece';
import { extentOf } from '@/core/piece/placement/placement';
import { largestFree } from '@/core/page/free';
import { isBackground } from '@/core/project/edits/pile';
import { holdsPhoto, isEmptyPlace, openingsOf } from '@/core/project/frames';
import { uses, type Project, type Surface } from '@/core/project/model';

export interface PagePhotos {
  /** Plain photos, which an arrangement may move; as they are read, rows from the top. */
  movable: Piece[];
  /** Photos that stay whatever is arranged: cut to a shape, behind a frame, in a group, locked or hidden. */
  staying: Piece[];
  /** Places kept free. */
  places: Piece[];
}

const isPhoto = ({ role, material }: Piece): boolean => role === 'photo' && material.kind === 'photo';

/** Tells whether a photo lies behind the opening of a frame. */
function framedIn(pile: readonly Piece[], assets: Project['assets']): (photo: Piece) => boolean {
  const openings = pile.flatMap((piece) => openingsOf(piece, assets));
  return (photo) => openings.some((opening) => holdsPhoto(opening, photo));
}

export function photosOn({ pile }: Surface, assets: Project['assets']): PagePhotos {
  const photos = pile.filter(isPhoto);
  const framed = framedIn(pile, assets);
  const stays = (piece: Piece) =>
    piece.outline.kind !== 'rectangle' ||
    piece.placement.locked ||
    piece.placement.hidden ||
    (piece.groups?.length ?? 0) > 0 ||
    framed(piece);
  return {
    movable: inReading(photos.filter((piece) => !stays(piece))),
    staying: photos.filter(stays),
    places: inReading(pile.filter((piece) => isEmptyPlace(piece) && !piece.placement.locked)),
  };
}

/** Photos that wear a finish of their own: all but those behind the opening of a frame. */
export function unframedPhotos({ pile }: Surface, assets: Project['assets']): Piece[] {
  const framed = framedIn(pile, assets);
  return pile.filter((piece) => isPhoto(piece) && !framed(piece));
}

/** Photos and empty places of the same group with which a photo may change places, bottom first: none that is locked or hidden. */
export const swapsFor = ({ pile }: Surface, photo: Piece): Piece[] =>
  isPhoto(photo)
    ? pile.filter(
        (piece) =>
          piece.id !== photo.id &&
          (isPhoto(piece) || isEmptyPlace(piece)) &&
          piece.groups?.at(-1) === photo.groups?.at(-1) &&
          !piece.placement.locked &&
          !piece.placement.hidden,
      )
    : [];

/** Left to right, row by row: what begins in the upper half of the row before belongs to it. */
export function inReading(pieces: readonly Piece[]): Piece[] {
  const left = [...pieces].sort((a, b) => top(a) - top(b));
  const rows: Piece[][] = [];
  for (const piece of left) {
    const row = rows.at(-1);
    if (row && top(piece) < row[0]!.placement.y) row.push(piece);
    else rows.push([piece]);
  }
  return rows.flatMap((row) => row.sort((a, b) => a.placement.x - b.placement.x));
}
const top = ({ placement }: Piece): number => placement.y - placement.height / 2;

/** By the time they were taken; those that do not say come after, in the order they were brought in. */
export const byTime = (assets: readonly Asset[]): Asset[] =>
  [...assets].sort(
    (a, b) => Number(!a.taken) - Number(!b.taken) || (a.taken! < b.taken! ? -1 : Number(a.taken! > b.taken!)),
  );

/** The project’s photos that lie on no page yet, by time. */
export function waitingPhotos(project: Project): Asset[] {
  const used = uses(project);
  return byTime(project.photos.filter((sha) => !used.has(sha)).flatMap((sha) => project.assets[sha] ?? []));
}

/** Upright width by height. */
export function shapeOf(asset: Asset): number {
  const { width, height } = uprightSize(asset);
  return width / height;
}

/** The largest part of a page within `margin` on which nothing lies but what is named and what covers the whole page. */
export function freeArea(surface: Surface, margin: number, without: ReadonlySet<string>): Box | null {
  const inner = { width: surface.width - 2 * margin, height: surface.height - 2 * margin };
  if (inner.width <= 0 || inner.height <= 0) return null;
  const whole = { x: margin, y: margin, ...inner };
  const taken = surface.pile
    .filter((piece) => !without.has(piece.id) && !piece.placement.hidden && !isBackground(piece, surface))
    .map(({ placement }) => extentOf(placement))
    .filter((box) => overlaps(box, whole))
    .map((box) => ({ ...box, x: box.x - margin, y: box.y - margin }));
  const free = largestFree(inner, taken);
  return free && { ...free, x: free.x + margin, y: free.y + margin };
}
