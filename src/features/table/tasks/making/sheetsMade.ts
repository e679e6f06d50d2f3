/** The sheets of paper that pages come out on, and what is said of them. */
import type { Size } from '@/core/geometry/box';
import { NO_SIDES, withBleed as beyond } from '@/core/geometry/sides';
import { bleedOf } from '@/core/page/draw';
import { packedSheets, planSheets, type Backs, type Plan } from '@/core/packing/sheets';
import { evenBleed, foldedSheets, imposed, placesOn, type Folding } from '@/core/product/imposition';
import { sheetIn } from '@/core/product/sheet';
import type { Project } from '@/core/project/model';
import { formatSize } from '@/core/units/lengths';
import type { Choice } from '@/features/table/tasks/making/choices';
import type { SheetsMade } from '@/output/formats';

/** Four sheets of four pages: what is usually sewn at home (common practice, no source). */
export const SIXTEEN: Required<Folding> = { folds: 1, nested: 4 };

export interface Sheets {
  made(withBleed: boolean): SheetsMade;
  /** One of them, points. */
  size(withBleed: boolean): Size;
  /** Up to its size, and after that. */
  says(size: Size): [before: string, after: string];
  /** Why nothing comes out. */
  none?: string;
}

/** How cards come onto paper: their backs, and whether a plan of the cuts comes with them. */
export interface PaperWishes extends Backs {
  plan: boolean;
}

/** Null where what is made does not lie on sheets. */
export function sheetsFor(
  project: Project,
  choice: Choice,
  folding: Required<Folding>,
  wishes: PaperWishes,
  plans: readonly Plan[],
): Sheets | null {
  if (choice.folded) return onFolded(project, choice, choice.folded, folding);
  return choice.packed ? onPaper(project, choice, wishes, plans) : null;
}

function onFolded(
  { unit }: Project,
  { taken }: Choice,
  { oneSignature, leaf }: NonNullable<Choice['folded']>,
  { folds, nested }: Required<Folding>,
): Sheets {
  const sides = imposed(taken.length, oneSignature ? { folds } : { folds, nested });
  const blank = sides.flatMap(({ cells }) => cells).filter(({ page }) => !page).length;
  const sheets = sides.length / 2;
  const signatures = oneSignature ? 1 : Math.ceil(sheets / nested);
  const { box } = taken[0]!.panel!;
  const bleedWith = (withBleed: boolean) => (withBleed ? evenBleed(taken.map(bleedOf)) : NO_SIDES);
  return {
    made(withBleed) {
      const bleed = bleedWith(withBleed);
      return { sheets: foldedSheets(sides, box, bleed, leaf), bleed };
    },
    size(withBleed) {
      const bleed = bleedWith(withBleed);
      return beyond({ ...placesOn(sides[0]!, box, bleed).trim, bleed });
    },
    says: ({ width, height }) => [
      [
        `${sheets} ${sheets === 1 ? 'sheet' : 'sheets'} in ${signatures === 1 ? 'one signature' : `${signatures} signatures`},`,
        `to be printed on both sides and flipped on the ${width > height ? 'short' : 'long'} edge.`,
        ...(blank ? [`${blank} ${blank === 1 ? 'page stays' : 'pages stay'} blank at the end.`] : []),
        `One file of ${sides.length} pages, each `,
      ].join(' '),
      `, for pages of ${formatSize(box, unit)}`,
    ],
  };
}

function onPaper(
  project: Project,
  { taken }: Choice,
  { plan, ...backs }: PaperWishes,
  plans: readonly Plan[],
): Sheets {
  const product = sheetIn(project.product)!;
  const parts = taken.map(({ surface }) => surface.part ?? '');
  const bleeds = taken.map(bleedOf);
  const sheetsWith = (withBleed: boolean) =>
    packedSheets(product, plans, parts, withBleed ? bleeds : null, backs);
  const { width, height } = product;
  const sides = sheetsWith(false).length + (plan ? plans.length : 0);
  const count = plans.reduce((sum, { laid }) => sum + laid.length, 0);
  const both = !product.stock && product.things.some(({ back, count }) => back && count > 0);
  return {
    made: (withBleed) => ({
      sheets: [...sheetsWith(withBleed), ...(plan ? planSheets(product, plans, taken.length + 1) : [])],
      bleed: withBleed ? evenBleed(bleeds) : NO_SIDES,
      ...(plan ? { plans: { paper: { width, height }, plans } } : {}),
    }),
    size: () => ({ width, height }),
    says: () => [
      [
        `${count} ${count === 1 ? 'card' : 'cards'} on ${plans.length} ${plans.length === 1 ? 'sheet' : 'sheets'} of paper${both ? ', printed on both sides' : ''}${plan ? ', with a plan of its cuts' : ''}.`,
        `${sides === 1 ? 'One page' : `One file of ${sides} pages`}, ${sides === 1 ? '' : 'each '}`,
      ].join(' '),
      ', to be printed at its true size, without fitting it to the paper',
    ],
    ...(count ? {} : { none: 'No card is wanted, or none fits the paper: say so in “Sheet and paper”.' }),
  };
}
