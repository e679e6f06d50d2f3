/** What a page goes out for: each with the files that serve it, and what they begin with. */
import {
  IconBuildingStore,
  IconPhotoShare,
  IconPrinter,
  IconShape,
  IconTruckDelivery,
} from '@tabler/icons-react';
import { conditionOf } from '@/core/press/conditions';
import { PRINT_PPI } from '@/core/units/lengths';
import type { Format, MakeOptions } from '@/output/formats';

interface Purpose {
  name: string;
  says: string;
  Icon: typeof IconPrinter;
  /** The usual one first; none where nothing is chosen. */
  formats: readonly Format[];
  first: MakeOptions;
  /** Pages on the sheets they are folded from, and small things packed on paper. */
  sheets?: true;
  /** Pages larger than the paper at hand come on several sheets of it. */
  tiles?: true;
  /** Marks lie beside every page, and not on sheets alone. */
  marks?: true;
  /** Pieces by themselves. */
  pieces?: true;
  /** How large pictures are is said by their longer side. */
  bySide?: true;
}

const PDF: MakeOptions = { format: 'pdf', ppi: PRINT_PPI, withBleed: false, cropMarks: true };
/** What most screens show whole, pixels (common practice, no source). */
export const SHARED_SIDE = 2048;

export const PURPOSES = {
  shop: {
    name: 'A print shop',
    says: 'Files for a press or a photo lab',
    Icon: IconBuildingStore,
    formats: ['pdf', 'jpg', 'png'],
    first: { ...PDF, withBleed: true, press: conditionOf('coated') },
    marks: true,
  },
  order: {
    name: 'Prints to order',
    says: 'Sent to a shop, checked there, printed',
    Icon: IconTruckDelivery,
    formats: [],
    first: { ...PDF, withBleed: true, cropMarks: false, press: conditionOf('coated') },
  },
  home: {
    name: 'Your own printer',
    says: 'True to size, in tiles, to fold',
    Icon: IconPrinter,
    formats: ['pdf'],
    first: PDF,
    sheets: true,
    tiles: true,
  },
  share: {
    name: 'A picture to share',
    says: 'Small enough to send',
    Icon: IconPhotoShare,
    formats: ['jpg', 'webp', 'png'],
    first: { ...PDF, format: 'jpg', side: SHARED_SIDE },
    bySide: true,
  },
  work: {
    name: 'To work on',
    says: 'Outlines, clear pictures of pieces',
    Icon: IconShape,
    formats: ['svg', 'png', 'ora'],
    first: { ...PDF, format: 'svg', cropMarks: false },
    pieces: true,
  },
} as const satisfies Record<string, Purpose>;

export type PurposeId = keyof typeof PURPOSES;
export const purposeOf = (id: PurposeId): Purpose => PURPOSES[id];
