/** The kinds of material. Adding one is adding a file and a line in each list here. */
import type { Size } from '@/core/geometry/box';
import type { Asset } from '@/core/picture/asset';
import { art, type ArtMaterial } from '@/core/piece/material/art';
import { ink, type InkMaterial } from '@/core/piece/material/ink';
import type { MaterialKind } from '@/core/piece/material/kind';
import { paper, paperScale, type PaperMaterial } from '@/core/piece/material/paper';
import { photo, photoScale, type PhotoMaterial } from '@/core/piece/material/photo';

export type Material = InkMaterial | PaperMaterial | PhotoMaterial | ArtMaterial;
/** Materials that are a picture behind the cut. */
export type PictureMaterial = PaperMaterial | PhotoMaterial;

export const MATERIALS: { [K in Material['kind']]: MaterialKind<Extract<Material, { kind: K }>> } = {
  art,
  ink,
  paper,
  photo,
};

export const materialKind = (material: Material): MaterialKind<Material> =>
  MATERIALS[material.kind] as unknown as MaterialKind<Material>;

export const isPicture = (material: Material): material is PictureMaterial => 'window' in material;

/** Points a pixel of the picture takes behind the cut, before its window's zoom. */
export const pictureScale = (material: PictureMaterial, asset: Asset, box: Size): number =>
  (material.kind === 'photo' ? photoScale : paperScale)(asset, box, material.window);
