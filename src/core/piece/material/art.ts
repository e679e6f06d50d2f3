/** A picture that is a thing of its own (a button, a frame, a stamp): it is shown whole, and may be stamped in an ink. */
import { object, string } from 'yup';
import { HEX_COLOUR } from '@/core/color/hex';
import { compose, scaling, translation } from '@/core/geometry/matrix';
import { uprightSize } from '@/core/picture/asset';
import type { MaterialKind } from '@/core/piece/material/kind';
import { MISSING, SHA256 } from '@/core/piece/material/picture';

export interface ArtMaterial {
  kind: 'art';
  /** SHA-256 of the picture file. */
  asset: string;
  /** `#rrggbb`: stamped in this ink, what is dark in the picture covering. Without it the picture keeps its colours. */
  ink?: string;
}

export const art: MaterialKind<ArtMaterial> = {
  kind: 'art',
  name: 'Picture',
  schema: object({
    kind: string().oneOf(['art']).required(),
    asset: string().matches(SHA256).required(),
    ink: string().matches(HEX_COLOUR),
  }).noUnknown(),
  fill: ({ asset: sha, ink }, { size, path, soft, words, asset: find }) => {
    const asset = find(sha);
    if (!asset) return { mark: 'fill', path, colour: MISSING, words };
    const { width, height } = uprightSize(asset);
    const matrix = compose(
      scaling(size.width / width, size.height / height),
      translation(-width / 2, -height / 2),
    );
    return { mark: 'image', asset: sha, ...(ink ? { ink } : {}), matrix, clip: soft ?? path, words };
  },
};
