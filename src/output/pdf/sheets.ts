/** Pages laid on sheets of paper: each page once as a form, shown where it lies. */
import type { PDFRef } from '@cantoo/pdf-lib';
import type { Size } from '@/core/geometry/box';
import { withBleed as beyond, type Sides } from '@/core/geometry/sides';
import type { Picture } from '@/core/picture/picture';
import type { SheetsMade } from '@/output/formats';
import { marksAlong, ticked } from '@/output/pdf/crop-marks';
import { cm, rectangle } from '@/output/pdf/operators';
import type { Pen } from '@/output/pdf/pen';

interface LaidSheet {
  trim: Size;
  bleed: Sides;
  /** Beside it; null where they lie within it. */
  marks: string | null;
  write: () => void;
}

/** The sides of all sheets. */
export async function laidOnSheets(
  pictures: readonly Picture[],
  { sheets, bleed }: SheetsMade,
  cropMarks: boolean,
  pen: Pen,
  done: (count: number) => void,
): Promise<LaidSheet[]> {
  const forms: PDFRef[] = [];
  for (const [i, picture] of pictures.entries()) {
    forms.push(await pen.pictureApart(picture, beyond({ ...picture.trim, bleed })));
    done(i + 1);
  }
  return sheets.map(({ trim, bleed, placed, cuts, folds, ticks }) => ({
    ...{ trim, bleed },
    marks: cropMarks && !ticks ? marksAlong(trim, bleed, cuts, folds) : null,
    write() {
      for (const { page, map, seen } of placed)
        pen.write(`q ${rectangle(seen)} W n ${cm(map)} ${pen.show(forms[page - 1]!)} Q`);
      if (cropMarks && ticks?.length) pen.write(ticked(ticks));
    },
  }));
}
