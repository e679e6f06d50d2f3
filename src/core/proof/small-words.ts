/** Letters too small to be read with ease, or for ink to keep open. */
import { isWritten } from '@/core/piece/outline';
import { on, type Check } from '@/core/proof/check';

/** Points. Common practice, no source: 6 pt is the least that is printed, and 8 what is comfortable. */
const LEAST = 6;

const inPoints = (size: number): string => `${Number(size.toFixed(1))} pt`;

export const SMALL_WORDS: Check = {
  id: 'small words',
  look: ({ seen }) =>
    seen.flatMap((piece) => {
      const { outline } = piece;
      if (!isWritten(outline) || !outline.text.trim()) return [];
      const { size } = outline;
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
