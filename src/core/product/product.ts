/**
 * What a kind of product answers for itself: the surfaces it begins with, where panels and folds lie on them, which of them
 * are the two sides of one paper. A surface is what is designed as one; what is printed is worked out from surfaces.
 */
import type { Month } from '@/core/dates/days';
import type { FilePart, OrderedAs } from '@/core/order/ticket';
import type { Box, Size } from '@/core/geometry/box';
import type { Path } from '@/core/geometry/path';
import type { Sides } from '@/core/geometry/sides';
import type { Fold } from '@/core/picture/picture';
import type { PageSize } from '@/core/units/sizes';
import type { Unit } from '@/core/units/lengths';

/** The month a part is of; and its week, as that is told in months, where it is of one alone. */
export interface PartMonth extends Month {
  week?: number;
}

/** One side of a paper before anything lies on it. Lengths in points, as everywhere. */
export interface Part extends Size {
  /** What it is in the product: `page`, `outside`, `inside`. */
  part: string;
  name: string;
  /** What must be kept free at its edges, where that is more than is usual. */
  safe?: Partial<Sides>;
  /** What is printed beyond its trim, where that is more than is usual: what is turned in about a board. */
  bleed?: Sides;
}

export type { Fold };

/** What a surface is divided into by its folds. Panels hold nothing: pieces lie on the surface and may cross them. */
export interface Panel {
  name: string;
  /** On the surface. */
  box: Box;
  /** Degrees by which it must be turned to be read, where it stands on its head. */
  turn?: 180;
}

/** Room a binding takes on a paper, and what is punched there. */
export interface Bound {
  /** Kept free, on the paper. */
  box: Box;
  holes: Path[];
}

/** Two parts on the two sides of one paper: turned over about its upright middle line (`x`) or its level one. */
export interface Leaf {
  face: string;
  back: string;
  axis: 'x' | 'y';
}

/** What lies behind a panel once the product is shut: over a place of the panel a place of another part is seen, moved by. */
export interface Behind {
  part: string;
  /** The panel that is seen through, by name. */
  panel: string;
  of: string;
  dx: number;
  dy: number;
}

/** A panel by its part and name. */
export interface Face {
  part: string;
  panel: string;
}

/** How the product is held in the hand: what lies still, and what turns about one of its edges. */
export interface Held {
  base: { face: Face; back: Face };
  /** Shut, a leaf lies over the base with `face` to the eye; `behind` it lies beneath, and turns out from there. */
  leaves: { face: Face; reverse: Face; edge: 'left' | 'right' | 'top'; behind?: true }[];
}

/** The forms in which any product may be asked for: flat as it is printed, as its sides are designed, page by page. */
export const FORMS = ['flat', 'spreads', 'pages'] as const;
export type Form = (typeof FORMS)[number];

/** One way in which a product comes out. */
export interface WayOut {
  /** What it answers to; all ways of a kind together answer to every form, each once. The first way answers to one. */
  as: readonly Form[];
  /** What comes out, where there are several: `sides`, `panels`. */
  name: string;
  /** Panel by panel, each turned to be read. */
  panels?: true;
  /** Whether a part comes out this way; all do without. */
  parts?(part: string): boolean;
  /** Its pages lie on the sheets they are folded from. */
  folded?: FoldedWay;
  /** They are packed onto sheets of paper; it is what is usually wanted. */
  packed?: true;
}

export interface FoldedWay {
  /** How thick a leaf is, points. */
  leaf: number;
  /** All sheets lie within each other, stitched through one fold; without, they are gathered in signatures. */
  oneSignature?: true;
}

/** What a print shop is told of it, and the files it gets. */
export interface Ordered {
  is: OrderedAs;
  /** How it is bound or folded, in a person's words. */
  made?: string;
  /** How thick its cover's spine is, points. */
  spine?: number;
  files: readonly {
    part: FilePart;
    /** Of the file; what part it is without. */
    name?: string;
    /** The way out it is made in, by name. */
    way: string;
    /** Whether a part goes along; all of that way do without. */
    parts?(part: string): boolean;
  }[];
}

/** Sides of a product that may be added, copied, moved and taken away, in a row between those that stay. */
export interface Rows<P> {
  /** In their order. */
  parts(product: P): readonly string[];
  /** The product with these, in this order. */
  withParts(product: P, parts: readonly string[]): P;
  /** A name for one more. */
  fresh(parts: readonly string[]): string;
  /** Whether a part is one of them. */
  is(part: string): boolean;
  /** What a person calls one. */
  one: string;
  most: number;
}

/** Checks before printing that only some products need; each is in `core/proof/`. */
export type OwnCheck = 'folds' | 'binding' | 'signatures';

/** One way in which a size can be made up, where there are several. */
export interface Way {
  id: string;
  name: string;
  /** The longest a finished side may be, points, where its paper is larger than what is seen of it. */
  mostSide?: number;
}

export interface Extra extends Way {
  /** What it is for, in a few words. */
  says: string;
}

/** What one begins with: all that Home shows of a kind of product. */
export interface ProductStart<K extends string = string> {
  kind: K;
  /** What a person calls one, and what it is called as long as nobody named it. */
  name: string;
  untitled: string;
  /** Finished sizes it can be begun with, the usual ones first. */
  sizes: readonly PageSize[];
  /** The longest a finished side may be, points. */
  mostSide: number;
  /** What else is chosen when it is begun: how a card is folded. */
  ways?: { label: string; all: readonly Way[] };
  /** Where the first leaf of one made up so opens, for its small picture. */
  opens?(way: string | undefined): 'left' | 'top' | null;
}

/** All there is to know about a kind of product. */
export interface ProductKind<P extends { kind: string }> extends ProductStart<P['kind']> {
  /** The sides it must have, where these follow from its settings. */
  sides?(product: P): Part[];
  /** `today` is when it is begun, for what is made for a year. */
  begin(size: Size, way?: string, today?: Month): { product: P; parts: Part[] };
  /** A ready-made one as it is begun today; the same where it makes no difference. */
  asNew?(product: P, today: Month): P;
  /** What this one is, in a few words: `5 x 7 in card, folded at the left`. */
  says(product: P, unit: Unit, first: Size): string;
  waysOut(product: P): readonly WayOut[];
  /** How a print shop makes it; none does without. */
  ordered?(product: P): Ordered;
  /** What is checked of it before printing, beside what is checked of any page. */
  checks?: readonly OwnCheck[];
  /** What it is of, to be told in the names of its files: `2027`; empty for nothing. */
  dated?(product: P): string;
  /** What can be chosen anew once it is begun, in a few words; its sheet is that of its task. */
  settings?(product: P): string;
  /** The month a part is of, for the months and words that follow it; null where it is of none. */
  month?(product: P, part: string): PartMonth | null;
  /** What months are called in, BCP 47. */
  language?(product: P): string;
  /** Its surfaces are pages that may be added, copied, moved and taken away. */
  pages?: true;
  /** Some of its sides may be. */
  rows?: Rows<P>;
  /** What numbers the pages of a part have, panel by panel; its place among the surfaces without. */
  numbers?(product: P, part: string): readonly number[];
  /** How many pages it has; as many as surfaces without. */
  count?(product: P): number;
  /** How large it is called, where that is not what stands for it on the shelf: the pages of a book. */
  size?(product: P): Size;
  /** Where a part's page begins on a spread, points, for what lies on every page; null for one that is no page. */
  offset?(product: P, part: string): number | null;
  /** The panel of its first side that stands for it on the shelf; the first without. */
  shownFirst?: string;
  /** What may be made with it or left out, each with the sides it has: a card's envelope. */
  extras?: readonly Extra[];
  has?(product: P, extra: string): boolean;
  withExtra?(product: P, extra: string, on: boolean): P;
  /** Where a paper is cut that is no rectangle; null where it is one. */
  outline?(product: P, part: string): Path | null;
  /** Why it can only be looked at; it can be changed without. */
  onlySeen?(product: P): string;
  folds?(product: P, part: string): Fold[];
  /** In reading order; the whole surface without. */
  panels?(product: P, part: string): Panel[] | null;
  /** Where its papers hang together, with what is punched there. */
  bound?(product: P, part: string): Bound[];
  /** It hangs on a wall. */
  hangs?(product: P): boolean;
  leaves?(product: P): Leaf[];
  behind?(product: P): Behind[];
  held?(product: P): Held;
}
