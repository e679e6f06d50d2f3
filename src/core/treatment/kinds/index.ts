/** What a kind of treatment is, by its name. */
import { curled } from '@/core/treatment/kinds/curled';
import { TREATMENTS } from '@/core/treatment/kinds/list';
import type { TreatmentKind } from '@/core/treatment/treatment';

export type TreatmentName = keyof typeof TREATMENTS;
/** What a face may be painted as: treatments, and what comes with how a piece lies. */
export type PaintedName = TreatmentName | 'curled';
export const TREATMENT_NAMES = Object.keys(TREATMENTS) as TreatmentName[];
export const treatmentKind = (name: PaintedName): TreatmentKind =>
  name === 'curled' ? curled : TREATMENTS[name];
