/** How a ready-made book design is composed: the geometry of its spreads is core's, the dress is its own. */
import { slotBox, wordsIn, type SlotWords } from '@/core/book/plain';
import type { Skeleton, Slot } from '@/core/book/skeletons';
import type { Box } from '@/core/geometry/box';
import { finishOf } from '@/core/piece/finish';
import type { Finish } from '@/core/piece/finish';
import type { Piece } from '@/core/piece/piece';
import { toPoints } from '@/core/units/lengths';
import { box, RECTANGLE, type Composer } from '../compose';
import type { HouseKit } from '../kit';

/** Inches of a page. */
export const PAGE = 12;

/** What is dressed: a spread, or a side that stands alone. */
export interface Side {
  on: Composer;
  /** Which spread it is. */
  i: number;
  skeleton: Skeleton | null;
  /** Where its photos go, inches, the first one the main one. */
  photos: readonly Box[];
}

export interface BookDress {
  title: string;
  tags: string;
  kit: HouseKit['id'];
  /** Skeletons of its spreads, by id; all there are but these. */
  without?: readonly string[];
  title_: Pick<SlotWords, 'family' | 'ink'>;
  text: Pick<SlotWords, 'family' | 'ink' | 'italic'>;
  /** What lies beneath all else. */
  ground(side: Side): void;
  /** What lies about a photo, just beneath it. */
  mat(side: Side, at: Box, k: number): void;
  place(side: Side, k: number): { outline?: Piece['outline']; turn?: number; finish?: Partial<Finish> };
  /** What lies over the photos. */
  things(side: Side): void;
  /** Dress of the cover's front, the first page and the last, about their words; the photo of a cover is in `photos`. */
  cover(side: Side): void;
  alone(side: Side): void;
  /** Where the cover's photo lies on the front, and its title; inches. */
  front: { photo: Slot; title: Slot; under: Slot };
}

export const inches = ({ x, y, width, height }: Box): Box => ({
  x: x / 72,
  y: y / 72,
  width: width / 72,
  height: height / 72,
});

/** Whether a photo runs off the page. */
export const bleeds = ({ x, y }: Box): boolean => x < 0 || y < 0;

/** A box grown all round, inches in, points out. */
export const grown = ({ x, y, width, height }: Box, by: number): Box =>
  box(x - by, y - by, width + 2 * by, height + 2 * by);

/** Paper over both pages of a spread, or one of them; flat, it is the page. */
export function flat(on: Composer, name: string, pages: 'both' | 'left' | 'right' | 'alone' = 'both'): void {
  const over = 1 / 8;
  const half = (x: number, width: number) =>
    on.paper(name, box(x, -over, width, PAGE + 2 * over), 0, 'paper', RECTANGLE, finishOf(0));
  if (pages === 'alone') return void half(-over, PAGE + 2 * over);
  if (pages !== 'right') half(-over, PAGE + over);
  if (pages !== 'left') half(PAGE, PAGE + over);
}

/** The outer corner of a photo where things gather: its foot, or its head where a caption stands beneath. */
export function corner({ skeleton, photos }: Side, { x, y, width, height }: Box) {
  const right = x + width / 2 > PAGE;
  const told = skeleton?.captions?.some(({ of }) => photos[of]?.x === x && photos[of].y === y);
  const side = right ? 1 : -1;
  return {
    x: right ? x + width - 0.15 : x + 0.15,
    y: told ? y + 0.15 : y + height - 0.15,
    side,
    /** Away from the photo's middle. */
    down: told ? -1 : 1,
  };
}

/** A strip of paper right across the spread: the first of these, begun with another one each time, that leaves captions alone. */
export function strip(
  { on, i, skeleton }: Side,
  options: readonly (readonly [paper: string, top: number, height: number])[],
): void {
  const words = (skeleton?.captions ?? []).map(
    ({ slot: [, y, , height] }) => [0.12 * y, 0.12 * (y + height)] as const,
  );
  const free = options
    .map((_, k) => pick(options, i + k))
    .find(([, top, height]) => words.every(([from, to]) => top + height < from || top > to));
  if (free) on.paper(free[0], box(-0.2, free[1], 24.4, free[2]), 0, 'paper', RECTANGLE, finishOf(0.1));
}

export const words = (on: Composer, slot: Slot, said: SlotWords): void =>
  void on.pile.push(wordsIn(on.from.id(), slotBox(slot, toPoints(PAGE, 'in')), said));

/** Out of a list, over and over. */
export const pick = <T>(all: readonly T[], i: number): T =>
  all[((i % all.length) + all.length) % all.length]!;
