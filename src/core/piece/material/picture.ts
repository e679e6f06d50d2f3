/** What photo and paper have in common: a picture file behind the cut, seen through a window. */
import { number, object, string } from 'yup';
import { centredBox, type Size } from '@/core/geometry/box';
import { uprightSize, type Asset } from '@/core/picture/asset';
import { inkSlot, type InkSlot } from '@/core/piece/answers';
import type { MaterialKind } from '@/core/piece/material/kind';
import { dyesSchema, isSeen, type Dye } from '@/core/dye/dye';
import { compose, scaling } from '@/core/geometry/matrix';
import { isPlain, needsFit, TONE_SETTINGS, type Tone } from '@/core/tone/settings';
import { windowMatrix, windowSchema, type Window } from '@/core/piece/material/window';

export interface PictureBehind<K extends string> {
  kind: K;
  /** SHA-256 of the picture file. */
  asset: string;
  window: Window;
  /** Light and tone; as in the file without. */
  tone?: Tone;
  /** Other colours for all or parts of it, one after the other. */
  dyes?: Dye[];
}

export const SHA256 = /^[0-9a-f]{64}$/;

const toneSchema = object({
  values: object(
    Object.fromEntries(TONE_SETTINGS.map(({ id, least, most }) => [id, number().min(least).max(most)])),
  )
    .noUnknown()
    .required(),
  strength: number().min(0).max(1).required(),
}).noUnknown();

/** The inks a picture is dyed in. */
export const dyeSlots = (dyes: readonly Dye[] = []): InkSlot[] =>
  dyes.flatMap(({ change, where }) =>
    change.how === 'ink' ? inkSlot(where ? 'part' : 'dye', change, 'ink') : [],
  );

/** Bare grey card, where the picture file is missing. */
export const MISSING = '#c9c5bf';

/** A kind of material made of a picture; `scale` says how many points its pixel takes before the window's zoom. */
export const pictureKind = <K extends string>(
  kind: K,
  name: string,
  scale: (asset: Asset, box: Size, window: Window) => number,
  more: Pick<MaterialKind<PictureBehind<K>>, 'photos' | 'enough'>,
): MaterialKind<PictureBehind<K>> => ({
  kind,
  name,
  ...more,
  schema: object({
    kind: string().oneOf([kind]).required(),
    asset: string().matches(SHA256).required(),
    window: windowSchema.required(),
    tone: toneSchema.default(undefined).optional(),
    dyes: dyesSchema,
  }).noUnknown(),
  inks: ({ dyes }) => dyeSlots(dyes),
  covers: ({ asset: sha, window }, find) => {
    const asset = find(sha);
    return asset !== undefined && !asset.cut && asset.type !== 'image/svg+xml' && window.zoom >= 1;
  },
  behind: ({ asset, window }, box) => [
    { asset, window, box: centredBox(box), scale: (known) => scale(known, box, window) },
  ],
  showing: (material, _, window) => ({ ...material, window }),
  fill: ({ asset: sha, window, tone, dyes }, { size, path, words, asset: find }) => {
    const asset = find(sha);
    if (!asset) return [{ mark: 'fill', path, colour: MISSING, words }];
    const whole = uprightSize(asset);
    const matrix = windowMatrix(window, whole, size, scale(asset, size, window));
    return [
      {
        mark: 'image',
        asset: sha,
        ...(tone && !isPlain(tone) ? { tone } : {}),
        ...(tone && needsFit(tone)
          ? { fit: { matrix: compose(matrix, scaling(whole.width, whole.height)), ...size } }
          : {}),
        ...(dyes?.some(isSeen) ? { dyes } : {}),
        matrix,
        clip: path,
        words,
      },
    ];
  },
});
