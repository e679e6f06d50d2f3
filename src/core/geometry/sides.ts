/** Lengths at the four sides of a box: what is printed beyond a trim, what is kept free within it. */
import type { Box, Size } from '@/core/geometry/box';

export interface Sides {
  top: number;
  right: number;
  bottom: number;
  left: number;
}

export const evenly = (by: number): Sides => ({ top: by, right: by, bottom: by, left: by });
export const NO_SIDES = evenly(0);

/** A page with what is printed beyond its trim; its origin is the trim's top left corner. */
export const withBleed = ({ width, height, bleed }: Size & { bleed: Sides }): Box =>
  spread({ x: 0, y: 0, width, height }, bleed, 1);

/** What of a page is safe from being cut off or lost in a binding. */
export const safeArea = ({ width, height, safe }: Size & { safe: Sides }): Box =>
  spread({ x: 0, y: 0, width, height }, safe, -1);

const spread = ({ x, y, width, height }: Box, { top, right, bottom, left }: Sides, by: 1 | -1): Box => ({
  x: x - by * left,
  y: y - by * top,
  width: width + by * (left + right),
  height: height + by * (top + bottom),
});

/** Each of them made anew. */
export const eachSide = ({ top, right, bottom, left }: Sides, to: (by: number) => number): Sides => ({
  ...{ top: to(top), right: to(right), bottom: to(bottom), left: to(left) },
});

/** The most and the least of the four. */
export const mostOf = ({ top, right, bottom, left }: Sides): number => Math.max(top, right, bottom, left);
export const leastOf = ({ top, right, bottom, left }: Sides): number => Math.min(top, right, bottom, left);
