/** A drawing as SVG 1.1 marks, for files we write ourselves. */
import { pathData } from '@/core/geometry/path';
import type { Drawing, DrawingPart } from '@/core/drawing/drawing';

const number = (value: number): string => String(Math.round(value * 1e4) / 1e4);

/** The drawing's marks; `id` begins the names of parts that are painted more than once. */
export const drawingMarks = ({ parts }: Drawing, id: string): string =>
  parts.map((part, i) => partMarks(part, `${id}-${i}`)).join('');

function partMarks({ path, colour, ink, opacity, rule, line, at }: DrawingPart, id: string): string {
  const faded = opacity < 1 ? ` opacity="${number(opacity)}"` : '';
  const named = ink ? ` data-${line ? 'stroke' : 'fill'}-ink="${ink.replace(/[<>&"]/g, '')}"` : '';
  const paint = line
    ? `fill="none" stroke="${colour}" stroke-width="${number(line.width)}" stroke-linecap="${line.cap}" stroke-linejoin="${line.join}"`
    : `fill="${colour}"${rule === 'evenodd' ? ' fill-rule="evenodd"' : ''}`;
  const mark = (extra: string) => `<path${extra} d="${pathData(path)}" ${paint}${named}${faded}/>`;
  const moved = at.filter(({ x, y }) => x !== 0 || y !== 0);
  if (at.length === 1 && moved.length === 0) return mark('');
  const uses = at.map(({ x, y }) => `<use href="#${id}" x="${number(x)}" y="${number(y)}"/>`).join('');
  return `<defs>${mark(` id="${id}"`)}</defs>${uses}`;
}

/** The drawing as a file of its own, at its true size. */
export const writeDrawing = (drawing: Drawing): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="${number(drawing.width)}pt" height="${number(drawing.height)}pt" ` +
  `viewBox="0 0 ${number(drawing.width)} ${number(drawing.height)}">${drawingMarks(drawing, 'p')}</svg>\n`;
