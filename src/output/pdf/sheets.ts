/** Pages laid on the sheets they are folded from: each page once as a form, shown where it lies. */
import type { PDFRef } from '@cantoo/pdf-lib';
import type { Size } from '@/core/geometry/box';
import { NO_SIDES, withBleed as beyond, type Sides } from '@/core/geometry/sides';
import type { Picture } from '@/core/picture/picture';
import { evenBleed, placesOn } from '@/core/product/imposition';
import type { SheetsMade } from '@/output/formats';
import { marksAlong } from '@/output/pdf/crop-marks';
import { cm, rectangle, type Pen } from '@/output/pdf/pen';

interface LaidSheet {
  trim: Size;
  bleed: Sides;
  marks: string;
  write: () => void;
}

/** The sides of all sheets. */
export async function laidOnSheets(
  pictures: readonly Picture[],
  { sides, leaf }: SheetsMade,
  withBleed: boolean,
  pen: Pen,
  done: (count: number) => void,
): Promise<LaidSheet[]> {
  const size = pictures[0]!.trim;
  const bleed = withBleed ? evenBleed(pictures.map((picture) => picture.bleed)) : NO_SIDES;
  const whole = beyond({ ...size, bleed });
  const forms: PDFRef[] = [];
  for (const [i, picture] of pictures.entries()) {
    forms.push(await pen.pictureApart(picture, whole));
    done(i + 1);
  }
  return sides.map(({ cells, ...side }) => {
    const { box, trim, cuts, folds } = placesOn(side, size, bleed);
    const write = () => {
      for (const cell of cells)
        if (cell.page) {
          const { x, y } = box(cell);
          const atLeft = cell.spine === 'left';
          // Nothing of it goes over the fold it is bound by.
          const seen = {
            ...whole,
            x: atLeft ? x : x - bleed.left,
            y: y - bleed.top,
            width: size.width + bleed.left,
          };
          // A leaf that lies within others stands out beyond them, and is trimmed there: it is moved to the fold by as much.
          const creep = cell.within * leaf * (atLeft ? -1 : 1);
          const map = cm(
            cell.turned
              ? [-1, 0, 0, -1, x + size.width + creep, y + size.height]
              : [1, 0, 0, 1, x + creep, y],
          );
          pen.write(`q ${rectangle(seen)} W n ${map} ${pen.show(forms[cell.page - 1]!)} Q`);
        }
    };
    return { trim, bleed, marks: marksAlong(trim, bleed, cuts, folds), write };
  });
}
