/** The kinds of treatment, as they are listed. Adding one is adding a file and a line here. */
import { chalked, inked, worn } from '@/core/treatment/kinds/edges';
import { debossed, embossed } from '@/core/treatment/kinds/embossed';
import { enamel } from '@/core/treatment/kinds/enamel';
import { foil } from '@/core/treatment/kinds/foil';
import { glitter } from '@/core/treatment/kinds/glitter';
import { fabric, paperGrain } from '@/core/treatment/kinds/grain';
import { puffy } from '@/core/treatment/kinds/puffy';
import type { TreatmentKind } from '@/core/treatment/treatment';

export const TREATMENTS = {
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
