/** Pieces as they come to the page: at their true size, in the middle, lying as their material lies. */
import { isInk } from '@/core/piece/material';
import type { Box, Size } from '@/core/geometry/box';
import { pathBounds, pathData, type Path } from '@/core/geometry/path';
import { withBleed, type Sides } from '@/core/geometry/sides';
import { uprightSize, type Asset } from '@/core/picture/asset';
import { finishOf, type Finish } from '@/core/piece/finish';
import { LIFTS } from '@/core/piece/finish/lift';
import { firstWindow, WHOLE } from '@/core/piece/material/window';
import { wantedSize, type GlyphsOutline } from '@/core/piece/outline/glyphs';
import type { Punch } from '@/core/piece/outline/punches/punch';
import type { Piece } from '@/core/piece/piece';
import { nameOfWords } from '@/core/project/edits/make';
import { placedAt } from '@/core/piece/placement/placement';
import type { Compartment } from '@/core/project/model';
import type { Typesetter } from '@/core/text/typesetter';

export interface Spot {
  x: number;
  y: number;
}

const around = ({ x, y }: Spot, { width, height }: Size): Box => ({
  x: x - width / 2,
  y: y - height / 2,
  width,
  height,
});

/** A file's name without its ending. */
export const plainName = (name: string): string => name.replace(/\.[a-z0-9]{2,5}$/i, '');

/** A photo at its true size, made smaller (never squashed) to leave air around it on the page. */
export function photoPiece(id: string, asset: Asset, page: Size, spot: Spot): Piece {
  const { width, height } = uprightSize(asset);
  const fit = Math.min(72 / asset.ppi, (page.width * 0.5) / width, (page.height * 0.5) / height);
  return {
    id,
    name: plainName(asset.name),
    role: 'photo',
    material: { kind: 'photo', asset: asset.sha, window: firstWindow(asset) },
    outline: { kind: 'rectangle', radius: 0 },
    finish: finishOf(LIFTS.photo),
    placement: placedAt(around(spot, { width: width * fit, height: height * fit })),
  };
}

const paperPiece = (id: string, asset: Asset, box: Box, finish: Finish): Piece => ({
  id,
  name: plainName(asset.name),
  role: 'paper',
  material: { kind: 'paper', asset: asset.sha, window: WHOLE },
  outline: { kind: 'rectangle', radius: 0 },
  finish,
  placement: placedAt(box),
});

type Bled = Size & { bleed: Sides };

/** A paper that covers the page and its bleed; it is the page, so it throws no shadow. */
export const backgroundPiece = (id: string, asset: Asset, page: Bled): Piece =>
  paperPiece(id, asset, withBleed(page), finishOf(0));

/** A strip of paper right across the page, a fifth of its height, that runs off both sides. */
export function stripPiece(id: string, asset: Asset, page: Bled, spot: Spot): Piece {
  const { x, width } = withBleed(page);
  const height = page.height / 5;
  return paperPiece(id, asset, { x, y: spot.y - height / 2, width, height }, finishOf(LIFTS.paper));
}

/** How the pictures of each compartment lie: what they are on the page, and how high, mm, where the file does not say. */
const LYING = {
  stamps: { role: 'stamp', lift: LIFTS.ink },
  bits: { role: 'embellishment', lift: LIFTS.cardstock },
  frames: { role: 'frame', lift: LIFTS.cardstock * 2 },
  letters: { role: 'letter', lift: LIFTS.cardstock },
} as const;
export type ArtCompartment = keyof typeof LYING;

/** The ink a stamp arrives in. */
export const FIRST_INK = '#25232a';

/** A thing of its own at its true size, in its own edge; a stamp arrives as ink and lies flat. */
export function artPiece(id: string, asset: Asset, compartment: ArtCompartment, spot: Spot): Piece {
  const { role, lift } = LYING[compartment];
  const pixels = uprightSize(asset);
  const size = { width: (pixels.width * 72) / asset.ppi, height: (pixels.height * 72) / asset.ppi };
  const stamped = compartment === 'stamps';
  return {
    id,
    name: plainName(asset.name),
    role,
    material: { kind: 'art', asset: asset.sha, ...(stamped ? { ink: FIRST_INK } : {}) },
    outline: asset.cut ? { kind: 'own', data: asset.cut, ...pixels } : { kind: 'rectangle', radius: 0 },
    finish: finishOf(stamped ? LIFTS.ink : (asset.lift ?? lift)),
    placement: placedAt(around(spot, size)),
  };
}

/**
 * A piece of another material in the place of this one: what is cut stays cut and keeps its box; a thing with an edge of
 * its own is as large as fits the box, never squashed.
 */
export function exchanged(piece: Piece, asset: Asset, compartment: Compartment): Piece {
  const name = plainName(asset.name);
  if (compartment === 'photos' || compartment === 'papers') {
    const photo = compartment === 'photos';
    const flat = piece.finish.lift.height === 0;
    return {
      ...piece,
      name,
      role: photo ? 'photo' : piece.role === 'mat' ? 'mat' : 'paper',
      material: {
        kind: photo ? 'photo' : 'paper',
        asset: asset.sha,
        window: photo ? firstWindow(asset) : WHOLE,
      },
      finish: flat && isInk(piece.material) ? finishOf(photo ? LIFTS.photo : LIFTS.paper) : piece.finish,
    };
  }
  const fresh = artPiece(piece.id, asset, compartment, piece.placement);
  const { width, height } = fresh.placement;
  const fit = Math.min(piece.placement.width / width, piece.placement.height / height);
  return {
    ...fresh,
    finish: piece.material.kind === 'art' && piece.role === fresh.role ? piece.finish : fresh.finish,
    placement: { ...piece.placement, width: width * fit, height: height * fit },
  };
}

/** Words in an ink, lying flat; their box is as large as they are. */
export function wordsPiece(
  id: string,
  role: 'title' | 'journaling' | 'caption',
  outline: GlyphsOutline,
  colour: string,
  spot: Spot,
  typesetter: Typesetter,
): Piece {
  const size = wantedSize(outline, { width: outline.size * 12, height: 0 }, typesetter);
  return {
    id,
    name: nameOfWords(outline.text, role),
    role,
    material: { kind: 'ink', colour },
    outline,
    finish: finishOf(LIFTS.ink),
    placement: placedAt(around(spot, size)),
  };
}

/** A punch out of plain cardstock, two inches at its longer side. */
export function punchedPiece(id: string, punch: Punch, colour: string, spot: Spot): Piece {
  const side = 144;
  const size =
    punch.shape >= 1
      ? { width: side, height: side / punch.shape }
      : { width: side * punch.shape, height: side };
  return {
    id,
    name: punch.name,
    role: 'embellishment',
    material: { kind: 'ink', colour },
    outline: { kind: 'punch', punch: punch.id, settings: {} },
    finish: finishOf(LIFTS.cardstock),
    placement: placedAt(around(spot, size)),
  };
}

/** Plain cardstock cut to an outline where that lies on the page. */
export function shapedPiece(id: string, name: string, onPage: Path, colour: string): Piece {
  return {
    id,
    name,
    role: 'embellishment',
    material: { kind: 'ink', colour },
    outline: { kind: 'path', name, data: pathData(onPage, 3) },
    finish: finishOf(LIFTS.cardstock),
    placement: placedAt(pathBounds(onPage)),
  };
}
