/** A picture that is a thing of its own (a button, a frame, a stamp): it is shown whole, and may be stamped in an ink. */
import { object, string } from 'yup';
import { HEX_COLOUR } from '@/core/color/hex';
import { fillsSchema, type Fill } from '@/core/colouring/fills';
import { dyesSchema, isSeen, type Dye } from '@/core/dye/dye';
import { centredBox } from '@/core/geometry/box';
import { compose, scaling, translation } from '@/core/geometry/matrix';
import { rectanglePath } from '@/core/geometry/path';
import { uprightSize } from '@/core/picture/asset';
import { inkSlot } from '@/core/piece/answers';
import type { MaterialKind } from '@/core/piece/material/kind';
import { dyeSlots, MISSING, SHA256 } from '@/core/piece/material/picture';

export interface ArtMaterial {
  kind: 'art';
  /** SHA-256 of the picture file. */
  asset: string;
  /** `#rrggbb`: stamped in this ink, what is dark in the picture covering. Without it the picture keeps its colours. */
  ink?: string;
  /** Other colours for all or parts of it, one after the other. */
  dyes?: Dye[];
  /** Areas coloured in beneath its lines. */
  fills?: Fill[];
}

export const art: MaterialKind<ArtMaterial> = {
  kind: 'art',
  name: 'Picture',
  printed: true,
  schema: object({
    kind: string().oneOf(['art']).required(),
    asset: string().matches(SHA256).required(),
    ink: string().matches(HEX_COLOUR),
    dyes: dyesSchema,
    fills: fillsSchema,
  }).noUnknown(),
  inks: (material) => [
    ...inkSlot('stamp', material, 'ink'),
    ...dyeSlots(material.dyes),
    ...(material.fills ?? []).flatMap((fill) => inkSlot('colouring', fill, 'ink')),
  ],
  says: ({ ink }) => (ink ? `Stamped in ${ink}` : undefined),
  fill: ({ asset: sha, ink, dyes, fills }, { size, path, soft, words, asset: find }) => {
    const asset = find(sha);
    if (!asset) return [{ mark: 'fill', path, colour: MISSING, words }];
    const { width, height } = uprightSize(asset);
    const matrix = compose(
      scaling(size.width / width, size.height / height),
      translation(-width / 2, -height / 2),
    );
    return [
      ...(fills ? [{ mark: 'colouring' as const, path: rectanglePath(centredBox(size)), fills }] : []),
      {
        mark: 'image',
        asset: sha,
        ...(ink ? { ink } : {}),
        ...(dyes?.some(isSeen) ? { dyes } : {}),
        matrix,
        clip: soft ?? path,
        words,
      },
    ];
  },
};
