/** The sides a product has, with what lies on them as they begin. */
import { furnished } from '@/core/calendar/furnish';
import type { Product } from '@/core/product';
import type { Part } from '@/core/product/product';
import { newSurface, type Project, type Surface } from '@/core/project/model';

/** A side that comes by itself, as it begins. */
export function newSide(product: Product, part: Part, id: string, unit: Project['unit']): Surface {
  const surface = newSurface(id, part.name, part, unit);
  return { ...surface, part: part.part, pile: furnished(product, part, id) };
}

/** A project that was begun, with what lies on its sides from the first. */
export const begun = (project: Project): Project => ({
  ...project,
  surfaces: project.surfaces.map((surface) => {
    const { id, name, width, height, safe, part = 'page' } = surface;
    const pile = furnished(project.product, { part, name, width, height, safe }, id);
    return pile.length ? { ...surface, pile } : surface;
  }),
});
