/** Everything that is measured of a page from a step back, a measure a line, in the order it is told. */
import { toolsFor } from '@/core/page/outlines';
import { surfaceOf, type Project } from '@/core/project/model';
import { CALM } from '@/core/proof/look-over/calm';
import { COUNTS } from '@/core/proof/look-over/counts';
import { EYE } from '@/core/proof/look-over/eye-goes';
import { eyeOn } from '@/core/proof/look-over/eye';
import { fieldOf } from '@/core/proof/look-over/field';
import { GROUPS } from '@/core/proof/look-over/groups';
import { LEADING } from '@/core/proof/look-over/leading';
import type { Found, Measure } from '@/core/proof/look-over/measure';
import { WEIGHT } from '@/core/proof/look-over/weight';
import type { PagePixels } from '@/core/proof/pale';
import type { Typesetter } from '@/core/text/typesetter';

const MEASURES: readonly Measure[] = [EYE, WEIGHT, CALM, COUNTS, GROUPS, LEADING];

export interface Measured extends Found {
  id: string;
  name: string;
}

/** @param pixels the page from above, trimmed */
export function lookedOver(
  project: Project,
  surfaceId: string,
  pixels: PagePixels,
  typesetter: Typesetter,
): Measured[] {
  const surface = surfaceOf(project, surfaceId);
  const field = fieldOf(pixels);
  const page = {
    ...{ project, surface, typesetter, field, eye: eyeOn(field) },
    seen: surface.pile.filter(({ placement }) => !placement.hidden),
    tools: toolsFor(project, typesetter),
  };
  return MEASURES.flatMap(({ id, name, look }) => {
    const found = look(page);
    return found ? [{ id, name, ...found }] : [];
  });
}
