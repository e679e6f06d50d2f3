/** Edits of the product itself: what is made with it, and the sides that come and go with that. */
import { boundOn, datedSays, extrasOf, panelsOn, sidesOf, withExtra, type Product } from '@/core/product';
import { furnished } from '@/core/calendar/furnish';
import type { Part } from '@/core/product/product';
import type { Edit } from '@/core/project/edits/edit';
import { refit } from '@/core/project/edits/refit';
import { bleedWith, LONGEST_TITLE, safeWith, type Project, type Surface } from '@/core/project/model';
import { newSide } from '@/core/project/sides';
import { shortened } from '@/core/text/named';

/** The product with its settings changed: sides it has no more go with all that lies on them, new ones come empty. */
export const changeProduct = (product: Product, label: string): Edit => ({
  label,
  apply(project) {
    const before = sidesOf(project.product as Product) ?? [];
    const known = project.product as Product;
    project.product = product;
    project.title = retitled(project.title, known, product);
    const sides = sidesOf(product);
    if (!sides) return;
    project.surfaces = sides.map((side) => {
      const { part, name } = side;
      const there = project.surfaces.find((surface) => surface.part === part);
      if (!there) return newSide(product, side, `${project.id}-${part}`, project.unit);
      const was = before.find((each) => each.part === part);
      // What a person called it stays.
      if (!was || there.name === was.name) there.name = name;
      if (there.width !== side.width || there.height !== side.height)
        refit(
          there as Surface,
          panelsOn({ product: known }, there as Surface),
          panelsOn({ product }, { id: there.id, ...side }),
          side,
        );
      if (!same(was?.bleed, side.bleed)) there.bleed = bleedWith(side.bleed, project.unit);
      if (!same(room(known, was ?? side), room(product, side)))
        makeRoom(there as Surface, [known, product], [was ?? side, side], project.unit);
      return there;
    });
  },
});

/** A title that says what the product was of says what it is of now. */
function retitled(title: string, before: Product, after: Product): string {
  const [was, is] = [datedSays(before), datedSays(after)];
  return was && is ? shortened(title.replace(was, is), LONGEST_TITLE) : title;
}

/** Where a side must keep more or less free, what lies there as it began lies as it now would begin. */
function makeRoom(
  surface: Surface,
  [before, after]: readonly [Product, Product],
  [was, is]: readonly [Part, Part],
  unit: Project['unit'],
): void {
  const [usual, asked] = [safeWith(was.safe, unit), safeWith(is.safe, unit)];
  for (const edge of ['top', 'right', 'bottom', 'left'] as const) {
    const own = surface.safe[edge];
    if (Math.abs(own - usual[edge]) < 1e-6 || own < asked[edge]) surface.safe[edge] = asked[edge];
  }
  const now = new Map(furnished(after, is, surface.id).map((piece) => [piece.id, piece]));
  for (const { id, placement, outline } of furnished(before, was, surface.id)) {
    const piece = surface.pile.find((each) => each.id === id);
    const to = now.get(id);
    if (!piece || !to || !same(piece.placement, placement)) continue;
    piece.placement = to.placement;
    if (same(piece.outline, outline)) piece.outline = to.outline;
  }
}

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);
const room = (product: Product, side: Part) => boundOn({ product }, side).map(({ box }) => box);

/** Makes something with the product, or no longer: an envelope that fits. */
export function makeExtra({ product }: Project, extra: string, on: boolean): Edit {
  const name = extrasOf(product).find(({ id }) => id === extra)?.name ?? extra;
  const what = name.charAt(0).toLowerCase() + name.slice(1);
  return changeProduct(withExtra(product, extra, on), `${on ? 'add' : 'take away'} ${what}`);
}
