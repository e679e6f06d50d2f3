/** The pictures that lie behind a piece's cut, each in its place: one behind it all, or one behind each letter. */
import type { Box } from '@/core/geometry/box';
import { cutOf, type DrawingTools } from '@/core/page/outlines';
import { materialKind, type Material } from '@/core/piece/material';
import { letterPaths } from '@/core/piece/material/photos';
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
  const letters = () => {
    const { path, words } = cutOf(piece, tools);
    return letterPaths(path, words, tools.typesetter);
  };
  const behind = materialKind(material).behind?.(material, placement, letters) ?? [];
  return behind.map(({ asset: sha, window, box, scale }) => {
    const asset = tools.asset(sha);
    return asset ? { asset, window, box, scale: scale(asset) } : null;
  });
}

/** The material with another window in one of its `parts` places. */
export const showing = (material: Material, part: number, window: Window, parts: number): Material =>
  materialKind(material).showing?.(material, part, window, parts) ?? material;
