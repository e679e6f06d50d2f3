/** Letters too small to be read with ease, or for ink to keep open. */
import { isWritten } from '@/core/piece/outline';
import { on, type Check } from '@/core/proof/check';
import type { Span } from '@/core/text/style';

/** Points. Common practice, no source: 6 pt is the least that is printed, and 8 what is comfortable. */
const LEAST = 6;

const inPoints = (size: number): string => `${Number(size.toFixed(1))} pt`;

/** How much larger or smaller than the rest its stretches are written, the rest among them if it is written at all. */
function scalesIn({ text, spans = [] }: { text: string; spans?: readonly Span[] }): number[] {
  const own = spans.filter(({ start, end, scale }) => scale !== undefined && text.slice(start, end).trim());
  const rest = own.reduceRight((left, { start, end }) => left.slice(0, start) + left.slice(end), text);
  return [...(rest.trim() ? [1] : []), ...own.map(({ scale }) => scale!)];
}

export const SMALL_WORDS: Check = {
  id: 'small words',
  look: ({ seen }) =>
    seen.flatMap((piece) => {
      const { outline } = piece;
      if (!isWritten(outline) || !outline.text.trim()) return [];
      const size = outline.size * Math.min(...scalesIn(outline));
      return size < LEAST
        ? [
            on(
              piece,
              `Letters of ${inPoints(size)} are hard to read, and fill with ink: ${LEAST} pt is the least.`,
            ),
          ]
        : [];
    }),
};
