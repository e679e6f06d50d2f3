/** Edits of the product itself: what is made with it, and the sides that come and go with that. */
import { extrasOf, sidesOf, withExtra, type Product } from '@/core/product';
import type { Edit } from '@/core/project/edits/edit';
import { newSurface, type Project } from '@/core/project/model';

/** The product with its settings changed: sides it has no more go with all that lies on them, new ones come empty. */
export const changeProduct = (product: Product, label: string): Edit => ({
  label,
  apply(project) {
    project.product = product;
    const sides = sidesOf(product);
    if (!sides) return;
    project.surfaces = sides.map(
      ({ part, name, ...size }) =>
        project.surfaces.find((surface) => surface.part === part) ?? {
          ...newSurface(`${project.id}-${part}`, name, size, project.unit),
          part,
        },
    );
  },
});

/** Makes something with the product, or no longer: an envelope that fits. */
export function makeExtra({ product }: Project, extra: string, on: boolean): Edit {
  const name = extrasOf(product).find(({ id }) => id === extra)?.name ?? extra;
  const what = name.charAt(0).toLowerCase() + name.slice(1);
  return changeProduct(withExtra(product, extra, on), `${on ? 'add' : 'take away'} ${what}`);
}
