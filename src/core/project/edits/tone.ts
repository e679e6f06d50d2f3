/** Edits of light and tone. */
import { isPicture, type PictureMaterial } from '@/core/piece/material';
import type { Piece } from '@/core/piece/piece';
import { changePieces, naming, type Edit } from '@/core/project/edits/edit';
import { isPlain, PLAIN, type Tone } from '@/core/tone/settings';

/** Gives a picture a tone; one that changes nothing is not kept. */
export function setTone(material: Pick<PictureMaterial, 'tone'>, tone: Tone | undefined): void {
  const nothing = !tone || (isPlain(tone) && tone.strength === 1 && !tone.values.filter);
  // Copied by hand: it may hold parts of a draft.
  if (!nothing) material.tone = { values: { ...tone.values }, strength: tone.strength };
  else delete material.tone;
}

/** Changes the tone of each picture by itself, so that what else was set for it stays. */
export const changeTone = (
  surfaceId: string,
  pieces: readonly Piece[],
  change: (tone: Tone) => Tone,
  merge?: string,
): Edit =>
  changePieces(
    `change light and tone of ${naming(pieces)}`,
    surfaceId,
    pieces.map(({ id }) => id),
    ({ material }) => {
      if (isPicture(material)) setTone(material, change(material.tone ?? PLAIN));
    },
    merge && `tone ${merge}`,
  );
