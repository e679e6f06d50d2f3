/** Where living words stand in a project, and the edit that makes them say what is true now. */
import type { Field } from '@/core/living/field';
import { fieldSays, type Where } from '@/core/living/fields';
import { isWritten } from '@/core/piece/outline';
import { keptOnOneLine } from '@/core/piece/outline/glyphs';
import type { WrittenOutline } from '@/core/piece/outline/written';
import type { Piece } from '@/core/piece/piece';
import { together, type Edit } from '@/core/project/edits/edit';
import { rewritten, writeAnew } from '@/core/project/edits/make';
import type { Project, Surface } from '@/core/project/model';
import { tidy } from '@/core/text/spans';
import type { Span } from '@/core/text/style';
import type { Typesetter } from '@/core/text/typesetter';

type Words = Piece & { outline: WrittenOutline };

const known = new WeakMap<Surface, Words[]>();

/** The pieces of a surface on which living words stand. */
function livingOn(surface: Surface): Words[] {
  let found = known.get(surface);
  if (!found) {
    found = surface.pile.filter(
      (piece): piece is Words =>
        isWritten(piece.outline) && Boolean(piece.outline.spans?.some(({ field }) => field)),
    );
    known.set(surface, found);
  }
  return found;
}

/** Words with every field saying what it says here; null where all do. What can say nothing any more stays as plain words. */
export function saidAnew(
  { text, spans = [] }: { text: string; spans?: readonly Span[] },
  where: Where,
): { text: string; spans: Span[] } | null {
  let changed = false;
  let next = '';
  let from = 0;
  const moved = spans.map(({ start, end, field, ...own }): Span => {
    next += text.slice(from, start);
    const before = text.slice(start, end);
    const now = field ? fieldSays(where, field) : before;
    changed ||= now !== before;
    const at = next.length;
    next += now ?? before;
    from = end;
    return { ...own, start: at, end: next.length, ...(field && now !== null ? { field } : {}) };
  });
  return changed ? { text: next + text.slice(from), spans: tidy(moved) } : null;
}

/** Which of how many of their series words are, as pages are read: from page to page, on one from left to right. */
function countedIn({ surfaces }: Pick<Project, 'surfaces'>): Map<Words, { at: number; of: number }> {
  const series = new Map<string, Words[]>();
  for (const surface of surfaces)
    for (const piece of [...livingOn(surface)].sort((a, b) => a.placement.x - b.placement.x)) {
      const of = piece.outline.spans?.find(({ field }) => field?.kind === 'count')?.field?.of;
      if (of !== undefined) series.set(of, [...(series.get(of) ?? []), piece]);
    }
  return new Map(
    [...series.values()].flatMap((all) =>
      all.map((piece, i) => [piece, { at: i + 1, of: all.length }] as const),
    ),
  );
}

/** A title that stood on one line stays on it, in smaller letters where it is longer now. */
function sayIn(surfaceId: string, piece: Words, to: { text: string; spans: Span[] }, typesetter: Typesetter) {
  const { outline, placement } = piece;
  const kept =
    outline.kind === 'glyphs' &&
    keptOnOneLine(outline, rewritten(outline, to), placement, [typesetter, typesetter]);
  return writeAnew(surfaceId, piece, { ...to, ...kept }, typesetter);
}

/** Makes all living words say what is true now, their boxes as large as they want; null if they do. */
export function sayAnew(project: Project, typesetter: Typesetter): Edit | null {
  const counted = countedIn(project);
  const edits = project.surfaces.flatMap((surface, index) =>
    livingOn(surface).flatMap((piece) => {
      const to = saidAnew(piece.outline, {
        ...{ project, index, x: piece.placement.x },
        ...(counted.has(piece) ? { counted: counted.get(piece)! } : {}),
      });
      return to ? [sayIn(surface.id, piece, to, typesetter)] : [];
    }),
  );
  return edits.length ? together('say living words anew', edits) : null;
}

export interface Living {
  surfaceId: string;
  page: string;
  pieceId: string;
  field: Field;
  start: number;
  end: number;
}

/** Every place where living words stand, page by page. */
export const livingIn = ({ surfaces }: Pick<Project, 'surfaces'>): Living[] =>
  surfaces.flatMap((surface) =>
    livingOn(surface).flatMap(({ id, outline }) =>
      (outline.spans ?? []).flatMap(({ field, start, end }) =>
        field ? [{ surfaceId: surface.id, page: surface.name, pieceId: id, field, start, end }] : [],
      ),
    ),
  );
