/** Imposition: where pages lie on the two sides of the sheets they are folded from. */
import type { Box, Size } from '@/core/geometry/box';
import { withBleed, type Sides } from '@/core/geometry/sides';
import type { Matrix } from '@/core/geometry/matrix';

/** Upright lines from the left and level ones from the top, points. */
export interface Along {
  x: readonly number[];
  y: readonly number[];
}

/** A line on a sheet, points. */
export type Line = readonly [x1: number, y1: number, x2: number, y2: number];

/** One side of a sheet of paper as it is printed: what lies where. */
export interface PrintSheet {
  /** What is left of it once it is cut; the origin is its upper left corner. */
  trim: Size;
  /** What is printed beyond that. */
  bleed: Sides;
  placed: readonly Placed[];
  /** Right across it, marked outside of it. */
  cuts: Along;
  folds: Along;
  /** Marked within it. */
  ticks?: readonly Line[];
}

export interface Placed {
  /** Counted from 1. */
  page: number;
  /** From the page to the sheet. */
  map: Matrix;
  /** No more of it is seen than lies here, on the sheet. */
  seen: Box;
}

/** How sheets become pages. */
export interface Folding {
  /** How often a sheet is folded: it has 4, 8 or 16 pages then. */
  folds: number;
  /** Sheets laid into each other for one signature; all there are without. Signatures are gathered one behind the other. */
  nested?: number;
}
export const MOST_FOLDS = 3;
export const MOST_NESTED = 16;

/** One page's place on a side of a sheet. */
export interface Cell {
  /** Counted from 1; null for one that stays blank. */
  page: number | null;
  /** From the left and from the top. */
  column: number;
  row: number;
  /** On its head. */
  turned: boolean;
  /** At which side of it, as it lies on the sheet, the fold is that it is bound by. */
  spine: 'left' | 'right';
  /** Leaves that lie about it in its signature. */
  within: number;
}

export interface SheetSide {
  /** Counted from 1. */
  sheet: number;
  back: boolean;
  columns: number;
  rows: number;
  cells: Cell[];
}

export const pagesOfSheet = (folds: number): number => 2 ** (folds + 1);

/** A leaf of a folded sheet with the pages on its upper and its lower face. */
interface Leaf {
  up: number;
  down: number;
  turned: boolean;
}
/** What lies on each other in a place, the uppermost first. */
type Pile = Leaf[];

const overSideways = ({ up, down, turned }: Leaf): Leaf => ({ up: down, down: up, turned });
const overLengthwise = ({ up, down, turned }: Leaf): Leaf => ({ up: down, down: up, turned: !turned });

/**
 * A folded sheet opened again, fold by fold: first along its spine at the left, then along its head, then along its right
 * edge. Each time the upper half of all that lies there is turned over that edge. The order of pages follows from this alone.
 */
function opened(folds: number): Leaf[][] {
  let grid: Pile[][] = [
    [Array.from({ length: 2 ** folds }, (_, i) => ({ up: 2 * i + 1, down: 2 * i + 2, turned: false }))],
  ];
  for (let fold = 0; fold < folds; fold++) {
    const half = grid[0]![0]!.length / 2;
    const stays = grid.map((row) => row.map((pile) => pile.slice(half)));
    const turns = (over: (leaf: Leaf) => Leaf) =>
      grid.map((row) => row.map((pile) => pile.slice(0, half).reverse().map(over)));
    if (fold === 1) grid = [...turns(overLengthwise).reverse(), ...stays];
    else {
      const flaps = turns(overSideways).map((row) => [...row].reverse());
      grid = stays.map((row, r) => (fold === 0 ? [...flaps[r]!, ...row] : [...row, ...flaps[r]!]));
    }
  }
  return grid.map((row) => row.map(([leaf]) => leaf!));
}

/**
 * The sides of all sheets in the order they are printed, the outside of each before its inside. A sheet turned over about its
 * upright middle line has the second behind the first.
 *
 * @param pages how many there are; what does not fill the last signature's sheets stays blank at its end
 */
export function imposed(pages: number, { folds, nested }: Folding): SheetSide[] {
  const each = pagesOfSheet(folds);
  const inside = opened(folds);
  const rows = inside.length;
  const columns = inside[0]!.length;
  const all = Math.max(1, Math.ceil(pages / each));
  const most = Math.min(nested ?? all, all);
  const sides: SheetSide[] = [];
  for (let first = 0; first < all; first += most) {
    const sheets = Math.min(most, all - first);
    const before = first * each;
    const whole = sheets * each;
    for (let sheet = 0; sheet < sheets; sheet++) {
      const cell = (own: number, turned: boolean, column: number, row: number): Cell => {
        // The outermost sheet has the first and the last pages of its signature.
        const early = own <= each / 2;
        const at = early ? (sheet * each) / 2 + own : whole - (sheet * each) / 2 - (each - own);
        const page = before + at;
        const leaf = Math.floor((at - 1) / 2);
        return {
          ...{ page: page <= pages ? page : null, column, row, turned },
          spine: (at % 2 === 1) === turned ? 'right' : 'left',
          within: Math.min(leaf, whole / 2 - 1 - leaf),
        };
      };
      const outside = inside.flatMap((row, r) =>
        row.map((leaf, c) => cell(leaf.down, leaf.turned, columns - 1 - c, r)),
      );
      const within = inside.flatMap((row, r) => row.map((leaf, c) => cell(leaf.up, leaf.turned, c, r)));
      for (const [back, cells] of [outside, within].entries())
        sides.push({ sheet: first + sheet + 1, back: back === 1, columns, rows, cells });
    }
  }
  return sides;
}

/**
 * Where pages so large lie on a side, points: two and two share the fold they are bound by, about them is their bleed. Between
 * rows, where a sheet is folded along heads, each has its own, and is trimmed there.
 */
export function placesOn(
  { columns, rows }: Pick<SheetSide, 'columns' | 'rows'>,
  { width, height }: Size,
  { left, top }: Sides,
) {
  const count = (length: number) => Array.from({ length }, (_, i) => i);
  const pairs = columns / 2;
  const [pair, row] = [2 * (width + left), height + 2 * top];
  return {
    box: (cell: Pick<Cell, 'column' | 'row'>): Box => ({
      x: Math.floor(cell.column / 2) * pair + (cell.column % 2) * width,
      y: cell.row * row,
      width,
      height,
    }),
    trim: { width: pairs * pair - 2 * left, height: rows * row - 2 * top },
    cuts: {
      x: count(pairs).flatMap((i) => [i * pair, i * pair + 2 * width]),
      y: count(rows).flatMap((i) => [i * row, i * row + height]),
    },
    folds: {
      x: count(columns - 1).map((i) => (i % 2 ? ((i + 1) / 2) * pair - left : (i / 2) * pair + width)),
      y: count(rows - 1).map((i) => (i + 1) * row - top),
    },
  };
}

/** As much bleed on opposite sides, points: pages lie on sheets either way up. */
export function evenBleed(bleeds: readonly Sides[]): Sides {
  const most = (...sides: (keyof Sides)[]) =>
    Math.max(...bleeds.flatMap((bleed) => sides.map((side) => bleed[side])));
  const [x, y] = [most('left', 'right'), most('top', 'bottom')];
  return { top: y, right: x, bottom: y, left: x };
}

/** The sides of sheets with pages so large on them; a leaf is so thick, points. */
export function foldedSheets(
  sides: readonly SheetSide[],
  size: Size,
  bleed: Sides,
  leaf: number,
): PrintSheet[] {
  const whole = withBleed({ ...size, bleed });
  return sides.map(({ cells, ...side }) => {
    const { box, ...lines } = placesOn(side, size, bleed);
    const placed = cells.flatMap((cell): Placed[] => {
      if (!cell.page) return [];
      const { x, y } = box(cell);
      const atLeft = cell.spine === 'left';
      // Nothing of it goes over the fold it is bound by.
      const seen = {
        ...whole,
        x: atLeft ? x : x - bleed.left,
        y: y - bleed.top,
        width: size.width + bleed.left,
      };
      // A leaf that lies within others stands out beyond them, and is trimmed there: it is moved to the fold by as much.
      const creep = cell.within * leaf * (atLeft ? -1 : 1);
      const map: Matrix = cell.turned
        ? [-1, 0, 0, -1, x + size.width + creep, y + size.height]
        : [1, 0, 0, 1, x + creep, y];
      return [{ page: cell.page, map, seen }];
    });
    return { ...lines, bleed, placed };
  });
}
