/** What each way of binding asks of a book: its gutter, its cover, the spine it comes to. */
import { ellipsePath, type Path } from '@/core/geometry/path';
import { thicknessOf, type PaperId } from '@/core/product/book/papers';
import type { BookBinding } from '@/core/product/book/start';
import { toPoints } from '@/core/units/lengths';

const mm = (length: number): number => toPoints(length, 'mm');

interface Bind {
  /** What is lost to the eye of each page beside the gutter, points. */
  gutter: number;
  /** A case of boards about the pages; without, a cover of paper. */
  board: boolean;
  /** Sheets of paper a leaf is made of: those that lie flat are glued back to back. */
  sheets: 1 | 2;
  /** No spine: its leaves are stitched through the fold. */
  stitched?: true;
  /** Its leaves are folded sheets; without, each is one by itself. */
  folded?: true;
  /** Pages come in steps of this. */
  step: 2 | 4;
  /** Holes through a page beside its gutter, for a page so tall: middles from its head, and how far from the gutter. */
  posts?: { along(height: number): number[]; inset: number; hole: number };
}

/**
 * Common practice, no source: a softcover loses a quarter of an inch beside the gutter, a hardcover half an inch, a thin
 * booklet an eighth, leaves on posts three quarters; posts stand two to a page, at a quarter and three quarters of its height.
 */
export const BINDS: Record<BookBinding, Bind> = {
  hard: { gutter: toPoints(1 / 2, 'in'), board: true, sheets: 1, step: 2, folded: true },
  soft: { gutter: toPoints(1 / 4, 'in'), board: false, sheets: 1, step: 2, folded: true },
  flat: { gutter: 0, board: true, sheets: 2, step: 2 },
  booklet: { gutter: toPoints(1 / 8, 'in'), board: false, sheets: 1, stitched: true, step: 4, folded: true },
  post: {
    ...{ gutter: toPoints(3 / 4, 'in'), board: true, sheets: 1, step: 2 },
    posts: { along: (height) => [height / 4, (3 * height) / 4], inset: mm(10), hole: mm(6) },
  },
};

/** Thickness of a board of a case (../shared: 2.5 mm each), how far it stands out beyond the pages, what is turned in about it. */
const BOARD = mm(2.5);
const OUT = mm(3);
export const TURNED_IN = mm(18);

/**
 * How wide the spine is, points: leaves x caliper, and two boards of a case. A leaf is two pages. Formula: common practice.
 * Nothing for what is stitched.
 */
export function spineOf(pages: number, paper: PaperId, binding: BookBinding): number {
  const { board, sheets, stitched } = BINDS[binding];
  if (stitched) return 0;
  return thicknessOf((pages / 2) * sheets, paper) + (board ? 2 * BOARD : 0);
}

/** How far the boards of a cover stand out beyond its pages, points. */
export const standsOut = (binding: BookBinding): number => (BINDS[binding].board ? OUT : 0);

/** The holes of a page, whose gutter lies at `x` with the page on its side of `side`. */
export function postHoles(binding: BookBinding, height: number, x: number, side: 1 | -1): Path[] {
  const { posts } = BINDS[binding];
  if (!posts) return [];
  const { hole, inset } = posts;
  return posts
    .along(height)
    .map((y) => ellipsePath({ x: x + side * inset - hole / 2, y: y - hole / 2, width: hole, height: hole }));
}
