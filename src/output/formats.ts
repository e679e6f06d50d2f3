/** The kinds of files a page can be made into: what each is for, and what can be chosen. How each is made is in make.ts. */
import type { Condition } from '@/core/press/conditions';
import type { Sides } from '@/core/geometry/sides';
import type { Size } from '@/core/geometry/box';
import type { Tiling } from '@/core/packing/tiles';
import type { Plan } from '@/core/packing/sheets';
import type { PrintSheet } from '@/core/product/imposition';

interface FormatKind {
  name: string;
  /** What for, in a person's words. */
  use: string;
  /** Whether it is pixels, and a resolution can be chosen. */
  pixels: boolean;
  /** Whether it can hold several pages. */
  many: boolean;
  /** Whether it can carry crop marks. */
  cropMarks: boolean;
  /** Whether it can stay clear where nothing lies, so that pieces can be made by themselves. */
  clear: boolean;
  /** Whether pages can lie in it on sheets of paper. */
  sheets: boolean;
  /** Whether it holds photos as files of their own, which may tell where and when they were taken. */
  notes: boolean;
  /** Whether it can be made for a press. */
  press: boolean;
  /** Whether it can be in another RGB than sRGB. */
  wide: boolean;
  /** Whether it can carry squares by which a cutter finds its place. */
  squares: boolean;
}

export const FORMATS = {
  pdf: {
    name: 'PDF',
    use: 'For a print shop: photos in full, words as words',
    pixels: false,
    many: true,
    cropMarks: true,
    clear: false,
    sheets: true,
    notes: true,
    press: true,
    wide: false,
    squares: true,
  },
  jpg: {
    name: 'JPEG',
    use: 'For photo labs and for sharing',
    pixels: true,
    many: false,
    cropMarks: false,
    clear: false,
    sheets: false,
    notes: false,
    press: false,
    wide: true,
    squares: false,
  },
  png: {
    name: 'PNG',
    use: 'Without any loss, for further work',
    pixels: true,
    many: false,
    cropMarks: false,
    clear: true,
    sheets: false,
    notes: false,
    press: false,
    wide: false,
    squares: false,
  },
  webp: {
    name: 'WebP',
    use: 'For screens: smaller than JPEG, and several pages turn by themselves',
    pixels: true,
    many: true,
    cropMarks: false,
    clear: false,
    sheets: false,
    notes: false,
    press: false,
    wide: false,
    squares: false,
  },
  svg: {
    name: 'SVG',
    use: 'Drawn outlines, for other programs',
    pixels: false,
    many: false,
    cropMarks: false,
    clear: true,
    sheets: false,
    notes: true,
    press: false,
    wide: false,
    squares: false,
  },
  ora: {
    name: 'OpenRaster',
    use: 'A layer for every piece, for programs that paint',
    pixels: true,
    many: false,
    cropMarks: false,
    clear: true,
    sheets: false,
    notes: false,
    press: false,
    wide: false,
    squares: false,
  },
} satisfies Record<string, FormatKind>;

/** Also the ending of the file's name. */
export type Format = keyof typeof FORMATS;

export const isFormat = (name: string): name is Format => Object.hasOwn(FORMATS, name);

/** Whether so many pages become one file; otherwise each becomes one of its own. */
export const inOneFile = (format: Format, pages: number): boolean => pages < 2 || FORMATS[format].many;

export interface MakeOptions {
  format: Format;
  /** Pixels per inch, where it is pixels. */
  ppi: number;
  /** Pixels of the longer side, in place of that. */
  side?: number;
  withBleed: boolean;
  /** Where it can carry them. */
  cropMarks: boolean;
  /** Squares by which a cutter finds its place, where it can carry them. */
  squares?: boolean;
  /** Each page in parts on sheets of this paper, at true size, where it can hold those; without bleed and marks. */
  tiled?: Tiling;
  /** A PDF for a press that prints under this condition (PDF/X-4). */
  press?: Condition;
  /** All of it named in the inks of that press, photos too. */
  inks?: boolean;
  /** As it lies on a table, where it is pixels. */
  desk?: boolean;
  /** In Adobe RGB (1998) in place of sRGB, where it can be told; labs may ask for it. */
  wide?: boolean;
  /** The photos keep what cameras and people noted in them: places, days, names, where it can hold that. */
  notes?: boolean;
  /** Pieces by themselves, by their ids, trimmed and clear around them; the whole page without. */
  only?: readonly string[];
  /** Each picture is a page, and they are laid on sheets of paper, where it can hold those. */
  sheets?: SheetsMade;
}

/** Pixels per inch of something so large (points), with what is printed of it beyond its trim. */
export const ppiOf = ({ ppi, side }: Pick<MakeOptions, 'ppi' | 'side'>, { width, height }: Size): number =>
  side ? (72 * side) / Math.max(width, height) : ppi;

export interface SheetsMade {
  sheets: readonly PrintSheet[];
  /** What is drawn of each page beyond its trim, where it is seen. */
  bleed: Sides;
  /** Plans by which they are cut apart, as pages more: what each is of. */
  plans?: { paper: Size; plans: readonly Plan[] };
}
