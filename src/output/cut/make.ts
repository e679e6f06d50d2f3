/** A mat to a finished file, a writer a line. The same in a browser's worker and in Node. */
import { writeDxf } from '@/output/cut/dxf';
import type { CutFormatName } from '@/output/cut/formats';
import { writeHpgl } from '@/output/cut/hpgl';
import { writeCutPdf } from '@/output/cut/pdf';
import type { CutSheet } from '@/output/cut/sheet';
import { writeCutSvg } from '@/output/cut/svg';

const WRITERS: Record<CutFormatName, (sheet: CutSheet) => string | Promise<Uint8Array>> = {
  svg: writeCutSvg,
  dxf: writeDxf,
  hpgl: writeHpgl,
  pdf: writeCutPdf,
};

export async function makeCut(sheet: CutSheet, format: CutFormatName): Promise<Uint8Array> {
  const made = await WRITERS[format](sheet);
  return typeof made === 'string' ? new TextEncoder().encode(made) : made;
}
