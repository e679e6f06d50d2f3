/** Edits of what pictures are dyed and coloured in with. */
import type { Fill } from '@/core/colouring/fills';
import type { Dye } from '@/core/dye/dye';
import type { Material } from '@/core/piece/material';
import type { ArtMaterial } from '@/core/piece/material/art';
import type { Piece } from '@/core/piece/piece';
import { changePieces, naming, type Edit } from '@/core/project/edits/edit';

/** Materials that are a picture file. */
export type Dyeable = Extract<Material, { asset: string }>;
export const isDyeable = (material: Material): material is Dyeable => 'asset' in material;

export const dyesOf = ({ material }: Piece): readonly Dye[] =>
  isDyeable(material) ? (material.dyes ?? []) : [];

/** Changes the dyes of each of these pieces by itself, from what they are now. */
export function changeDyes(
  label: string,
  surfaceId: string,
  pieces: readonly Piece[],
  change: (dyes: readonly Dye[]) => readonly Dye[],
  merge?: string,
): Edit {
  const next = new Map(pieces.map((piece) => [piece.id, change(dyesOf(piece))]));
  return changePieces(
    label,
    surfaceId,
    pieces.filter(({ material }) => isDyeable(material)).map(({ id }) => id),
    ({ id, material }) => {
      const dyes = next.get(id)!;
      if (!isDyeable(material as Material)) return;
      if (dyes.length) (material as Dyeable).dyes = [...dyes];
      else delete (material as Dyeable).dyes;
    },
    merge && `dye ${merge}`,
  );
}

export const changeDye = (
  surfaceId: string,
  pieces: readonly Piece[],
  dye: string,
  change: (dye: Dye) => Dye,
  merge?: string,
): Edit =>
  changeDyes(
    `recolour ${naming(pieces)}`,
    surfaceId,
    pieces,
    (dyes) => dyes.map((each) => (each.id === dye ? change(each) : each)),
    merge && `${dye} ${merge}`,
  );

/** Colours areas of a stamp in; `ink` stamps it where it was not, as its paper would hide what is beneath it. */
export const colourIn = (surfaceId: string, piece: Piece, fills: readonly Fill[], ink?: string): Edit =>
  changePieces(`colour ${piece.role} in`, surfaceId, [piece.id], ({ material }) => {
    if (material.kind !== 'art') return;
    const art = material as ArtMaterial;
    if (fills.length) art.fills = [...fills];
    else delete art.fills;
    if (ink && !art.ink) art.ink = ink;
  });
