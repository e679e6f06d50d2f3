/** Pieces held to a day: they lie in its box, and go along with it when the month is dated anew, moved or set otherwise. */
import { monthLength, nthWeekday, weekdayOn, type Day, type Weekday } from '@/core/dates/days';
import { transformBox, type Box } from '@/core/geometry/box';
import type { Point } from '@/core/geometry/matrix';
import { layMonth } from '@/core/piece/material/month/draw';
import type { MonthMaterial } from '@/core/piece/material/month/model';
import type { Held } from '@/core/piece/held';
import type { Piece } from '@/core/piece/piece';
import { placementMatrix, SMALLEST_PIECE } from '@/core/piece/placement/placement';
import type { Edit } from '@/core/project/edits/edit';
import type { Project, Surface } from '@/core/project/model';

type Month = Piece & { material: MonthMaterial };
const isMonth = (piece: Piece): piece is Month => piece.material.kind === 'month';

/** The days of a month piece with their boxes on the page. */
function boxesOf(piece: Month): (Day & { box: Box })[] {
  const map = placementMatrix(piece.placement);
  return layMonth(piece.material, piece.placement).days.flatMap(({ cell, box }) =>
    cell.of === 0 ? [{ year: cell.year, month: cell.month, day: cell.day, box: transformBox(map, box) }] : [],
  );
}

/** The months of a page that hold what lies on their days; where there is a week, a small month beside it does not. */
function holders(pile: readonly Piece[]): Month[] {
  const months = pile.filter(isMonth);
  const weeks = months.filter(({ material }) => material.week !== undefined);
  return weeks.length ? weeks : months;
}

const inside = ({ x, y, width, height }: Box, at: Point): boolean =>
  at.x >= x && at.x <= x + width && at.y >= y && at.y <= y + height;

/** The day that lies at a point of a page, of the topmost month there; null where none does. */
export function dayAt(
  { pile }: Pick<Surface, 'pile'>,
  at: Point,
): (Pick<Held, 'month' | 'box'> & { day: number; year: number }) | null {
  for (const piece of holders(pile).reverse()) {
    const found = boxesOf(piece).find(({ box }) => inside(box, at));
    if (found) return { ...found, ...(piece.material.perpetual ? { year: piece.material.year } : {}) };
  }
  return null;
}

/** The weekday a day of a month is, and which of them. */
export function nthOf(year: number, month: number, day: number): { nth: number; weekday: Weekday } {
  return { nth: Math.ceil(day / 7), weekday: weekdayOn({ year, month, day }) };
}

/** Which day of the month it is in a year. A fifth that a month lacks is its last; so is the 29th of February. */
function dayIn({ month, day, nth, weekday }: Held, year: number): number {
  if (nth !== undefined && weekday !== undefined)
    return (nthWeekday({ year, month }, nth, weekday) ?? nthWeekday({ year, month }, -1, weekday))!.day;
  return Math.min(day ?? 1, monthLength(year, month));
}

/** Where the box of a held piece's day lies now; null where its month is on no page with it. */
function boxNow(held: Held, { pile }: Surface): Box | null {
  for (const piece of holders(pile)) {
    const found = boxesOf(piece).find(
      ({ year, month, day }) => month === held.month && day === dayIn(held, year),
    );
    if (found) return found.box;
  }
  return null;
}

/** Where a held piece lies now: on its page, or on the nearest of those of weeks, where its day may go to another. */
function placeNow(
  held: Held,
  surface: Surface,
  surfaces: readonly Surface[],
): { on: Surface; box: Box } | null {
  const box = boxNow(held, surface);
  if (box) return { on: surface, box };
  if (!surface.pile.some((piece) => isMonth(piece) && piece.material.week !== undefined)) return null;
  const here = surfaces.indexOf(surface);
  const near = [...surfaces].sort(
    (a, b) => Math.abs(surfaces.indexOf(a) - here) - Math.abs(surfaces.indexOf(b) - here),
  );
  for (const on of near) {
    const there = on.locked ? null : boxNow(held, on);
    if (there) return { on, box: there };
  }
  return null;
}

/** A placement carried from one box to another: its place within it is kept, and its size where it fills it. */
function carried({ placement }: Piece, { box, fills }: Held, to: Box): Piece['placement'] {
  const [sx, sy] = [box.width ? to.width / box.width : 1, box.height ? to.height / box.height : 1];
  const { x, y, width, height } = placement;
  return {
    ...placement,
    x: to.x + (x - box.x) * sx,
    y: to.y + (y - box.y) * sy,
    ...(fills
      ? { width: Math.max(SMALLEST_PIECE, width * sx), height: Math.max(SMALLEST_PIECE, height * sy) }
      : {}),
  };
}

const near = (a: number, b: number) => Math.abs(a - b) < 1e-6;
const same = (a: Box, b: Box): boolean =>
  near(a.x, b.x) && near(a.y, b.y) && near(a.width, b.width) && near(a.height, b.height);

const known = new WeakMap<Surface, boolean>();
function holds(surface: Surface): boolean {
  let found = known.get(surface);
  if (found === undefined) known.set(surface, (found = surface.pile.some(({ held }) => held)));
  return found;
}

/** Puts all held pieces where their days are now; null where they lie there. */
export function keepHeld({ surfaces }: Project): Edit | null {
  const moves = surfaces.filter(holds).flatMap((surface) =>
    surface.pile.flatMap((piece) => {
      const now = piece.held && placeNow(piece.held, surface, surfaces);
      return now && (now.on !== surface || !same(now.box, piece.held!.box))
        ? [{ surface: surface.id, to: now.on.id, piece, box: now.box }]
        : [];
    }),
  );
  if (!moves.length) return null;
  return {
    label: 'move what is held to days',
    apply(draft) {
      for (const { surface, to, piece, box } of moves) {
        const page = draft.surfaces.find(({ id }) => id === surface)!;
        const at = page.pile.findIndex(({ id }) => id === piece.id);
        const found = page.pile[at]!;
        found.placement = carried(piece, piece.held!, box);
        found.held = { ...piece.held!, box };
        if (to === surface) continue;
        page.pile.splice(at, 1);
        const { groups: _, tucks: __, ...alone } = found;
        draft.surfaces.find(({ id }) => id === to)!.pile.push(alone);
      }
    },
  };
}
