/** What lies on every page: one thing, the same wherever it lies, until it is let go on a page. */
import type { Piece } from '@/core/piece/piece';
import { changePieces, naming, type Edit } from '@/core/project/edits/edit';
import { surfaceOf, type Project, type Surface } from '@/core/project/model';
import { offsetOn } from '@/core/product';

type Pages = Pick<Project, 'product' | 'surfaces'>;

/** Where a piece of one page lies on another, points to the right; null where it does not lie on that at all. */
function moved(project: Pages, piece: Piece, from: Surface, to: Surface): number | null {
  const [a, b] = [offsetOn(project, from), offsetOn(project, to)];
  if (a === null || b === null) return null;
  const x = piece.placement.x + a - b;
  return x >= 0 && x <= to.width && Math.abs(from.height - to.height) < 0.01 ? a - b : null;
}

/** Pages on which a piece would lie, but its own. Locked ones are left as they are. */
export const pagesFor = (project: Pages, piece: Piece, from: Surface): Surface[] =>
  project.surfaces.filter(
    (surface) => surface.id !== from.id && !surface.locked && moved(project, piece, from, surface) !== null,
  );

const copyFor = (piece: Piece, dx: number, id: string): Piece => {
  const { groups: _, tucks: __, round: ___, held: ____, carried: _____, ...bare } = structuredClone(piece);
  return { ...bare, id, placement: { ...bare.placement, x: bare.placement.x + dx } };
};

/** Lays pieces on every page where they find their place, kept alike from then on: what is done to one is done to all. */
export const layOnEvery = (
  surface: Surface,
  pieces: readonly Piece[],
  project: Pages,
  newId: () => string,
): Edit => {
  const named = pieces.map((piece) => ({ piece, shared: piece.shared ?? newId() }));
  const copies = named.flatMap(({ piece, shared }) =>
    pagesFor(project, piece, surface)
      .filter(({ pile }) => !pile.some((one) => one.shared === shared))
      .map((to) => ({
        to: to.id,
        copy: copyFor({ ...piece, shared }, moved(project, piece, surface, to)!, newId()),
      })),
  );
  return {
    label: `lay ${naming(pieces)} on every page`,
    apply(draft) {
      for (const { piece, shared } of named) {
        const own = surfaceOf(draft, surface.id).pile.find(({ id }) => id === piece.id);
        if (own) own.shared = shared;
      }
      for (const { to, copy } of copies) surfaceOf(draft, to).pile.push(structuredClone(copy) as never);
    },
  };
};

/** Lets pieces go on one page: there they are pieces of their own from now on. */
export const letGoHere = (surfaceId: string, pieces: readonly Piece[]): Edit =>
  changePieces(
    `let ${naming(pieces)} go on this page`,
    surfaceId,
    pieces.map(({ id }) => id),
    (draft) => {
      delete draft.shared;
    },
  );

/** Takes them from every page that is not locked. */
export const takeFromEvery = (pieces: readonly Piece[]): Edit => {
  const going = new Set(pieces.flatMap(({ shared }) => shared ?? []));
  return {
    label: `take ${naming(pieces)} from every page`,
    apply({ surfaces }) {
      for (const surface of surfaces)
        if (!surface.locked)
          surface.pile = surface.pile.filter(({ shared }) => !shared || !going.has(shared));
    },
  };
};

const known = new WeakMap<Surface, ReadonlyMap<string, Piece>>();
/** The shared pieces of a page, by what they share. */
function sharedOn(surface: Surface): ReadonlyMap<string, Piece> {
  let found = known.get(surface);
  if (!found) {
    found = new Map(surface.pile.flatMap((piece) => (piece.shared ? [[piece.shared, piece] as const] : [])));
    known.set(surface, found);
  }
  return found;
}

/**
 * What must follow an edit: a shared piece that was changed is changed on all other pages, and lies on pages that are new. One
 * that was taken away on a page is gone there alone. Null if all are alike.
 */
export function keepShared(before: Project, after: Project): Edit | null {
  if (after.surfaces.every((surface) => !sharedOn(surface).size)) return null;
  const was = new Map(before.surfaces.map((surface) => [surface.id, surface]));
  const led = new Map<string, { piece: Piece; surface: Surface }>();
  for (const surface of after.surfaces) {
    const old = was.get(surface.id);
    if (old === surface || !old) continue;
    for (const [shared, piece] of sharedOn(surface)) {
      const now = sharedOn(old).get(shared);
      if (now && now !== piece && !led.has(shared)) led.set(shared, { piece, surface });
    }
  }
  const changes: { to: string; id: string; next: Piece }[] = [];
  const fresh: { to: string; copy: Piece }[] = [];
  for (const surface of after.surfaces) {
    if (surface.locked) continue;
    const own = sharedOn(surface);
    for (const [shared, { piece, surface: from }] of led) {
      const there = own.get(shared);
      const dx = moved(after, piece, from, surface);
      if (!there || there === piece || dx === null) continue;
      const { groups, tucks } = there;
      const next = {
        ...copyFor(piece, dx, there.id),
        ...(groups ? { groups } : {}),
        ...(tucks ? { tucks } : {}),
      };
      if (JSON.stringify(next) !== JSON.stringify(there))
        changes.push({ to: surface.id, id: there.id, next });
    }
    if (was.has(surface.id)) continue;
    for (const other of after.surfaces) {
      if (!was.has(other.id)) continue;
      for (const [shared, piece] of sharedOn(other)) {
        const dx = moved(after, piece, other, surface);
        if (
          dx === null ||
          own.has(shared) ||
          fresh.some(({ to, copy }) => to === surface.id && copy.shared === shared)
        )
          continue;
        fresh.push({ to: surface.id, copy: copyFor(piece, dx, `${surface.id}-${piece.id}`.slice(-80)) });
      }
    }
  }
  if (!changes.length && !fresh.length) return null;
  return {
    label: 'keep what lies on every page alike',
    apply(project) {
      for (const { to, id, next } of changes) {
        const { pile } = surfaceOf(project, to);
        const at = pile.findIndex((piece) => piece.id === id);
        if (at >= 0) pile[at] = structuredClone(next) as never;
      }
      for (const { to, copy } of fresh) surfaceOf(project, to).pile.push(structuredClone(copy) as never);
    },
  };
}
