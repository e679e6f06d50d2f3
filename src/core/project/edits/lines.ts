/** Edits of lines drawn by hand: drawn on a piece of their own, taken hold of again, and what runs along the edges of pieces. */
import type { Draft } from 'immer';
import type { Along } from '@/core/piece/finish/trails';
import type { Piece } from '@/core/piece/piece';
import { changePieces, naming, type Edit } from '@/core/project/edits/edit';
import { layPieces, removePieces } from '@/core/project/edits/pile';
import { linesPiece, relined, type DrawnPiece } from '@/core/project/lines';
import { erasing, trailKind } from '@/core/trail';
import type { Line } from '@/core/trail/line';

const change = (
  label: string,
  surfaceId: string,
  id: string,
  to: (lines: readonly Line[]) => Line[],
  merge?: string,
): Edit =>
  changePieces(
    label,
    surfaceId,
    [id],
    (draft) => {
      if (draft.outline.kind === 'lines') relined(draft, to(draft.outline.lines as Line[]));
    },
    merge,
  );

const verb = ({ trail }: Line): string =>
  erasing(trail) ? 'erase' : `draw ${trailKind(trail).name.toLowerCase()}`;

/** Begins a piece with a line, its points of the page. */
export const beginLines = (surfaceId: string, id: string, line: Line): Edit => ({
  ...layPieces(surfaceId, [linesPiece(id, [line])]),
  label: verb(line),
});

/** One line more on a piece that has some, its points of the piece's own plane. */
export const addLine = (surfaceId: string, id: string, line: Line): Edit =>
  change(verb(line), surfaceId, id, (lines) => [...lines, structuredClone(line)]);

/** Other ink, width, tip, smoothing of one line. */
export const changeLine = (
  surfaceId: string,
  piece: DrawnPiece,
  lineId: string,
  to: Partial<Pick<Line, 'smoothing' | 'trail'>>,
): Edit =>
  change(
    'change line',
    surfaceId,
    piece.id,
    (lines) => lines.map((line) => (line.id === lineId ? { ...line, ...structuredClone(to) } : line)),
    `line ${lineId} ${Object.keys(to).join()}`,
  );

/** Takes a line off its piece; with the last one goes the piece. */
export const removeLine = (surfaceId: string, piece: DrawnPiece, lineId: string): Edit => {
  const left = piece.outline.lines.filter(({ id }) => id !== lineId);
  const paints = left.some(({ trail }) => !erasing(trail));
  return paints
    ? change('take line away', surfaceId, piece.id, (lines) => lines.filter(({ id }) => id !== lineId))
    : { ...removePieces(surfaceId, [piece]), label: 'take line away' };
};

/** A line one step up or down among those of its piece. */
export const orderLine = (surfaceId: string, piece: DrawnPiece, lineId: string, by: 1 | -1): Edit =>
  change(by > 0 ? 'bring line up' : 'put line down', surfaceId, piece.id, (lines) => {
    const at = lines.findIndex(({ id }) => id === lineId);
    const next = [...lines];
    const to = at + by;
    if (at < 0 || to < 0 || to >= next.length) return next;
    [next[at], next[to]] = [next[to]!, next[at]!];
    return next;
  });

/** What runs along the edge of pieces, the lowest first; nothing for none. */
export const changeTrails = (surfaceId: string, pieces: readonly Piece[], trails: readonly Along[]): Edit =>
  changePieces(
    trails.length
      ? `change ${trailKind(trails.at(-1)!.trail).name.toLowerCase()} along ${naming(pieces)}`
      : `take off what runs along ${naming(pieces)}`,
    surfaceId,
    pieces.map(({ id }) => id),
    ({ finish }) => {
      if (trails.length) finish.trails = structuredClone([...trails]) as Draft<Along[]>;
      else delete finish.trails;
    },
    'trails',
  );
