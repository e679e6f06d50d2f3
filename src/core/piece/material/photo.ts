/** A photo behind its cut: it fills the place at any size and is slid, zoomed and turned within it. */
import { object, string } from 'yup';
import type { Size } from '@/core/geometry/box';
import type { Matrix } from '@/core/geometry/matrix';
import { uprightSize, type Asset } from '@/core/picture/asset';
import type { Cut, MaterialKind } from '@/core/piece/material/kind';
import type { FillMark, ImageMark } from '@/core/picture/picture';
import { coverScale, windowMatrix, windowSchema, type Window } from '@/core/piece/material/window';

export interface PhotoMaterial {
  kind: 'photo';
  /** SHA-256 of the picture file. */
  asset: string;
  window: Window;
}

export const SHA256 = /^[0-9a-f]{64}$/;

export const photo: MaterialKind<PhotoMaterial> = {
  kind: 'photo',
  name: 'Photo',
  schema: object({
    kind: string().oneOf(['photo']).required(),
    asset: string().matches(SHA256).required(),
    window: windowSchema.required(),
  }).noUnknown(),
  assetOf: ({ asset }) => asset,
  fill: ({ asset: sha, window }, cut) => {
    const asset = cut.asset(sha);
    return pictureFill(
      sha,
      asset && windowMatrix(window, uprightSize(asset), cut.size, photoScale(asset, cut.size, window)),
      cut,
    );
  },
};

/** Points a photo's pixel takes before zoom. */
export const photoScale = (asset: Asset, box: Size, window: Window): number =>
  coverScale(uprightSize(asset), box, window.turn);

/** A picture seen through the cut; bare grey card where the picture file is missing. */
export const pictureFill = (
  asset: string,
  matrix: Matrix | undefined,
  { path, words }: Cut,
): FillMark | ImageMark =>
  matrix
    ? { mark: 'image', asset, matrix, clip: path, words }
    : { mark: 'fill', path, colour: '#c9c5bf', words };
