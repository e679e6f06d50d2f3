/** What can be made into a file of a project: the side that is shown, its panels, all there is, what is selected. */
import { madeAs, panelsOn, waysOut, type Product, type Taken } from '@/core/product';
import type { Form } from '@/core/product/product';
import type { Project, Surface } from '@/core/project/model';

export interface Choice {
  id: string;
  /** In the list. */
  says: string;
  /** As the end of “Make ...”. */
  title: string;
  taken: readonly Taken<Surface>[];
  /** Pieces by themselves. */
  only?: readonly string[];
}

export const THIS = 'this';
export const CHOSEN = 'chosen';
const allChoice = (form: Form): string => `all ${form}`;
/** All of a product, in the way that is its own. */
export const wholeChoice = (product: Product): string => allChoice(waysOut(product)[0]!.as[0]);
export const panelChoice = (name: string): string => `panel ${name}`;

export function choicesFor(project: Project, surface: Surface, selection: readonly string[]): Choice[] {
  const { name } = surface;
  const panels = panelsOn(project, surface);
  const chosen = selection.length === 1 ? 'The selected piece' : `The ${selection.length} selected pieces`;
  return [
    { id: THIS, says: name, title: name.toLowerCase(), taken: [{ surface }] },
    ...(panels.length > 1 ? panels : []).map((panel) => ({
      id: panelChoice(panel.name),
      says: `${panel.name} alone`,
      title: panel.name.toLowerCase(),
      taken: [{ surface, panel }],
    })),
    ...waysOut(project.product).flatMap(({ as: [form], name: many }) => {
      const taken = madeAs(project, form);
      if (taken.length < 2) return [];
      const all = `${taken.length === 2 ? 'both' : `all ${taken.length}`} ${many}`;
      const says = `${all[0]!.toUpperCase()}${all.slice(1)}`;
      return [{ id: allChoice(form), says, title: all, taken }];
    }),
    ...(selection.length
      ? [
          {
            ...{ id: CHOSEN, says: `${chosen} alone`, title: 'what is selected' },
            ...{ taken: [{ surface }], only: selection },
          },
        ]
      : []),
  ];
}
