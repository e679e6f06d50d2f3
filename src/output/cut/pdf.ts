/** A mat as a PDF page of its true size: lines in the colours of what is done along them. */
import { PDFDocument, rgb } from '@cantoo/pdf-lib';
import { rgbOf } from '@/core/color/hex';
import type { Doing } from '@/core/cutter/model';
import { layersOf, STROKES, type CutSheet } from '@/output/cut/sheet';

/** What is scored is drawn in dashes. */
const DASHES: Partial<Record<Doing, number[]>> = { score: [4, 3] };
const HAIRLINE = 0.4;

const ink = (hex: string) => {
  const [r, g, b] = rgbOf(hex);
  return rgb(r, g, b);
};

export async function writeCutPdf(sheet: CutSheet): Promise<Uint8Array> {
  const { title, size, marks } = sheet;
  const file = await PDFDocument.create();
  file.setTitle(title);
  file.setCreator('Bellagraph');
  file.setProducer('Bellagraph');
  const page = file.addPage([size.width, size.height]);
  for (const { x, y, width, height } of marks)
    page.drawRectangle({ x, y: size.height - y - height, width, height, color: rgb(0, 0, 0) });
  for (const { doing, ink: pen, lines } of layersOf(sheet))
    for (const { points, closed } of lines)
      page.drawSvgPath(
        `M${points.map(({ x, y }) => `${x.toFixed(3)} ${y.toFixed(3)}`).join('L')}${closed ? 'Z' : ''}`,
        {
          x: 0,
          y: size.height,
          borderColor: ink(pen ?? STROKES[doing]),
          borderWidth: HAIRLINE,
          ...(DASHES[doing] ? { borderDashArray: DASHES[doing] } : {}),
        },
      );
  return file.save();
}
