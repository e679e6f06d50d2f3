/**
 * A mat as HP-GL: a plotter unit is 0.025 mm, y goes upwards (HP 7475A Graphics Plotter, Interfacing and Programming Manual,
 * 1983, from memory). Pen 1 cuts, pen 2 scores, the others draw, an ink each.
 */
import { fromPoints } from '@/core/units/lengths';
import { layersOf, type CutSheet } from '@/output/cut/sheet';

export const UNITS_PER_MM = 40;
/** The pens of what is cut and scored; drawing ones follow. */
export const PENS = { cut: 1, score: 2, draw: 3 };

export function writeHpgl(sheet: CutSheet): string {
  const at = ({ x, y }: { x: number; y: number }): string =>
    [x, sheet.size.height - y].map((value) => Math.round(fromPoints(value, 'mm') * UNITS_PER_MM)).join(',');
  let pen = PENS.draw;
  const written = layersOf(sheet).flatMap(({ doing, lines }) => [
    `SP${doing === 'draw' ? pen++ : PENS[doing]};`,
    ...lines.map(({ points, closed }) => {
      const [first, ...rest] = closed ? [...points, points[0]!] : points;
      return `PU${at(first!)};PD${rest.map(at).join(',')};`;
    }),
  ]);
  const field = at({ x: sheet.size.width, y: 0 });
  return [`IN;IP0,0,${field};PA;`, ...written, 'PU;SP0;', ''].join('\n');
}
