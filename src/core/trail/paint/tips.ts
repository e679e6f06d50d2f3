/** Tips that paint: each a file's worth of words here, and how it covers: swept with a sharp edge, or soft and grainy. */
import { ellipseNib, swept, sweptRound } from '@/core/trail/paint/swept';
import type { Dab } from '@/core/trail/paint/dabs';
import type { SoftTipName } from '@/core/trail/paint/soft';
import type { Path } from '@/core/geometry/path';

export interface PaintTip {
  name: string;
  /** What it is like, in a few words. */
  says: string;
  /** The area it sweeps, for tips with a sharp edge. */
  sweep?(dabs: readonly Dab[], angle: number): Path;
  soft?: SoftTipName;
  /** What it begins with: points, and shares from 0 to 1. */
  width: number;
  opacity: number;
  /** How much of its width a light hand takes away. */
  thins: number;
  /** Whether an angle makes a difference to it. */
  angled?: true;
  /** What `hardness` means for it, and begins with. */
  hardness?: { name: string; first: number };
}

const TIPS = {
  round: {
    name: 'Round pen',
    says: 'A clean line with round ends',
    width: 4,
    opacity: 1,
    thins: 0.7,
    sweep: sweptRound,
  },
  soft: {
    name: 'Soft round',
    says: 'Fades out to its edge',
    width: 16,
    opacity: 1,
    thins: 0.5,
    soft: 'soft',
    hardness: { name: 'Hardness', first: 0.2 },
  },
  marker: {
    name: 'Marker',
    says: 'Broad and a little clear, as wide as it is held',
    width: 14,
    opacity: 0.72,
    thins: 0,
    angled: true,
    sweep: (dabs, angle) => swept(dabs, () => ellipseNib(0.42, angle)),
  },
  nib: {
    name: 'Ink nib',
    says: 'Thick and thin by its angle',
    width: 6,
    opacity: 1,
    thins: 0.6,
    angled: true,
    sweep: (dabs, angle) => swept(dabs, () => ellipseNib(0.14, angle, 24)),
  },
  chalk: {
    name: 'Chalk',
    says: 'Catches on the tooth of the paper',
    width: 12,
    opacity: 0.95,
    thins: 0.3,
    soft: 'chalk',
    hardness: { name: 'Pressed', first: 0.5 },
  },
  bristle: {
    name: 'Dry brush',
    says: 'Hair by hair, until the paint runs out',
    width: 24,
    opacity: 1,
    thins: 0.3,
    soft: 'bristle',
    hardness: { name: 'Loaded', first: 0.6 },
  },
  pencil: {
    name: 'Pencil',
    says: 'Fine grain, light or pressed',
    width: 2.4,
    opacity: 0.9,
    thins: 0.5,
    soft: 'pencil',
    hardness: { name: 'Pressed', first: 0.5 },
  },
  watercolour: {
    name: 'Watercolour',
    says: 'Clear, and darker where it dries at the edge',
    width: 28,
    opacity: 0.9,
    thins: 0.5,
    soft: 'watercolour',
    hardness: { name: 'Pigment', first: 0.4 },
  },
  spray: {
    name: 'Spray',
    says: 'A mist of drops',
    width: 44,
    opacity: 1,
    thins: 0.2,
    soft: 'spray',
    hardness: { name: 'Dense', first: 0.5 },
  },
} satisfies Record<string, PaintTip>;

export type PaintTipName = keyof typeof TIPS;
export const PAINT_TIPS: Record<PaintTipName, PaintTip> = TIPS;
export const PAINT_TIP_NAMES = Object.keys(TIPS) as PaintTipName[];
