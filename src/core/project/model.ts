/** A project: surfaces with their piles, and what is known of the picture files they use. */
import type { DayEvent } from '@/core/calendar/events';
import type { Holidays } from '@/core/calendar/holidays';
import { evenly, type Sides } from '@/core/geometry/sides';
import type { Size } from '@/core/geometry/box';
import type { Asset } from '@/core/picture/asset';
import type { Fact } from '@/core/living/field';
import { DAYLIGHT, type PageLight } from '@/core/piece/finish/light';
import type { OwnProfile } from '@/core/press/conditions';
import { beginProduct, type Product } from '@/core/product';
import type { Part } from '@/core/product/product';
import { assetsIn, finishAssets } from '@/core/piece/assets';
import type { Finish } from '@/core/piece/finish';
import type { Piece } from '@/core/piece/piece';
import type { Alignment, Language, Lettering } from '@/core/text/style';
import { toPoints } from '@/core/units/lengths';

/** A fine line to lay things along: upright at `x` points from the trim's left, or level at `y` from its top. */
export interface Guide {
  axis: 'x' | 'y';
  at: number;
  /** Of a page's own: it goes through the paper and is seen on its other side, too. */
  through?: boolean;
}

/** Rows and columns of copies, kept adjustable: the group's first cell is what is repeated. Lengths in points. */
export interface Repeat {
  columns: number;
  rows: number;
  /** Between neighbours' boxes; below zero they overlap. */
  gapX: number;
  gapY: number;
  /** How far every second row stands to the right. */
  shift: number;
  /** What each copy is to the one before, row by row: as large, turned by degrees clockwise, as opaque; the same without. */
  scale?: number;
  turn?: number;
  fade?: number;
}

/** Words laid in letters of an alphabet; laid anew when they are changed. Lengths in points. */
export interface LaidLetters {
  text: string;
  /** Characters to pictures of the project, by SHA-256; several are taken in turn. */
  alphabet: { character: string; assets: string[] }[];
  /** How tall the alphabet's tallest letter truly is, and how tall it is laid. */
  tallest: number;
  height: number;
  /** Room between letters, as an eye sees it. */
  room: number;
  /** The family in which characters are written that the alphabet lacks; left out without one. */
  family?: string;
  /** How far letters dance up and down, as a share of the height, and how far they turn, degrees; by seed. */
  hop: number;
  lean: number;
  seed: number;
}

/** Pieces that are taken as one; which ones says each piece's own `groups`. */
export interface Group {
  id: string;
  name: string;
  repeat?: Repeat;
  /** What its letters were laid from. */
  letters?: LaidLetters;
}

/** One side of a paper that is designed as one: a page, the outside of a card. Lengths in points. */
export interface Surface {
  id: string;
  name: string;
  /** What it is in its product; a page without. */
  part?: string;
  width: number;
  height: number;
  /** What is printed beyond the trim, so that no white shows after cutting. */
  bleed: Sides;
  /** Nothing that matters should lie nearer the trim than this. */
  safe: Sides;
  /** Colour of the bare page. */
  ground: string;
  light: PageLight;
  /** Bottom first; the pieces of a group lie next to each other. */
  pile: Piece[];
  groups: Group[];
  /** This page's own. */
  guides: Guide[];
  /** Nothing on it can be changed until it is unlocked. */
  locked: boolean;
  /** How it was laid by itself, of a book. */
  laid?: LaidBy;
  /** What a person wants to remember of it: what was used, how it was made, what is still to do. Never printed. */
  note?: string;
}

/** A page that was laid by itself: out of which spread of its design, and what its pile came to (`printOf`). */
export interface LaidBy {
  spread: string;
  print: string;
}

/** A finish that pieces share by its name. */
export interface Look {
  id: string;
  name: string;
  finish: Finish;
}

/** A way of writing that pieces share by its name. */
export interface WrittenStyle extends Lettering {
  id: string;
  name: string;
  align: Alignment;
  leading: number;
  hyphens?: Language;
  hanging?: boolean;
  /** `#rrggbb` */
  ink: string;
}

/** A font file a person brought in; its bytes are kept like a picture's, named by their SHA-256. */
export interface FontFile {
  sha: string;
  /** What its family calls itself. */
  name: string;
  bytes: number;
}

export interface Project {
  id: string;
  title: string;
  /** What it becomes: pages, a card ..., with what was chosen for it. */
  product: Product;
  /** It is for practising: the table notices what was learned on it. */
  practice?: true;
  /** What lengths are shown in. */
  unit: 'in' | 'mm';
  surfaces: Surface[];
  /** Shown on every page. */
  guides: Guide[];
  /** Guides cannot be dragged. */
  guidesLocked: boolean;
  /** Finishes with a name, in the order they were kept; absent if there are none. */
  looks?: Look[];
  /** Ways of writing with a name: those of the house that were changed, and one's own. */
  styles?: WrittenStyle[];
  /** What is known of it, for living words to say. */
  facts?: Fact[];
  /** Days to remember, for its months to tell of. */
  events?: DayEvent[];
  /** Holidays of a country. */
  holidays?: Holidays;
  /** Fonts of one's own, in the order they were brought in. */
  fonts?: FontFile[];
  /** Colour profiles of presses, in the order they were brought in. */
  profiles?: OwnProfile[];
  /** By SHA-256: every picture the project has gathered, used or not. */
  assets: Record<string, Asset>;
  /** What was gathered for it, by the workbox's compartments, in order, as SHA-256. */
  photos: string[];
  papers: string[];
  stamps: string[];
  bits: string[];
  frames: string[];
  letters: string[];
}

/** The compartments of the workbox: each is a list of the project's pictures. */
export const COMPARTMENTS = ['photos', 'papers', 'stamps', 'bits', 'frames', 'letters'] as const;
export type Compartment = (typeof COMPARTMENTS)[number];

/** What print shops ask for beyond the trim: an eighth of an inch, or 3 mm (common practice, no source). */
const USUAL_BLEED = { in: toPoints(1 / 8, 'in'), mm: toPoints(3, 'mm') };
/** What a home printer may lose at the edge: a quarter of an inch, or 6 mm (common practice, no source). */
const USUAL_SAFE = { in: toPoints(1 / 4, 'in'), mm: toPoints(6, 'mm') };

export interface NewProject {
  id: string;
  title: string;
  unit: Project['unit'];
}
export interface NewLayout extends NewProject, Size {}

/** Characters a page's note may have. */
export const LONGEST_NOTE = 2000;
/** Characters a project's title may have. */
export const LONGEST_TITLE = 200;

/** What is kept free at the edges of a page that asks for more at some of them. */
export const safeWith = (asked: Part['safe'], unit: Project['unit']): Sides => {
  const usual = evenly(USUAL_SAFE[unit]);
  const wide = (side: keyof Sides) => Math.max(usual[side], asked?.[side] ?? 0);
  return { top: wide('top'), right: wide('right'), bottom: wide('bottom'), left: wide('left') };
};

/** What is printed beyond the trim of a side. */
export const bleedWith = (asked: Part['bleed'], unit: Project['unit']): Sides =>
  asked ? { ...asked } : evenly(USUAL_BLEED[unit]);

/** An empty page. */
export const newSurface = (
  id: string,
  name: string,
  { width, height, safe, bleed }: Pick<Part, 'width' | 'height' | 'safe' | 'bleed'>,
  unit: Project['unit'],
): Surface => ({
  id,
  name,
  width,
  height,
  bleed: bleedWith(bleed, unit),
  safe: safeWith(safe, unit),
  ground: '#ffffff',
  light: DAYLIGHT,
  pile: [],
  groups: [],
  guides: [],
  locked: false,
});

export const newLayout = (layout: NewLayout): Project => newProject(layout, beginProduct('layout', layout));

/** An empty project of any product. */
export const newProject = (
  { id, title, unit }: NewProject,
  { product, parts }: { product: Product; parts: readonly Part[] },
): Project => ({
  id,
  title,
  product,
  unit,
  surfaces: parts.map(({ part, name, ...size }, i) => ({
    ...newSurface(`${id}-${i + 1}`, name, size, unit),
    ...(part === 'page' ? {} : { part }),
  })),
  guides: [],
  guidesLocked: false,
  assets: {},
  photos: [],
  papers: [],
  stamps: [],
  bits: [],
  frames: [],
  letters: [],
});

/** The surface with this id. Throws RangeError if there is none: ids come from the project itself. */
export function surfaceOf<P extends { surfaces: readonly Surface[] }>(
  project: P,
  id: string,
): P['surfaces'][number] {
  const found = project.surfaces.find((surface) => surface.id === id);
  if (!found) throw new RangeError(`No page ${id}.`);
  return found;
}

/** How often each picture file is used on the project's pages, and by its looks. */
export function uses(project: Project): Map<string, number> {
  const counts = new Map<string, number>();
  const used = [
    ...project.surfaces.flatMap(({ pile }) => pile.flatMap(assetsIn)),
    ...(project.looks ?? []).flatMap(({ finish }) => finishAssets(finish)),
  ];
  for (const sha of used) counts.set(sha, (counts.get(sha) ?? 0) + 1);
  return counts;
}
