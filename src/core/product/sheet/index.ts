/**
 * A sheet of small things: pocket cards, tags, photos, each a side of its own size, with a back or without; so many of each
 * as are wanted are packed onto paper, front and back.
 */
import { leastOf, type Sides, evenly } from '@/core/geometry/sides';
import type { Size } from '@/core/geometry/box';
import type { Part, ProductKind } from '@/core/product/product';
import { SHEET_PAPERS, sheetStart, STOCKS, type Stock } from '@/core/product/sheet/start';
import { formatSize, toPoints } from '@/core/units/lengths';
import type { PageSize } from '@/core/units/sizes';

export interface Thing extends Size {
  part: string;
  /** How many of it are printed. */
  count: number;
  /** Its back is designed, too. */
  back?: true;
  /** It must lie upright on the paper. */
  upright?: true;
  /** What is printed beyond its trim, points; as much as is usual without. */
  bleed?: number;
}

/** A copy that lies where a person laid it, whatever is packed about it. */
export interface Pinned {
  part: string;
  /** On which sheet of paper, the first 0; and where on it, points. */
  sheet: number;
  x: number;
  y: number;
  turned?: true;
}

export interface SheetProduct extends Size {
  /** Width and height are those of the paper, points. */
  kind: 'sheet';
  /** What the printer loses at each edge of it. */
  lost: Sides;
  /** Kept free between any two. */
  gap: number;
  /** Every cut goes right through. */
  straight: boolean;
  things: Thing[];
  /** It is no paper. */
  stock?: Stock;
  /** What was laid by hand. */
  pinned?: Pinned[];
}

/** Different things on one sheet, and copies of one. */
export const MOST_THINGS = 100;
export const MOST_COUNT = 500;
export const MOST_PINNED = 200;
/** Sheets of paper among which something may be pinned. */
export const LAST_PINNED = 99;
export const MOST_GAP = toPoints(2, 'in');
export const MOST_BLEED = toPoints(1, 'in');
/** What home printers lose at each edge: a quarter of an inch (common practice, no source). */
const USUALLY_LOST = toPoints(1 / 4, 'in');

const BACK = '-back';
export const backOf = (part: string): string => `${part}${BACK}`;
export const isThing = (part: string): boolean => /^thing-\d+$/.test(part);

/** A name for one thing more. */
export const freshThing = (parts: readonly string[]): string =>
  `thing-${1 + Math.max(0, ...parts.map((part) => Number(/^thing-(\d+)/.exec(part)?.[1] ?? 0)))}`;

/** The sheet with these laid by hand; nothing of it where there are none. */
export function withPinned(product: SheetProduct, pinned: readonly Pinned[] = []): SheetProduct {
  const { pinned: _, ...rest } = product;
  return pinned.length ? { ...rest, pinned: [...pinned] } : rest;
}

/** What can be printed on, points, from the paper's corner at the left and above. */
export const printable = ({
  width,
  height,
  lost,
}: Pick<SheetProduct, 'width' | 'height' | 'lost'>): Size => ({
  width: width - lost.left - lost.right,
  height: height - lost.top - lost.bottom,
});

/** The paper that is so large; undefined for a size of its own. */
export const paperOf = ({ width, height }: Size): PageSize | undefined =>
  SHEET_PAPERS.find((paper) => Math.abs(paper.width - width) < 0.1 && Math.abs(paper.height - height) < 0.1);

function parts({ things }: SheetProduct): Part[] {
  return things.flatMap(({ part, width, height, back, bleed }, i): Part[] => {
    const side = { width, height, ...(bleed === undefined ? {} : { bleed: evenly(bleed) }) };
    return [
      { part, name: `Card ${i + 1}`, ...side },
      ...(back ? [{ part: backOf(part), name: `Card ${i + 1}, back`, ...side }] : []),
    ];
  });
}

/** With these parts in this order: one that is new is like the one before it, wanted once. What is gone is pinned nowhere. */
function withParts(product: SheetProduct, wanted: readonly string[]): SheetProduct {
  const known = new Map(product.things.map((thing) => [thing.part, thing]));
  const things: Thing[] = [];
  for (const part of wanted.slice(0, MOST_THINGS))
    things.push(known.get(part) ?? { ...(things.at(-1) ?? product.things[0]!), part, count: 1 });
  return withPinned(
    { ...product, things },
    product.pinned?.filter(({ part }) => known.has(part) && wanted.includes(part)),
  );
}

const countOf = ({ things }: SheetProduct): number => things.reduce((sum, { count }) => sum + count, 0);

export const sheet: ProductKind<SheetProduct> = {
  ...sheetStart,
  waysOut: () => [
    { as: ['flat', 'spreads', 'pages'], name: 'cards' },
    { as: [], name: 'sheets of paper', packed: true },
  ],
  begin({ width, height }, way) {
    const paper = SHEET_PAPERS.find(({ id }) => id === way) ?? SHEET_PAPERS[0]!;
    const product: SheetProduct = {
      ...{ kind: 'sheet', width: paper.width, height: paper.height },
      ...{ lost: evenly(USUALLY_LOST), gap: 0, straight: true },
      things: [{ part: 'thing-1', width, height, count: 1 }],
    };
    return { product, parts: parts(product) };
  },
  sides: parts,
  says(product, unit) {
    const count = countOf(product);
    const paper = (paperOf(product)?.name ?? formatSize(product, unit)).toLowerCase();
    return `${count} ${count === 1 ? 'card' : 'cards'} on ${paper} ${product.stock ? STOCKS[product.stock].toLowerCase() : 'paper'}`;
  },
  settings: (product) => `Sheet of ${countOf(product)} ${countOf(product) === 1 ? 'card' : 'cards'}`,
  rows: {
    parts: ({ things }) => things.map(({ part }) => part),
    withParts,
    fresh: freshThing,
    is: isThing,
    one: 'card',
    most: MOST_THINGS,
  },
  leaves: ({ things }) =>
    things.filter(({ back }) => back).map(({ part }) => ({ face: part, back: backOf(part), axis: 'x' })),
};

/** The sheet a product is; null for what is none. */
export const sheetIn = (product: { kind: string }): SheetProduct | null =>
  product.kind === 'sheet' ? (product as SheetProduct) : null;

/** Whether paper is left between what is lost. */
export const isPrintable = (product: Pick<SheetProduct, 'width' | 'height' | 'lost'>): boolean =>
  Math.min(...Object.values(printable(product))) >= toPoints(1, 'in') - 1e-6 && leastOf(product.lost) >= 0;
