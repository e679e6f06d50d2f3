/** Words that do not fit into their box, or along their outline. */
import { wordsOver } from '@/core/piece/outline/glyphs';
import { setRunning } from '@/core/piece/outline/running';
import { on, type Check } from '@/core/proof/check';

const counted = (count: number, what: string): string =>
  `${count} ${what}${count === 1 ? ' does' : 's do'} not fit.`;

export const OVER: Check = {
  id: 'over',
  look: ({ seen, typesetter }) =>
    seen.flatMap((piece) => {
      const { outline, placement } = piece;
      const words = outline.kind === 'glyphs' ? wordsOver(outline, placement, typesetter) : 0;
      const letters =
        outline.kind === 'running' && !outline.repeat ? setRunning(outline, placement, typesetter).over : 0;
      return [
        ...(words ? [on(piece, counted(words, 'word'))] : []),
        ...(letters ? [on(piece, counted(letters, 'letter'))] : []),
      ];
    }),
};
