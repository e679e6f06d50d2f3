/** Written words drawn again only where they changed: while one types, most lines stay as they are. */
import { outset, overlaps, transformBox, unite, type Box } from '@/core/geometry/box';
import type { DrawnPiece, FillMark } from '@/core/picture/picture';
import type { GlyphRun, Typesetter } from '@/core/text/typesetter';

export interface Retouch {
  /** What must be cleared and drawn again, page points. */
  area: Box;
  /** The piece with those letters alone that reach into it. */
  drawn: DrawnPiece;
}

/** Letters that are all there is of a piece, upright. */
function lettersOf({
  marks,
  matrix,
  opacity,
  blend,
}: DrawnPiece): (FillMark & { words: readonly GlyphRun[] }) | null {
  const [mark] = marks;
  const upright = matrix[0] === 1 && matrix[1] === 0 && matrix[2] === 0 && matrix[3] === 1;
  return marks.length === 1 &&
    mark?.mark === 'fill' &&
    mark.words &&
    mark.bounds &&
    upright &&
    opacity === 1 &&
    !blend
    ? (mark as FillMark & { words: readonly GlyphRun[] })
    : null;
}

const NEAR = 1e-3;

/** What differs between two drawings of the same words; null if that cannot be told, or if nothing does. */
export function retouch(before: DrawnPiece, after: DrawnPiece, typesetter: Typesetter): Retouch | null {
  const [old, next] = [lettersOf(before), lettersOf(after)];
  if (!old || !next || old.colour !== next.colour) return null;
  const moved = { x: after.matrix[4] - before.matrix[4], y: after.matrix[5] - before.matrix[5] };
  const same = (a: GlyphRun | undefined, b: GlyphRun | undefined): boolean =>
    a !== undefined &&
    b !== undefined &&
    a.font === b.font &&
    a.size === b.size &&
    a.ink === b.ink &&
    a.glyphs.length === b.glyphs.length &&
    a.glyphs.every((glyph, i) => {
      const other = b.glyphs[i]!;
      return (
        glyph.id === other.id &&
        glyph.turn === other.turn &&
        Math.abs(glyph.x - other.x - moved.x) < NEAR &&
        Math.abs(glyph.y - other.y - moved.y) < NEAR
      );
    });
  const [a, b] = [old.words, next.words];
  let first = 0;
  while (first < Math.min(a.length, b.length) && same(a[first], b[first])) first++;
  let tail = 0;
  while (tail < Math.min(a.length, b.length) - first && same(a.at(-1 - tail), b.at(-1 - tail))) tail++;
  const changed = [
    ...(a.length > first + tail
      ? [transformBox(before.matrix, typesetter.bounds(a.slice(first, a.length - tail)))]
      : []),
    ...(b.length > first + tail
      ? [transformBox(after.matrix, typesetter.bounds(b.slice(first, b.length - tail)))]
      : []),
  ];
  if (!changed.length) return null;
  const area = outset(changed.reduce(unite), 1);
  const words = b.filter((run) => overlaps(area, transformBox(after.matrix, typesetter.bounds([run]))));
  return { area, drawn: { ...after, marks: [{ ...lazily(next), words }] } };
}

/** The mark without its path, which nobody asks for where letters are drawn one by one. */
const lazily = ({ colour, bounds }: FillMark): FillMark => ({ mark: 'fill', colour, bounds, path: [] });
