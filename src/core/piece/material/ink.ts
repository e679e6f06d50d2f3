/** A flat colour: stamped, printed or written. */
import { object, string } from 'yup';
import { HEX_COLOUR } from '@/core/color/hex';
import { inkSlot } from '@/core/piece/answers';
import type { MaterialKind } from '@/core/piece/material/kind';

export interface InkMaterial {
  kind: 'ink';
  /** `#rrggbb` */
  colour: string;
}

export const ink: MaterialKind<InkMaterial> = {
  kind: 'ink',
  name: 'Ink',
  schema: object({
    kind: string().oneOf(['ink']).required(),
    colour: string().matches(HEX_COLOUR).required(),
  }).noUnknown(),
  flat: ({ colour }) => colour,
  even: true,
  covers: () => true,
  inks: (material) => inkSlot('face', material, 'colour'),
  says: ({ colour }) => `Ink ${colour}`,
  fill: ({ colour }, { path, words }) => [{ mark: 'fill', path, colour, words }],
};
