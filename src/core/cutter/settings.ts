/** How the cutter is set: its mats and what it does. A thing of the machine, not of a project. */
import { boolean, number, object, string, type InferType } from 'yup';
import { toPoints } from '@/core/units/lengths';

const mm = (value: number) => toPoints(value, 'mm');

/** Cutting mats by their usual sizes (common practice, no source). */
export const MATS = {
  '12x12': { name: '12 x 12 in', width: 864, height: 864 },
  '12x24': { name: '12 x 24 in', width: 864, height: 1728 },
  a4: { name: 'A4', width: mm(210), height: mm(297) },
} as const;
export type MatName = keyof typeof MATS;

/** Each paper is cut on mats of its own; or what is printed is cut out all round. */
export const WAYS = ['papers', 'printed'] as const;
export const TURNINGS = ['none', 'quarter', 'any'] as const;
export type Turning = (typeof TURNINGS)[number];

const length = (least: number, most: number) => number().min(mm(least)).max(mm(most)).required();

export const cutterSchema = object({
  way: string()
    .oneOf([...WAYS])
    .required(),
  mat: string()
    .oneOf(Object.keys(MATS) as MatName[])
    .required(),
  /** Parts lie as closely as they can; as on their page without. */
  packed: boolean().required(),
  turning: string()
    .oneOf([...TURNINGS])
    .required(),
  /** Between two parts. */
  gap: length(0, 50),
  /** Along the mat's edges. */
  edge: length(0, 50),
  /** What is of one paper and touches becomes one. */
  join: boolean().required(),
  /** What lies hidden under other pieces is not cut, but for a margin. */
  hidden: boolean().required(),
  beneath: length(0, 50),
  /** How far from what is printed it is cut. */
  around: length(0, 25),
  /** How wide the bridges are that hold middles. */
  bridge: length(0.2, 12),
  /** A line that lies on another is cut once. */
  once: boolean().required(),
  /** How far a simplified line may be off. */
  tolerance: length(0.01, 0.5),
  /** How far a closed line goes on beyond its beginning. */
  overcut: length(0, 10),
  /** How far the tip of the blade trails behind the middle it turns about. */
  blade: length(0, 2),
}).noUnknown();
export type CutterSettings = InferType<typeof cutterSchema>;

export const FIRST_SETTINGS: CutterSettings = {
  way: 'papers',
  mat: '12x12',
  packed: true,
  turning: 'any',
  gap: mm(3),
  edge: mm(6),
  join: true,
  hidden: false,
  beneath: mm(3),
  around: mm(3),
  bridge: mm(1.5),
  once: true,
  tolerance: mm(0.05),
  overcut: 0,
  blade: 0,
};

/** Settings as they were kept; throws where they are not sound. */
export const readSettings = (kept: unknown): CutterSettings =>
  cutterSchema.validateSync(kept, { strict: true });
