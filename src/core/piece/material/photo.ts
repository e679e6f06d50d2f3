/** A photo behind its cut: it fills the place at any size and is slid, zoomed and turned within it. */
import type { Size } from '@/core/geometry/box';
import { uprightSize, type Asset } from '@/core/picture/asset';
import { pictureKind, type PictureBehind } from '@/core/piece/material/picture';
import { coverScale, type Window } from '@/core/piece/material/window';

export type PhotoMaterial = PictureBehind<'photo'>;

/** Points a photo's pixel takes before zoom: as many as just cover the place. */
export const photoScale = (asset: Asset, box: Size, window: Window): number =>
  coverScale(uprightSize(asset), box, window.turn);

export const photo = pictureKind('photo', 'Photo', photoScale, { photos: true });
