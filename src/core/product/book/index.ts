/** A book: a cover with its spine, a first page, spreads, a last page. */
import type { Box, Size } from '@/core/geometry/box';
import { evenly, type Sides } from '@/core/geometry/sides';
import { BINDS, postHoles, spineOf, standsOut, TURNED_IN } from '@/core/product/book/binding';
import { thicknessOf, type PaperId } from '@/core/product/book/papers';
import { BOOK_BINDINGS, bookStart, type BookBinding } from '@/core/product/book/start';
import type { Bound, Fold, Panel, Part, ProductKind } from '@/core/product/product';
import { formatSize, toPoints } from '@/core/units/lengths';

export interface BookProduct extends Size {
  /** Width and height are those of one page, points. */
  kind: 'book';
  binding: BookBinding;
  paper: PaperId;
  /** Its spreads in their order, by the names of their parts. */
  spreads: string[];
  /** Flaps of a cover of paper, turned in at both sides. */
  flaps?: boolean;
  /** The design it was laid in, by its supply's id. */
  design?: string;
}

/** Characters of a supply's id. */
export const LONGEST_DESIGN = 200;

export const COVER = 'cover';
export const FIRST = 'first';
export const LAST = 'last';
/** Spreads a book may have: 4 to 400 pages. */
export const MOST_SPREADS = 199;
/** What a book begins with: 24 pages. */
const BEGUN_WITH = 11;
/** How wide a flap is, as a share of the page (common practice, no source: a third to four fifths). */
const FLAP = 0.4;
/** A spine narrower than this takes no words: a quarter of an inch (common practice, no source). */
export const SPINE_FOR_WORDS = toPoints(1 / 4, 'in');

export const pagesOf = ({ spreads }: Pick<BookProduct, 'spreads'>): number => 2 * spreads.length + 2;
export const spineWidth = (book: BookProduct): number => spineOf(pagesOf(book), book.paper, book.binding);

/** A name for one spread more. */
export const freshSpread = (spreads: readonly string[]): string =>
  `spread-${1 + Math.max(0, ...spreads.map((part) => Number(/\d+$/.exec(part)?.[0] ?? 0)))}`;

export const isSpread = (part: string): boolean => part.startsWith('spread-');

const hasFlaps = ({ flaps, binding }: BookProduct): boolean =>
  Boolean(flaps) && !BINDS[binding].board && !BINDS[binding].stitched;

/** What lies beside each other on the open cover, from the left, each with its width. */
function coverPanels(book: BookProduct): Panel[] {
  const out = standsOut(book.binding);
  const height = book.height + 2 * out;
  const flap = hasFlaps(book) ? [{ name: 'Flap', width: FLAP * book.width }] : [];
  const all = [
    ...flap.map((each) => ({ ...each, name: 'Back flap' })),
    { name: 'Back', width: book.width + out },
    { name: 'Spine', width: spineWidth(book) },
    { name: 'Front', width: book.width + out },
    ...flap.map((each) => ({ ...each, name: 'Front flap' })),
  ].filter(({ width }) => width > 0);
  let x = 0;
  return all.map(({ name, width }): Panel => {
    const box: Box = { x, y: 0, width, height };
    x += width;
    return { name, box };
  });
}

/** The number of a spread's left page. */
const leftPage = ({ spreads }: BookProduct, part: string): number => 2 * (spreads.indexOf(part) + 1);

function parts(book: BookProduct): Part[] {
  const { width, height, binding, spreads } = book;
  const { gutter, board } = BINDS[binding];
  const cover = coverPanels(book);
  const { box } = cover.at(-1)!;
  const open = { width: box.x + box.width, height: box.height };
  const around: Sides | undefined = board ? evenly(TURNED_IN) : undefined;
  return [
    { part: COVER, name: 'Cover', ...open, ...(around ? { bleed: around } : {}) },
    { part: FIRST, name: 'Page 1', width, height, ...(gutter ? { safe: { left: gutter } } : {}) },
    ...spreads.map((part): Part => {
      const left = leftPage(book, part);
      return { part, name: `Pages ${left}–${left + 1}`, width: 2 * width, height };
    }),
    {
      ...{ part: LAST, name: `Page ${pagesOf(book)}`, width, height },
      ...(gutter ? { safe: { right: gutter } } : {}),
    },
  ];
}

function panels(book: BookProduct, part: string): Panel[] | null {
  if (part === COVER) return coverPanels(book);
  if (!isSpread(part)) return null;
  const { width, height } = book;
  const left = leftPage(book, part);
  return [
    { name: `Page ${left}`, box: { x: 0, y: 0, width, height } },
    { name: `Page ${left + 1}`, box: { x: width, y: 0, width, height } },
  ];
}

/** Where a spread is folded, and a cover creased. */
function folds(book: BookProduct, part: string): Fold[] {
  return (panels(book, part) ?? []).slice(1).map(({ box }) => ({ axis: 'x', at: box.x }));
}

function bound(book: BookProduct, part: string): Bound[] {
  const { width, height, binding } = book;
  const { gutter } = BINDS[binding];
  if (!gutter || part === COVER) return [];
  const side = (x: number, to: 1 | -1): Bound => ({
    box: { x: to > 0 ? x : x - gutter, y: 0, width: gutter, height },
    holes: postHoles(binding, height, x, to),
  });
  if (part === FIRST) return [side(0, 1)];
  if (part === LAST) return [side(width, -1)];
  return [side(width, -1), side(width, 1)];
}

export const book: ProductKind<BookProduct> = {
  ...bookStart,
  waysOut: ({ binding, paper }) => [
    { as: ['spreads', 'flat'], name: 'spreads', parts: (part) => part !== COVER },
    { as: ['pages'], name: 'pages', panels: true, parts: (part) => part !== COVER },
    { as: [], name: 'cover', parts: (part) => part === COVER },
    ...(BINDS[binding].folded
      ? [
          {
            ...{
              as: [],
              name: 'pages on sheets to fold',
              panels: true as const,
              parts: (part: string) => part !== COVER,
            },
            folded: {
              leaf: thicknessOf(1, paper),
              ...(BINDS[binding].stitched ? { oneSignature: true as const } : {}),
            },
          },
        ]
      : []),
  ],
  ordered: (book) => ({
    ...{ is: 'book', made: BOOK_BINDINGS[book.binding].says, spine: spineWidth(book) },
    files: [
      { part: 'pages', way: 'pages' },
      { part: 'cover', way: 'cover' },
    ],
  }),
  checks: ['folds', 'binding', 'signatures'],
  begin({ width, height }, way) {
    const binding = isBinding(way) ? way : 'hard';
    const product: BookProduct = {
      ...{ kind: 'book', width, height, binding, paper: 'coated-170' },
      spreads: Array.from({ length: BEGUN_WITH }, (_, i) => `spread-${i + 1}`),
    };
    return { product, parts: parts(product) };
  },
  sides: parts,
  says: (product, unit) =>
    `${formatSize(product, unit)} book of ${pagesOf(product)} pages, ${BOOK_BINDINGS[product.binding].says}`,
  settings: (product) => `Book of ${pagesOf(product)} pages`,
  offset: ({ width }, part) => (part === COVER ? null : part === FIRST ? width : 0),
  size: ({ width, height }) => ({ width, height }),
  shownFirst: 'Front',
  rows: {
    parts: ({ spreads }) => spreads,
    withParts: (product, spreads) => ({ ...product, spreads: spreads.slice(0, MOST_SPREADS) }),
    fresh: freshSpread,
    is: isSpread,
    one: 'spread',
    most: MOST_SPREADS,
  },
  numbers(product, part) {
    if (part === FIRST) return [1];
    if (part === LAST) return [pagesOf(product)];
    const left = leftPage(product, part);
    return left > 0 ? [left, left + 1] : [];
  },
  count: pagesOf,
  folds,
  panels,
  bound,
};

const isBinding = (way: string | undefined): way is BookBinding => Object.hasOwn(BOOK_BINDINGS, way ?? '');

/** The book a product is; null for what is none. */
export const bookIn = (product: { kind: string }): BookProduct | null =>
  product.kind === 'book' ? (product as BookProduct) : null;

/** The book with two of its spreads in each other's place; null where it has not both. */
export function withSwapped(product: { kind: string }, a: string, b: string): BookProduct | null {
  const book = bookIn(product);
  const [i, j] = [book?.spreads.indexOf(a) ?? -1, book?.spreads.indexOf(b) ?? -1];
  if (!book || i < 0 || j < 0) return null;
  const spreads = book.spreads.map((part, at) => (at === i ? b : at === j ? a : part));
  return { ...book, spreads };
}
