/** What can be made into a file of a project: the side that is shown, its panels, all there is, what is selected. */
import { madeBy, panelsOn, waysOut, type Product, type Taken } from '@/core/product';
import type { FoldedWay } from '@/core/product/product';
import type { Project, Surface } from '@/core/project/model';

export interface Choice {
  id: string;
  /** In the list. */
  says: string;
  taken: readonly Taken<Surface>[];
  /** Pieces by themselves. */
  only?: readonly string[];
  /** Pages laid on the sheets they are folded from. */
  folded?: FoldedWay;
  /** Packed onto sheets of paper. */
  packed?: true;
}

export const THIS = 'this';
export const CHOSEN = 'chosen';
const allChoice = (way: string): string => `all ${way}`;
/** All of a product, in the way that is its own. */
export function wholeChoice(product: Product): string {
  const ways = waysOut(product);
  return allChoice((ways.find(({ packed }) => packed) ?? ways[0]!).name);
}
export const panelChoice = (name: string): string => `panel ${name}`;

export function choicesFor(project: Project, surface: Surface, selection: readonly string[]): Choice[] {
  const { name } = surface;
  const panels = panelsOn(project, surface);
  const chosen = selection.length === 1 ? 'The selected piece' : `The ${selection.length} selected pieces`;
  return [
    { id: THIS, says: name, taken: [{ surface }] },
    ...(panels.length > 1 ? panels : []).map((panel) => ({
      id: panelChoice(panel.name),
      says: `${panel.name} alone`,
      taken: [{ surface, panel }],
    })),
    ...waysOut(project.product).flatMap((way): Choice[] => {
      const taken = madeBy(project, way);
      const [first] = taken;
      const { folded, packed } = way;
      if (packed)
        return [
          {
            id: allChoice(way.name),
            says: 'All, packed on paper',
            taken,
            packed,
          },
        ];
      if (!first || (taken.length < 2 && (way.as.length > 0 || first.surface.id === surface.id))) return [];
      const all =
        taken.length < 2
          ? `the ${way.name}`
          : `${taken.length === 2 ? 'both' : `all ${taken.length}`} ${way.name}`;
      const says = `${all[0]!.toUpperCase()}${all.slice(1)}`;
      return [{ id: allChoice(way.name), says, taken, ...(folded ? { folded } : {}) }];
    }),
    ...(selection.length
      ? [
          {
            ...{ id: CHOSEN, says: `${chosen} alone` },
            ...{ taken: [{ surface }], only: selection },
          },
        ]
      : []),
  ];
}
