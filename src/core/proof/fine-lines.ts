/** Lines so fine that a press may lose them. */
import type { Piece } from '@/core/piece/piece';
import { on, type Check } from '@/core/proof/check';

/** Points: a hairline as print shops ask for it at least (common practice, no source). */
const LEAST = 0.25;

/** The finest line of a piece, points; null where it has none. */
function finest({ finish: { stroke }, outline }: Piece): number | null {
  const drawn =
    outline.kind === 'lines'
      ? outline.lines.flatMap(({ trail }) => ('width' in trail ? trail.width : []))
      : [];
  const all = [
    ...(stroke ? [stroke.width] : []),
    ...(outline.kind === 'running' && outline.line ? [outline.line.width] : []),
    ...drawn,
  ];
  return all.length ? Math.min(...all) : null;
}

export const FINE_LINES: Check = {
  id: 'fine lines',
  look: ({ seen }) =>
    seen.flatMap((piece) => {
      const width = finest(piece);
      return width !== null && width < LEAST
        ? [
            on(
              piece,
              `A line ${Number(width.toFixed(2))} pt wide may not print: make it ${LEAST} pt or more.`,
            ),
          ]
        : [];
    }),
};
