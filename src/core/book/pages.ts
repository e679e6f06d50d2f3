/** Single pages of a book in each other's place: what lies on them changes sides, what lies over both stays. */
import type { Draft } from 'immer';
import type { Box } from '@/core/geometry/box';
import type { Piece } from '@/core/piece/piece';
import { extentOf } from '@/core/piece/placement/placement';
import { panelsOn } from '@/core/product';
import { isSpread } from '@/core/product/book';
import type { Edit } from '@/core/project/edits/edit';
import { surfaceOf, type Project, type Surface } from '@/core/project/model';
import { fail, ok, type Result } from '@/core/result';

/** A page of a spread: the left one, or the right one. */
export interface PageAt {
  surface: string;
  side: 'left' | 'right';
}

/** How far a piece may reach over the fold and still be of one page, points: as far as a bleed. */
const OVER = 9;
/** What is so wide, as a share of a page or of the spread, is its ground. */
const GROUND = 0.9;

interface Parted {
  box: Box;
  name: string;
  /** Bottom first. */
  own: Piece[];
  /** A piece that belongs to neither page. */
  across: Piece | null;
}

function parted(project: Project, { surface: id, side }: PageAt): Parted {
  const surface = surfaceOf(project, id);
  const [left, right] = panelsOn(project, surface);
  const { box, name } = (side === 'left' ? left : right)!;
  const fold = right!.box.x;
  const own: Piece[] = [];
  let across: Piece | null = null;
  for (const piece of surface.pile) {
    if (piece.shared) continue;
    const { x, width } = extentOf(piece.placement);
    if (width >= GROUND * surface.width) continue;
    if (x < fold - OVER && x + width > fold + OVER) across ??= piece;
    else if (piece.placement.x < fold === (side === 'left')) own.push(piece);
  }
  return { box, name, own, across };
}

/** Swaps what lies on two pages of spreads, on the same spread or not; refused in words where something lies over both pages. */
export function swapPages(project: Project, a: PageAt, b: PageAt): Result<Edit> {
  const ends = [a, b].map((at) => ({ at, surface: surfaceOf(project, at.surface) }));
  for (const { surface } of ends) {
    if (!isSpread(surface.part ?? ''))
      return fail(`${surface.name} stands alone: it has no place to change.`);
    if (surface.locked) return fail(`${surface.name} is locked: it stays as it is.`);
  }
  const [from, to] = [parted(project, a), parted(project, b)];
  for (const [i, { across }] of [from, to].entries())
    if (across)
      return fail(
        `“${across.name || across.role}” lies over the middle of ${ends[i]!.surface.name}: these pages go together only.`,
      );
  if ([from, to].some(({ own }, i) => isTorn(own, ends[i]!.surface)))
    return fail('A group lies on more than one of these pages: take it apart, or move it, first.');
  const turned = a.side !== b.side;
  return ok({
    label: `swap ${from.name.toLowerCase()} and ${to.name.toLowerCase().replace('page ', '')}`,
    apply(draft) {
      const coming = { a: moved(to, from.box, turned), b: moved(from, to.box, turned) };
      if (a.surface === b.surface) {
        const pile = surfaceOf(draft, a.surface);
        replace(pile, [
          [from.own, coming.a],
          [to.own, coming.b],
        ]);
      } else {
        const [one, other] = [surfaceOf(draft, a.surface), surfaceOf(draft, b.surface)];
        replace(one, [[from.own, coming.a]]);
        replace(other, [[to.own, coming.b]]);
        const [going, back] = [groupsOf(one, from), groupsOf(other, to)];
        one.groups = [...one.groups.filter((group) => !going.includes(group)), ...back];
        other.groups = [...other.groups.filter((group) => !back.includes(group)), ...going];
      }
    },
  });
}

/** Whether some of these are in a group with pieces that are not. */
const isTorn = (own: readonly Piece[], { pile }: Surface): boolean => {
  const groups = new Set(own.flatMap((piece) => piece.groups ?? []));
  return pile.some((piece) => !own.includes(piece) && piece.groups?.some((group) => groups.has(group)));
};

/** What the groups of a page are called, and how they hang together. */
function groupsOf({ groups }: Draft<Surface>, { own }: Parted): Draft<Surface>['groups'] {
  const ids = new Set(own.flatMap((piece) => piece.groups ?? []));
  return groups.filter(({ id }) => ids.has(id));
}

/** Pieces of a page as they lie on another. What is a page's ground keeps its distance from the outer edge. */
const moved = ({ own, box }: Parted, there: Box, turned: boolean): Piece[] =>
  own.map((piece) => {
    const from = box.x + box.width / 2;
    const by = piece.placement.x - from;
    const ground = extentOf(piece.placement).width >= GROUND * box.width;
    const x = there.x + there.width / 2 + (turned && ground ? -by : by);
    return {
      ...structuredClone(piece),
      placement: { ...piece.placement, x, y: piece.placement.y + there.y - box.y },
    };
  });

/** Each lot of pieces gives its place in the pile to another. */
function replace(
  surface: Draft<Surface>,
  lots: readonly (readonly [readonly Piece[], readonly Piece[]])[],
): void {
  const pile: Piece[] = [];
  const lotOf = new Map(lots.flatMap((lot) => lot[0].map((piece) => [piece.id, lot] as const)));
  const laid = new Set<unknown>();
  for (const piece of surface.pile as Piece[]) {
    const lot = lotOf.get(piece.id);
    if (!lot) pile.push(piece);
    else if (!laid.has(lot)) pile.push(...lot[1]);
    if (lot) laid.add(lot);
  }
  // Where nothing lay, it comes on top.
  for (const lot of lots) if (!laid.has(lot)) pile.push(...lot[1]);
  const ids = new Set(pile.map(({ id }) => id));
  surface.pile = pile.map((piece) => {
    const tucks = piece.tucks?.filter(({ under }) => ids.has(under));
    if (!piece.tucks || tucks!.length === piece.tucks.length) return piece;
    const { tucks: _, ...bare } = piece;
    return tucks!.length ? { ...bare, tucks: tucks! } : bare;
  }) as Draft<Piece>[];
}
