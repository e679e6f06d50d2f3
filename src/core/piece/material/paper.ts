/** A patterned paper: lies at its true size, or larger where that would not cover the cut. */
import type { Size } from '@/core/geometry/box';
import { uprightSize, type Asset } from '@/core/picture/asset';
import { pictureKind, type PictureBehind } from '@/core/piece/material/picture';
import { coverScale, type Window } from '@/core/piece/material/window';

export type PaperMaterial = PictureBehind<'paper'>;

/** Points a paper's pixel takes before zoom: its true size, unless it must grow to cover the cut. */
const paperScale = (asset: Asset, box: Size, window: Window): number =>
  Math.max(72 / asset.ppi, coverScale(uprightSize(asset), box, window.turn));

/** Papers are texture: one that grew a little to reach over the bleed is not worth a word. */
export const paper = pictureKind('paper', 'Paper', paperScale, { enough: 200 });
