/** The sheets of paper that small things come out on: where each lies, front and back, and how they are cut apart. */
import { outset, overlaps, transformBox, type Box, type Size } from '@/core/geometry/box';
import {
  apply,
  compose,
  IDENTITY,
  linear,
  translation,
  type Matrix,
  type Point,
} from '@/core/geometry/matrix';
import { NO_SIDES, withBleed, type Sides } from '@/core/geometry/sides';
import { cutsOf, NEAR, type Cut } from '@/core/packing/cuts';
import { pack, type Laid } from '@/core/packing/pack';
import type { Line, Placed, PrintSheet } from '@/core/product/imposition';
import { backOf, printable, type Pinned, type SheetProduct, type Thing } from '@/core/product/sheet';

/** How paper is turned over to be printed on its other side: like a page of a book, or over its head. */
export type TurnedOver = 'sideways' | 'over';

/** How backs come onto the paper: the way it is turned, and how far they are off then, points, as seen from the front. */
export interface Backs {
  over: TurnedOver;
  off?: Point;
}

export interface Plan {
  /** Which sheet it is: one on which nothing lies is none. */
  sheet: number;
  /** On the paper, points. */
  laid: Laid[];
  /** Null where no cut right through spares them all. */
  cuts: Cut[] | null;
}

export interface Plans {
  /** What they are plans of. */
  of: SheetProduct;
  plans: Plan[];
  /** Parts that are larger than what can be printed on. */
  tooLarge: string[];
  /** Copies that were left out: no more are packed at once. */
  left: number;
  /** Copies that were laid by hand where they cannot lie any more: they are packed with the others. */
  loose: number;
}

/** What lies on which sheet of paper. */
export function plansOf(product: SheetProduct): Plans {
  const { width, height, lost, gap, straight, things } = product;
  const { fixed, used, loose } = pinnedOn(product);
  const { sheets, tooLarge, left } = pack(
    things.map(({ part, upright, count, ...thing }) => ({
      ...thing,
      ...{ id: part, turns: !upright, count: count - (used.get(part) ?? 0) },
    })),
    { area: printable(product), gap, straight },
    fixed,
  );
  const plans = sheets.map((sheet, i): Plan => {
    const laid = sheet.map((each) => ({ ...each, x: each.x + lost.left, y: each.y + lost.top }));
    return { sheet: i, laid, cuts: cutsOf({ x: 0, y: 0, width, height }, laid) };
  });
  return { of: product, plans: plans.filter(({ laid }) => laid.length), tooLarge, left, loose };
}

/** The copies that lie where they were laid, sheet by sheet: those that are wanted, on the paper, and over no other. */
function pinnedOn(product: SheetProduct): { fixed: Laid[][]; used: Map<string, number>; loose: number } {
  const { things, pinned = [], lost, gap } = product;
  const room = printable(product);
  const fixed: Laid[][] = [];
  const used = new Map<string, number>();
  let loose = 0;
  pinned.forEach(({ part, sheet, x, y, turned = false }, pin) => {
    const thing = things.find((each) => each.part === part);
    const already = used.get(part) ?? 0;
    if (!thing || already >= thing.count) return;
    const [width, height] = turned ? [thing.height, thing.width] : [thing.width, thing.height];
    const laid = { id: part, turned, pin, x: x - lost.left, y: y - lost.top, width, height };
    if (!fits(laid, room, fixed[sheet] ?? [], gap)) return void (loose += 1);
    while (fixed.length <= sheet) fixed.push([]);
    fixed[sheet]!.push(laid);
    used.set(part, already + 1);
  });
  return { fixed, used, loose };
}

/** Whether something lies within what can be printed on, and so far from all others. */
const fits = (box: Box, room: Size, others: readonly Box[], gap: number): boolean =>
  box.x >= -NEAR &&
  box.y >= -NEAR &&
  box.x + box.width <= room.width + NEAR &&
  box.y + box.height <= room.height + NEAR &&
  !others.some((other) => overlaps(outset(other, gap - 2 * NEAR), box));

/** Whether a copy may be pinned there: on the paper, and over none that is pinned. */
export function mayLie(product: SheetProduct, at: Pinned, but: number | undefined): boolean {
  const thing = product.things.find(({ part }) => part === at.part);
  if (!thing) return false;
  const { pinned = [], lost, gap } = product;
  const boxOf = ({ part, x, y, turned }: Pinned): Box[] => {
    const { width, height } = product.things.find((each) => each.part === part) ?? thing;
    const size = turned ? { width: height, height: width } : { width, height };
    return [{ x: x - lost.left, y: y - lost.top, ...size }];
  };
  const others = pinned.filter((each, i) => i !== but && each.sheet === at.sheet).flatMap(boxOf);
  return fits(boxOf(at)[0]!, printable(product), others, gap);
}

/**
 * The sides of all sheets, each front before its back where anything has one. Page k is the k-th of `parts`.
 *
 * @param bleeds what is printed of each part beyond its trim, where there is room; without, nothing is
 */
export function packedSheets(
  product: SheetProduct,
  plans: readonly Plan[],
  parts: readonly string[],
  bleeds: readonly Sides[] | null,
  { over, off = { x: 0, y: 0 } }: Backs,
): PrintSheet[] {
  const { width, height, things } = product;
  const known = new Map(things.map((thing) => [thing.part, thing]));
  const backs = !product.stock && plans.some(({ laid }) => laid.some(({ id }) => known.get(id)?.back));
  const trim = { width, height };
  const bare = { trim, bleed: NO_SIDES, cuts: { x: [], y: [] }, folds: { x: [], y: [] } };
  const turned: Matrix = over === 'sideways' ? [-1, 0, 0, 1, width, 0] : [1, 0, 0, -1, 0, height];
  // What comes out so far off is laid as far the other way.
  const back = apply(linear(turned), { x: -off.x, y: -off.y });
  const behind = compose(translation(back.x, back.y), turned);
  return plans.flatMap(({ laid }): PrintSheet[] => {
    const seen = laid.map((each, i) => {
      const bleed = bleeds?.[parts.indexOf(each.id)] ?? NO_SIDES;
      return grownTo(
        each,
        laid.filter((_, k) => k !== i),
        turnedSides(bleed, each.turned),
        product,
      );
    });
    const ticks = ticksAbout(laid, seen, product);
    // What is printed beyond a card may reach over the corner of one that lies aslant of it: that one is laid again, upon it.
    const again = laid.filter((each, i) =>
      seen.some((box, k) => k !== i && overlaps(box, outset(each, -NEAR))),
    );
    const all = [
      ...laid.map((each, i) => ({ each, box: seen[i]! })),
      ...again.map((each) => ({ each, box: boxOf(each) })),
    ];
    const front = all.map(({ each, box }): Placed => ({
      page: 1 + parts.indexOf(each.id),
      map: mapOf(each),
      seen: box,
    }));
    const reverse = all.flatMap(({ each, box }): Placed[] => {
      const thing = known.get(each.id)!;
      if (!thing.back) return [];
      return [
        {
          page: 1 + parts.indexOf(backOf(each.id)),
          map: compose(behind, mapOf(each), mirroredIn(thing)),
          seen: transformBox(behind, box),
        },
      ];
    });
    const other = ticks.map(([x1, y1, x2, y2]): Line => {
      const [from, to] = [apply(behind, { x: x1, y: y1 }), apply(behind, { x: x2, y: y2 })];
      return [from.x, from.y, to.x, to.y];
    });
    return [
      { ...bare, placed: front, ticks },
      ...(backs ? [{ ...bare, placed: reverse, ticks: other }] : []),
    ];
  });
}

const boxOf = ({ x, y, width, height }: Box): Box => ({ x, y, width, height });

/** From a thing to where it lies: turned, its head is at the right. */
const mapOf = ({ x, y, width, turned }: Laid): Matrix =>
  turned ? [0, 1, -1, 0, x + width, y] : [1, 0, 0, 1, x, y];

/** A back is read when the card is turned over like a page. */
const mirroredIn = ({ width }: Thing): Matrix => [-1, 0, 0, 1, width, 0];

/** Sides of what lies turned, as they lie on the paper. */
const turnedSides = ({ top, right, bottom, left }: Sides, turned: boolean): Sides =>
  turned ? { top: left, right: top, bottom: right, left: bottom } : { top, right, bottom, left };

/** A box with its bleed: half of the way to what lies beside it at the most, and no farther than is printed. */
function grownTo(box: Box, others: readonly Box[], bleed: Sides, product: SheetProduct): Box {
  const { lost, width, height } = product;
  const [right, bottom] = [box.x + box.width, box.y + box.height];
  const beside = others.filter((each) => each.y < bottom && box.y < each.y + each.height);
  const above = others.filter((each) => each.x < right && box.x < each.x + each.width);
  const room = (gaps: number[], edge: number, wanted: number) =>
    Math.max(0, Math.min(wanted, edge, ...gaps.filter((gap) => gap >= -NEAR).map((gap) => gap / 2)));
  const by = {
    left: room(
      beside.map((each) => box.x - each.x - each.width),
      box.x - lost.left,
      bleed.left,
    ),
    right: room(
      beside.map((each) => each.x - right),
      width - lost.right - right,
      bleed.right,
    ),
    top: room(
      above.map((each) => box.y - each.y - each.height),
      box.y - lost.top,
      bleed.top,
    ),
    bottom: room(
      above.map((each) => each.y - bottom),
      height - lost.bottom - bottom,
      bleed.bottom,
    ),
  };
  const grown = withBleed({ ...box, bleed: by });
  return { ...grown, x: box.x + grown.x, y: box.y + grown.y };
}

/** How long a tick is, how far from what is printed it begins, and the least that is worth drawing; points. */
const [TICK, OFF, LEAST] = [12, 2, 3];

/** Ticks at all corners that point along the cuts, where nothing is printed; once where two would be the same. */
function ticksAbout(laid: readonly Box[], seen: readonly Box[], product: SheetProduct): Line[] {
  const { lost, width, height } = product;
  const [most, low] = [width - lost.right, height - lost.bottom];
  const free = ([x1, y1, x2, y2]: Line): boolean => {
    const line = {
      x: Math.min(x1, x2) - NEAR,
      y: Math.min(y1, y2) - NEAR,
      width: Math.abs(x2 - x1) + 2 * NEAR,
      height: Math.abs(y2 - y1) + 2 * NEAR,
    };
    return !seen.some((box) => overlaps(line, box));
  };
  const found = new Map<string, Line>();
  const add = (line: Line) => {
    if (Math.hypot(line[2] - line[0], line[3] - line[1]) < LEAST || !free(line)) return;
    found.set(line.map((value) => Math.round(10 * value)).join(), line);
  };
  laid.forEach((box, i) => {
    const about = seen[i]!;
    for (const x of [box.x, box.x + box.width]) {
      const [top, foot] = [about.y - OFF, about.y + about.height + OFF];
      add([x, Math.max(lost.top, top - TICK), x, top]);
      add([x, foot, x, Math.min(low, foot + TICK)]);
    }
    for (const y of [box.y, box.y + box.height]) {
      const [left, right] = [about.x - OFF, about.x + about.width + OFF];
      add([Math.max(lost.left, left - TICK), y, left, y]);
      add([right, y, Math.min(most, right + TICK), y]);
    }
  });
  return [...found.values()];
}

/** A page for each sheet of paper on which its plan is printed, the first of them page `from`. */
export const planSheets = (
  { width, height }: SheetProduct,
  plans: readonly Plan[],
  from: number,
): PrintSheet[] =>
  plans.map((_, i) => ({
    ...{ trim: { width, height }, bleed: NO_SIDES, cuts: { x: [], y: [] }, folds: { x: [], y: [] } },
    placed: [{ page: from + i, map: IDENTITY, seen: { x: 0, y: 0, width, height } }],
    ticks: [],
  }));
