/** The sheets of paper that pages come out on, and what is said of them. */
import type { Size } from '@/core/geometry/box';
import { NO_SIDES, withBleed as beyond } from '@/core/geometry/sides';
import { bleedOn, foldedOn, packedOn, type PaperWishes } from '@/core/packing/on-paper';
import { severalOn } from '@/core/packing/several';
import type { Plan } from '@/core/packing/sheets';
import type { Tiling } from '@/core/packing/tiles';
import { imposed, placesOn, type Folding } from '@/core/product/imposition';
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
  /** Pages come as they are: there is neither bleed nor a mark to be had. */
  plain?: true;
  /** Why nothing comes out. */
  none?: string;
}

/** Several pages on each sheet of the paper at hand. */
export function onSeveral({ unit }: Project, { taken }: Choice, count: number, tiling: Tiling): Sheets {
  const laid = severalOn(
    taken.map(({ surface, panel }) => panel?.box ?? surface),
    count,
    tiling,
  );
  const { sheets, scale } = laid.ok ? laid.value : { sheets: [], scale: 1 };
  const paper = sheets[0]?.trim ?? tiling.paper;
  return {
    plain: true,
    made: () => ({ sheets, bleed: NO_SIDES }),
    size: () => paper,
    says: () => [
      `${count} pages on a sheet, at ${Math.round(100 * scale)} % of their size: ${sheets.length} ${sheets.length === 1 ? 'sheet' : 'sheets'} of `,
      `, to be printed without scaling them once more; the largest page comes to ${formatSize(shrunk(taken, scale), unit)}`,
    ],
    ...(laid.ok ? {} : { none: laid.message }),
  };
}

const shrunk = (taken: Choice['taken'], scale: number): Size => ({
  width: scale * Math.max(...taken.map(({ surface, panel }) => (panel?.box ?? surface).width)),
  height: scale * Math.max(...taken.map(({ surface, panel }) => (panel?.box ?? surface).height)),
});

/** Null where what is made does not lie on sheets. */
export function sheetsFor(
  project: Project,
  choice: Choice,
  folding: Required<Folding>,
  wishes: PaperWishes,
  plans: readonly Plan[],
): Sheets | null {
  if (choice.folded) return onFolded(project, choice, choice.folded, folding, wishes);
  return choice.packed ? onPaper(project, choice, wishes, plans) : null;
}

function onFolded(
  { unit }: Project,
  { taken }: Choice,
  { oneSignature, leaf }: NonNullable<Choice['folded']>,
  { folds, nested }: Required<Folding>,
  { off }: PaperWishes,
): Sheets {
  const how = oneSignature ? { folds } : { folds, nested };
  const sides = imposed(taken.length, how);
  const blank = sides.flatMap(({ cells }) => cells).filter(({ page }) => !page).length;
  const sheets = sides.length / 2;
  const signatures = oneSignature ? 1 : Math.ceil(sheets / nested);
  const { box } = taken[0]!.panel!;
  return {
    made: (withBleed) => foldedOn(taken, how, leaf, withBleed, off),
    size(withBleed) {
      const bleed = bleedOn(taken, withBleed);
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

function onPaper(project: Project, { taken }: Choice, wishes: PaperWishes, plans: readonly Plan[]): Sheets {
  const product = sheetIn(project.product)!;
  const made = (withBleed: boolean) => packedOn(product, plans, taken, withBleed, wishes);
  const { width, height } = product;
  const sides = made(false).sheets.length;
  const count = plans.reduce((sum, { laid }) => sum + laid.length, 0);
  const both = !product.stock && product.things.some(({ back, count }) => back && count > 0);
  return {
    made,
    size: () => ({ width, height }),
    says: () => [
      [
        `${count} ${count === 1 ? 'card' : 'cards'} on ${plans.length} ${plans.length === 1 ? 'sheet' : 'sheets'} of paper${both ? ', printed on both sides' : ''}${wishes.plan ? ', with a plan of its cuts' : ''}.`,
        `${sides === 1 ? 'One page' : `One file of ${sides} pages`}, ${sides === 1 ? '' : 'each '}`,
      ].join(' '),
      ', to be printed at its true size, without fitting it to the paper',
    ],
    ...(count ? {} : { none: 'No card is wanted, or none fits the paper: say so in “Sheet and paper”.' }),
  };
}
