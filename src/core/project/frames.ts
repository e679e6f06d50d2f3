/** Photos in the openings of frames that lie on a page, and in empty places. */
import type { Box, Size } from '@/core/geometry/box';
import {
  apply,
  compose,
  invert,
  scaling,
  translation,
  type Matrix,
  type Point,
} from '@/core/geometry/matrix';
import { contains, parsePath, pathBounds } from '@/core/geometry/path';
import { withBleed, type Sides } from '@/core/geometry/sides';
import { uprightSize, type Asset } from '@/core/picture/asset';
import { finishOf, scaledFinish } from '@/core/piece/finish';
import { materialKind, scaledMaterial } from '@/core/piece/material';
import { firstWindow } from '@/core/piece/material/window';
import { scaledOutline } from '@/core/piece/outline';
import type { Piece } from '@/core/piece/piece';
import { placedAt, placementMatrix } from '@/core/piece/placement/placement';
import { plainName } from '@/core/project/create';
import { isBackground } from '@/core/project/edits/pile';
import type { Surface } from '@/core/project/model';

/** An opening of a frame on the page. */
export interface Opening {
  frame: Piece;
  /** Path data in the frame picture's upright pixels. */
  hole: string;
  /** The frame picture's upright size, pixels. */
  size: Size;
}

type Assets = Readonly<Record<string, Asset>>;

/** The openings of a piece, largest first; none if it is no frame. */
export function openingsOf(frame: Piece, assets: Assets): Opening[] {
  const { material } = frame;
  const asset = material.kind === 'art' ? assets[material.asset] : undefined;
  return asset ? (asset.holes ?? []).map((hole) => ({ frame, hole, size: uprightSize(asset) })) : [];
}

/** The frame picture's pixels to page points. */
const toPage = ({ frame: { placement }, size }: Opening): Matrix =>
  compose(
    placementMatrix(placement),
    compose(
      scaling(placement.width / size.width, placement.height / size.height),
      translation(-size.width / 2, -size.height / 2),
    ),
  );

/** The topmost opening under a point of the page (points). */
export function openingAt(pile: readonly Piece[], assets: Assets, point: Point): Opening | undefined {
  return [...pile]
    .reverse()
    .filter(({ placement }) => !placement.hidden)
    .flatMap((piece) => openingsOf(piece, assets))
    .find((opening) => contains(parsePath(opening.hole), apply(invert(toPage(opening)), point)));
}

/** The frame's first opening with no photo in it. */
export function freeOpening(frame: Piece, pile: readonly Piece[], assets: Assets): Opening | undefined {
  const photos = pile.filter(({ role }) => role === 'photo');
  return openingsOf(frame, assets).find((opening) => !photos.some((photo) => holdsPhoto(opening, photo)));
}

/** Whether a photo's middle lies in an opening. */
export const holdsPhoto = (opening: Opening, { placement }: Piece): boolean =>
  contains(parsePath(opening.hole), apply(invert(toPage(opening)), placement));

/** How far a photo reaches under the edge of the opening it lies behind, points. */
const UNDER_EDGE = 4;

/** A photo behind an opening, turned with its frame. */
export function photoBehind(id: string, asset: Asset, { frame, hole, size }: Opening): Piece {
  const { placement } = frame;
  const scale = { x: placement.width / size.width, y: placement.height / size.height };
  const box = pathBounds(parsePath(hole));
  const middle = apply(toPage({ frame, hole, size }), {
    x: box.x + box.width / 2,
    y: box.y + box.height / 2,
  });
  const width = box.width * scale.x + 2 * UNDER_EDGE;
  const height = box.height * scale.y + 2 * UNDER_EDGE;
  const around: Box = { x: middle.x - width / 2, y: middle.y - height / 2, width, height };
  return {
    id,
    name: plainName(asset.name),
    role: 'photo',
    material: { kind: 'photo', asset: asset.sha, window: firstWindow(asset) },
    outline: { kind: 'rectangle', radius: 0 },
    finish: finishOf(0),
    placement: { ...placedAt(around), turn: placement.turn },
  };
}

/** Whether a piece is a place kept free for a photo. */
export const isEmptyPlace = ({ role, material }: Piece): boolean =>
  role === 'photo' && material.kind === 'ink';

/** The pale card of a place kept free. */
export const PLACE = '#dcd7ce';

/** A page's photos and places as a sketch: a page with nothing but empty places, cut and finished as they are. */
export function sketchOf({ id, name, pile, ...page }: Surface): Surface {
  const places = pile.filter((piece) => holdsOrKeeps(piece) && !piece.placement.hidden);
  return {
    ...structuredClone(page),
    id,
    name,
    ground: '#ffffff',
    groups: [],
    guides: [],
    locked: false,
    pile: places.map(({ tucks: _, look: __, groups: ___, ...piece }) => ({
      ...structuredClone(piece),
      name: 'Place',
      material: { kind: 'ink', colour: PLACE },
      placement: { ...piece.placement, locked: false },
    })),
  };
}

/** The pieces with a free place for every photo; a photo behind a frame goes, as the frame’s opening is its place. */
export const emptied = (pile: readonly Piece[], assets: Assets): Piece[] =>
  pile.flatMap((piece): Piece[] => {
    if (!materialKind(piece.material).photos) return [piece];
    const framed = pile.some((frame) =>
      openingsOf(frame, assets).some((opening) => holdsPhoto(opening, piece)),
    );
    if (framed && piece.role === 'photo') return [];
    return [
      {
        ...piece,
        ...(piece.role === 'photo' ? { name: 'Place for a photo' } : {}),
        material: { kind: 'ink', colour: PLACE },
      },
    ];
  });

/** A page’s pieces on another page, with the paper that covers it: all of it to be seen, in the middle, nothing squashed. */
export function fittedOn(page: Size & { bleed: Sides }, made: Surface): Piece[] {
  const scale = Math.min(page.width / made.width, page.height / made.height);
  const by = { x: (page.width - made.width * scale) / 2, y: (page.height - made.height * scale) / 2 };
  return made.pile.map((piece): Piece => {
    const { placement } = piece;
    if (isBackground(piece, made))
      return {
        ...piece,
        placement: { ...placement, ...placedAt(withBleed(page)) },
      };
    return {
      ...piece,
      ...(scale === 1 ? {} : scaledContents(piece, scale)),
      placement: {
        ...placement,
        ...{ x: placement.x * scale + by.x, y: placement.y * scale + by.y },
        ...{ width: placement.width * scale, height: placement.height * scale },
      },
    };
  });
}

const scaledContents = ({ outline, material, finish }: Piece, scale: number) => ({
  outline: scaledOutline(outline, scale),
  material: scaledMaterial(material, scale),
  finish: scaledFinish(finish, scale),
});

/** A photo, or a place for one. */
export const holdsOrKeeps = (piece: Piece): boolean =>
  (piece.role === 'photo' && piece.material.kind === 'photo') || isEmptyPlace(piece);

/** A sketch's pieces on another page: all of it to be seen, in the middle, nothing squashed. */
export function sketchOn(page: Size, sketch: Surface, newId: () => string): Piece[] {
  const scale = Math.min(page.width / sketch.width, page.height / sketch.height);
  const off = { x: (page.width - sketch.width * scale) / 2, y: (page.height - sketch.height * scale) / 2 };
  return sketch.pile.map((piece) => {
    const { placement, outline, finish } = piece;
    return {
      ...structuredClone(piece),
      id: newId(),
      outline: scaledOutline(outline, scale),
      finish: scaledFinish(finish, scale),
      placement: {
        ...placement,
        x: placement.x * scale + off.x,
        y: placement.y * scale + off.y,
        width: placement.width * scale,
        height: placement.height * scale,
      },
    };
  });
}
