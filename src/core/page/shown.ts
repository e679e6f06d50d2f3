/** The pictures that lie behind a piece's cut, each in its place: one behind it all, or one behind each letter. */
import { centredBox, type Box } from '@/core/geometry/box';
import { pathBounds } from '@/core/geometry/path';
import { cutOf, type DrawingTools } from '@/core/page/outlines';
import { isPicture, pictureScale, type Material } from '@/core/piece/material';
import { photoScale } from '@/core/piece/material/photo';
import { letterPaths, MOST_LETTER_PHOTOS } from '@/core/piece/material/photos';
import type { Window } from '@/core/piece/material/window';
import type { Piece } from '@/core/piece/piece';
import type { Asset } from '@/core/picture/asset';

export interface Shown {
  asset: Asset;
  window: Window;
  /** Where it shows, in the piece's own frame. */
  box: Box;
  /** Points a pixel of the picture takes before its window's zoom. */
  scale: number;
}

/** In the order of the letters; null where the picture's file is not known. */
export function shownOn(piece: Piece, tools: DrawingTools): (Shown | null)[] {
  const { material, placement } = piece;
  if (isPicture(material)) {
    const asset = tools.asset(material.asset);
    const box = centredBox(placement);
    return [
      asset ? { asset, window: material.window, box, scale: pictureScale(material, asset, placement) } : null,
    ];
  }
  if (material.kind !== 'photos') return [];
  const { path, words } = cutOf(piece, tools);
  return letterPaths(path, words, tools.typesetter).map((letter, i) => {
    const { asset: sha, window } = material.photos[i % material.photos.length]!;
    const asset = tools.asset(sha);
    const box = pathBounds(letter);
    return asset ? { asset, window, box, scale: photoScale(asset, box, window) } : null;
  });
}

/**
 * The material with another window in one of its `parts` places. Letters that shared a photo then each have their own, up to
 * as many as a piece may name; of more, those that share it change together.
 */
export function showing(material: Material, part: number, window: Window, parts: number): Material {
  if (isPicture(material)) return { ...material, window };
  if (material.kind !== 'photos') return material;
  const { length } = material.photos;
  const many = parts > MOST_LETTER_PHOTOS ? length : Math.max(parts, length);
  return {
    ...material,
    photos: Array.from({ length: many }, (_, i) => {
      const photo = material.photos[i % length]!;
      return { ...photo, window: { ...(i === part % many ? window : photo.window) } };
    }),
  };
}
