/** Copies of pieces with ids of their own; groups that are wholly among them are copied too. */
import type { Piece } from '@/core/piece/piece';
import type { CopiedPieces } from '@/core/project/edits/page';
import type { Surface } from '@/core/project/model';

/** All that lies on a page once more, locks kept. */
export function wholeCopy(surface: Surface, newId: () => string): Pick<Surface, 'pile' | 'groups'> {
  const { pieces, groups } = copiesOf(surface.pile, surface, newId);
  const locks = surface.pile.map(({ placement }) => placement.locked);
  const pile = pieces.map((piece, i): Piece => {
    const { shared, carried } = surface.pile[i]!;
    return {
      ...piece,
      ...(shared ? { shared } : {}),
      ...(carried ? { carried } : {}),
      placement: { ...piece.placement, locked: locks[i]! },
    };
  });
  return { pile, groups: [...groups] };
}

/** `by` is how far the copies lie to the right and below, points; copies are never locked. */
export function copiesOf(
  pieces: readonly Piece[],
  { groups, pile }: Pick<Surface, 'groups' | 'pile'>,
  newId: () => string,
  by: { x: number; y: number } = { x: 0, y: 0 },
): CopiedPieces {
  const chosen = new Set(pieces.map(({ id }) => id));
  const whole = groups.filter(({ id }) =>
    pile.every((piece) => !piece.groups?.includes(id) || chosen.has(piece.id)),
  );
  const ids = new Map(whole.map(({ id }) => [id, newId()]));
  const copied = new Map(pieces.map(({ id }) => [id, newId()]));
  return {
    pieces: pieces.map((piece): Piece => {
      // What is done to what it is a copy of is not done to it.
      const {
        groups: before,
        tucks: beneath,
        round: _,
        shared: __,
        carried: ___,
        ...bare
      } = structuredClone(piece);
      const { x, y } = bare.placement;
      const within = (before ?? []).flatMap((id) => ids.get(id) ?? []);
      return {
        ...bare,
        id: copied.get(piece.id)!,
        placement: { ...bare.placement, x: x + by.x, y: y + by.y, locked: false },
        ...(within.length ? { groups: within } : {}),
        // What was copied along is passed under as before; what was not, still lies there or is not missed.
        ...(beneath
          ? { tucks: beneath.map((tuck) => ({ ...tuck, under: copied.get(tuck.under) ?? tuck.under })) }
          : {}),
      };
    }),
    groups: whole.map((group) => ({ ...structuredClone(group), id: ids.get(group.id)! })),
  };
}
