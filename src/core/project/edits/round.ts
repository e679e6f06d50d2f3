/** Edits of what goes round a folded paper. */
import { acrossFace, asOtherEnd } from '@/core/page/round';
import type { Matrix } from '@/core/geometry/matrix';
import { isWritten } from '@/core/piece/outline';
import type { Piece } from '@/core/piece/piece';
import { changePieces, naming, together, type Edit } from '@/core/project/edits/edit';
import { surfaceOf, type Project, type Surface } from '@/core/project/model';
import { otherFace } from '@/core/product';

/** Lays a piece across all of a face and, with `other`, behind it too, kept in step by the id `round`. */
export const goRound = (
  surface: Surface,
  piece: Piece,
  other: { surface: Surface; through: Matrix; id: string; round: string } | null,
): Edit => ({
  label: `lay ${naming([piece])} ${other ? 'all the way round' : 'across'}`,
  apply(project) {
    const placement = acrossFace(piece.placement, surface);
    const across: Piece = { ...piece, placement, ...(other ? { round: other.round } : {}) };
    const { pile } = surfaceOf(project, surface.id);
    const at = pile.findIndex(({ id }) => id === piece.id);
    if (at < 0) return;
    pile[at] = structuredClone(across);
    if (other)
      surfaceOf(project, other.surface.id).pile.push(
        structuredClone(asOtherEnd(across, { id: other.id }, other.through)),
      );
  },
});

/** Both ends of what goes round are pieces of their own from now on. */
export const letGo = (surfaces: readonly Surface[], round: string): Edit => ({
  label: 'let the other end go',
  apply(project) {
    for (const { id, pile } of surfaces)
      changePieces(
        '',
        id,
        pile.flatMap((piece) => (piece.round === round ? [piece.id] : [])),
        (draft) => {
          delete draft.round;
        },
      ).apply(project);
  },
});

interface Held {
  surface: Surface;
  piece: Piece;
}

/** The ends there are of each thing that goes round, by its id, in the order of the sides. */
function endsIn({ surfaces }: Pick<Project, 'surfaces'>): Map<string, Held[]> {
  const found = new Map<string, Held[]>();
  for (const surface of surfaces)
    for (const piece of roundOn(surface)) {
      const held = found.get(piece.round!);
      if (held) held.push({ surface, piece });
      else found.set(piece.round!, [{ surface, piece }]);
    }
  return found;
}

const known = new WeakMap<Surface, Piece[]>();
function roundOn(surface: Surface): Piece[] {
  let found = known.get(surface);
  if (!found) known.set(surface, (found = surface.pile.filter(({ round }) => round !== undefined)));
  return found;
}

/** Changes a piece of a surface, or takes it away for null. */
const put = ({ surface, piece }: Held, next: Piece | null): Edit => ({
  label: '',
  apply(project) {
    const of = surfaceOf(project, surface.id);
    of.pile = of.pile.flatMap((one) =>
      one.id !== piece.id ? [one] : next ? [structuredClone(next) as typeof one] : [],
    );
  },
});

/**
 * What must follow an edit, so that the two ends of what goes round stay in step: what was done to one is done to the
 * other, and what lost its other end goes with it or, if it is a copy, is let go. Null if all are in step.
 */
export function keepInStep(before: Project, after: Project): Edit | null {
  if (after.surfaces.every((surface) => !roundOn(surface).length)) return null;
  const was = endsIn(before);
  const edits = [...endsIn(after)].flatMap(([id, ends]): Edit[] => {
    const [first, second, ...more] = ends;
    const loose = [...more, ...(second?.surface === first!.surface ? [second!] : [])].map((end) =>
      put(end, freed(end.piece)),
    );
    if (!second || second.surface === first!.surface) {
      const lost = was.get(id);
      // Its other end was taken away just now: this one goes, too.
      return lost && lost.length > 1 && !loose.length
        ? [put(first!, null)]
        : [...loose, put(first!, freed(first!.piece))];
    }
    const other = otherFace(after, first!.surface);
    // Words say what is true on their own side: they cannot be the same on both.
    if (other?.surface.id !== second.surface.id || isWritten(first!.piece.outline))
      return [...loose, ...[first!, second].map((end) => put(end, freed(end.piece)))];
    const same = (end: Held) => was.get(id)?.some(({ piece }) => piece === end.piece);
    const [led, follows] = same(first!) && !same(second) ? [second, first!] : [first!, second];
    if (same(first!) && same(second)) return loose;
    return [...loose, put(follows, asOtherEnd(led.piece, follows.piece, other.through))];
  });
  return edits.length ? together('keep both ends in step', edits) : null;
}

const freed = ({ round: _, ...piece }: Piece): Piece => piece;
