/** The kinds of treatment, as they are listed. */
import { chalked, inked, worn } from '@/core/treatment/kinds/edges';
import { curled } from '@/core/treatment/kinds/curled';
import { debossed, embossed } from '@/core/treatment/kinds/embossed';
import { enamel } from '@/core/treatment/kinds/enamel';
import { foil } from '@/core/treatment/kinds/foil';
import { glitter } from '@/core/treatment/kinds/glitter';
import { fabric, paperGrain } from '@/core/treatment/kinds/grain';
import { puffy } from '@/core/treatment/kinds/puffy';
import type { TreatmentKind } from '@/core/treatment/treatment';

const TREATMENTS = {
  embossed,
  debossed,
  enamel,
  puffy,
  foil,
  glitter,
  inked,
  chalked,
  worn,
  grain: paperGrain,
  fabric,
} as const satisfies Record<string, TreatmentKind>;

/** What a face may be painted as: treatments, and what comes with how a piece lies. */
const PAINTED = { ...TREATMENTS, curled };

export type TreatmentName = keyof typeof TREATMENTS;
export type PaintedName = keyof typeof PAINTED;
export const TREATMENT_NAMES = Object.keys(TREATMENTS) as TreatmentName[];
export const treatmentKind = (name: PaintedName): TreatmentKind => PAINTED[name];
