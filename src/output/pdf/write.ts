/** A Picture as PDF 1.7, or PDF/X-4 for a press: boxes for print shops, photos untouched, words as words, shadows as soft masks. */
import { PDFDocument, PDFName } from '@cantoo/pdf-lib';
import type { Size } from '@/core/geometry/box';
import { NO_SIDES, withBleed as beyond, type Sides } from '@/core/geometry/sides';
import { madeOf, type Picture } from '@/core/picture/picture';
import { registerMarks } from '@/core/cutter/register';
import { paperAround } from '@/output/crop-lines';
import type { SheetsMade } from '@/output/formats';
import type { Inks } from '@/core/press/inks';
import { inInks, inRgb } from '@/output/pdf/colours';
import { marksAt, n } from '@/output/pdf/crop-marks';
import { embeddedRgb, markForPress, type PressWish } from '@/output/pdf/press';
import { outline, rectangle } from '@/output/pdf/operators';
import { Pen, type PdfSource } from '@/output/pdf/pen';
import type { Tiling } from '@/core/packing/tiles';
import { tiledOn } from '@/output/pdf/tiles';
import { laidOnSheets } from '@/output/pdf/sheets';

export interface PdfOptions {
  withBleed: boolean;
  cropMarks: boolean;
  /** Squares by which a cutter finds its place. */
  squares?: boolean;
  made: Date;
  /** The pictures are pages, laid on sheets of paper. */
  sheets?: SheetsMade;
  /** Each page in parts on sheets of this paper. */
  tiled?: Tiling;
  /** For a press that prints under this condition (PDF/X-4); for anybody without. */
  press?: PressWish;
  /** All of it is named in its inks. */
  inks?: Inks;
}

/** One page for each picture, or for each side of a sheet; the file in parts that follow each other. */
export async function writePdf(
  pictures: readonly Picture[],
  title: string,
  { withBleed, cropMarks, squares = false, made, sheets, tiled, press, inks }: PdfOptions,
  source: PdfSource,
  progress: (share: number) => void = () => {},
): Promise<Uint8Array[]> {
  const document = await PDFDocument.create({ updateMetadata: false });
  document.setTitle(title, { showInWindowTitleBar: true });
  document.setCreator('Bellagraph');
  document.setProducer('Bellagraph');
  document.setCreationDate(made);
  const colours = inks ? inInks(inks) : inRgb(press && embeddedRgb(document));
  const pen = new Pen(document.context, source, colours);
  const done = (count: number) => progress(count / (pictures.length + 1));
  if (sheets)
    for (const { write, ...paper } of await laidOnSheets(pictures, sheets, cropMarks, pen, done)) {
      const draw = squares ? () => (write(), pen.write(squaresOn(paper.trim))) : write;
      await addPage(document, pen, paper, draw);
    }
  else if (tiled)
    for await (const { write, ...paper } of tiledOn(pictures, tiled, pen))
      await addPage(document, pen, paper, write);
  else
    for (const [i, picture] of pictures.entries()) {
      const bleed = withBleed ? picture.bleed : NO_SIDES;
      const marks = cropMarks ? marksOf(picture, bleed) : null;
      const { trim } = picture;
      await addPage(document, pen, { trim, bleed, marks }, async () => {
        await pen.picture(picture, madeOf(picture, withBleed));
        if (squares) pen.write(squaresOn(trim));
      });
      done(i + 1);
    }
  const beside = await pen.finish();
  if (press) markForPress(document, press, { title, made, id: await idOf(title, made) });
  return beside.partsOf(await document.save({ useObjectStreams: true }));
}

/** The same for the same page made at the same time: 32 hexadecimal digits. */
async function idOf(title: string, made: Date): Promise<string> {
  const bytes = new TextEncoder().encode(`${title} ${made.toISOString()}`);
  const hash = new Uint8Array(await crypto.subtle.digest('SHA-256', bytes));
  return [...hash.subarray(0, 16)].map((byte) => byte.toString(16).padStart(2, '0')).join('');
}

function marksOf({ trim, folds, paper, openings }: Picture, bleed: Sides): string {
  const cuts = [...(paper ? [paper] : []), ...(openings ?? [])];
  return [
    marksAt(trim, bleed, folds ?? []),
    ...cuts.map((cut) => `q 1 1 1 1 K 0.25 w ${outline(cut)} S Q`),
  ].join('\n');
}

/** In black alone. */
const squaresOn = (trim: Size): string => `q 0 0 0 1 k ${registerMarks(trim).map(rectangle).join(' ')} f Q`;

interface Paper {
  trim: Size;
  bleed: Sides;
  /** What is drawn beside it; null for nothing, and no room for it. */
  marks: string | null;
}

async function addPage(
  document: PDFDocument,
  pen: Pen,
  { trim: { width, height }, bleed, marks }: Paper,
  write: () => void | Promise<void>,
): Promise<void> {
  const bleedBox = beyond({ width, height, bleed });
  const paper = paperAround({ width, height }, bleed, marks !== null);
  const page = document.addPage([paper.width, paper.height]);
  // PDF counts from the paper's lower left corner upwards.
  const [x, y] = [-paper.x, paper.height + paper.y - height];
  page.setBleedBox(x - bleed.left, y - bleed.bottom, bleedBox.width, bleedBox.height);
  page.setTrimBox(x, y, width, height);
  pen.start();
  // From here on the origin is the trim's top left corner and y points down, as everywhere else.
  pen.write(`q 1 0 0 -1 ${n(x)} ${n(height + y)} cm`);
  await write();
  if (marks) pen.write(marks);
  pen.write('Q');
  const { content, resources } = pen.end();
  page.node.set(PDFName.of('Contents'), content);
  page.node.set(PDFName.of('Resources'), resources);
  // Colours blend as they are named, whatever the printer makes of them later.
  page.node.set(
    PDFName.of('Group'),
    document.context.obj({ Type: 'Group', S: 'Transparency', CS: pen.space }),
  );
}
