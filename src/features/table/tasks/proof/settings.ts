/** How pages are looked at before they are printed, kept in this browser. */
import { boolean, object, string, type InferType } from 'yup';
import { CONDITIONS, type ConditionId } from '@/core/press/conditions';
import { FIRST_HOW } from '@/core/press/press';

const schema = object({
  /** Printed under this condition; as on the screen where it is none. */
  condition: string()
    .oneOf([...CONDITIONS.map(({ id }) => id), 'none'] as (ConditionId | 'none')[])
    .required(),
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
