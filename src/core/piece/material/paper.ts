/** A patterned paper: lies at its true size, or larger where that would not cover the cut. */
import { object, string } from 'yup';
import type { Size } from '@/core/geometry/box';
import { uprightSize, type Asset } from '@/core/picture/asset';
import type { MaterialKind } from '@/core/piece/material/kind';
import { pictureFill, SHA256 } from '@/core/piece/material/photo';
import { coverScale, windowMatrix, windowSchema, type Window } from '@/core/piece/material/window';

export interface PaperMaterial {
  kind: 'paper';
  /** SHA-256 of the picture file. */
  asset: string;
  window: Window;
}

export const paper: MaterialKind<PaperMaterial> = {
  kind: 'paper',
  name: 'Paper',
  schema: object({
    kind: string().oneOf(['paper']).required(),
    asset: string().matches(SHA256).required(),
    window: windowSchema.required(),
  }).noUnknown(),
  assetOf: ({ asset }) => asset,
  fill: ({ asset: sha, window }, cut) => {
    const asset = cut.asset(sha);
    return pictureFill(
      sha,
      asset && windowMatrix(window, uprightSize(asset), cut.size, paperScale(asset, cut.size, window)),
      cut,
    );
  },
};

/** Points a paper's pixel takes before zoom: its true size, unless it must grow to cover the cut. */
export const paperScale = (asset: Asset, box: Size, window: Window): number =>
  Math.max(72 / asset.ppi, coverScale(uprightSize(asset), box, window.turn));
