/** Colours that run into each other, as PDF knows them. */
import type { PDFContext, PDFRef } from '@cantoo/pdf-lib';
import { mixed } from '@/core/color/hex';
import type { Blended } from '@/core/picture/picture';
import type { Colours } from '@/output/pdf/colours';

/** An axial or radial shading (ISO 32000-1, 8.7.4.5.3 and 8.7.4.5.4), straight in sRGB from each colour to the next. */
export function embedShading(
  context: PDFContext,
  { colours: chosen, from, to, round }: Blended,
  { values, device, steps }: Colours,
): PDFRef {
  const colours = [
    chosen[0]!,
    ...chosen
      .slice(1)
      .flatMap((next, i) =>
        Array.from({ length: steps }, (_, step) => mixed(chosen[i]!, next, (step + 1) / steps)),
      ),
  ];
  const parts = colours.slice(1).map((next, i) => ({
    FunctionType: 2,
    Domain: [0, 1],
    C0: values(colours[i]!),
    C1: values(next),
    N: 1,
  }));
  return context.register(
    context.obj({
      ShadingType: round ? 3 : 2,
      ColorSpace: device,
      Coords: round
        ? [from.x, from.y, 0, from.x, from.y, Math.hypot(to.x - from.x, to.y - from.y)]
        : [from.x, from.y, to.x, to.y],
      Function: {
        FunctionType: 3,
        Domain: [0, 1],
        Functions: parts,
        Bounds: parts.slice(1).map((_, i) => (i + 1) / parts.length),
        Encode: parts.flatMap(() => [0, 1]),
      },
      Extend: [true, true],
    }),
  );
}
