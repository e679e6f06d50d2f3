/** The files a cutter takes, a line each. */
import { writeDxf } from '@/output/cut/dxf';
import { writeHpgl } from '@/output/cut/hpgl';
import { writeCutPdf } from '@/output/cut/pdf';
import type { CutSheet } from '@/output/cut/sheet';
import { writeCutSvg } from '@/output/cut/svg';

export interface CutFormat {
  name: string;
  ending: string;
  use: string;
  write(sheet: CutSheet): Uint8Array | Promise<Uint8Array>;
}

const text = (write: (sheet: CutSheet) => string) => (sheet: CutSheet) =>
  new TextEncoder().encode(write(sheet));

export const CUT_FORMATS = {
  svg: { name: 'SVG', ending: 'svg', use: 'Most cutters at home, at true size', write: text(writeCutSvg) },
  dxf: {
    name: 'DXF',
    ending: 'dxf',
    use: 'Cutters and drawing programs, in millimetres',
    write: text(writeDxf),
  },
  hpgl: { name: 'HPGL', ending: 'plt', use: 'Plotters that cut', write: text(writeHpgl) },
  pdf: {
    name: 'PDF',
    ending: 'pdf',
    use: 'To print the lines at true size and cut by hand',
    write: writeCutPdf,
  },
} satisfies Record<string, CutFormat>;
export type CutFormatName = keyof typeof CUT_FORMATS;
export const isCutFormat = (name: string): name is CutFormatName => Object.hasOwn(CUT_FORMATS, name);
