/** Edits of how pieces are cut. */
import type { Box, Size } from '@/core/geometry/box';
import { apply, invert, rotation } from '@/core/geometry/matrix';
import { pathBounds, pathData, transformPath, type Path } from '@/core/geometry/path';
import type { Asset } from '@/core/picture/asset';
import { uprightSize } from '@/core/picture/asset';
import { isPicture, pictureScale } from '@/core/piece/material';
import { keepCovered, type Window } from '@/core/piece/material/window';
import type { Outline } from '@/core/piece/outline';
import { shapeName } from '@/core/piece/outline/path';
import { punchOf } from '@/core/piece/outline/punches';
import type { Values } from '@/core/piece/outline/punches/punch';
import { tuckIn, type Piece } from '@/core/piece/piece';
import { placementMatrix, SMALLEST_PIECE, type Placement } from '@/core/piece/placement/placement';
import { changePieces, naming, together, type Edit } from '@/core/project/edits/edit';
import { dropEmptyGroups } from '@/core/project/edits/pile';
import { cutDrawn, isDrawn } from '@/core/project/lines';
import { surfaceOf } from '@/core/project/model';

/** The largest box of a shape (width over height) that fits into a box, in its middle. */
const fitted = (box: Size, shape: number): Size =>
  box.width / box.height > shape
    ? { width: box.height * shape, height: box.height }
    : { width: box.width, height: box.width / shape };

/** Cuts pieces to a ready outline. What would look stretched takes as much of the piece as keeps its shape. */
export const cutToPunch = (surfaceId: string, pieces: readonly Piece[], id: string): Edit => {
  const punch = punchOf(id);
  return changePieces(
    `cut ${naming(pieces)} to ${punch.name.toLowerCase()}`,
    surfaceId,
    pieces.map((piece) => piece.id),
    (draft) => {
      // A picture with an edge of its own is squashed by another box: it keeps it.
      const keeps = punch.keeps && draft.material.kind !== 'art';
      if (keeps) Object.assign(draft.placement, fitted(draft.placement, punch.shape));
      draft.outline = { kind: 'punch', punch: id, settings: {} };
    },
  );
};

export const setPunch = (surfaceId: string, pieces: readonly Piece[], id: string, change: Values): Edit =>
  changePieces(
    `change ${punchOf(id).name.toLowerCase()}`,
    surfaceId,
    pieces.map((piece) => piece.id),
    ({ outline }) => {
      if (outline.kind === 'punch' && outline.punch === id) Object.assign(outline.settings, change);
    },
    `punch ${Object.keys(change).join()}`,
  );

/**
 * A piece cut to a path of its own frame (origin in its middle, unturned): its box becomes the path's, and what it is made
 * of stays where it lies on the page; what is drawn keeps its lines, cut. A thing with an edge of its own keeps its box, as it would be squashed.
 */
export function recut(piece: Piece, path: Path, name: string, asset: Asset | undefined): Piece {
  if (isDrawn(piece)) return cutDrawn(piece, path);
  const { material, placement } = piece;
  const data = pathData(path, 3);
  if (material.kind === 'art') {
    const { width, height } = placement;
    const frame: Box = { x: -width / 2, y: -height / 2, width, height };
    return { ...piece, outline: { kind: 'path', name, data, frame } };
  }
  const box = pathBounds(path);
  const middle = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  const lies = apply(placementMatrix(placement), middle);
  // What is narrower than a file takes is stretched to that.
  const size = { width: Math.max(SMALLEST_PIECE, box.width), height: Math.max(SMALLEST_PIECE, box.height) };
  const next: Placement = { ...placement, ...lies, ...size };
  const outline: Outline = { kind: 'path', name, data };
  const moved: Piece = {
    ...piece,
    outline,
    placement: next,
    ...(piece.tucks ? { tucks: piece.tucks.map((tuck) => tuckIn(tuck, placement, middle, box)) } : {}),
  };
  if (!isPicture(material) || !asset) return moved;
  const picture = uprightSize(asset);
  const scale = pictureScale(material, asset, placement);
  const seen = keepCovered(material.window, picture, placement, scale);
  // The picture point that lies in the new middle, seen through the old window.
  const pixel = scale * seen.zoom;
  const back = apply(rotation(-seen.turn), middle);
  const base = pictureScale(material, asset, next);
  const window: Window = keepCovered(
    {
      x: seen.x + back.x / (picture.width * pixel),
      y: seen.y + back.y / (picture.height * pixel),
      zoom: pixel / base,
      turn: seen.turn,
    },
    picture,
    next,
    base,
  );
  return { ...moved, material: { ...material, window } };
}

/** A piece with other points in its outline (a path of its own frame); the rest stays where it lies. */
export const reshape = (
  label: string,
  surfaceId: string,
  piece: Piece,
  path: Path,
  asset: Asset | undefined,
): Edit => {
  const { outline } = piece;
  const name = outline.kind === 'path' ? outline.name : shapeName(piece.name);
  const next = recut(piece, path, name, asset);
  return changePieces(label, surfaceId, [piece.id], (draft) => Object.assign(draft, structuredClone(next)));
};

/** A path on the page in a piece's own frame. */
export const intoFrame = (piece: Piece, onPage: Path): Path =>
  transformPath(invert(placementMatrix(piece.placement)), onPage);

/** Pieces in the place of others, at the height of the lowest of them and in its groups. */
export const replacePieces = (
  label: string,
  surfaceId: string,
  gone: readonly Piece[],
  fresh: readonly Piece[],
): Edit => ({
  label,
  apply(project) {
    const surface = surfaceOf(project, surfaceId);
    const at = surface.pile.findIndex(({ id }) => gone.some((piece) => piece.id === id));
    if (at < 0) return;
    const groups = surface.pile[at]!.groups;
    const laid = fresh.map((piece) => {
      const copy = structuredClone(piece);
      if (groups) copy.groups = [...groups];
      else delete copy.groups;
      return copy;
    });
    const ids = new Set(gone.map(({ id }) => id));
    const stays = (piece: Piece) => !ids.has(piece.id);
    surface.pile = [
      ...surface.pile.slice(0, at).filter(stays),
      ...laid,
      ...surface.pile.slice(at).filter(stays),
    ];
    dropEmptyGroups(surface);
  },
});

/** Other pieces in the place of each, in its own place in the pile. */
export const replaceEach = (
  label: string,
  surfaceId: string,
  gone: readonly Piece[],
  fresh: readonly (readonly Piece[])[],
): Edit =>
  together(
    label,
    gone.map((piece, i) => replacePieces(label, surfaceId, [piece], fresh[i]!)),
  );
