/** A mat as SVG 1.1 in true millimetres or inches: a group for the mat and its paper, within it one for each tool. */
import { asXml } from '@/core/text/writable';
import { fromPoints } from '@/core/units/lengths';
import { layersOf, STROKES, type CutSheet } from '@/output/cut/sheet';

/** Decimals of a coordinate: a thousandth of a millimetre, of an inch a ten-thousandth. */
const DECIMALS = { mm: 3, in: 4 };
/** How wide lines are drawn, in each unit. */
const HAIRLINE = { mm: 0.1, in: 0.004 };

export function writeCutSvg(sheet: CutSheet): string {
  const { title, size, unit, number: mat, paper, marks } = sheet;
  const say = (points: number): string => String(Number(fromPoints(points, unit).toFixed(DECIMALS[unit])));
  const path = ({ points, closed }: CutSheet['lines'][number]) =>
    `<path d="M${points.map(({ x, y }) => `${say(x)} ${say(y)}`).join('L')}${closed ? 'Z' : ''}"/>`;
  const [width, height] = [say(size.width), say(size.height)];
  return [
    `<?xml version="1.0" encoding="UTF-8"?>`,
    `<svg xmlns="http://www.w3.org/2000/svg" version="1.1" width="${width}${unit}" height="${height}${unit}" viewBox="0 0 ${width} ${height}">`,
    `<title>${asXml(title)}</title>`,
    `<g id="mat-${mat}" data-paper="${asXml(paper.name)}" data-colour="${paper.colour}" fill="none" stroke-width="${HAIRLINE[unit]}">`,
    `<title>${asXml(`Mat ${mat}: ${paper.name}`)}</title>`,
    ...(marks.length
      ? [
          `<g id="mat-${mat}-print" fill="#000000" stroke="none"><title>Printed, not cut</title>${marks
            .map(
              (box) =>
                `<rect x="${say(box.x)}" y="${say(box.y)}" width="${say(box.width)}" height="${say(box.height)}"/>`,
            )
            .join('')}</g>`,
        ]
      : []),
    ...layersOf(sheet).map(
      ({ id, doing, ink, lines }) =>
        `<g id="mat-${mat}-${id}" data-doing="${doing}" stroke="${ink ?? STROKES[doing]}">` +
        `<title>${doing}</title>\n${lines.map(path).join('\n')}\n</g>`,
    ),
    `</g>`,
    `</svg>`,
    '',
  ].join('\n');
}
