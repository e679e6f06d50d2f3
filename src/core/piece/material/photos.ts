/** Photos behind letters: each letter shows the next one, which fills it. */
import { array, object, string } from 'yup';
import { translation, compose } from '@/core/geometry/matrix';
import { pathBounds, type Path } from '@/core/geometry/path';
import { uprightSize } from '@/core/picture/asset';
import type { Mark } from '@/core/picture/picture';
import type { MaterialKind } from '@/core/piece/material/kind';
import { photoScale } from '@/core/piece/material/photo';
import { MISSING, SHA256 } from '@/core/piece/material/picture';
import { windowMatrix, windowSchema, type Window } from '@/core/piece/material/window';
import { lettersOf } from '@/core/text/runs';
import type { GlyphRun, Typesetter } from '@/core/text/typesetter';

export interface PhotosMaterial {
  kind: 'photos';
  /** One a letter, round and round. */
  photos: { asset: string; window: Window }[];
}

export const MOST_LETTER_PHOTOS = 60;

export const photos: MaterialKind<PhotosMaterial> = {
  kind: 'photos',
  name: 'A photo for each letter',
  photos: true,
  schema: object({
    kind: string().oneOf(['photos']).required(),
    photos: array(
      object({ asset: string().matches(SHA256).required(), window: windowSchema.required() })
        .noUnknown()
        .required(),
    )
      .min(1)
      .max(MOST_LETTER_PHOTOS)
      .required(),
  }).noUnknown(),
  behind: ({ photos: list }, _, letters) =>
    letters().map((letter, i) => {
      const { asset, window } = list[i % list.length]!;
      const box = pathBounds(letter);
      return { asset, window, box, scale: (known) => photoScale(known, box, window) };
    }),
  // Letters that shared a photo then each have their own, up to as many as a piece may name; of more, those that share it
  // change together.
  showing: (material, part, window, parts) => {
    const { length } = material.photos;
    const many = parts > MOST_LETTER_PHOTOS ? length : Math.max(parts, length);
    return {
      ...material,
      photos: Array.from({ length: many }, (_, i) => {
        const photo = material.photos[i % length]!;
        return { ...photo, window: { ...(i === part % many ? window : photo.window) } };
      }),
    };
  },
  fill: ({ photos: list }, { path, words, typesetter, asset: find }) => {
    return letterPaths(path, words, typesetter).map((letter, i): Mark => {
      const { asset: sha, window } = list[i % list.length]!;
      const asset = find(sha);
      if (!asset) return { mark: 'fill', path: letter, colour: MISSING };
      const box = pathBounds(letter);
      const own = windowMatrix(window, uprightSize(asset), box, photoScale(asset, box, window));
      const matrix = compose(translation(box.x + box.width / 2, box.y + box.height / 2), own);
      return { mark: 'image', asset: sha, matrix, clip: letter };
    });
  },
};

/** The outline of each letter that has one; the whole outline where there are no letters. */
export const letterPaths = (
  path: Path,
  words: readonly GlyphRun[] | undefined,
  typesetter: Typesetter,
): Path[] =>
  (words ? lettersOf(words).map((runs) => typesetter.outline(runs)) : [path]).filter(
    (letter) => letter.length,
  );
