/** How pages are looked at before they are printed, kept in this browser. */
import { boolean, number, object, string, type InferType } from 'yup';
import { FIRST_HOW } from '@/core/press/press';

const schema = object({
  /** Printed under this condition, by its id; as on the screen where it is `none`, or one that the project has not. */
  condition: string().min(1).max(80).required(),
  intent: string()
    .oneOf(['relative', 'perceptual'] as const)
    .required(),
  blackPoint: boolean().required(),
  paper: boolean().required(),
  marked: boolean().required(),
  trueSize: boolean().required(),
  /** The most ink on one spot the shop takes, all four together, percent; without, what the condition bears. */
  mostInk: number().integer().min(150).max(400).nullable().optional(),
}).noUnknown();

export type ProofSettings = InferType<typeof schema>;
export const FIRST_SETTINGS: ProofSettings = {
  ...FIRST_HOW,
  ...{ condition: 'coated', marked: false, trueSize: false },
};
/** What shops ask for, from newsprint to heavy art paper (common practice, no source). */
export const INK_LIMITS = [220, 240, 260, 280, 300, 320, 340, 360] as const;
export const readProofSettings = (kept: unknown): ProofSettings =>
  schema.validateSync(kept, { strict: true });
