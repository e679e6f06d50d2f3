/** Words of a whole project: found, replaced, counted. */
import { escaped } from '@/core/text/escaped';
import { isWritten } from '@/core/piece/outline';
import type { Piece } from '@/core/piece/piece';
import { changePieces, together, type Edit } from '@/core/project/edits/edit';
import { writeAnew } from '@/core/project/edits/make';
import { writtenOn } from '@/core/project/needs';
import type { Project } from '@/core/project/model';
import { letterEnds } from '@/core/text/letters';
import { shortened } from '@/core/text/named';
import { writtenAnew } from '@/core/text/spans';
import type { Typesetter } from '@/core/text/typesetter';

export interface Wish {
  text: string;
  /** Capitals count. */
  exact: boolean;
  /** Only where no letter or digit stands beside it. */
  whole: boolean;
}

export interface Find {
  surfaceId: string;
  page: string;
  piece: Piece;
  /** Which of the piece's texts it is (`writtenOn`), the one of its outline first. */
  part: number;
  text: string;
  /** Where in the text, UTF-16 units. */
  start: number;
  end: number;
  /** Its page is locked, or it is. */
  locked: boolean;
  /** It stands in living words, or in what a calendar says: those change where they come from alone. */
  living: boolean;
  /** With the others of its text replaced there would be more letters than it takes. */
  full: boolean;
}

/** Letters that are typed one way and set another: they are found either way. */
const ALIKE: Record<string, string> = Object.fromEntries(
  ["'’", '"“”„', ' \u00a0\u202f', '-\u2010\u2011'].flatMap((all) => [...all].map((one) => [one, `[${all}]`])),
);

/** A letter as it is written in a pattern: as one, or with its marks apart (Unicode Standard Annex 15). */
const sought = (letter: string): string => {
  const apart = letter.normalize('NFD');
  return ALIKE[letter] ?? (apart === letter ? escaped(letter) : `(?:${letter}|${apart})`);
};

/** No letter is found without the marks it has. */
function pattern({ text, exact, whole }: Wish): RegExp {
  const letters = `${[...text.normalize('NFC')].map(sought).join('')}\\ufe0f?(?!\\p{M})`;
  return new RegExp(
    whole ? `(?<![\\p{L}\\p{M}\\p{N}])${letters}(?![\\p{L}\\p{M}\\p{N}])` : letters,
    exact ? 'gu' : 'giu',
  );
}

/** What stands among the texts of a piece for the figures its numbers are set from. */
const FIGURES = '0123456789';

/** Where words stand, page by page and from the bottom of each pile up; whether `by` finds room in their place. */
export function findWords({ surfaces }: Project, wish: Wish, by = ''): Find[] {
  if (!wish.text) return [];
  const wanted = pattern(wish);
  return surfaces.flatMap(({ id, name, pile, locked }) =>
    pile.flatMap((piece) =>
      writtenOn(piece).flatMap(({ text, letters: { spans = [] }, most }, part) => {
        if (most === undefined && text === FIGURES) return [];
        const finds = [...text.matchAll(wanted)].map((match) => {
          const [start, end] = [match.index, match.index + match[0].length];
          return {
            ...{ surfaceId: id, page: name, piece, part, text, start, end },
            locked: locked || piece.placement.locked,
            living:
              most === undefined || spans.some((span) => span.field && span.start < end && span.end > start),
          };
        });
        const more = finds
          .filter(({ living }) => !living)
          .reduce((sum, { start, end }) => sum + by.length - (end - start), 0);
        const full = more > 0 && text.length + more > (most ?? Infinity);
        return finds.map((find) => ({ ...find, full }));
      }),
    ),
  );
}

/** Whether it can be replaced. */
export const isFree = ({ locked, living, full }: Find): boolean => !locked && !living && !full;

/**
 * Puts other words in the place of all that are found; what is locked stays, and so does what lives, and a text that would
 * be longer than it may be. Boxes take the size their words want.
 */
export function replaceWords(project: Project, wish: Wish, by: string, typesetter: Typesetter): Edit {
  const wanted = pattern(wish);
  const free = findWords(project, wish, by).filter(isFree);
  const pieces = new Map(free.map(({ surfaceId, piece }) => [piece, surfaceId]));
  return together(
    `replace “${shortened(wish.text, 30)}” by “${shortened(by, 30)}”`,
    [...pieces].flatMap(([piece, surfaceId]) => {
      const edits: Edit[] = [];
      const { outline } = piece;
      if (isWritten(outline)) {
        const { text, spans = [] } = outline;
        const changes = free.flatMap((find) =>
          find.piece === piece && find.part === 0 ? [{ from: find.start, to: find.end, by }] : [],
        );
        const anew = writtenAnew(spans, text, changes);
        if (changes.length) edits.push(writeAnew(surfaceId, { ...piece, outline }, anew, typesetter));
      }
      edits.push(
        changePieces('', surfaceId, [piece.id], (draft) =>
          writtenOn(draft as Piece).forEach(({ text, set }, part) => {
            if (free.some((find) => find.piece === piece && find.part === part))
              set?.(text.replace(wanted, () => by));
          }),
        ),
      );
      return edits;
    }),
  );
}

let segmenter: Intl.Segmenter | undefined;

/** Words and letters as Unicode Standard Annex #29 tells them apart; spaces are no letters. */
export function countWords(text: string): { words: number; letters: number } {
  segmenter ??= new Intl.Segmenter(undefined, { granularity: 'word' });
  let words = 0;
  for (const { isWordLike } of segmenter.segment(text)) if (isWordLike) words++;
  return { words, letters: letterEnds(text.replace(/\s/g, '')).length };
}
