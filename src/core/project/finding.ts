/** Words of a whole project: found, replaced, counted. */
import { isWritten } from '@/core/piece/outline';
import type { Piece } from '@/core/piece/piece';
import { changePieces, together, type Edit } from '@/core/project/edits/edit';
import { writeAnew } from '@/core/project/edits/make';
import { writtenOn } from '@/core/project/needs';
import type { Project } from '@/core/project/model';
import { writtenAnew } from '@/core/text/spans';
import { MOST_LETTERS } from '@/core/text/style';
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
  text: string;
  /** Where in the text, UTF-16 units. */
  start: number;
  end: number;
  /** Its page is locked, or it is. */
  locked: boolean;
  /** It stands in living words, which change where they come from alone. */
  living: boolean;
}

const escaped = (text: string): string => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');

const pattern = ({ text, exact, whole }: Wish): RegExp =>
  new RegExp(
    whole ? `(?<![\\p{L}\\p{N}])${escaped(text)}(?![\\p{L}\\p{N}])` : escaped(text),
    exact ? 'gu' : 'giu',
  );

/** Where words stand, page by page and from the bottom of each pile up. */
export function findWords({ surfaces }: Project, wish: Wish): Find[] {
  if (!wish.text) return [];
  const sought = pattern(wish);
  return surfaces.flatMap(({ id, name, pile, locked }) =>
    pile.flatMap((piece) =>
      writtenOn(piece).flatMap(({ text, letters: { spans = [] } }) =>
        [...text.matchAll(sought)].map((match) => {
          const [start, end] = [match.index, match.index + match[0].length];
          return {
            ...{ surfaceId: id, page: name, piece, text, start, end },
            locked: locked || piece.placement.locked,
            living: spans.some((span) => span.field && span.start < end && span.end > start),
          };
        }),
      ),
    ),
  );
}

/** Puts other words in the place of all that are found; what is locked stays, and so does what lives. Boxes take the size their words want. */
export function replaceWords(project: Project, wish: Wish, by: string, typesetter: Typesetter): Edit {
  const sought = pattern(wish);
  const changed = (text: string) => text.replace(sought, () => by).slice(0, MOST_LETTERS);
  const free = findWords(project, wish).filter(({ locked, living }) => !locked && !living);
  const pieces = new Map(free.map(({ surfaceId, piece }) => [piece, surfaceId]));
  return together(
    `replace “${wish.text.slice(0, 30)}” by “${by.slice(0, 30)}”`,
    [...pieces].flatMap(([piece, surfaceId]) => {
      const edits: Edit[] = [];
      const { outline } = piece;
      if (isWritten(outline)) {
        const { text, spans = [] } = outline;
        const changes = free.flatMap((find) =>
          find.piece === piece && find.text === text ? [{ from: find.start, to: find.end, by }] : [],
        );
        const anew = writtenAnew(spans, text, changes);
        if (changes.length) edits.push(writeAnew(surfaceId, { ...piece, outline }, anew, typesetter));
      }
      edits.push(
        changePieces('', surfaceId, [piece.id], (draft) =>
          writtenOn(draft as Piece).forEach(({ text, set }) => set?.(changed(text))),
        ),
      );
      return edits;
    }),
  );
}

let segmenter: Intl.Segmenter | undefined;

/** Words as Unicode Standard Annex #29 tells them apart, and letters without spaces. */
export function countWords(text: string): { words: number; letters: number } {
  segmenter ??= new Intl.Segmenter(undefined, { granularity: 'word' });
  let words = 0;
  for (const { isWordLike } of segmenter.segment(text)) if (isWordLike) words++;
  return { words, letters: [...text.replace(/\s/g, '')].length };
}
