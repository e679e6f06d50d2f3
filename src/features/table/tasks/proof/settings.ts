/** How pages are looked at before they are printed, kept in this browser. */
import { boolean, object, string, type InferType } from 'yup';
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
}).noUnknown();

export type ProofSettings = InferType<typeof schema>;
export const FIRST_SETTINGS: ProofSettings = {
  ...FIRST_HOW,
  ...{ condition: 'coated', marked: false, trueSize: false },
};
export const readProofSettings = (kept: unknown): ProofSettings =>
  schema.validateSync(kept, { strict: true });
