/** The kinds of material. Adding one is adding a file and a line in each list here. */
import type { Size } from '@/core/geometry/box';
import type { Asset } from '@/core/picture/asset';
import { art, type ArtMaterial } from '@/core/piece/material/art';
import { drawn, type DrawnMaterial } from '@/core/piece/material/drawn';
import { gradient, type GradientMaterial } from '@/core/piece/material/gradient';
import { ink, type InkMaterial } from '@/core/piece/material/ink';
import type { MaterialKind } from '@/core/piece/material/kind';
import { month, type MonthMaterial } from '@/core/piece/material/month';
import { opening, type OpeningMaterial } from '@/core/piece/material/opening';
import { paper, type PaperMaterial } from '@/core/piece/material/paper';
import { photo, type PhotoMaterial } from '@/core/piece/material/photo';
import { photos, type PhotosMaterial } from '@/core/piece/material/photos';
import { words, type WordsMaterial } from '@/core/piece/material/words';
import type { Unit } from '@/core/units/lengths';

export type Material =
  | InkMaterial
  | DrawnMaterial
  | MonthMaterial
  | OpeningMaterial
  | GradientMaterial
  | PaperMaterial
  | PhotoMaterial
  | ArtMaterial
  | PhotosMaterial
  | WordsMaterial;
/** Materials that are a picture behind the cut. */
export type PictureMaterial = PaperMaterial | PhotoMaterial;

export const MATERIALS: { [K in Material['kind']]: MaterialKind<Extract<Material, { kind: K }>> } = {
  art,
  drawn,
  gradient,
  ink,
  month,
  opening,
  paper,
  photo,
  photos,
  words,
};

export const materialKind = (material: Material): MaterialKind<Material> =>
  MATERIALS[material.kind] as unknown as MaterialKind<Material>;

export const isPicture = (material: Material): material is PictureMaterial => 'window' in material;

/** Materials that are inks and nothing else. */
export const isInk = (material: Material): material is InkMaterial | GradientMaterial =>
  materialKind(material).flat !== undefined;

/** The one colour that stands for inks: itself, or the middle of a run. */
export const colourOf = (material: InkMaterial | GradientMaterial): string =>
  materialKind(material).flat!(material);

/** The colour of a material that is of one all over. */
export const evenColour = (material: Material): string | undefined => {
  const { even, flat } = materialKind(material);
  return even && flat!(material);
};

/** Points a pixel of the picture takes behind the cut, before its window's zoom. */
export const pictureScale = (material: PictureMaterial, asset: Asset, box: Size): number =>
  materialKind(material).behind!(material, box, () => [])[0]!.scale(asset);

/** The material for a piece that became larger or smaller with all that is on it. */
export const scaledMaterial = (material: Material, scale: number): Material =>
  materialKind(material).scaled?.(material, scale) ?? material;

/** What it is, in words for a person; nothing where a picture's own name says it better. */
export const materialSays = (material: Material, unit: Unit): string | undefined => {
  const { says, name } = materialKind(material);
  return says?.(material, unit) ?? ('asset' in material ? undefined : name);
};
