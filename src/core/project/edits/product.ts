/** Edits of the product itself: what is made with it, and the sides that come and go with that. */
import { extrasOf, sidesOf, withExtra, type Product } from '@/core/product';
import type { Edit } from '@/core/project/edits/edit';
import type { Project } from '@/core/project/model';
import { newSide } from '@/core/project/sides';

/** The product with its settings changed: sides it has no more go with all that lies on them, new ones come empty. */
export const changeProduct = (product: Product, label: string): Edit => ({
  label,
  apply(project) {
    const before = sidesOf(project.product as Product) ?? [];
    project.product = product;
    const sides = sidesOf(product);
    if (!sides) return;
    project.surfaces = sides.map((side) => {
      const { part, name } = side;
      const there = project.surfaces.find((surface) => surface.part === part);
      if (!there) return newSide(product, side, `${project.id}-${part}`, project.unit);
      // What a person called it stays.
      if (there.name === before.find((each) => each.part === part)?.name) there.name = name;
      return there;
    });
  },
});

/** Makes something with the product, or no longer: an envelope that fits. */
export function makeExtra({ product }: Project, extra: string, on: boolean): Edit {
  const name = extrasOf(product).find(({ id }) => id === extra)?.name ?? extra;
  const what = name.charAt(0).toLowerCase() + name.slice(1);
  return changeProduct(withExtra(product, extra, on), `${on ? 'add' : 'take away'} ${what}`);
}
