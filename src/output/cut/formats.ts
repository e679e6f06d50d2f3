/** The files a cutter takes. Making one is a writer more in `make.ts`. */
export interface CutFormat {
  name: string;
  ending: string;
  use: string;
}

export const CUT_FORMATS = {
  svg: { name: 'SVG', ending: 'svg', use: 'most cutters at home, at true size' },
  dxf: { name: 'DXF', ending: 'dxf', use: 'cutters and drawing programs, in millimetres' },
  hpgl: { name: 'HPGL', ending: 'plt', use: 'plotters that cut' },
  pdf: { name: 'PDF', ending: 'pdf', use: 'to print the lines and cut by hand' },
} satisfies Record<string, CutFormat>;
export type CutFormatName = keyof typeof CUT_FORMATS;
export const isCutFormat = (name: string): name is CutFormatName => Object.hasOwn(CUT_FORMATS, name);

/** Files that a simulated cutter reads: those that hold lines and nothing else. */
export const TRIED_FORMATS = ['svg', 'dxf', 'hpgl'] as const satisfies readonly CutFormatName[];
