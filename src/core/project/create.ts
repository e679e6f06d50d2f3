/** Pieces as they come to the page: at their true size, in the middle, lying as their material lies. */
import type { Box, Size } from '@/core/geometry/box';
import { uprightSize, type Asset } from '@/core/picture/asset';
import { finishOf, type Finish } from '@/core/piece/finish';
import { LIFTS } from '@/core/piece/finish/lift';
import { WHOLE } from '@/core/piece/material/window';
import { wantedSize, type GlyphsOutline } from '@/core/piece/outline/glyphs';
import type { Piece } from '@/core/piece/piece';
import { nameOfWords } from '@/core/project/edits/make';
import { placedAt } from '@/core/piece/placement/placement';
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
    material: { kind: 'photo', asset: asset.sha, window: WHOLE },
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

/** A paper that covers the page and its bleed; it is the page, so it throws no shadow. */
export const backgroundPiece = (id: string, asset: Asset, page: Size & { bleed: number }): Piece =>
  paperPiece(
    id,
    asset,
    {
      x: -page.bleed,
      y: -page.bleed,
      width: page.width + 2 * page.bleed,
      height: page.height + 2 * page.bleed,
    },
    finishOf(0),
  );

/** A strip of paper right across the page, a fifth of its height, that runs off both sides. */
export const stripPiece = (id: string, asset: Asset, page: Size & { bleed: number }, spot: Spot): Piece =>
  paperPiece(
    id,
    asset,
    around({ x: page.width / 2, y: spot.y }, { width: page.width + 2 * page.bleed, height: page.height / 5 }),
    finishOf(LIFTS.paper),
  );

/** Words in an ink, lying flat; their box is as large as they are. */
export function wordsPiece(
  id: string,
  role: 'title' | 'journaling',
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
