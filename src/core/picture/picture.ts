/**
 * What is drawn, and nothing about why: the only thing an output ever sees. All lengths are points.
 * A drawn piece is described in its own frame (origin at its centre, unturned); `matrix` lays it on the page.
 */
import type { Box, Size } from '@/core/geometry/box';
import { NO_SIDES, withBleed, type Sides } from '@/core/geometry/sides';
import type { Matrix, Point } from '@/core/geometry/matrix';
import { pathBounds, type Path } from '@/core/geometry/path';
import type { Blend } from '@/core/picture/blend';
import type { Fill } from '@/core/colouring/fills';
import type { Dye } from '@/core/dye/dye';
import type { Fit, Tone } from '@/core/tone/settings';
import type { Painted } from '@/core/treatment/paint';
import type { SoftStroke } from '@/core/trail/paint/soft';
import type { Toward } from '@/core/treatment/treatment';
import type { GlyphRun } from '@/core/text/typesetter';

export interface Picture {
  title: string;
  /** Finished size; the origin is its top left corner. */
  trim: Size;
  /** How far the drawing goes on beyond the trim. */
  bleed: Sides;
  /** Colour of the bare page; null where it is clear. */
  ground: string | null;
  pieces: readonly DrawnPiece[];
  /** Where its paper is folded: upright or level lines so far from the trim's left or top. */
  folds?: readonly Fold[];
  /** Where its paper is cut, if it is no rectangle. */
  paper?: Path;
  /** Where openings are cut out of it, from either side. */
  openings?: readonly Path[];
}

/** What comes out of a picture: its trim, with what goes on beyond it or without. */
export const madeOf = ({ trim, bleed }: Pick<Picture, 'trim' | 'bleed'>, beyond: boolean): Box =>
  withBleed({ ...trim, bleed: beyond ? bleed : NO_SIDES });

export interface Fold {
  axis: 'x' | 'y';
  at: number;
  /** As far as it goes along the other way; right across without. */
  from?: number;
  to?: number;
}

export interface DrawnPiece {
  id: string;
  name: string;
  matrix: Matrix;
  /** 0 to 1, of the piece as a whole. */
  opacity: number;
  /** How the piece as a whole meets what lies beneath it; it covers without. */
  blend?: Blend;
  marks: readonly Mark[];
  /** Everything drawn, shadows and strokes included, on the page. */
  bounds: Box;
  /** The words it shows, for those who cannot see them. */
  words?: string;
}

/** A mark may be seen in part only: within all of these areas. */
export type Mark = (ShadowMark | FillMark | ImageMark | StampsMark | WorkedMark | StrokeMark) & {
  within?: readonly Seen[];
};

export interface Seen {
  /** In the piece's own frame. */
  area: Path;
  /** Beyond its edge the piece goes on beneath another, whose edge is the same: pixels of that edge are laid whole. */
  beneath?: true;
  /** Soft paint takes away from it. */
  less?: PaintMark;
}

/** A blurred copy of `path`, made larger by `grow` and moved by `offset`; blur is the Gaussian's standard deviation. */
export interface ShadowMark {
  mark: 'shadow';
  path: Path;
  grow: number;
  offset: Point;
  blur: number;
  colour: string;
  opacity: number;
}

/**
 * A flat colour. `words` are the same area as glyphs, for outputs that can write text. Where `bounds` says how far it
 * reaches, its path is only made when it is asked for: long texts are drawn glyph by glyph.
 */
export interface FillMark {
  mark: 'fill';
  path: Path;
  bounds?: Box;
  colour: string;
  /** 0 to 1; it covers without. */
  opacity?: number;
  /** Colours that run into each other in its place. */
  blended?: Blended;
  words?: readonly GlyphRun[];
}

/** Colours at even distances, from one point of the piece's frame to another; with `round`, from the first point out. */
export interface Blended {
  colours: readonly string[];
  from: Point;
  to: Point;
  round?: true;
}

/**
 * A picture, seen through `clip`. `matrix` takes its upright pixels to the piece's frame. With `ink` it is stamped: what is
 * dark in it covers in that colour.
 */
export interface ImageMark {
  mark: 'image';
  asset: string;
  ink?: string;
  /** Its light and tone; those of the file without. */
  tone?: Tone;
  /** Where its tone depends on how it lies. */
  fit?: Fit;
  /** Other colours for all or parts of it. */
  dyes?: readonly Dye[];
  matrix: Matrix;
  clip: Path;
  words?: readonly GlyphRun[];
}

/** What is done to a picture file before it is drawn. */
export type Worn = Pick<ImageMark, 'ink' | 'tone' | 'fit' | 'dyes'>;

/**
 * Small things laid again and again along a line: each of `tips` once, in a frame of its own, and where they lie in the
 * piece's frame, one over the other in their order.
 */
export interface StampsMark {
  mark: 'stamps';
  tips: readonly Tip[];
  places: readonly Stamp[];
  bounds: Box;
}
export type Tip = readonly (FillMark | ImageMark)[];
export interface Stamp {
  /** Which of the tips. */
  tip: number;
  map: Matrix;
  /** 0 to 1; whole without. */
  opacity?: number;
}

/** What the face was treated with, laid over it within its outline; `light` shines in the piece's own frame. */
export interface TreatmentMark {
  mark: 'treatment';
  path: Path;
  treatment: Painted;
  light: Toward;
}

/** Areas of a picture coloured in, beneath its lines. */
export interface ColouringMark {
  mark: 'colouring';
  /** The box of the whole picture. */
  path: Path;
  fills: readonly Fill[];
}

/** Soft or grainy paint along a line. */
export interface PaintMark {
  mark: 'paint';
  /** The box it lies in. */
  path: Path;
  colour: string;
  /** 0 to 1, of the line as a whole. */
  opacity: number;
  /** In a frame of its own, which begins at `at`: its grain stays with it wherever it is laid. */
  stroke: SoftStroke;
  at: Point;
}

/** What is worked out as pixels, whatever the output. */
export type WorkedMark = TreatmentMark | ColouringMark | PaintMark;

/** A line along the path: inside, on or outside its edge. */
export interface StrokeMark {
  mark: 'stroke';
  path: Path;
  colour: string;
  width: number;
  side: StrokeSide;
}

export type StrokeSide = 'inside' | 'on' | 'outside';

/** How far beyond its path a mark may reach, before the piece is turned. A Gaussian is nothing after 3 deviations. */
export function reachOf(mark: Mark): { box: Box; by: number; offset: Point } {
  switch (mark.mark) {
    case 'shadow':
      return { box: pathBounds(mark.path), by: 3 * mark.blur + 4 * mark.grow, offset: mark.offset };
    case 'stroke':
      // A mitred corner may reach four half-widths out (the limit set in every output).
      return {
        box: pathBounds(mark.path),
        by: mark.side === 'inside' ? 0 : mark.width * (mark.side === 'on' ? 2 : 4),
        offset: { x: 0, y: 0 },
      };
    case 'fill':
      return { box: mark.bounds ?? pathBounds(mark.path), by: 0, offset: { x: 0, y: 0 } };
    case 'stamps':
      return { box: mark.bounds, by: 0, offset: { x: 0, y: 0 } };
    case 'treatment':
    case 'colouring':
    case 'paint':
      return { box: pathBounds(mark.path), by: 0, offset: { x: 0, y: 0 } };
    case 'image':
      return { box: pathBounds(mark.clip), by: 0, offset: { x: 0, y: 0 } };
  }
}

/** The first area a mark is seen within, and the mark as it is seen within the others; null if nothing hides any of it. */
export function seenWithin(mark: Mark): { seen: Seen; mark: Mark } | null {
  const [seen, ...others] = mark.within ?? [];
  return seen ? { seen, mark: { ...mark, within: others } } : null;
}

/** The pictures a mark shows. */
export function imagesOf(mark: Mark): ImageMark[] {
  if (mark.mark === 'image') return [mark];
  return mark.mark === 'stamps' ? mark.tips.flatMap((tip) => tip.flatMap(imagesOf)) : [];
}

/** The mark with each of its pictures made anew. */
export function withImages(mark: Mark, to: (image: ImageMark) => ImageMark): Mark {
  if (mark.mark === 'image') return { ...mark, ...to(mark) };
  if (mark.mark !== 'stamps') return mark;
  const made = (each: FillMark | ImageMark) => (each.mark === 'image' ? to(each) : each);
  // A tip without pictures stays the very same: outputs know it again.
  const hasImage = (tip: Tip) => tip.some((each) => each.mark === 'image');
  return { ...mark, tips: mark.tips.map((tip) => (hasImage(tip) ? tip.map(made) : tip)) };
}

/** Whether marks can fade one by one: what lies over itself fades as a whole. */
export const isSingle = (marks: readonly Mark[]): boolean =>
  marks.length === 1 && marks[0]!.mark !== 'stamps';

export const isWorked = (mark: Mark): mark is WorkedMark & Mark =>
  mark.mark === 'treatment' || mark.mark === 'colouring' || mark.mark === 'paint';

/** What is worked out of it: another object when anything of that changes. */
export const contentOf = (mark: WorkedMark): object =>
  mark.mark === 'treatment' ? mark.treatment : mark.mark === 'colouring' ? mark.fills : mark.stroke;
