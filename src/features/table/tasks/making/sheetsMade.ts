/** The sheets that pages come out on, and what is said of them. */
import type { Size } from '@/core/geometry/box';
import { NO_SIDES, withBleed as beyond } from '@/core/geometry/sides';
import { bleedOf } from '@/core/page/draw';
import { evenBleed, imposed, placesOn, type Folding } from '@/core/product/imposition';
import type { Choice } from '@/features/table/tasks/making/choices';
import type { SheetsMade } from '@/output/formats';

/** Four sheets of four pages: what is usually sewn at home (common practice, no source). */
export const SIXTEEN: Required<Folding> = { folds: 1, nested: 4 };

interface Sheets {
  made: SheetsMade;
  /** One of them, points. */
  size(withBleed: boolean): Size;
  says(size: Size): string;
}

/** Null where what is made is no pages on sheets. */
export function sheetsFor({ folded, taken }: Choice, { folds, nested }: Required<Folding>): Sheets | null {
  if (!folded) return null;
  const sides = imposed(taken.length, folded.oneSignature ? { folds } : { folds, nested });
  const blank = sides.flatMap(({ cells }) => cells).filter(({ page }) => !page).length;
  const sheets = sides.length / 2;
  const signatures = folded.oneSignature ? 1 : Math.ceil(sheets / nested);
  return {
    made: { sides, leaf: folded.leaf },
    size(withBleed) {
      const { box } = taken[0]!.panel!;
      const bleed = withBleed ? evenBleed(taken.map(bleedOf)) : NO_SIDES;
      return beyond({ ...placesOn(sides[0]!, box, bleed).trim, bleed });
    },
    says: ({ width, height }) =>
      [
        `${sheets} ${sheets === 1 ? 'sheet' : 'sheets'} in ${signatures === 1 ? 'one signature' : `${signatures} signatures`},`,
        `to be printed on both sides and flipped on the ${width > height ? 'short' : 'long'} edge.`,
        ...(blank ? [`${blank} ${blank === 1 ? 'page stays' : 'pages stay'} blank at the end.`] : []),
        `One file of ${sides.length} pages, each `,
      ].join(' '),
  };
}
